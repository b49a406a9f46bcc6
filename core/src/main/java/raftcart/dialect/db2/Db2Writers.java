package raftcart.dialect.db2;

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
import raftcart.sql.tree.Query;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.TableParts.ColumnDefinition;
import raftcart.sql.tree.TableParts.IdentityOptions;

/** Writes DB2's SQL where it differs from the common spelling. */
public final class Db2Writers {
    private Db2Writers() {}

    /** The writers of statements. */
    public static SqlWriter of(WriterContext context) {
        return SqlWriter.of(
                context,
                new Expressions(context),
                new Queries(context),
                new Changes(context),
                new Structure(context),
                new Db2CodeWriter());
    }

    /** Expressions. */
    private static final class Expressions extends ExprWriter {
        Expressions(WriterContext context) {
            super(context);
        }

        @Override
        protected String exactType() {
            return "DECIMAL(31, 10)";
        }

        @Override
        protected String ordered(String call, String order) {
            return call + " WITHIN GROUP (" + order + ")";
        }

        @Override
        protected String bits(String bits) {
            throw cannot("a bit string");
        }

        @Override
        protected String interval(Expr amount, DateUnit unit) {
            return closed(amount) + " " + unit.name() + "S";
        }

        @Override
        protected String wholeQuotient(Expr.Binary binary) {
            return closed(binary.left()) + " / " + closed(binary.right());
        }

        @Override
        protected String odd(Expr.Binary binary) {
            return switch (binary.operator()) {
                case BIT_AND -> "BITAND(" + text(binary.left()) + ", " + text(binary.right()) + ")";
                case BIT_OR -> "BITOR(" + text(binary.left()) + ", " + text(binary.right()) + ")";
                case BIT_XOR -> "BITXOR(" + text(binary.left()) + ", " + text(binary.right()) + ")";
                default -> throw cannot("the operator " + binary.operator().symbol());
            };
        }

        @Override
        protected String nullTreatment(String nulls) {
            return " " + nulls;
        }

        @Override
        public String visitSequenceValue(Expr.SequenceValue value) {
            return (value.next() ? "NEXT" : "PREVIOUS") + " VALUE FOR " + name(value.sequence());
        }

        @Override
        public String visitCurrentTime(Expr.CurrentTime time) {
            return switch (time.kind()) {
                case DATE -> "CURRENT DATE";
                case TIME -> "CURRENT TIME";
                case TIMESTAMP, LOCAL_TIMESTAMP ->
                    "CURRENT TIMESTAMP" + (time.precision() >= 0 ? "(" + time.precision() + ")" : "");
                case UTC_TIMESTAMP -> "(CURRENT TIMESTAMP - CURRENT TIMEZONE)";
            };
        }
    }

    /** Queries. */
    private static final class Queries extends QueryWriter {
        Queries(WriterContext context) {
            super(context);
        }

        @Override
        protected String locking(Query.Locking locking) {
            if (!locking.of().isEmpty()
                    || !locking.waiting().isEmpty()
                    || locking.strength().equals("SHARE")) {
                throw cannot("FOR " + locking.strength() + " of this form");
            }
            return "FOR UPDATE WITH RS";
        }
    }

    /** Changes. */
    private static final class Changes extends ChangeWriter {
        Changes(WriterContext context) {
            super(context);
        }

        @Override
        protected String truncate(Statement.Truncate truncate) {
            return super.truncate(truncate) + " IMMEDIATE";
        }
    }

    /** Structure. */
    private static final class Structure extends DdlWriter {
        Structure(WriterContext context) {
            super(context);
        }

        @Override
        protected String generated(ColumnDefinition column) {
            return "GENERATED ALWAYS AS (" + text(column.generated().orElseThrow()) + ")";
        }

        @Override
        protected String addIdentity(String column, IdentityOptions options) {
            return "ALTER COLUMN " + column + " SET " + identity(options);
        }

        @Override
        protected String indexExpression(String text) {
            return text;
        }

        @Override
        protected String synonym(DdlStatement.CreateSynonym synonym) {
            return "CREATE " + (synonym.orReplace() ? "OR REPLACE " : "") + "ALIAS " + name(synonym.name()) + " FOR "
                    + name(synonym.target());
        }

        /** "CREATE SEQUENCE": the type is INTEGER unless it is said. */
        @Override
        protected String sequence(DdlStatement.CreateSequence sequence) {
            String text = super.sequence(sequence);
            String name = name(sequence.name());
            return sequence.alter() ? text : text.replaceFirst(java.util.regex.Pattern.quote(name), "$0 AS BIGINT");
        }

        @Override
        protected String temporary(Temporary temporary) {
            return temporary == Temporary.NO ? "" : "GLOBAL TEMPORARY ";
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
        protected String begin() {
            throw cannot("the beginning of a transaction; it begins by itself");
        }
    }
}
