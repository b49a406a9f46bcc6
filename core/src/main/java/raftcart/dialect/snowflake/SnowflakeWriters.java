package raftcart.dialect.snowflake;

import raftcart.dialect.write.ChangeWriter;
import raftcart.dialect.write.DdlWriter;
import raftcart.dialect.write.ExprWriter;
import raftcart.dialect.write.QueryWriter;
import raftcart.dialect.write.SqlWriter;
import raftcart.dialect.write.WriterContext;
import raftcart.sql.tree.DateUnit;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.TableParts.ColumnDefinition;

/** Writes Snowflake's SQL where it differs from the common spelling. */
public final class SnowflakeWriters {
    private SnowflakeWriters() {}

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
        protected String moment(LiteralKind kind, String text) {
            // A TIMESTAMP constant has no zone ("Date & time data types").
            return kind == LiteralKind.ZONED_TIMESTAMP
                    ? "CAST(" + string(text) + " AS TIMESTAMP_TZ)"
                    : super.moment(kind, text);
        }

        @Override
        protected String ordered(String call, String order) {
            return call + " WITHIN GROUP (" + order + ")";
        }

        @Override
        public String string(String text) {
            return super.string(text.replace("\\", "\\\\"));
        }

        @Override
        protected String bits(String bits) {
            throw cannot("a bit string");
        }

        @Override
        protected String modulo(Expr.Binary binary) {
            return closed(binary.left()) + " % " + closed(binary.right());
        }

        @Override
        protected String safeCast(Expr.Cast cast) {
            return "TRY_CAST(" + text(cast.value()) + " AS " + typeText(cast) + ")";
        }

        @Override
        public String visitCollate(Expr.Collate collate) {
            return closed(collate.value()) + " COLLATE " + name(collate.collation());
        }

        @Override
        protected String nullTreatment(String nulls) {
            return " " + nulls;
        }

        @Override
        protected String odd(Expr.Binary binary) {
            return switch (binary.operator()) {
                case BIT_AND -> "BITAND(" + text(binary.left()) + ", " + text(binary.right()) + ")";
                case BIT_OR -> "BITOR(" + text(binary.left()) + ", " + text(binary.right()) + ")";
                case BIT_XOR -> "BITXOR(" + text(binary.left()) + ", " + text(binary.right()) + ")";
                case SHIFT_LEFT -> "BITSHIFTLEFT(" + text(binary.left()) + ", " + text(binary.right()) + ")";
                case SHIFT_RIGHT -> "BITSHIFTRIGHT(" + text(binary.left()) + ", " + text(binary.right()) + ")";
                default -> super.odd(binary);
            };
        }

        @Override
        public String visitMatches(Expr.Matches matches) {
            return (matches.negated() ? "NOT " : "") + "REGEXP_INSTR(" + text(matches.value()) + ", "
                    + text(matches.pattern()) + (matches.ignoreCase() ? ", 1, 1, 0, 'i'" : "") + ") > 0";
        }

        @Override
        protected String interval(Expr amount, DateUnit unit) {
            if (!isNumber(amount)) {
                throw cannot("a length of time whose amount is computed");
            }
            return "INTERVAL '" + text(amount) + " " + unit.word() + "'";
        }

        @Override
        public String visitSequenceValue(Expr.SequenceValue value) {
            if (!value.next()) {
                throw cannot("the last number of a sequence");
            }
            return name(value.sequence()) + ".NEXTVAL";
        }

        @Override
        public String visitCurrentTime(Expr.CurrentTime time) {
            return time.kind() == raftcart.sql.tree.CurrentKind.UTC_TIMESTAMP
                    ? "SYSDATE()"
                    : super.visitCurrentTime(time);
        }
    }

    /** Queries. */
    private static final class Queries extends QueryWriter {
        Queries(WriterContext context) {
            super(context);
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
        protected String generated(ColumnDefinition column) {
            return "AS (" + text(column.generated().orElseThrow()) + ")";
        }

        @Override
        protected String useSchema(Statement.UseSchema use) {
            return "USE SCHEMA " + language().write(use.schema());
        }

        @Override
        protected String begin() {
            return "BEGIN";
        }
    }
}
