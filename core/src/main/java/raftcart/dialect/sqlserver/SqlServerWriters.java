package raftcart.dialect.sqlserver;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import raftcart.dialect.write.ChangeWriter;
import raftcart.dialect.write.DdlWriter;
import raftcart.dialect.write.ExprWriter;
import raftcart.dialect.write.QueryWriter;
import raftcart.dialect.write.SqlWriter;
import raftcart.dialect.write.WriterContext;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.DdlStatement;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.TableParts.ColumnDefinition;
import raftcart.sql.tree.TableParts.IdentityOptions;
import raftcart.sql.tree.TableRef;

/** Writes SQL Server's SQL where it differs from the common spelling. */
public final class SqlServerWriters {
    private SqlServerWriters() {}

    /** The writers of statements. */
    public static SqlWriter of(WriterContext context) {
        return SqlWriter.of(
                context, new Expressions(context), new Queries(context), new Changes(context), new Structure(context));
    }

    /** Expressions. */
    private static final class Expressions extends ExprWriter {
        Expressions(WriterContext context) {
            super(context);
        }

        @Override
        protected String ordered(String call, String order) {
            return call + " WITHIN GROUP (" + order + ")";
        }

        @Override
        public String string(String text) {
            boolean plain = text.chars().allMatch(c -> c < 128);
            return (plain ? "" : "N") + super.string(text);
        }

        @Override
        protected String bytes(String hex) {
            return "0x" + hex;
        }

        @Override
        protected String bits(String bits) {
            throw cannot("a bit string");
        }

        @Override
        public String visitConcat(Expr.Concat concat) {
            return concat.parts().stream().map(this::closed).collect(Collectors.joining(" + "));
        }

