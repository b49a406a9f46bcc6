package raftcart.scripts;

import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import raftcart.catalog.Column;
import raftcart.catalog.Identity;
import raftcart.catalog.ObjectName;
import raftcart.catalog.Sequence;
import raftcart.sql.tree.Name;

/**
 * PostgreSQL's dumps write a serial column as a default and a sequence of the name TABLE_COLUMN_seq; such a column is one that
 * the engine numbers.
 */
final class OwnedSequences {
    private OwnedSequences() {}

    static void apply(Map<ObjectName, TableDraft> tables, Map<ObjectName, Sequence> sequences) {
        for (TableDraft table : tables.values()) {
            for (Column column : java.util.List.copyOf(table.columns)) {
                String own = table.name.name() + "_" + column.name() + "_seq";
                boolean takes = column.defaultValue()
                        .filter(d -> d.toLowerCase(Locale.ROOT).startsWith("nextval(")
                                && d.toLowerCase(Locale.ROOT).contains(own.toLowerCase(Locale.ROOT) + "'"))
                        .isPresent();
                Optional<Sequence> sequence = sequences.values().stream()
                        .filter(s -> s.name().name().equalsIgnoreCase(own))
                        .findFirst();
                if (takes && sequence.isPresent()) {
                    Sequence s = sequence.get();
                    sequences.remove(s.name());
                    Identity identity =
                            new Identity(s.start().longValue(), s.increment().longValue(), false, s.next());
                    table.change(new Name(column.name(), true), c -> Columns.numbered(c, identity));
                }
            }
        }
    }
}
