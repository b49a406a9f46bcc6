package raftcart.dialect.mariadb;

import java.math.BigInteger;
import java.util.Optional;
import java.util.stream.Collectors;
import raftcart.dialect.write.ChangeWriter;
import raftcart.dialect.write.DdlWriter;
import raftcart.dialect.write.ExprWriter;
import raftcart.dialect.write.PartitionWriter;
import raftcart.dialect.write.QueryWriter;
import raftcart.dialect.write.SqlWriter;
import raftcart.dialect.write.WriterContext;
import raftcart.sql.tree.AlterAction;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.CurrentKind;
import raftcart.sql.tree.DateUnit;
import raftcart.sql.tree.DdlStatement;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.TableParts.ColumnDefinition;
import raftcart.sql.tree.TableParts.IdentityOptions;

/** Writes MariaDB's SQL where it differs from the common spelling. */
public final class MariaDbWriters {
    private MariaDbWriters() {}

    /** The writers of statements. */
    public static SqlWriter of(WriterContext context) {
        return SqlWriter.of(
                context,
                new Expressions(context),
                new Queries(context),
                new Changes(context),
                new Structure(context),
                new MariaDbCodeWriter());
    }

    /** Expressions. */
    private static final class Expressions extends ExprWriter {
        Expressions(WriterContext context) {
            super(context);
        }

        @Override
        protected String ordered(String call, String order) {
            int separator = call.lastIndexOf(" SEPARATOR ");
            return separator < 0
                    ? super.ordered(call, order)
                    : call.substring(0, separator) + " " + order + call.substring(separator);
        }

        @Override
        public String string(String text) {
            return "'" + text.replace("\\", "\\\\").replace("'", "''").replace("\0", "\\0") + "'";
        }

        @Override
        public String visitConcat(Expr.Concat concat) {
            return "CONCAT(" + list(concat.parts()) + ")";
        }

        @Override
        public String visitBinary(Expr.Binary binary) {
            return binary.operator() == BinaryOperator.XOR
                    ? closed(binary.left()) + " XOR " + closed(binary.right())
                    : super.visitBinary(binary);
        }

        @Override
        protected String wholeQuotient(Expr.Binary binary) {
            return closed(binary.left()) + " DIV " + closed(binary.right());
        }

        @Override
        protected String modulo(Expr.Binary binary) {
            return closed(binary.left()) + " % " + closed(binary.right());
        }

        @Override
        protected String distinct(Expr.Binary binary) {
            String same = closed(binary.left()) + " <=> " + closed(binary.right());
            return binary.operator() == BinaryOperator.SAME ? same : "NOT (" + same + ")";
        }

        @Override
        protected String odd(Expr.Binary binary) {
            return binary.operator() == BinaryOperator.BIT_XOR
                    ? closed(binary.left()) + " ^ " + closed(binary.right())
                    : super.odd(binary);
        }

        @Override
        public String visitMatches(Expr.Matches matches) {
            if (!(matches.pattern() instanceof Expr.Literal pattern)) {
                return closed(matches.value()) + (matches.negated() ? " NOT" : "") + " REGEXP "
                        + closed(matches.pattern());
            }
            // "REGEXP": case counts as in the collation unless the pattern says otherwise.
            String flag = matches.ignoreCase() ? "(?i)" : "";
            return closed(matches.value()) + (matches.negated() ? " NOT" : "") + " REGEXP "
                    + string(flag + pattern.text());
        }

        @Override
        protected String moment(LiteralKind kind, String text) {
            return kind == LiteralKind.ZONED_TIMESTAMP ? refuseZone(text) : super.moment(kind, text);
        }

        private String refuseZone(String text) {
            throw cannot("the time zone of '" + text + "'");
        }

        @Override
        protected String interval(Expr amount, DateUnit unit) {
            return "INTERVAL " + closed(amount) + " " + unit.name();
        }

        @Override
        public String visitCollate(Expr.Collate collate) {
            return closed(collate.value()) + " COLLATE " + name(collate.collation());
        }

        @Override
        public String visitSequenceValue(Expr.SequenceValue value) {
            if (!has(raftcart.dialect.SqlFeature.SEQUENCES)) {
                throw cannot("a sequence");
            }
            return (value.next() ? "NEXTVAL(" : "LASTVAL(") + name(value.sequence()) + ")";
        }

