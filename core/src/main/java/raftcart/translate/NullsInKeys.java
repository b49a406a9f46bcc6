package raftcart.translate;

import java.util.List;
import raftcart.catalog.Column;
import raftcart.catalog.Index;
import raftcart.catalog.Key;
import raftcart.catalog.KeyPart;
import raftcart.catalog.Table;
import raftcart.dialect.Dialect;
import raftcart.dialect.Language;
import raftcart.dialect.SqlFeature;
import raftcart.finding.FindingCode;
import raftcart.rewrite.ExpressionRewriter;
import raftcart.sql.tree.Name;

/** Says where two rows with NULL in a unique key are duplicates on one engine only. */
final class NullsInKeys {
    private final Language from;
    private final Dialect to;
    private final Notes notes;
    private final ExpressionRewriter expressions;

    NullsInKeys(Language from, Dialect to, Notes notes, ExpressionRewriter expressions) {
        this.expressions = expressions;
        this.from = from;
        this.to = to;
        this.notes = notes;
    }

    void say(Table table) {
        for (Key key : table.uniqueKeys()) {
            say(table, key.name(), key.parts(), List.of(), SqlFeature.UNIQUE_KEYS_TAKE_ONE_NULL);
        }
        for (Index index : table.indexes()) {
            if (index.unique() && (index.predicate().isEmpty() || to.has(SqlFeature.PARTIAL_INDEXES))) {
                List<Name> filled = expressions.notNullsAmong(index.predicate());
                say(table, index.name(), index.parts(), filled, SqlFeature.NULLS_ARE_DUPLICATES);
            }
        }
    }

    private void say(Table table, String key, List<KeyPart> parts, List<Name> filled, SqlFeature one) {
        boolean nullable = parts.stream()
                .filter(p -> filled.stream().noneMatch(n -> n.text().equalsIgnoreCase(p.column())))
                .anyMatch(p -> table.column(p.column()).filter(Column::nullable).isPresent());
        boolean partly = parts.size() > 1 && differ(SqlFeature.NULLS_ARE_DUPLICATES_IN_PART);
        if (nullable && (partly || differ(one))) {
            notes.find(
                    FindingCode.SYNTAX_CHECK,
                    table.name() + "." + key,
                    "one engine takes two NULLs in the key for duplicates, the other does not");
        }
    }

    private boolean differ(SqlFeature feature) {
        return from.has(feature) != to.has(feature);
    }
}
