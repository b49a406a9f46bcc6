package raftcart.dialect.duckdb;

import java.util.Optional;
import java.util.stream.Collectors;
import raftcart.dialect.write.ChangeWriter;
import raftcart.dialect.write.DdlWriter;
import raftcart.dialect.write.ExprWriter;
import raftcart.dialect.write.QueryWriter;
import raftcart.dialect.write.SqlWriter;
import raftcart.dialect.write.WriterContext;
import raftcart.sql.tree.DateUnit;
import raftcart.sql.tree.DdlStatement;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.TableParts.IdentityOptions;
import raftcart.sql.tree.TableRef;

/** Writes DuckDB's SQL where it differs from the common spelling. */
public final class DuckDbWriters {
    private DuckDbWriters() {}

    /** The writers of statements. */
    public static SqlWriter of(WriterContext context) {
        return SqlWriter.of(
                context, new Expressions(context), new Queries(context), new Changes(context), new Structure(context));
    }

    /** Expressions. */
    private static final class Expressions extends ExprWriter {
        /** The aggregate that becomes a document; what belongs to it stands in its own parentheses. */
        private static final String ITEMS = "TO_JSON(LIST(";

        Expressions(WriterContext context) {
            super(context);
        }

        @Override
        protected String bytes(String hex) {
            StringBuilder text = new StringBuilder("'");
            for (int i = 0; i + 1 < hex.length(); i += 2) {
                text.append("\\x").append(hex, i, i + 2);
            }
            return text.append("'::BLOB").toString();
        }

        @Override
        protected String bits(String bits) {
            return "'" + bits + "'::BIT";
        }

        @Override
        protected String moment(LiteralKind kind, String text) {
            return kind == LiteralKind.ZONED_TIMESTAMP ? "TIMESTAMPTZ " + string(text) : super.moment(kind, text);
        }

        @Override
        protected String wholeQuotient(Expr.Binary binary) {
            return closed(binary.left()) + " // " + closed(binary.right());
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
        public String visitAtZone(Expr.AtZone at) {
            return closed(at.value()) + " AT TIME ZONE " + closed(at.zone());
        }

        @Override
        protected String nullTreatment(String nulls) {
            return " " + nulls;
        }

        @Override
        protected String ordered(String call, String order) {
            return call.startsWith(ITEMS)
                    ? call.substring(0, call.length() - 2) + " " + order + "))"
                    : super.ordered(call, order);
        }

        @Override
        protected String withSuffix(String call, String suffix) {
            if (call.startsWith(ITEMS)) {
                return call.substring(0, call.length() - 1) + suffix + ")";
            }
            boolean nulls = suffix.startsWith(" IGNORE NULLS") && call.endsWith(")");
            return nulls
                    ? call.substring(0, call.length() - 1) + " IGNORE NULLS)" + suffix.substring(13)
                    : super.withSuffix(call, suffix);
        }

        @Override
        public String visitCollate(Expr.Collate collate) {
            return closed(collate.value()) + " COLLATE " + name(collate.collation());
        }

        @Override
        public String visitSequenceValue(Expr.SequenceValue value) {
            return (value.next() ? "NEXTVAL(" : "CURRVAL(") + string(name(value.sequence())) + ")";
        }

        @Override
        protected String odd(Expr.Binary binary) {
            return switch (binary.operator()) {
                case BIT_XOR -> "XOR(" + text(binary.left()) + ", " + text(binary.right()) + ")";
                case JSON_GET, JSON_GET_TEXT ->
                    closed(binary.left()) + " " + binary.operator().symbol() + " " + closed(binary.right());
                default -> super.odd(binary);
            };
        }

        @Override
        public String visitMatches(Expr.Matches matches) {
            return (matches.negated() ? "NOT " : "") + "REGEXP_MATCHES(" + text(matches.value()) + ", "
                    + text(matches.pattern()) + (matches.ignoreCase() ? ", 'i'" : "") + ")";
        }

        @Override
        public String visitArrayItems(Expr.ArrayItems array) {
            return "[" + list(array.items()) + "]";
        }

        @Override
        protected String interval(Expr amount, DateUnit unit) {
            // A fraction in the parentheses would be cut off.
            boolean whole = amount instanceof Expr.Literal l && l.isDigits(18);
            return whole
                    ? "INTERVAL (" + text(amount) + ") " + unit.name()
                    : "(" + text(amount) + ") * INTERVAL '1 " + unit.word() + "'";
        }

        @Override
        public String visitCurrentTime(Expr.CurrentTime time) {
            return switch (time.kind()) {
                case DATE -> "CURRENT_DATE";
                case TIME -> "LOCALTIME";
                case TIMESTAMP -> "CURRENT_TIMESTAMP";
                case LOCAL_TIMESTAMP -> "LOCALTIMESTAMP";
                case UTC_TIMESTAMP -> "(CURRENT_TIMESTAMP AT TIME ZONE 'UTC')";
            };
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

        @Override
        protected String sample(TableRef.Sample sample) {
            throw cannot("a sample of a table");
        }
    }

    /** Changes. */
    private static final class Changes extends ChangeWriter {
        Changes(WriterContext context) {
            super(context);
        }

        @Override
        protected Optional<String> overriding(Statement.Insert insert) {
            return Optional.empty();
        }
    }

    /** Structure. */
    private static final class Structure extends DdlWriter {
        Structure(WriterContext context) {
            super(context);
        }

        @Override
        protected String temporaryName(QualifiedName table) {
            return "temp." + language().write(table.last());
        }

        @Override
        protected String identity(IdentityOptions options) {
            throw cannot("a column that the engine numbers");
        }

        @Override
        protected String type(DdlStatement.CreateType type) {
            if (type.values().isEmpty()) {
                return super.type(type);
            }
            return "CREATE TYPE " + name(type.name()) + " AS ENUM ("
                    + type.values().stream().map(this::string).collect(Collectors.joining(", ")) + ")";
        }

        @Override
        protected String begin() {
            return "BEGIN TRANSACTION";
        }

        @Override
        protected String useSchema(Statement.UseSchema use) {
            return "USE " + language().write(use.schema());
        }
    }
}
