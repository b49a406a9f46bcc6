package raftcart.dialect.oracle;

import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import raftcart.dialect.write.ChangeWriter;
import raftcart.dialect.write.DdlWriter;
import raftcart.dialect.write.ExprWriter;
import raftcart.dialect.write.QueryWriter;
import raftcart.dialect.write.SqlWriter;
import raftcart.dialect.write.WriterContext;
import raftcart.finding.FindingCode;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.DateUnit;
import raftcart.sql.tree.DdlStatement.CreateTable.Temporary;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.TableParts.ColumnDefinition;
import raftcart.sql.tree.TableParts.IdentityOptions;
import raftcart.sql.tree.TableRef;

/** Writes Oracle's SQL where it differs from the common spelling. */
public final class OracleWriters {
    private OracleWriters() {}

    /** The writers of statements. */
    public static SqlWriter of(WriterContext context) {
        return SqlWriter.of(
                context, new Expressions(context), new Queries(context), new Changes(context), new Structure(context));
    }

    /** Expressions. */
    private static final class Expressions extends ExprWriter {
        private static final Pattern CLOCK = Pattern.compile("(-?)(\\d{1,3}):(\\d\\d)(?::(\\d\\d(?:[.]\\d{1,9})?))?");

        Expressions(WriterContext context) {
            super(context);
        }

        @Override
        protected String safeCast(Expr.Cast cast) {
            if (cast.type().name().matches("date|timestamp.*|interval.*")) {
                return super.safeCast(cast); // which texts are dates hangs on the session
            }
            return "CAST(" + text(cast.value()) + " AS " + typeText(cast) + " DEFAULT NULL ON CONVERSION ERROR)";
        }

        @Override
        protected String ordered(String call, String order) {
            return call + " WITHIN GROUP (" + order + ")";
        }

        @Override
        protected String bytes(String hex) {
            return "HEXTORAW('" + hex + "')";
        }

        @Override
        protected String bits(String bits) {
            throw cannot("a bit string");
        }

        @Override
        protected String moment(LiteralKind kind, String text) {
            if (kind == LiteralKind.TIME) {
                return clock(text);
            }
            return super.moment(kind, text);
        }

        /** A time of day as the interval since midnight ("Interval Literals"). */
        private String clock(String text) {
            Matcher m = CLOCK.matcher(text);
            if (!m.matches()) {
                throw cannot("the time of day '" + text + "'");
            }
            int hours = Integer.parseInt(m.group(2));
            String days = m.group(1) + hours / 24;
            String seconds = m.group(4) == null ? "00" : m.group(4);
            String time = String.format(Locale.ROOT, "%02d:%s:%s", hours % 24, m.group(3), seconds);
            return "INTERVAL " + string(days + " " + time) + " DAY TO SECOND";
        }

        @Override
        protected String distinct(Expr.Binary binary) {
            // DECODE holds two NULLs equal ("DECODE").
            return "DECODE(" + text(binary.left()) + ", " + text(binary.right()) + ", 1, 0)"
                    + (binary.operator() == BinaryOperator.SAME ? " = 1" : " = 0");
        }

        @Override
        protected String odd(Expr.Binary binary) {
            if (binary.operator() == BinaryOperator.BIT_AND) {
                return "BITAND(" + text(binary.left()) + ", " + text(binary.right()) + ")";
            }
            throw cannot("the operator " + binary.operator().symbol());
        }

        @Override
        protected String interval(Expr amount, DateUnit unit) {
            String word =
                    switch (unit) {
                        case YEAR, MONTH -> "NUMTOYMINTERVAL(";
                        case DAY, HOUR, MINUTE, SECOND -> "NUMTODSINTERVAL(";
                        default -> throw cannot("an interval in " + unit.word() + "s");
                    };
            return word + text(amount) + ", '" + unit.name() + "')";
        }

        @Override
        public String visitAtZone(Expr.AtZone at) {
            return closed(at.value()) + " AT TIME ZONE " + closed(at.zone());
        }

