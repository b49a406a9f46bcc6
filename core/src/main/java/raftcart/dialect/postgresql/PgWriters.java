package raftcart.dialect.postgresql;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import raftcart.dialect.write.ChangeWriter;
import raftcart.dialect.write.DdlWriter;
import raftcart.dialect.write.ExprWriter;
import raftcart.dialect.write.PartitionWriter;
import raftcart.dialect.write.QueryWriter;
import raftcart.dialect.write.SqlWriter;
import raftcart.dialect.write.WriterContext;
import raftcart.sql.tree.DateUnit;
import raftcart.sql.tree.DdlStatement;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.TableRef;

/** Writes PostgreSQL's SQL where it differs from the common spelling. */
public final class PgWriters {
    private PgWriters() {}

    /** The writers of statements. */
    public static SqlWriter of(WriterContext context) {
        return SqlWriter.of(
                context,
                new Expressions(context),
                new Queries(context),
                new Changes(context),
                new Structure(context),
                new PgCodeWriter());
    }

    /** Expressions. */
    private static final class Expressions extends ExprWriter {
        Expressions(WriterContext context) {
            super(context);
        }

        @Override
        protected String bytes(String hex) {
            return "'\\x" + hex + "'::bytea";
        }

        @Override
        protected String moment(LiteralKind kind, String text) {
            return kind == LiteralKind.ZONED_TIMESTAMP
                    ? "TIMESTAMP WITH TIME ZONE " + string(text)
                    : super.moment(kind, text);
        }

        @Override
        public String string(String text) {
            if (text.indexOf('\0') >= 0) {
                throw cannot("a text with the character NUL");
            }
            return super.string(text);
        }

        @Override
        protected String exactType() {
            return "numeric";
        }

        @Override
        protected String wholeQuotient(Expr.Binary binary) {
            return "DIV(" + text(binary.left()) + ", " + text(binary.right()) + ")";
        }

        @Override
        protected String modulo(Expr.Binary binary) {
            return closed(binary.left()) + " % " + closed(binary.right());
        }

        @Override
        protected String odd(Expr.Binary binary) {
            return switch (binary.operator()) {
                case BIT_XOR -> closed(binary.left()) + " # " + closed(binary.right());
                case JSON_GET, JSON_GET_TEXT, JSON_PATH, JSON_PATH_TEXT, CONTAINS, CONTAINED, OVERLAPS, TEXT_SEARCH ->
                    closed(binary.left()) + " " + binary.operator().symbol() + " " + closed(binary.right());
                default -> super.odd(binary);
            };
        }

        @Override
        public String visitMatches(Expr.Matches matches) {
            String sign = (matches.negated() ? "!~" : "~") + (matches.ignoreCase() ? "*" : "");
            return closed(matches.value()) + " " + sign + " " + closed(matches.pattern());
        }

        @Override
        public String visitBetween(Expr.Between between) {
            if (!between.symmetric()) {
                return super.visitBetween(between);
            }
            return closed(between.value()) + (between.negated() ? " NOT" : "") + " BETWEEN SYMMETRIC "
                    + closed(between.low()) + " AND " + closed(between.high());
        }

        @Override
        protected String interval(Expr amount, DateUnit unit) {
            return isNumber(amount)
                    ? "INTERVAL '" + text(amount) + " " + unit.word() + "'"
                    : closed(amount) + " * INTERVAL '1 " + unit.word() + "'";
        }

