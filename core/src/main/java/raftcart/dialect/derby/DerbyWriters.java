package raftcart.dialect.derby;

import java.util.List;
import java.util.Optional;
import raftcart.dialect.write.ChangeWriter;
import raftcart.dialect.write.DdlWriter;
import raftcart.dialect.write.ExprWriter;
import raftcart.dialect.write.QueryWriter;
import raftcart.dialect.write.SqlWriter;
import raftcart.dialect.write.WriterContext;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.DdlStatement;
import raftcart.sql.tree.DdlStatement.CreateTable.Temporary;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.TableParts.ColumnDefinition;
import raftcart.sql.tree.TableParts.IdentityOptions;

/** Writes Derby's SQL where it differs from the common spelling. */
public final class DerbyWriters {
    private DerbyWriters() {}

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
        protected String exactType() {
            return "DECIMAL(31, 10)";
        }

        /** Derby stops with an error of its own at CASE with a subject within IN, BETWEEN and functions. */
        @Override
        public String visitCase(Expr.Case choice) {
            Optional<Expr> subject = choice.subject();
            if (subject.isEmpty() || choice.branches().stream().anyMatch(b -> b.condition() instanceof Expr.Row)) {
                return super.visitCase(choice);
            }
            List<Expr.When> branches = choice.branches().stream()
                    .map(b -> new Expr.When(
                            new Expr.Binary(BinaryOperator.EQUAL, subject.get(), b.condition(), choice.span()),
                            b.result()))
                    .toList();
            return super.visitCase(new Expr.Case(Optional.empty(), branches, choice.otherwise(), choice.span()));
        }

        /** Numbers become texts by way of CHAR, texts become floating numbers by way of DECIMAL ("CAST function"). */
        @Override
        public String visitCast(Expr.Cast cast) {
            ValueKind kind = context().kinds().of(cast.value());
            String name = cast.type().name();
            if (kind.isNumber() && name.startsWith("varchar")) {
                return "TRIM(CAST(CAST(" + text(cast.value()) + " AS CHAR(40)) AS varchar(40)))";
            }
            if (kind == ValueKind.TEXT && name.matches("double|real|float")) {
                return "CAST(CAST(" + text(cast.value()) + " AS DECIMAL(31, 10)) AS " + typeText(cast) + ")";
            }
            if (kind == ValueKind.TEXT && name.matches("blob.*|.*bit data")) {
                throw cannot("a text as bytes");
            }
            return super.visitCast(cast);
        }

        @Override
        protected String moment(LiteralKind kind, String text) {
            return switch (kind) {
                case DATE -> "DATE(" + string(text) + ")";
                case TIME -> "TIME(" + string(text) + ")";
                case TIMESTAMP -> "TIMESTAMP(" + string(text) + ")";
                default -> throw cannot("a time with a zone");
            };
        }

        @Override
        protected String bits(String bits) {
            throw cannot("a bit string");
        }

        @Override
        public String visitLiteral(Expr.Literal literal) {
            return literal.kind() == LiteralKind.NULL ? "NULL" : super.visitLiteral(literal);
        }

        @Override
        protected String wholeQuotient(Expr.Binary binary) {
            return closed(binary.left()) + " / " + closed(binary.right());
        }

        @Override
        public String visitCurrentTime(Expr.CurrentTime time) {
            return switch (time.kind()) {
                case DATE -> "CURRENT_DATE";
                case TIME -> "CURRENT_TIME";
                case TIMESTAMP, LOCAL_TIMESTAMP -> "CURRENT_TIMESTAMP";
                case UTC_TIMESTAMP -> throw cannot("the time in UTC");
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
            if (!locking.strength().equals("UPDATE") || !locking.waiting().isEmpty()) {
                throw cannot("FOR " + locking.strength() + " " + locking.waiting());
            }
            return super.locking(locking);
        }
    }

    /** Structure. */
    private static final class Structure extends DdlWriter {
        Structure(WriterContext context) {
            super(context);
        }

        @Override
        protected String setType(String column, String type, Optional<Expr> using) {
            if (!type.matches("(?i)(varchar|clob|blob|long varchar|character varying).*")) {
                throw cannot("another type for a column");
            }
            return super.setType(column, type, using);
        }

        @Override
        protected String setNullable(String column, boolean nullable) {
            return "ALTER COLUMN " + column + (nullable ? " NULL" : " NOT NULL");
        }

        @Override
        protected String identity(IdentityOptions options) {
            String inner = number("START WITH ", options.start())
                    + number(", INCREMENT BY ", options.increment())
                    + (options.cycle() ? ", CYCLE" : "");
            String listed = inner.startsWith(", ") ? inner.substring(2) : inner;
            return "GENERATED " + (options.always() ? "ALWAYS" : "BY DEFAULT") + " AS IDENTITY"
                    + (listed.isEmpty() ? "" : " (" + listed + ")");
        }

        @Override
        protected String setDefault(String table, String column, Optional<Expr> value) {
            if (value.filter(v -> v instanceof Expr.SequenceValue).isPresent()) {
                throw cannot("a default that takes from a sequence");
            }
            return super.setDefault(table, column, value);
        }

        @Override
        protected String drop(DdlStatement.Drop drop) {
            String text = super.drop(drop);
            return drop.kind().matches("SEQUENCE|SCHEMA") ? text + " RESTRICT" : text;
        }

        @Override
        protected String transaction(Statement.Transaction transaction) {
            String text = super.transaction(transaction);
            return transaction.kind() == Statement.Transaction.Kind.SAVEPOINT
                    ? text + " ON ROLLBACK RETAIN CURSORS"
                    : text;
        }

        @Override
        protected String addIdentity(String column, IdentityOptions options) {
            throw cannot("a column that becomes numbered");
        }

        @Override
        protected String renameColumn(String table, String from, Name to) {
            return "RENAME COLUMN " + table + "." + from + " TO " + language().write(to);
        }

        @Override
        protected String generated(ColumnDefinition column) {
            return "GENERATED ALWAYS AS (" + text(column.generated().orElseThrow()) + ")";
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
            if (temporary == Temporary.NO) {
                return "";
            }
            throw cannot("a temporary table by CREATE");
        }
    }
}
