package raftcart.dialect.write;

import java.math.BigInteger;
import java.util.Optional;
import java.util.stream.Collectors;
import raftcart.dialect.Language;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.Span;
import raftcart.sql.tree.AlterAction;
import raftcart.sql.tree.DdlStatement;
import raftcart.sql.tree.DdlStatement.CreateTable;
import raftcart.sql.tree.DdlStatement.CreateTable.Temporary;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.OrderItem.Nulls;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.TableParts.ColumnDefinition;
import raftcart.sql.tree.TableParts.IdentityOptions;
import raftcart.sql.tree.TableParts.IndexPart;
import raftcart.sql.tree.UnaryOperator;

/** Writes statements that make, change and remove objects; tables are written by {@link TableWriter}. */
public class DdlWriter {
    private final WriterContext context;
    private final Language language;
    private final TableWriter tables;
    private SqlWriter writer;

    public DdlWriter(WriterContext context) {
        this.context = context;
        this.language = context.language();
        this.tables = new TableWriter(this);
    }

    void attach(SqlWriter statements) {
        this.writer = statements;
    }

    final SqlWriter writer() {
        return writer;
    }

    protected final Language language() {
        return language;
    }

    protected final boolean has(SqlFeature feature) {
        return language.has(feature);
    }

    protected final Untranslatable cannot(String what) {
        return new Untranslatable(what + " cannot be said in " + language.name());
    }

    final void require(SqlFeature feature, String what) {
        if (!has(feature)) {
            throw cannot(what);
        }
    }

    protected final String text(Expr expression) {
        return writer.expression(expression);
    }

    protected final String name(QualifiedName name) {
        return writer.expressions().name(name);
    }

    protected final String string(String text) {
        return writer.expressions().string(text);
    }

    protected final void note(FindingCode code, Span span, String detail) {
        context.notes().add(code, span, detail);
    }

    /** The statement. */
    public final String statement(DdlStatement statement) {
        if (statement instanceof CreateTable table) {
            return tables.table(table);
        }
        if (statement instanceof DdlStatement.AlterTable alter) {
            return tables.alter(alter);
        }
        if (statement instanceof DdlStatement.CreateIndex index) {
            return index(index);
        }
        if (statement instanceof DdlStatement.CreateView view) {
            return new ViewWriter(this).view(view);
        }
        if (statement instanceof DdlStatement.CreateSequence sequence) {
            if (sequence.alter()) {
                require(SqlFeature.ALTER_SEQUENCE, "ALTER SEQUENCE");
            }
            require(SqlFeature.SEQUENCES, "a sequence");
            return sequence(sequence);
        }
        return further(statement);
    }

    private String further(DdlStatement statement) {
        if (statement instanceof DdlStatement.CreateSchema schema) {
            require(SqlFeature.SCHEMAS, "a schema");
            return schema(schema);
        }
        if (statement instanceof DdlStatement.CreateType type) {
            return type(type);
        }
        if (statement instanceof DdlStatement.CreateDomain domain) {
            return domain(domain);
        }
        if (statement instanceof DdlStatement.DomainCheck added) {
            return "ALTER DOMAIN " + name(added.domain()) + " ADD CHECK (" + text(added.check()) + ")";
        }
        if (statement instanceof DdlStatement.CreateSynonym synonym) {
            require(SqlFeature.SYNONYMS, "a synonym");
            return synonym(synonym);
        }
        if (statement instanceof DdlStatement.Drop drop) {
            return drop(drop);
        }
        if (statement instanceof DdlStatement.RenameObject rename) {
            return renameObject(rename);
        }
        if (statement instanceof DdlStatement.Comment comment) {
            return comment(comment);
        }
        if (statement instanceof DdlStatement.AssignOnUpdate assignment) {
            return assignOnUpdate(assignment);
        }
        if (statement instanceof DdlStatement.CreatePartition partition) {
            return partitions().table(partition);
        }
        return new GrantWriter(this).statement(statement);
    }

    /** A trigger that assigns a column when its row changes. */
    protected String assignOnUpdate(DdlStatement.AssignOnUpdate assignment) {
        throw cannot("an assignment at every change of a row");
    }

    /** What follows the name of a table that is made like another one. */
    protected String like(DdlStatement.TableCopy copy) {
        return " LIKE " + name(copy.table());
    }

    /** A column that the engine numbers; what follows its type. */
    protected String identity(IdentityOptions options) {
        require(SqlFeature.IDENTITY, "a column that the engine numbers");
        String inner = sequenceOptions(options);
        return "GENERATED " + (options.always() ? "ALWAYS" : "BY DEFAULT") + " AS IDENTITY"
                + (inner.isEmpty() ? "" : " (" + inner.strip() + ")");
    }