        @Override
        public String visitAtZone(Expr.AtZone at) {
            return closed(at.value()) + " AT TIME ZONE " + closed(at.zone());
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
        public String visitCurrentTime(Expr.CurrentTime time) {
            String precision = time.precision() >= 0 ? "(" + time.precision() + ")" : "";
            return switch (time.kind()) {
                case TIME -> "LOCALTIME" + precision;
                case UTC_TIMESTAMP -> "(CURRENT_TIMESTAMP" + precision + " AT TIME ZONE 'UTC')";
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

        @Override
        protected String only() {
            return "ONLY ";
        }
    }

    /** Changes. */
    private static final class Changes extends ChangeWriter {
        Changes(WriterContext context) {
            super(context);
        }

        @Override
        protected String truncate(Statement.Truncate truncate) {
            return "TRUNCATE TABLE "
                    + truncate.tables().stream().map(this::name).collect(Collectors.joining(", "))
                    + (truncate.restart() ? " RESTART IDENTITY" : "") + (truncate.cascade() ? " CASCADE" : "");
        }
    }

    /** Structure. */
    private static final class Structure extends DdlWriter {
        Structure(WriterContext context) {
            super(context);
        }

        @Override
        protected String temporaryName(QualifiedName table) {
            return "pg_temp." + language().write(table.last());
        }

        /** Functions and procedures go alike ("DROP ROUTINE"); a trigger with the function of its name, which it calls. */
        @Override
        protected String dropOne(DdlStatement.Drop drop, QualifiedName name) {
            String ifExists = drop.ifExists() ? "IF EXISTS " : "";
            return switch (drop.kind()) {
                case "FUNCTION", "PROCEDURE" -> "DROP ROUTINE " + ifExists + name(name);
                case "TRIGGER" -> "DROP FUNCTION " + ifExists + name(name) + "() CASCADE";
                default -> super.dropOne(drop, name);
            };
        }

        @Override
        protected PartitionWriter partitions() {
            return new PartitionWriter(this) {
                @Override
                protected String among(String values) {
                    return "FOR VALUES IN " + values;
                }

                @Override
                protected String rest() {
                    return "DEFAULT";
                }
            };
        }

        @Override
        protected String like(DdlStatement.TableCopy copy) {
            return " (LIKE " + name(copy.table()) + (copy.whole() ? " INCLUDING ALL)" : ")");
        }

        /** As MySQL does it: not where the statement itself gives the column another value. */
        @Override
        protected String assignOnUpdate(DdlStatement.AssignOnUpdate assignment) {
            String table = assignment.table().last().text();
            String stem = table + "_" + assignment.column().text() + "_on_update";
            Name own =
                    Name.of(stem.substring(0, Math.min(stem.length(), language().longestName())));
            String function = name(assignment.table().withLast(own));
            String column = name(new QualifiedName(List.of(assignment.column())));
            return "CREATE OR REPLACE FUNCTION " + function
                    + "() RETURNS trigger LANGUAGE plpgsql AS $$\nBEGIN\n    NEW." + column
                    + " := " + text(assignment.value()) + ";\n    RETURN NEW;\nEND\n$$;\nCREATE TRIGGER "
                    + name(new QualifiedName(List.of(own))) + " BEFORE UPDATE ON " + name(assignment.table())
                    + " FOR EACH ROW\nWHEN (" + row("NEW", assignment) + " IS DISTINCT FROM " + row("OLD", assignment)
                    + " AND NEW." + column
                    + " IS NOT DISTINCT FROM OLD." + column + ")\nEXECUTE FUNCTION " + function + "()";
        }

        /**
         * "CREATE TRIGGER": a condition before the change cannot read columns that are computed after it. Rows are compared as
         * texts, since types such as json cannot be compared.
         */
        private String row(String row, DdlStatement.AssignOnUpdate assignment) {
            return assignment.watched().isEmpty()
                    ? row + "::text"
                    : assignment.watched().stream()
                            .map(n -> row + "." + language().write(n))
                            .collect(Collectors.joining(", ", "ROW(", ")::text"));
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
        protected String setType(String column, String type, Optional<Expr> using) {
            return "ALTER COLUMN " + column + " TYPE " + type
                    + using.map(u -> " USING " + text(u)).orElse("");
        }

        @Override
        protected String method(DdlStatement.CreateIndex index) {
            return index.method().matches("GIN|GIST|BRIN|SPGIST|HASH") ? " USING " + index.method() : "";
        }

        @Override
        protected String begin() {
            return "BEGIN";
        }

        @Override
        protected String useSchema(Statement.UseSchema use) {
            return "SET search_path TO " + language().write(use.schema());
        }
    }
}
