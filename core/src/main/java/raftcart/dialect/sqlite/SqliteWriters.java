package raftcart.dialect.sqlite;

import java.util.List;
import java.util.Optional;
import raftcart.dialect.write.ChangeWriter;
import raftcart.dialect.write.DdlWriter;
import raftcart.dialect.write.ExprWriter;
import raftcart.dialect.write.Layout;
import raftcart.dialect.write.QueryWriter;
import raftcart.dialect.write.SqlWriter;
import raftcart.dialect.write.WriterContext;
import raftcart.sql.GlobPatterns;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.DdlStatement;
import raftcart.sql.tree.DdlStatement.CreateTable.Temporary;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.TableParts.IdentityOptions;
import raftcart.sql.tree.TableRef;
import raftcart.sql.tree.Truth;

/** Writes SQLite's SQL where it differs from the common spelling. */
public final class SqliteWriters {
    private SqliteWriters() {}

    /** The writers of statements. */
    public static SqlWriter of(WriterContext context) {
        return SqlWriter.of(
                context,
                new Expressions(context),
                new Queries(context),
                new Changes(context),
                new Structure(context),
                new SqliteCodeWriter());
    }

    /** Expressions. */
    private static final class Expressions extends ExprWriter {
        Expressions(WriterContext context) {
            super(context);
        }

        /** UNKNOWN is no word of SQLite. */
        @Override
        public String visitIs(Expr.Is is) {
            return is.truth() == Truth.UNKNOWN
                    ? super.visitIs(new Expr.Is(is.value(), Truth.NULL, is.negated(), is.span()))
                    : super.visitIs(is);
        }

        /** Casts to dates would take the number at the beginning of the text ("CAST expressions"). */
        @Override
        public String visitCast(Expr.Cast cast) {
            String name = cast.type().name();
            if (name.startsWith("timestamp") || name.startsWith("datetime")) {
                return "DATETIME(" + text(cast.value()) + ")";
            }
            if (name.equals("date")) {
                return "DATE(" + text(cast.value()) + ")";
            }
            return name.startsWith("time") ? "TIME(" + text(cast.value()) + ")" : super.visitCast(cast);
        }

        @Override
        protected String modulo(Expr.Binary binary) {
            return closed(binary.left()) + " % " + closed(binary.right());
        }

        @Override
        protected String bits(String bits) {
            throw cannot("a bit string");
        }

        @Override
        protected String wholeQuotient(Expr.Binary binary) {
            return "CAST(" + closed(binary.left()) + " / " + closed(binary.right()) + " AS INTEGER)";
        }

        @Override
        protected String exactQuotient(Expr.Binary binary) {
            return "CAST(" + text(binary.left()) + " AS REAL) / " + closed(binary.right());
        }

        @Override
        protected String distinct(Expr.Binary binary) {
            return closed(binary.left())
                    + (binary.operator() == BinaryOperator.SAME ? " IS " : " IS NOT ")
                    + closed(binary.right());
        }

        @Override
        protected String odd(Expr.Binary binary) {
            return switch (binary.operator()) {
                case JSON_GET, JSON_GET_TEXT ->
                    closed(binary.left()) + " " + binary.operator().symbol() + " " + closed(binary.right());
                default -> super.odd(binary);
            };
        }

        /** "The LIKE and GLOB operators": LIKE takes small and capital letters for the same, GLOB does not. */
        @Override
        public String visitLike(Expr.Like like) {
            if (like.ignoreCase()) {
                String escape = like.escape().map(e -> " ESCAPE " + text(e)).orElse("");
                return closed(like.value())
                        + (like.negated() ? " NOT LIKE " : " LIKE ")
                        + closed(like.pattern())
                        + escape;
            }
            return closed(like.value()) + (like.negated() ? " NOT GLOB " : " GLOB ") + glob(like);
        }

        private String glob(Expr.Like like) {
            Optional<Expr> escape = like.escape();
            boolean constant = escape.isEmpty() || escape.get() instanceof Expr.Literal;
            if (like.pattern() instanceof Expr.Literal pattern && constant) {
                String escaping = escape.map(e -> ((Expr.Literal) e).text()).orElse("");
                return string(GlobPatterns.ofLike(pattern.text(), escaping));
            }
            if (escape.isPresent()) {
                throw cannot("a LIKE pattern with ESCAPE that is not constant");
            }
            String glob = text(like.pattern());
            for (List<String> pair : GlobPatterns.REPLACED) {
                glob = "REPLACE(" + glob + ", " + string(pair.get(0)) + ", " + string(pair.get(1)) + ")";
            }
            return glob;
        }

        @Override
        public String visitCurrentTime(Expr.CurrentTime time) {
            return switch (time.kind()) {
                case DATE -> "DATE('now', 'localtime')";
                case TIME -> "TIME('now', 'localtime')";
                case TIMESTAMP, LOCAL_TIMESTAMP -> "DATETIME('now', 'localtime')";
                case UTC_TIMESTAMP -> "CURRENT_TIMESTAMP";
            };
        }

        @Override
        public String visitCollate(Expr.Collate collate) {
            return closed(collate.value()) + " COLLATE " + name(collate.collation());
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
        protected String unlimited() {
            return "-1";
        }

        @Override
        protected String nested(QueryBody.Nested nested) {
            return "SELECT * FROM " + Layout.parentheses(query(nested.query()));
        }

        @Override
        protected String group(QueryBody body) {
            return "SELECT * FROM " + super.group(body);
        }

        @Override
        protected String function(TableRef.Function function) {
            String ordinality = function.ordinality() ? " WITH ORDINALITY" : "";
            return text(function.call()) + ordinality + alias(function.alias());
        }
    }

    /** Changes. */
    private static final class Changes extends ChangeWriter {
        Changes(WriterContext context) {
            super(context);
        }

        @Override
        protected String target(TableRef table) {
            boolean alias =
                    table instanceof TableRef.Table named && named.alias().isPresent();
            if (!alias) {
                return super.target(table);
            }
            TableRef.Table named = (TableRef.Table) table;
            return name(named.name()) + " AS "
                    + name(new QualifiedName(List.of(named.alias().get().name())));
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
            return "";
        }

        @Override
        protected String temporary(Temporary temporary) {
            if (temporary.untilCommit()) {
                throw cannot("a temporary table whose rows go at the end of the transaction");
            }
            return temporary == Temporary.NO ? "" : "TEMPORARY ";
        }

        @Override
        protected String defaultValue(Expr value) {
            return value instanceof Expr.Literal ? super.defaultValue(value) : "DEFAULT (" + text(value) + ")";
        }

        /** The index is named in the table's schema, and the table without it. */
        @Override
        protected String indexed(DdlStatement.CreateIndex index) {
            return name(new QualifiedName(List.of(index.table().last())));
        }

        @Override
        protected String indexExpression(String text) {
            return text;
        }

        @Override
        protected String begin() {
            return "BEGIN";
        }
    }
}
