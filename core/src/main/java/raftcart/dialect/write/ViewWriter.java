package raftcart.dialect.write;

import raftcart.dialect.SqlFeature;
import raftcart.sql.tree.DdlStatement;
import raftcart.sql.tree.DdlStatement.CreateView.CheckOption;

/** Writes views. */
final class ViewWriter {
    private final DdlWriter ddl;

    ViewWriter(DdlWriter ddl) {
        this.ddl = ddl;
    }

    String view(DdlStatement.CreateView view) {
        if (view.materialized()) {
            ddl.require(SqlFeature.MATERIALIZED_VIEWS, "a materialized view");
        }
        if (view.temporary()) {
            ddl.require(SqlFeature.TEMPORARY_VIEWS, "a temporary view");
        }
        String check =
                switch (view.check()) {
                    case NONE -> "";
                    case READ_ONLY -> "\nWITH READ ONLY";
                    case LOCAL -> "\nWITH LOCAL CHECK OPTION";
                    case CASCADED -> "\nWITH CHECK OPTION";
                };
        if (view.check() == CheckOption.LOCAL || view.check() == CheckOption.CASCADED) {
            ddl.require(SqlFeature.VIEW_CHECK_OPTION, "WITH CHECK OPTION");
        }
        return ddl.viewHead(view) + ddl.name(view.name())
                + ddl.writer().queries().columns(view.columns()) + " AS\n"
                + ddl.writer().query(view.query()) + check;
    }
}