    /** A column that is computed; what follows its type. */
    protected String generated(ColumnDefinition column) {
        boolean stored = column.stored() || !has(SqlFeature.GENERATED_COLUMNS);
        require(
                stored ? SqlFeature.STORED_GENERATED_COLUMNS : SqlFeature.GENERATED_COLUMNS,
                "a computed column that is " + (stored ? "stored" : "not stored"));
        return "GENERATED ALWAYS AS (" + text(column.generated().orElseThrow()) + ")" + (stored ? " STORED" : "");
    }

    /** The assignment of a column at every change of its row. */
    protected String onUpdate(Expr value) {
        return " ON UPDATE " + text(value);
    }

    /** A default. */
    protected String defaultValue(Expr value) {
        return isEnclosed(value) ? "DEFAULT (" + text(value) + ")" : "DEFAULT " + text(value);
    }

    /** True for a default that needs parentheses, as what follows it might belong to it: a condition, or a time in a zone. */
    public static boolean isEnclosed(Expr value) {
        return value instanceof Expr.Is
                || value instanceof Expr.InList
                || value instanceof Expr.Between
                || value instanceof Expr.Like
                || value instanceof Expr.Matches
                || value instanceof Expr.Junction
                || value instanceof Expr.AtZone
                || value instanceof Expr.Unary u && u.operator() == UnaryOperator.NOT;
    }

    /** What stands between CREATE and TABLE for a table that does not last. */
    protected String temporary(Temporary temporary) {
        if (temporary == Temporary.NO) {
            return "";
        }
        if (has(SqlFeature.TEMPORARY_BY_NAME)) {
            return "";
        }
        if (temporary.isGlobal() && has(SqlFeature.GLOBAL_TEMPORARY_TABLES)) {
            return "GLOBAL TEMPORARY ";
        }
        require(SqlFeature.TEMPORARY_TABLES, "a temporary table");
        return "TEMPORARY ";
    }

    /** What follows the columns of a table that does not last. */
    protected String onCommit(Temporary temporary) {
        if (temporary.untilCommit() && !has(SqlFeature.ROWS_UNTIL_COMMIT)) {
            throw cannot("a temporary table whose rows go at the end of the transaction");
        }
        return temporary.untilCommit() ? " ON COMMIT DELETE ROWS" : "";
    }

    /** Options of sequences in the standard's words, with a blank before each. */
    protected String sequenceOptions(IdentityOptions options) {
        return number(" START WITH ", options.start())
                + number(" INCREMENT BY ", options.increment())
                + number(" MINVALUE ", options.min())
                + number(" MAXVALUE ", options.max())
                + (has(SqlFeature.SEQUENCE_CACHE) ? number(" CACHE ", options.cache()) : "")
                + (options.cycle() ? " CYCLE" : "");
    }

    protected static String number(String word, Optional<BigInteger> value) {
        return value.map(v -> word + v).orElse("");
    }

    /** A sequence made or changed. */
    protected String sequence(DdlStatement.CreateSequence sequence) {
        String head = sequence.alter() ? "ALTER SEQUENCE " : "CREATE SEQUENCE " + ifNotExists(sequence.ifNotExists());
        return head
                + name(sequence.name())
                + sequenceOptions(sequence.options())
                + sequence.restart().map(r -> " RESTART WITH " + r).orElse("");
    }

    protected final String ifNotExists(boolean wanted) {
        if (wanted) {
            require(SqlFeature.IF_NOT_EXISTS, "IF NOT EXISTS");
        }
        return wanted ? "IF NOT EXISTS " : "";
    }

    protected final String ifExists(boolean wanted) {
        if (wanted) {
            require(SqlFeature.IF_EXISTS, "IF EXISTS");
        }
        return wanted ? "IF EXISTS " : "";
    }

    /** A schema. */
    protected String schema(DdlStatement.CreateSchema schema) {
        return "CREATE SCHEMA " + ifNotExists(schema.ifNotExists()) + language.write(schema.name());
    }

    /** An index. */
    protected String index(DdlStatement.CreateIndex index) {
        return new IndexWriter(this).index(index);
    }

    /** A column that goes; what follows the name of the table. */
    protected String dropColumn(String column) {
        return "DROP COLUMN " + column;
    }

    /** The table of an index. */
    protected String indexed(DdlStatement.CreateIndex index) {
        return name(index.table());
    }

    /** USING and the method of an index, where it means something. */
    protected String method(DdlStatement.CreateIndex index) {
        return "";
    }