        @Override
        protected String nullTreatment(String nulls) {
            return " " + nulls;
        }

        @Override
        public String visitSequenceValue(Expr.SequenceValue value) {
            return name(value.sequence()) + (value.next() ? ".NEXTVAL" : ".CURRVAL");
        }

        @Override
        public String visitCurrentTime(Expr.CurrentTime time) {
            return switch (time.kind()) {
                case DATE -> "TRUNC(SYSDATE)";
                case TIME -> "(LOCALTIMESTAMP - TRUNC(SYSDATE))";
                case TIMESTAMP -> "SYSTIMESTAMP";
                case LOCAL_TIMESTAMP -> time.precision() < 0 ? "SYSDATE" : "LOCALTIMESTAMP(" + time.precision() + ")";
                case UTC_TIMESTAMP -> "SYS_EXTRACT_UTC(SYSTIMESTAMP)";
            };
        }
    }

    /** Queries. */
    private static final class Queries extends QueryWriter {
        Queries(WriterContext context) {
            super(context);
        }

        @Override
        protected String sample(TableRef.Sample sample) {
            if (sample.rows()) {
                return super.sample(sample);
            }
            return " SAMPLE" + (sample.method().equals("SYSTEM") ? " BLOCK" : "") + " (" + text(sample.amount()) + ")";
        }
    }

    /** Changes. */
    private static final class Changes extends ChangeWriter {
        Changes(WriterContext context) {
            super(context);
        }

        @Override
        protected String mergeCondition(Expr on) {
            return "(" + text(on) + ")";
        }

        @Override
        protected String mergeAction(Statement.MergeAction action) {
            if (action.kind() == Statement.MergeAction.Kind.DELETE
                    || action.kind() == Statement.MergeAction.Kind.NOTHING
                    || action.bySource()) {
                return super.mergeAction(action);
            }
            return (action.matched() ? "WHEN MATCHED THEN " : "WHEN NOT MATCHED THEN ")
                    + mergeVerb(action)
                    + action.condition().map(c -> " WHERE " + text(c)).orElse("")
                    + action.deleteWhere().map(c -> " DELETE WHERE " + text(c)).orElse("");
        }
    }

    /** Structure. */
    private static final class Structure extends DdlWriter {
        Structure(WriterContext context) {
            super(context);
        }

        @Override
        protected String addColumn(String column) {
            return "ADD " + column;
        }

        @Override
        protected String setType(String column, String type, Optional<Expr> using) {
            return "MODIFY " + column + " " + type;
        }

        @Override
        protected String setNullable(String column, boolean nullable) {
            return "MODIFY " + column + (nullable ? " NULL" : " NOT NULL");
        }

        @Override
        protected String setDefault(String table, String column, Optional<Expr> value) {
            return "MODIFY " + column + " DEFAULT " + value.map(this::text).orElse("NULL");
        }

        @Override
        protected String addIdentity(String column, IdentityOptions options) {
            throw cannot("a column that becomes numbered");
        }

        @Override
        protected String generated(ColumnDefinition column) {
            if (column.stored()) {
                note(FindingCode.PHYSICAL_CLAUSES, column.span(), "STORED: the value is computed at reading");
            }
            return "GENERATED ALWAYS AS (" + text(column.generated().orElseThrow()) + ") VIRTUAL";
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
        protected String restartIdentity(String column, java.math.BigInteger next) {
            return "MODIFY " + column + " GENERATED BY DEFAULT AS IDENTITY (START WITH " + next + ")";
        }

        @Override
        protected String indexExpression(String text) {
            return text;
        }

        @Override
        protected String cascade() {
            return " CASCADE CONSTRAINTS";
        }

        @Override
        protected String begin() {
            throw cannot("the beginning of a transaction; it begins by itself");
        }

        @Override
        protected String useSchema(Statement.UseSchema use) {
            return "ALTER SESSION SET CURRENT_SCHEMA = " + language().write(use.schema());
        }
    }
}