        @Override
        public String visitCall(Expr.Call call) {
            if (!call.is("convert_with_style")) {
                return super.visitCall(call);
            }
            String type = ((Expr.Literal) call.arguments().get(1)).text();
            String style = ((Expr.Literal) call.arguments().get(2)).text();
            return "CONVERT(" + type + ", " + text(call.arguments().get(0)) + ", " + style + ")";
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
        protected String exactType() {
            return "DECIMAL(38, 10)";
        }

        @Override
        protected String odd(Expr.Binary binary) {
            return binary.operator() == BinaryOperator.BIT_XOR
                    ? closed(binary.left()) + " ^ " + closed(binary.right())
                    : super.odd(binary);
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
        public String visitCurrentTime(Expr.CurrentTime time) {
            return switch (time.kind()) {
                case DATE -> "CAST(GETDATE() AS DATE)";
                case TIME -> "CAST(GETDATE() AS TIME)";
                case TIMESTAMP -> time.precision() > 3 ? "SYSDATETIME()" : "GETDATE()";
                case LOCAL_TIMESTAMP -> "SYSDATETIME()";
                case UTC_TIMESTAMP -> "SYSUTCDATETIME()";
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
        protected String lockOfTable(Query.Locking lock) {
            String waiting = lock.waiting().equals("SKIP LOCKED")
                    ? ", READPAST"
                    : lock.waiting().equals("NOWAIT") ? ", NOWAIT" : "";
            return " WITH (" + (lock.strength().equals("SHARE") ? "HOLDLOCK" : "UPDLOCK") + ", ROWLOCK" + waiting + ")";
        }
    }

    /** Changes. */
    private static final class Changes extends ChangeWriter {
        Changes(WriterContext context) {
            super(context);
        }

        @Override
        protected String mergeEnd() {
            return ";";
        }

        @Override
        protected Optional<String> overriding(Statement.Insert insert) {
            throw cannot("OVERRIDING; SET IDENTITY_INSERT does it");
        }

        @Override
        protected String call(Statement.CallProcedure call) {
            return "EXEC " + name(call.name()) + (call.arguments().isEmpty() ? "" : " ")
                    + call.arguments().stream().map(this::text).collect(Collectors.joining(", "));
        }
    }

    /** Structure. */
    private static final class Structure extends DdlWriter {
        private final WriterContext context;

        Structure(WriterContext context) {
            super(context);
            this.context = context;
        }

        @Override
        protected String identity(IdentityOptions options) {
            return "IDENTITY(" + options.start().map(Object::toString).orElse("1") + ","
                    + options.increment().map(Object::toString).orElse("1") + ")";
        }

        @Override
        protected String addColumn(String column) {
            return "ADD " + column;
        }

        @Override
        protected String setType(String column, String type, Optional<Expr> using) {
            return "ALTER COLUMN " + column + " " + type;
        }

        @Override
        protected Optional<String> changeColumn(String column, ColumnDefinition definition, String written) {
            boolean simple = definition.type().isPresent()
                    && definition.identity().isEmpty()
                    && definition.generated().isEmpty()
                    && definition.defaultValue().isEmpty()
                    && definition.constraints().isEmpty();
            return simple ? Optional.of("ALTER COLUMN " + written) : Optional.empty();
        }

        @Override
        protected String setNullable(String column, boolean nullable) {
            throw cannot("NOT NULL changed without the column's type");
        }

        @Override
        protected String setDefault(String table, String column, Optional<Expr> value) {
            return value.map(v -> "ADD DEFAULT " + text(v) + " FOR " + column)
                    .orElseThrow(() -> cannot("a default removed without the name of its constraint"));
        }

        @Override
        protected String addIdentity(String column, IdentityOptions options) {
            throw cannot("a column that becomes numbered");
        }

        @Override
        protected String generated(ColumnDefinition column) {
            return "AS (" + text(column.generated().orElseThrow()) + ")" + (column.stored() ? " PERSISTED" : "");
        }

        @Override
        protected String renameColumn(String table, String from, Name to) {
            return "EXEC sp_rename " + string(table + "." + from) + ", " + string(to.text()) + ", 'COLUMN'";
        }

        @Override
        protected String renameTable(String table, Name to) {
            return "EXEC sp_rename " + string(table) + ", " + string(to.text());
        }

        @Override
        protected String renameConstraint(QualifiedName table, Name from, Name to) {
            return "EXEC sp_rename " + string(name(table.withLast(from))) + ", " + string(to.text()) + ", 'OBJECT'";
        }

        @Override
        protected String renameIndex(Optional<QualifiedName> table, QualifiedName index, Name to) {
            QualifiedName of = table.orElseThrow(() -> cannot("another name for an index without its table"));
            return "EXEC sp_rename " + string(name(of) + "." + language().write(index.last())) + ", "
                    + string(to.text()) + ", 'INDEX'";
        }

        /** "sp_addextendedproperty": descriptions are properties of this name by the custom of the engine's own tools. */
        @Override
        protected String comment(DdlStatement.Comment comment) {
            List<Name> parts = context.names().apply(comment.name()).parts();
            int own = comment.kind().equals("COLUMN") ? 2 : 1;
            String schema =
                    parts.size() > own ? parts.get(parts.size() - own - 1).text() : "dbo";
            String verb = comment.text().isPresent() ? "sys.sp_addextendedproperty" : "sys.sp_dropextendedproperty";
            String kind = comment.kind().equals("VIEW") ? "VIEW" : "TABLE";
            String column = own == 2
                    ? ", 'COLUMN', " + string(parts.get(parts.size() - 1).text())
                    : "";
            return "EXEC " + verb + " 'MS_Description', "
                    + comment.text().map(t -> "N" + string(t) + ", ").orElse("") + "'SCHEMA', " + string(schema)
                    + ", '" + kind + "', "
                    + string(parts.get(parts.size() - own).text()) + column;
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
        protected String viewHead(DdlStatement.CreateView view) {
            return view.orReplace() ? "CREATE OR ALTER VIEW " : super.viewHead(view);
        }

        @Override
        protected String transaction(Statement.Transaction transaction) {
            String name = transaction.name().map(language()::write).orElse("");
            return switch (transaction.kind()) {
                case SAVEPOINT -> "SAVE TRANSACTION " + name;
                case ROLLBACK_TO -> "ROLLBACK TRANSACTION " + name;
                case RELEASE -> throw cannot("RELEASE SAVEPOINT");
                default -> super.transaction(transaction);
            };
        }

        @Override
        protected String begin() {
            return "BEGIN TRANSACTION";
        }

        @Override
        protected String allowKeys(Statement.AllowKeys keys) {
            return "SET IDENTITY_INSERT " + name(keys.table()) + (keys.allowed() ? " ON" : " OFF");
        }

        @Override
        protected String useSchema(Statement.UseSchema use) {
            return "USE " + language().write(use.schema());
        }
    }
}