    /** An index of a kind of its own. */
    protected String specialIndex(DdlStatement.CreateIndex index) {
        throw cannot("an index of kind " + index.kind());
    }

    /** A part of an index. */
    protected String indexPart(IndexPart part) {
        String text = text(part.value());
        if (part.prefix() > 0) {
            require(SqlFeature.PREFIX_INDEXES, "an index on the beginning of a column");
            text = text + "(" + part.prefix() + ")";
        } else if (!(part.value() instanceof Expr.Column)) {
            require(SqlFeature.EXPRESSION_INDEXES, "an index on an expression");
            text = indexExpression(text);
        }
        return text
                + (part.descending() ? " DESC" : "")
                + (part.nulls() == Nulls.DEFAULT ? "" : " NULLS " + part.nulls());
    }

    /** An expression as a part of an index. */
    protected String indexExpression(String text) {
        return "(" + text + ")";
    }

    /** CREATE VIEW with everything before the name. */
    protected String viewHead(DdlStatement.CreateView view) {
        String replace = view.orReplace() && !view.materialized() ? "OR REPLACE " : "";
        if (!replace.isEmpty()) {
            require(SqlFeature.OR_REPLACE_VIEW, "CREATE OR REPLACE VIEW");
        }
        return "CREATE " + replace + (view.temporary() ? "TEMPORARY " : "")
                + (view.materialized() ? "MATERIALIZED " : "") + "VIEW " + ifNotExists(view.ifNotExists());
    }

    /** An enumeration or a type of fields. */
    protected String type(DdlStatement.CreateType type) {
        throw cannot("a type of its own");
    }

    private String domain(DdlStatement.CreateDomain domain) {
        require(SqlFeature.DOMAINS, "a domain");
        return "CREATE DOMAIN " + name(domain.name()) + " AS " + writer.type(domain.type())
                + domain.defaultValue().map(d -> " DEFAULT " + text(d)).orElse("")
                + (domain.notNull() ? domainNotNull() : "")
                + domain.checks().stream().map(c -> " CHECK (" + text(c) + ")").collect(Collectors.joining());
    }

    /** NULL refused by a domain. */
    protected String domainNotNull() {
        return " NOT NULL";
    }

    /** What follows the columns of a table. */
    protected String tableEnd(String onCommit, String comment, String query) {
        return onCommit + comment + query;
    }

    /** What writes how tables are divided. */
    protected PartitionWriter partitions() {
        return new PartitionWriter(this);
    }

    /** What makes a table of the rows of a query. */
    protected String asQuery(String query, boolean withData) {
        return " AS\n" + query + (withData ? "" : "\nWITH NO DATA");
    }

    /** Another name for an object. */
    protected String synonym(DdlStatement.CreateSynonym synonym) {
        return "CREATE " + (synonym.orReplace() ? "OR REPLACE " : "") + "SYNONYM " + name(synonym.name()) + " FOR "
                + name(synonym.target());
    }

    /** Objects removed. */
    protected String drop(DdlStatement.Drop drop) {
        return DropWriter.write(this, drop);
    }

    /** One object removed. */
    protected String dropOne(DdlStatement.Drop drop, QualifiedName name) {
        return "DROP " + drop.kind() + " " + ifExists(drop.ifExists())
                + (drop.temporary() ? temporaryName(name) : name(name));
    }

    /** A temporary table, and no other of its name where the engine has a schema for such. */
    protected String temporaryName(QualifiedName table) {
        return name(table);
    }

    /** CASCADE after DROP. */
    protected String cascade() {
        return " CASCADE";
    }

    /** Indexes removed. */
    protected String dropIndex(DdlStatement.Drop drop) {
        return drop.names().stream().map(n -> dropOne(drop, n)).collect(Collectors.joining(";\n"));
    }

    /** A comment of an object. */
    protected String comment(DdlStatement.Comment comment) {
        if (comment.kind().equals("TABLE") && !has(SqlFeature.COMMENT_ON) && has(SqlFeature.INLINE_COMMENTS)) {
            return "ALTER TABLE " + name(comment.name()) + " COMMENT = "
                    + string(comment.text().orElse(""));
        }
        require(SqlFeature.COMMENT_ON, "COMMENT ON");
        String text = comment.text().map(this::string).orElse("NULL");
        return "COMMENT ON " + comment.kind() + " " + name(comment.name()) + " IS " + text;
    }

    /** ADD COLUMN and the column. */
    protected String addColumn(String column) {
        return "ADD COLUMN " + column;
    }

