package raftcart.rewrite;

import java.util.List;
import java.util.Optional;
import raftcart.dialect.Language;
import raftcart.dialect.SqlFeature;
import raftcart.rewrite.Knowledge.KnownTable;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.TableRef;

/** What tells the rows of a table apart within one statement. */
final class RowKeys {
    private RowKeys() {}

    /** The hidden column with a row's address, where the target has one. */
    static Optional<Name> address(Language to) {
        if (to.has(SqlFeature.CTID)) {
            return Optional.of(Name.of("ctid"));
        }
        if (to.has(SqlFeature.ROWID_BETWEEN_LINES)) {
            return Optional.of(Name.of("_rowid_"));
        }
        return to.has(SqlFeature.ROWID) ? Optional.of(Name.of("rowid")) : Optional.empty();
    }

    /** The row's address, or else the columns of the table's key; empty where neither is known. */
    static List<Name> of(ExprAdapter adapter, TableRef.Table table) {
        Optional<Name> address = address(adapter.to);
        return address.map(List::of).orElseGet(() -> adapter.knowledge
                .table(table.name())
                .flatMap(RowKeys::key)
                .orElse(List.of()));
    }

    private static Optional<List<Name>> key(KnownTable table) {
        return table.keys().stream()
                .filter(k -> k.stream()
                        .allMatch(n -> table.columns().containsKey(n.key())
                                && table.columns().get(n.key()).notNull()))
                .findFirst();
    }
}
