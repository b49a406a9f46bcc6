package raftcart.dialect.h2;

import java.util.Optional;
import raftcart.dialect.write.ChangeWriter;
import raftcart.dialect.write.DdlWriter;
import raftcart.dialect.write.ExprWriter;
import raftcart.dialect.write.QueryWriter;
import raftcart.dialect.write.SqlWriter;
import raftcart.dialect.write.WriterContext;
import raftcart.sql.tree.DateUnit;
import raftcart.sql.tree.DdlStatement.CreateTable.Temporary;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.TableParts.ColumnDefinition;
import raftcart.sql.tree.TableRef;

/** Writes H2's SQL where it differs from the common spelling. */
public final class H2Writers {
    private H2Writers() {}

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
        private static final String NULLS_STAY = " NULL ON NULL)";

        Expressions(WriterContext context) {
            super(context);
        }

        @Override
        protected String ordered(String call, String order) {
            if (call.startsWith("LISTAGG")) {
                return call + " WITHIN GROUP (" + order + ")";
            }
            return call.endsWith(NULLS_STAY)
                    ? call.substring(0, call.length() - NULLS_STAY.length()) + " " + order + NULLS_STAY
                    : super.ordered(call, order);
        }

        @Override
        protected String bits(String bits) {
            throw cannot("a text of bits");
        }

        @Override
        protected String interval(Expr amount, DateUnit unit) {
            return "INTERVAL " + literal(amount) + " " + unit.name();
        }

        private String literal(Expr amount) {
            if (!isNumber(amount)) {
                throw cannot("a length of time whose amount is computed");
            }
            return "'" + text(amount) + "'";
        }

        @Override
        protected String moment(LiteralKind kind, String text) {
            return kind == LiteralKind.ZONED_TIMESTAMP
                    ? "TIMESTAMP WITH TIME ZONE " + string(text)
                    : super.moment(kind, text);
        }

        @Override
        protected String modulo(Expr.Binary binary) {
            return closed(binary.left()) + " % " + closed(binary.right());
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
        public String visitCurrentTime(Expr.CurrentTime time) {
            String precision = time.precision() >= 0 ? "(" + time.precision() + ")" : "";
            return switch (time.kind()) {
                case TIME -> "LOCALTIME" + precision;
                // A cast of an instant goes to the zone of the session, whatever zone the value has.
                case UTC_TIMESTAMP ->
                    "DATEADD(MICROSECOND, CAST(EXTRACT(EPOCH FROM CURRENT_TIMESTAMP" + precision
                            + ") * 1000000 AS BIGINT), TIMESTAMP '1970-01-01 00:00:00')";
                default -> super.visitCurrentTime(time);
            };
        }

        @Override
        public String visitSequenceValue(Expr.SequenceValue value) {
            return (value.next() ? "NEXT" : "CURRENT") + " VALUE FOR " + name(value.sequence());
        }
    }

    /** Queries. */
    private static final class Queries extends QueryWriter {
        Queries(WriterContext context) {
            super(context);
        }

        @Override
        protected String function(TableRef.Function function) {
            String ordinality = function.ordinality() ? " WITH ORDINALITY" : "";
            return text(function.call()) + ordinality + alias(function.alias());
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
        protected String temporary(Temporary temporary) {
            return temporary == Temporary.NO ? "" : (temporary.isGlobal() ? "GLOBAL" : "LOCAL") + " TEMPORARY ";
        }

        @Override
        protected Optional<String> changeColumn(String column, ColumnDefinition definition, String written) {
            String text = definition.identity().isPresent() ? written.replace(" NOT NULL", "") : written;
            String nullable = definition.notNull().filter(n -> !n).isPresent() ? " NULL" : "";
            return definition.type().isPresent() ? Optional.of("ALTER COLUMN " + text + nullable) : Optional.empty();
        }

        @Override
        protected String domainNotNull() {
            return " CHECK (VALUE IS NOT NULL)";
        }

        @Override
        protected String begin() {
            return "BEGIN";
        }
    }
}