    /** Another type for a column. */
    protected String setType(String column, String type, Optional<Expr> using) {
        return "ALTER COLUMN " + column + " SET DATA TYPE " + type;
    }

    /** NULL allowed or not. The type is empty where it is not known. */
    protected String setNullable(String column, boolean nullable) {
        return "ALTER COLUMN " + column + (nullable ? " DROP NOT NULL" : " SET NOT NULL");
    }

    /** Another default, or none. */
    protected String setDefault(String table, String column, Optional<Expr> value) {
        return "ALTER COLUMN " + column
                + value.map(v -> " SET DEFAULT " + text(v)).orElse(" DROP DEFAULT");
    }

    /** A column numbered from now on. */
    protected String addIdentity(String column, IdentityOptions options) {
        return "ALTER COLUMN " + column + " ADD " + identity(options);
    }

    /** The next number that the engine gives. */
    protected String restartIdentity(String column, java.math.BigInteger next) {
        return "ALTER COLUMN " + column + " RESTART WITH " + next;
    }

    /** Another name for a column; the whole statement. */
    protected String renameColumn(String table, String from, Name to) {
        return "ALTER TABLE " + table + " RENAME COLUMN " + from + " TO " + language.write(to);
    }

    /** Another name for a table; the whole statement. */
    protected String renameTable(String table, Name to) {
        require(SqlFeature.RENAMES_TABLES, "another name for a table");
        return has(SqlFeature.RENAME_STATEMENT)
                ? "RENAME TABLE " + table + " TO " + language.write(to)
                : "ALTER TABLE " + table + " RENAME TO " + language.write(to);
    }

    /** Another name for a constraint; the whole statement. */
    protected String renameConstraint(QualifiedName table, Name from, Name to) {
        require(SqlFeature.RENAMES_CONSTRAINTS, "another name for a constraint");
        return "ALTER TABLE " + name(table) + " RENAME CONSTRAINT " + language.write(from) + " TO "
                + language.write(to);
    }

    /** Another name for something of which the table is not known. */
    protected String renameObject(DdlStatement.RenameObject rename) {
        return switch (rename.kind()) {
            case INDEX -> renameIndex(Optional.empty(), rename.from(), rename.to());
            case CONSTRAINT -> throw cannot("another name for a constraint without its table");
            case TABLE_OR_CONSTRAINT -> renameTable(name(rename.from()), rename.to());
        };
    }

    /** Another name for an index; the whole statement. */
    protected String renameIndex(Optional<QualifiedName> table, QualifiedName index, Name to) {
        require(SqlFeature.RENAMES_INDEXES, "another name for an index");
        return has(SqlFeature.RENAME_STATEMENT)
                ? "RENAME INDEX " + name(index) + " TO " + language.write(to)
                : "ALTER INDEX " + name(index) + " RENAME TO " + language.write(to);
    }

    /** A constraint removed. */
    protected String dropConstraint(AlterAction.DropConstraint drop) {
        String cascade = drop.cascade() && has(SqlFeature.CASCADE) ? " CASCADE" : "";
        if (drop.name().isEmpty()) {
            require(SqlFeature.DROPS_PRIMARY_KEY, "DROP PRIMARY KEY without the name of the constraint");
            return "DROP PRIMARY KEY" + cascade;
        }
        return "DROP CONSTRAINT " + ifExists(drop.ifExists())
                + language.write(drop.name().get()) + cascade;
    }

    /** Several changes of one column as one definition; the whole action. */
    protected Optional<String> changeColumn(String column, ColumnDefinition definition, String written) {
        return Optional.empty();
    }

    /** Begin, commit and so on. */
    protected String transaction(Statement.Transaction transaction) {
        String name = transaction.name().map(language::write).orElse("");
        transaction.name().ifPresent(n -> require(SqlFeature.SAVEPOINTS, "a savepoint"));
        return switch (transaction.kind()) {
            case BEGIN -> begin();
            case COMMIT, ROLLBACK -> transaction.kind().name();
            case SAVEPOINT -> "SAVEPOINT " + name;
            case ROLLBACK_TO -> "ROLLBACK TO SAVEPOINT " + name;
            case RELEASE -> "RELEASE SAVEPOINT " + name;
        };
    }

    /** The beginning of a transaction. */
    protected String begin() {
        return "START TRANSACTION";
    }

    /** Whether rows may bring numbers for the numbered column of a table. */
    protected String allowKeys(Statement.AllowKeys keys) {
        throw cannot("numbers that rows bring with them");
    }

    /** The schema for names from here on. */
    protected String useSchema(Statement.UseSchema use) {
        return "SET SCHEMA " + language.write(use.schema());
    }
}
