package raftcart.rewrite;

import java.util.Optional;
import java.util.Set;
import raftcart.dialect.Language;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;

/** The hidden columns that hold the address of a row. */
final class RowAddresses {
    /** The words of all languages: nearly no column has such a name. */
    private static final Set<String> ALL = Set.of("rowid", "_rowid_", "oid", "ctid");

    private final ExprAdapter adapter;

    RowAddresses(ExprAdapter adapter) {
        this.adapter = adapter;
    }

    /** The words of a language for its rows' addresses, in lower case. */
    private static Set<String> words(Language from) {
        if (from.has(SqlFeature.ROWID_KEYS)) {
            return Set.of("rowid", "_rowid_", "oid");
        }
        return RowKeys.address(from).map(n -> Set.of(n.key())).orElse(Set.of());
    }

    /** True for a word that no column of the tables at hand has as its name. */
    boolean is(Expr.Column column) {
        String word = column.name().last().key();
        return ALL.contains(word)
                && !adapter.from.name().equals(adapter.to.name())
                && words(adapter.from).contains(word)
                && adapter.scope.column(column.name()).isEmpty()
                && (!word.equals("oid") || relation(column).isPresent());
    }

    /** The key that stands for the address on the source, or else the target's address. */
    Expr translated(Expr.Column column) {
        Optional<Name> key = relation(column).flatMap(Scope.Relation::address);
        if (key.isPresent()) {
            return named(column, key.get());
        }
        Name address = RowKeys.address(adapter.to)
                .orElseThrow(() ->
                        new Untranslatable("the column " + column.name().last().text() + ", a row's address"));
        adapter.note(
                FindingCode.SYNTAX_CHECK,
                column.span(),
                "a row's address: of another form, and for use within one statement only");
        return named(column, address);
    }

    private static Expr named(Expr.Column column, Name name) {
        return new Expr.Column(column.name().withLast(name), false, column.span());
    }

    private Optional<Scope.Relation> relation(Expr.Column column) {
        int parts = column.name().parts().size();
        return parts > 1
                ? adapter.scope.relation(column.name().parts().get(parts - 2).text())
                : adapter.scope.only();
    }
}
