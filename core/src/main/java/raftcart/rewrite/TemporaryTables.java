package raftcart.rewrite;

import raftcart.dialect.SqlFeature;
import raftcart.finding.FindingCode;
import raftcart.sql.tree.DdlStatement.CreateTable;
import raftcart.sql.tree.DdlStatement.CreateTable.Temporary;

/** How long temporary tables and their rows last ("table definition", ISO/IEC 9075-2). */
final class TemporaryTables {
    private final QueryAdapter adapter;

    TemporaryTables(QueryAdapter adapter) {
        this.adapter = adapter;
    }

    /** How long the table lasts, in a way that the target has. */
    Temporary lifetime(CreateTable table) {
        Temporary temporary = table.temporary();
        if (temporary.untilCommit() && !adapter.to.has(SqlFeature.ROWS_UNTIL_COMMIT)) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK,
                    table.span(),
                    "the rows stay after the end of the transaction; delete them");
            temporary = temporary.isGlobal() ? Temporary.GLOBAL : Temporary.SESSION;
        }
        if (temporary.isGlobal() && !adapter.to.has(SqlFeature.GLOBAL_TEMPORARY_TABLES)) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK,
                    table.span(),
                    "the table is there for all sessions on the source; on the target each session has to create its own");
        }
        boolean named = adapter.to.has(SqlFeature.TEMPORARY_BY_NAME);
        if (temporary != Temporary.NO && (named || adapter.to.has(SqlFeature.TEMPORARY_WITHOUT_SCHEMA))) {
            adapter.knowledge.addTemporary(table.name());
        }
        if (named) {
            temporary = Temporary.NO;
        }
        boolean lasts = temporary != Temporary.NO
                && !adapter.to.has(SqlFeature.TEMPORARY_TABLES)
                && adapter.to.has(SqlFeature.GLOBAL_TEMPORARY_TABLES);
        if (lasts) {
            if (!temporary.isGlobal()) {
                adapter.note(
                        FindingCode.SYNTAX_CHECK,
                        table.span(),
                        "the rows are those of the session, but the table itself stays, and all sessions share it");
            }
            temporary = temporary.untilCommit() ? Temporary.GLOBAL_UNTIL_COMMIT : Temporary.GLOBAL;
        }
        return temporary;
    }
}
