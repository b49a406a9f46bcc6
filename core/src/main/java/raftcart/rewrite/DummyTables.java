package raftcart.rewrite;

import java.util.Set;
import raftcart.dialect.Language;
import raftcart.sql.tree.QualifiedName;

/** Tables of one row that stand in FROM where nothing is read. */
public final class DummyTables {
    private static final Set<String> NAMES = Set.of("dual", "sysibm.sysdummy1", "sysdummy1", "rdb$database");

    private DummyTables() {}

    /** True for such a table of the language; those that several engines know are such everywhere. */
    public static boolean isOne(QualifiedName table, Language language) {
        return table.key().equalsIgnoreCase(language.dummyTable()) || NAMES.contains(table.key());
    }
}
