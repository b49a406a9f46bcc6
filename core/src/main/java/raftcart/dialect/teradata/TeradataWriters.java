package raftcart.dialect.teradata;

import java.util.Optional;
import raftcart.dialect.write.ChangeWriter;
import raftcart.dialect.write.DdlWriter;
import raftcart.dialect.write.ExprWriter;
import raftcart.dialect.write.Layout;
import raftcart.dialect.write.QueryWriter;
import raftcart.dialect.write.SqlWriter;
import raftcart.dialect.write.WriterContext;
import raftcart.sql.tree.DateUnit;
import raftcart.sql.tree.DdlStatement;
import raftcart.sql.tree.DdlStatement.CreateTable.Temporary;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.TableParts.IdentityOptions;
import raftcart.sql.tree.TableRef;

/** Writes Teradata's SQL where it differs from the common spelling. */
public final class TeradataWriters {
    private TeradataWriters() {}

    /** The writers of statements. */
    public static SqlWriter of(WriterContext context) {
        return SqlWriter.of(
                context,
                new Expressions(context),
                new Queries(context),
                new ChangeWriter(context),
                new Structure(context));
    }

    /** Expressions. */
    private static final class Expressions extends ExprWriter {
        Expressions(WriterContext context) {
            super(context);
        }

        @Override
        protected String bytes(String hex) {
            return "'" + hex + "'XB";
        }

        @Override
        protected String bits(String bits) {
            throw cannot("a bit string");
        }

        @Override
        protected String modulo(Expr.Binary binary) {
            return closed(binary.left()) + " MOD " + closed(binary.right());
        }

        @Override
        protected String wholeQuotient(Expr.Binary binary) {
            return closed(binary.left()) + " / " + closed(binary.right());
        }

        @Override
        protected String odd(Expr.Binary binary) {
            throw cannot("the operator " + binary.operator().symbol());
        }

        @Override
        protected String safeCast(Expr.Cast cast) {
            return "TRYCAST(" + text(cast.value()) + " AS " + typeText(cast) + ")";
        }

        @Override
        protected String interval(Expr amount, DateUnit unit) {
            if (unit == DateUnit.WEEK || unit == DateUnit.QUARTER) {
                throw cannot("an interval in " + unit.word() + "s");
            }
            return isNumber(amount)
                    ? "INTERVAL '" + text(amount) + "' " + unit.name()
                    : "CAST(" + text(amount) + " AS INTERVAL " + unit.name() + "(4))";
        }

        @Override
        protected String nullTreatment(String nulls) {
            return " " + nulls;
        }

        @Override
        public String visitSequenceValue(Expr.SequenceValue value) {
            throw cannot("a sequence");
        }
    }

    /** Queries. */
    private static final class Queries extends QueryWriter {
        Queries(WriterContext context) {
            super(context);
        }

        @Override
        protected String sample(TableRef.Sample sample) {
            throw cannot("a sample of a table inside of FROM");
        }

        @Override
        protected String locking(Query.Locking locking) {
            throw cannot("FOR UPDATE");
        }
    }

    /** Structure. */
    private static final class Structure extends DdlWriter {
        Structure(WriterContext context) {
            super(context);
        }

        @Override
        protected String onCommit(Temporary temporary) {
            return temporary == Temporary.NO
                    ? ""
                    : temporary.untilCommit() ? " ON COMMIT DELETE ROWS" : " ON COMMIT PRESERVE ROWS";
        }

        @Override
        protected String tableEnd(String onCommit, String comment, String query) {
            return comment + query + onCommit;
        }

        @Override
        protected String asQuery(String query, boolean withData) {
            return " AS " + Layout.parentheses(query) + " WITH " + (withData ? "" : "NO ") + "DATA";
        }

        @Override
        protected String addColumn(String column) {
            return "ADD " + column;
        }

        @Override
        protected String viewHead(DdlStatement.CreateView view) {
            return view.orReplace() ? "REPLACE VIEW " : super.viewHead(view);
        }

        @Override
        protected String setType(String column, String type, Optional<Expr> using) {
            return "ADD " + column + " " + type;
        }

        @Override
        protected String setNullable(String column, boolean nullable) {
            return "ADD " + column + (nullable ? " NULL" : " NOT NULL");
        }

        @Override
        protected String setDefault(String table, String column, Optional<Expr> value) {
            return "ADD " + column + " DEFAULT " + value.map(this::text).orElse("NULL");
        }

        @Override
        protected String addIdentity(String column, IdentityOptions options) {
            throw cannot("a column that becomes numbered");
        }

        @Override
        protected String renameColumn(String table, String from, Name to) {
            return "ALTER TABLE " + table + " RENAME " + from + " TO "
                    + language().write(to);
        }

        @Override
        protected String temporary(Temporary temporary) {
            return temporary == Temporary.NO ? "" : temporary.isGlobal() ? "GLOBAL TEMPORARY " : "VOLATILE ";
        }

        @Override
        protected String useSchema(Statement.UseSchema use) {
            return "DATABASE " + language().write(use.schema());
        }

        @Override
        protected String begin() {
            return "BT";
        }
    }
}