        @Override
        public String visitCurrentTime(Expr.CurrentTime time) {
            String precision = time.precision() > 0 ? "(" + time.precision() + ")" : "";
            return switch (time.kind()) {
                case UTC_TIMESTAMP -> "UTC_TIMESTAMP(" + (time.precision() > 0 ? time.precision() : "") + ")";
                case LOCAL_TIMESTAMP -> "LOCALTIMESTAMP" + precision;
                case TIMESTAMP -> "CURRENT_TIMESTAMP" + precision;
                case DATE -> "CURRENT_DATE";
                case TIME -> "CURRENT_TIME" + precision;
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
            boolean byName = has(raftcart.dialect.SqlFeature.LOCKS_NAME_TABLES);
            if (!locking.of().isEmpty() && !byName) {
                throw cannot("FOR UPDATE OF a table");
            }
            if (locking.strength().equals("SHARE") && !byName) {
                return ("LOCK IN SHARE MODE " + locking.waiting()).stripTrailing();
            }
            return super.locking(locking);
        }

        @Override
        protected String values(QueryBody.Values values) {
            if (has(raftcart.dialect.SqlFeature.VALUES_QUERY)) {
                return super.values(values);
            }
            return "VALUES "
                    + values.rows().stream()
                            .map(r -> "ROW(" + r.stream().map(this::text).collect(Collectors.joining(", ")) + ")")
                            .collect(Collectors.joining(", "));
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

        /** "CREATE SEQUENCE": the least and the greatest number of 64 bits are kept for the server itself. */
        @Override
        protected String sequenceOptions(IdentityOptions options) {
            boolean whole = options.min()
                            .filter(m -> m.equals(BigInteger.valueOf(Long.MIN_VALUE)))
                            .isPresent()
                    || options.max()
                            .filter(m -> m.equals(BigInteger.valueOf(Long.MAX_VALUE)))
                            .isPresent();
            if (whole) {
                throw cannot("a sequence up to the ends of 64 bits");
            }
            return super.sequenceOptions(options);
        }

        @Override
        protected String identity(IdentityOptions options) {
            return "AUTO_INCREMENT";
        }

        @Override
        protected String setType(String column, String type, Optional<Expr> using) {
            return "MODIFY COLUMN " + column + " " + type;
        }

        @Override
        protected String setNullable(String column, boolean nullable) {
            throw cannot("NOT NULL changed without the column's type");
        }

        @Override
        protected String addIdentity(String column, IdentityOptions options) {
            throw cannot("a column that becomes numbered without its type");
        }

        @Override
        protected String restartIdentity(String column, BigInteger next) {
            return "AUTO_INCREMENT = " + next;
        }

        @Override
        protected String schema(DdlStatement.CreateSchema schema) {
            return "CREATE DATABASE " + ifNotExists(schema.ifNotExists())
                    + language().write(schema.name());
        }

        @Override
        protected Optional<String> changeColumn(String column, ColumnDefinition definition, String written) {
            return definition.type().isPresent() ? Optional.of("MODIFY COLUMN " + written) : Optional.empty();
        }

        @Override
        protected String specialIndex(DdlStatement.CreateIndex index) {
            if (!index.kind().matches("FULLTEXT|SPATIAL")) {
                return super.specialIndex(index);
            }
            return "CREATE " + index.kind() + " INDEX "
                    + index.name().map(n -> name(n) + " ").orElse("") + "ON " + name(index.table()) + " ("
                    + index.parts().stream().map(this::indexPart).collect(Collectors.joining(", ")) + ")";
        }

        @Override
        protected String dropOne(DdlStatement.Drop drop, QualifiedName name) {
            return drop.temporary()
                    ? "DROP TEMPORARY TABLE " + (drop.ifExists() ? "IF EXISTS " : "") + name(name)
                    : super.dropOne(drop, name);
        }

        @Override
        protected String dropIndex(DdlStatement.Drop drop) {
            if (drop.table().isEmpty()) {
                throw cannot("DROP INDEX without its table");
            }
            return "DROP INDEX " + ifExists(drop.ifExists()) + name(drop.names().get(0)) + " ON "
                    + name(drop.table().get());
        }

        @Override
        protected String renameIndex(Optional<QualifiedName> table, QualifiedName index, Name to) {
            QualifiedName of = table.orElseThrow(() -> cannot("another name for an index without its table"));
            return "ALTER TABLE " + name(of) + " RENAME INDEX " + language().write(index.last()) + " TO "
                    + language().write(to);
        }

        @Override
        protected String dropConstraint(AlterAction.DropConstraint drop) {
            return switch (drop.kind()) {
                case "INDEX", "UNIQUE" ->
                    "DROP INDEX " + language().write(drop.name().orElseThrow());
                case "FOREIGN KEY" ->
                    "DROP FOREIGN KEY " + language().write(drop.name().orElseThrow());
                case "PRIMARY KEY" -> "DROP PRIMARY KEY";
                default -> super.dropConstraint(drop);
            };
        }

        @Override
        protected String defaultValue(Expr value) {
            boolean now = value instanceof Expr.CurrentTime time
                    && (time.kind() == CurrentKind.TIMESTAMP || time.kind() == CurrentKind.LOCAL_TIMESTAMP);
            boolean simple = value instanceof Expr.Literal || now;
            return simple ? super.defaultValue(value) : "DEFAULT (" + text(value) + ")";
        }

        @Override
        protected PartitionWriter partitions() {
            return new MariaDbPartitions(this);
        }

        @Override
        protected String useSchema(Statement.UseSchema use) {
            return "USE " + language().write(use.schema());
        }
    }
}
