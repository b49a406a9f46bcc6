package raftcart.translate;

import java.util.List;
import java.util.Optional;
import raftcart.catalog.Column;
import raftcart.catalog.ObjectName;
import raftcart.dialect.Dialect;
import raftcart.dialect.Language;
import raftcart.rewrite.ExpressionRewriter;
import raftcart.rewrite.Knowledge;
import raftcart.rewrite.Knowledge.KnownColumn;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.type.LogicalType;

/** Makes what translates the expressions of a table: what is known of its columns, and their names on the target. */
final class TableExpressions {
    private final Language from;
    private final Dialect to;
    private final NameMapper names;

    TableExpressions(Language from, Dialect to, NameMapper names) {
        this.from = from;
        this.to = to;
        this.names = names;
    }

    /**
     * A column before and after.
     *
     * @param type what its values are taken for
     */
    record Pair(Column source, String targetName, LogicalType type) {}

    ExpressionRewriter of(ObjectName table, List<Pair> columns) {
        Knowledge knowledge = Knowledge.ofTypes(names.types());
        QualifiedName name = exact(table);
        knowledge.add(name, columns.stream().map(TableExpressions::known).toList(), List.of());
        return new ExpressionRewriter(
                from, to.language().quotingAll(), knowledge, name, new ExpressionRewriter.Names() {
                    @Override
                    public Optional<Name> column(Name source) {
                        return columns.stream()
                                .filter(p -> p.source().name().equals(source.text()))
                                .findFirst()
                                .or(() -> columns.stream()
                                        .filter(p -> p.source().name().equalsIgnoreCase(source.text()))
                                        .findFirst())
                                .map(p -> new Name(p.targetName(), true));
                    }

                    @Override
                    public QualifiedName sequence(QualifiedName source) {
                        return exact(names.knownSequence(
                                source.parts().stream().map(n -> stored(n)).toList()));
                    }
                });
    }

    private String stored(Name name) {
        return name.exact() ? name.text() : from.grammar().names().fold(name.text());
    }

    static KnownColumn known(Pair pair) {
        return new KnownColumn(
                new Name(pair.targetName(), true),
                Optional.of(pair.type()),
                !pair.source().nullable(),
                pair.source().ignoresCase());
    }

    /** A name of the target, exactly as it is. */
    static QualifiedName exact(ObjectName name) {
        Name own = new Name(name.name(), true);
        return new QualifiedName(name.schema().isEmpty() ? List.of(own) : List.of(new Name(name.schema(), true), own));
    }
}
