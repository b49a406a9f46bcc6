package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import raftcart.dialect.Language;
import raftcart.dialect.SqlFeature;
import raftcart.finding.FindingCode;
import raftcart.sql.Span;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;

/** The source's default schema becomes the target's, by name or by saying none. */
final class SchemaNames implements UnaryOperator<QualifiedName> {
    private final String from;
    private final String to;
    private final boolean session;
    private final AdaptNotes notes;
    private final Span span;
    private boolean noted;

    SchemaNames(Language from, Language to, AdaptNotes notes, Span span) {
        this.from = from.defaultSchema();
        this.to = to.has(SqlFeature.SCHEMAS) ? to.defaultSchema() : "";
        this.session = from.has(SqlFeature.TEMPORARY_IN_SESSION) && !to.has(SqlFeature.TEMPORARY_IN_SESSION);
        this.notes = notes;
        this.span = span;
    }

    @Override
    public QualifiedName apply(QualifiedName name) {
        List<Name> parts = name.parts();
        boolean ofSession = session && parts.size() > 1 && parts.get(0).text().equalsIgnoreCase("session");
        if (ofSession) {
            return new QualifiedName(parts.subList(1, parts.size()));
        }
        if (from.isEmpty() || parts.size() < 2 || from.equalsIgnoreCase(to)) {
            return name;
        }
        int place = isDefault(parts.get(0)) ? 0 : parts.size() == 3 && isDefault(parts.get(1)) ? 1 : -1;
        if (place < 0) {
            return name;
        }
        if (place == 1) {
            notes.add(
                    FindingCode.SYNTAX_CHECK,
                    span,
                    "without the database " + parts.get(0).text());
        } else if (!noted) {
            noted = true;
            notes.add(
                    FindingCode.SYNTAX_ADAPTED,
                    span,
                    "the schema " + from + (to.isEmpty() ? " is left out" : " as " + to));
        }
        List<Name> mapped = new ArrayList<>();
        if (!to.isEmpty()) {
            mapped.add(Name.of(to));
        }
        mapped.addAll(parts.subList(place + 1, parts.size()));
        return new QualifiedName(mapped);
    }

    private boolean isDefault(Name name) {
        return name.text().equalsIgnoreCase(from);
    }
}
