package raftcart.dialect.sqlite;

import java.util.List;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.TableRef;

/** Changes of the tables that the engine keeps for itself, which its dumps write ("The Schema Table", "Autoincrement"). */
final class OwnTables {
    private OwnTables() {}

    /** The statement, or that it is for the engine alone: its last numbers and statistics. */
    static Statement changed(Statement statement) {
        QualifiedName table = statement instanceof Statement.Insert insert
                ? insert.table()
                : statement instanceof Statement.Delete delete
                                && delete.where().isEmpty()
                                && delete.table() instanceof TableRef.Table t
                        ? t.name()
                        : new QualifiedName(List.of());
        String name = table.parts().isEmpty() ? "" : table.last().key();
        if (name.equals("sqlite_sequence") || name.startsWith("sqlite_stat")) {
            return new Statement.ClientCommand("rows of " + name + ", which the engine keeps itself", statement.span());
        }
        return name.equals("sqlite_master") || name.equals("sqlite_schema")
                ? new Statement.NotTranslated("a virtual table", false, statement.span())
                : statement;
    }
}
