package raftcart.dialect.hsqldb;

import raftcart.dialect.write.ChangeWriter;
import raftcart.dialect.write.DdlWriter;
import raftcart.dialect.write.ExprWriter;
import raftcart.dialect.write.Layout;
import raftcart.dialect.write.QueryWriter;
import raftcart.dialect.write.SqlWriter;
import raftcart.dialect.write.WriterContext;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.DateUnit;
import raftcart.sql.tree.DdlStatement;
import raftcart.sql.tree.DdlStatement.CreateTable.Temporary;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.TableParts.ColumnDefinition;
import raftcart.sql.tree.TableParts.IdentityOptions;
import raftcart.sql.tree.TableRef;

/** Writes HSQLDB's SQL where it differs from the common spelling. */
public final class HsqldbWriters {
    private HsqldbWriters() {}

    /** The writers of statements. */
    public static SqlWriter of(WriterContext context) {
        return SqlWriter.of(
                context,
                new Expressions(context),
                new Queries(context),
                new ChangeWriter(context),
                new Structure(context),
                new HsqldbCodeWriter());
    }

    /** Expressions. */
    private static final class Expressions extends ExprWriter {
        Expressions(WriterContext context) {
            super(context);
        }

        @Override
        public String visitCast(Expr.Cast cast) {
            boolean bytes = cast.type().name().matches(".*(binary|blob).*");
            if (bytes && context().kinds().of(cast.value()) == ValueKind.TEXT) {
                throw cannot("a text as bytes");
            }
            return super.visitCast(cast);
        }

        @Override
        protected String ordered(String call, String order) {
            int separator = call.lastIndexOf(" SEPARATOR ");
            return separator < 0
                    ? super.ordered(call, order)
                    : call.substring(0, separator) + " " + order + call.substring(separator);
        }

        @Override
        protected String interval(Expr amount, DateUnit unit) {
            // A product has as many digits of its seconds as the length that is multiplied.
            return unit == DateUnit.SECOND && !isNumber(amount)
                    ? closed(amount) + " * INTERVAL '1.000000' SECOND"
                    : super.interval(amount, unit);
        }

        @Override
        public String visitAtZone(Expr.AtZone at) {
            return closed(at.value()) + " AT TIME ZONE " + closed(at.zone());
        }

        @Override
        public String visitMatches(Expr.Matches matches) {
            // "REGEXP_MATCHES" wants the whole text to match.
            throw cannot("a regular expression that may match a part of a text");
        }

        @Override
        public String visitCurrentTime(Expr.CurrentTime time) {
            String precision = time.precision() >= 0 ? "(" + time.precision() + ")" : "";
            return switch (time.kind()) {
                case TIME -> "LOCALTIME" + precision;
                case UTC_TIMESTAMP ->
                    "CAST(CURRENT_TIMESTAMP" + precision + " AT TIME ZONE INTERVAL '0:00' HOUR TO MINUTE AS TIMESTAMP)";
                default -> super.visitCurrentTime(time);
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
    }

    /** Structure. */
    private static final class Structure extends DdlWriter {
        Structure(WriterContext context) {
            super(context);
        }

        @Override
        protected String renameColumn(String table, String from, Name to) {
            return "ALTER TABLE " + table + " ALTER COLUMN " + from + " RENAME TO "
                    + language().write(to);
        }

        @Override
        protected String renameObject(DdlStatement.RenameObject rename) {
            return rename.kind() == DdlStatement.RenameObject.Kind.CONSTRAINT
                    ? "ALTER CONSTRAINT " + name(rename.from()) + " RENAME TO "
                            + language().write(rename.to())
                    : super.renameObject(rename);
        }

        @Override
        protected String renameConstraint(QualifiedName table, Name from, Name to) {
            return "ALTER CONSTRAINT " + name(table.withLast(from)) + " RENAME TO "
                    + language().write(to);
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
        protected String addIdentity(String column, IdentityOptions options) {
            return "ALTER COLUMN " + column + " " + identity(options);
        }

        @Override
        protected String domainNotNull() {
            return " CHECK (VALUE IS NOT NULL)";
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
        protected String generated(ColumnDefinition column) {
            return "GENERATED ALWAYS AS (" + text(column.generated().orElseThrow()) + ")";
        }
    }
}
