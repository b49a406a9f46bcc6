package raftcart.dialect.write;

import java.util.List;
import java.util.stream.Collectors;
import raftcart.dialect.Language;
import raftcart.dialect.Untranslatable;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.TypeName;

/** Writes routines and triggers; a dialect that has them overrides this one, which can say none. */
public class CodeWriter {
    private SqlWriter writer;

    void attach(SqlWriter statements) {
        this.writer = statements;
    }

    /**
     * The statement as text.
     *
     * @throws Untranslatable if the dialect cannot say it
     */
    protected String statement(CodeStatement code) {
        throw new Untranslatable("a routine");
    }

    /** A statement that may stand in a routine. */
    protected final String text(Statement statement) {
        return writer.statement(statement);
    }

    protected final String text(Expr expression) {
        return writer.expression(expression);
    }

    protected final String text(Query query) {
        return writer.query(query);
    }

    protected final String type(TypeName type) {
        return writer.type(type);
    }

    protected final String name(QualifiedName name) {
        return writer.expressions().name(name);
    }

    protected final String name(Name name) {
        return language().write(name);
    }

    protected final String string(String text) {
        return writer.expressions().string(text);
    }

    protected final Language language() {
        return writer.context().language();
    }

    /** Lines one step further to the right, the first one too. */
    protected static String indented(String text) {
        return "    " + Layout.indent(text);
    }

    /** Statements below each other, each with its semicolon, one step to the right. */
    protected final String lines(List<Statement> statements) {
        return statements.stream().map(s -> indented(text(s) + ";") + "\n").collect(Collectors.joining());
    }
}
