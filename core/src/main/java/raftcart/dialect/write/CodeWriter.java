package raftcart.dialect.write;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
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

    /** A query whose one row goes into variables, which stand behind its columns. */
    protected final String text(Query query, String into) {
        return writer.queries().query(query, Optional.of(into));
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

    /** What a statement of a routine holds between its words; a dialect that wants a statement there writes one that does nothing. */
    protected String body(List<Statement> statements) {
        return lines(statements);
    }

    protected final String targets(List<Expr> targets) {
        return targets.stream().map(this::text).collect(Collectors.joining(", "));
    }

    /** What is asked of the error at hand, behind GET DIAGNOSTICS. */
    protected final String items(CodeStatement.Diagnosis diagnosis) {
        return IntStream.range(0, diagnosis.items().size())
                .mapToObj(i -> text(diagnosis.targets().get(i)) + " = "
                        + diagnosis.items().get(i))
                .collect(Collectors.joining(", "));
    }

    /** When a trigger fires, in the words of the standard. */
    protected static String timing(CodeStatement.CreateTrigger trigger) {
        return trigger.timing() == CodeStatement.Timing.INSTEAD
                ? "INSTEAD OF"
                : trigger.timing().name();
    }

    /** A condition, or a value of CASE, which stands before THEN. */
    protected String condition(Expr condition) {
        return text(condition);
    }

    /**
     * IF.
     *
     * @param again the dialect's word before each condition after the first
     */
    protected final String choice(CodeStatement.If choice, String again) {
        StringBuilder text = new StringBuilder();
        String word = "IF ";
        for (CodeStatement.Choice each : choice.choices()) {
            text.append(word)
                    .append(condition(each.condition()))
                    .append(" THEN\n")
                    .append(body(each.body()));
            word = again;
        }
        if (!choice.otherwise().isEmpty()) {
            text.append("ELSE\n").append(lines(choice.otherwise()));
        }
        return text.append("END IF").toString();
    }

    /** CASE as a statement. */
    protected final String caseOf(CodeStatement.CaseOf choice) {
        StringBuilder text = new StringBuilder("CASE");
        choice.operand().ifPresent(o -> text.append(" ").append(condition(o)));
        text.append("\n");
        for (CodeStatement.Choice each : choice.choices()) {
            text.append(indented(
                            ("WHEN " + condition(each.condition()) + " THEN\n" + body(each.body())).stripTrailing()))
                    .append("\n");
        }
        choice.otherwise().ifPresent(o -> text.append(indented(("ELSE\n" + body(o)).stripTrailing()))
                .append("\n"));
        return text.append("END CASE").toString();
    }

    /** Statements below each other, each with its semicolon, one step to the right. */
    protected final String lines(List<Statement> statements) {
        return statements.stream().map(s -> indented(text(s) + ";") + "\n").collect(Collectors.joining());
    }
}
