package raftcart.dialect.write;

import java.util.stream.Collectors;
import raftcart.dialect.Untranslatable;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.DdlStatement;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.TypeName;

/** Writes whole statements, without a separator at their end. */
public final class SqlWriter {
    private final WriterContext context;
    private final ExprWriter expressions;
    private final QueryWriter queries;
    private final ChangeWriter changes;
    private final DdlWriter structure;
    private final CodeWriter code;

    private SqlWriter(
            WriterContext context,
            ExprWriter expressions,
            QueryWriter queries,
            ChangeWriter changes,
            DdlWriter ddl,
            CodeWriter code) {
        this.context = context;
        this.expressions = expressions;
        this.queries = queries;
        this.changes = changes;
        this.structure = ddl;
        this.code = code;
    }

    /** Puts a dialect's writers together. */
    public static SqlWriter of(
            WriterContext context, ExprWriter expressions, QueryWriter queries, ChangeWriter changes, DdlWriter ddl) {
        return of(context, expressions, queries, changes, ddl, new CodeWriter());
    }

    /** Puts the writers of a dialect with routines together. */
    public static SqlWriter of(
            WriterContext context,
            ExprWriter expressions,
            QueryWriter queries,
            ChangeWriter changes,
            DdlWriter ddl,
            CodeWriter code) {
        SqlWriter writer = new SqlWriter(context, expressions, queries, changes, ddl, code);
        expressions.attach(writer);
        queries.attach(writer);
        changes.attach(writer);
        ddl.attach(writer);
        code.attach(writer);
        return writer;
    }

    /** Writers that differ from the common ones in their expressions alone. */
    public static SqlWriter of(WriterContext context, ExprWriter expressions) {
        return of(context, expressions, new QueryWriter(context), new ChangeWriter(context), new DdlWriter(context));
    }

    /**
     * The statement as text.
     *
     * @throws Untranslatable if the dialect cannot say it
     */
    public String statement(Statement statement) {
        if (statement instanceof Statement.Dml) {
            return changes.statement((Statement.Dml) statement);
        }
        if (statement instanceof DdlStatement ddl) {
            return structure.statement(ddl);
        }
        if (statement instanceof CodeStatement routine) {
            return code.statement(routine);
        }
        if (statement instanceof Statement.Transaction transaction) {
            return structure.transaction(transaction);
        }
        if (statement instanceof Statement.UseSchema use) {
            return structure.useSchema(use);
        }
        if (statement instanceof Statement.AllowKeys keys) {
            return structure.allowKeys(keys);
        }
        throw new Untranslatable("a command of a client");
    }

    /** The expression as text. */
    public String expression(Expr expression) {
        return expressions.text(expression);
    }

    /** What writes how tables are divided. */
    public PartitionWriter partitions() {
        return structure.partitions();
    }

    ExprWriter expressions() {
        return expressions;
    }

    QueryWriter queries() {
        return queries;
    }

    String query(Query query) {
        return queries.query(query);
    }

    /** The name of a type as text. */
    public String typeName(TypeName type) {
        return type(type);
    }

    /** A type in the dialect's own terms, with its numbers and texts. */
    String type(TypeName type) {
        String parameters = type.parameters().stream()
                .map(p -> p == TypeName.MAX ? "MAX" : String.valueOf(p))
                .collect(Collectors.joining(","));
        String values = type.values().stream().map(expressions::string).collect(Collectors.joining(", "));
        String inner = values.isEmpty() ? parameters : values;
        String arrays = "[]".repeat(type.arrays());
        if (inner.isEmpty()) {
            return type.name() + arrays;
        }
        String name = type.name();
        int blank = name.indexOf(' ');
        boolean within =
                name.matches("(time|timestamp) with.*|.* for bit data|.* unsigned|interval .*|character large.*");
        return within
                ? name.substring(0, blank) + "(" + inner + ")" + name.substring(blank) + arrays
                : name + "(" + inner + ")" + arrays;
    }

    WriterContext context() {
        return context;
    }
}
