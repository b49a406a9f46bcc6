package raftcart.rewrite;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import raftcart.finding.FindingCode;
import raftcart.sql.Span;
import raftcart.sql.parse.GrammarFeature;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.StatementMapper;
import raftcart.sql.tree.StatementSearch;
import raftcart.sql.tree.TypeName;

/** The number and the text of the error at hand ("SQLCODE Function", "SQLERRM Function", PL/SQL). */
final class CodeErrors {
    /** Those that code raises by a number of its own, from -20999 to -20000, have states that begin so. */
    private static final String OWN = "U0";

    private final CodeAdapter code;
    private final boolean asks;
    private final boolean asksByFunctions;

    CodeErrors(CodeAdapter code) {
        this.code = code;
        this.asks = code.adapter().from.grammar().has(GrammarFeature.PLSQL_ROUTINES);
        this.asksByFunctions = code.adapter().from.grammar().has(GrammarFeature.TSQL_ROUTINES);
    }

    /** The statement with what the target has in the place of the number. */
    Statement answered(Statement statement) {
        if (asksByFunctions) {
            return new TsqlErrorQuestions(code).answered(statement);
        }
        if (!asks) {
            return statement;
        }
        return new StatementMapper() {
            @Override
            public Expr expr(Expr e) {
                if (e instanceof Expr.Call call && call.function().equals("sqlerrm")) {
                    throw CodeAdapter.at(call.span(), "the text of an error by its number");
                }
                if (isNamed(e, "sqlerrm")) {
                    code.adapter()
                            .note(
                                    FindingCode.SYNTAX_CHECK,
                                    e.span(),
                                    "SQLERRM gives the text of an error, which is another on the target");
                }
                return isNamed(e, "sqlcode") ? number(e.span()) : super.expr(e);
            }
        }.statement(statement);
    }

    private boolean isNamed(Expr e, String word) {
        return e instanceof Expr.Column c
                && c.name().parts().size() == 1
                && c.name().last().text().equalsIgnoreCase(word)
                && code.frame().variable(Name.of(word)).isEmpty();
    }

    /** The number that the source has for the state of the error. */
    private Expr number(Span span) {
        code.adapter()
                .note(
                        FindingCode.SYNTAX_CHECK,
                        span,
                        "SQLCODE is " + ErrorStates.OTHERS + " for errors whose numbers on the source we do not know");
        Expr state = Expr.Column.of("sqlstate");
        List<Expr.When> cases = ErrorStates.cases(code.adapter().from.name(), state, span);
        Expr own = new Expr.Binary(
                BinaryOperator.EQUAL,
                Expr.Call.of("substring", state, Expr.Literal.number(1), Expr.Literal.number(2))
                        .at(span),
                Expr.Literal.string(OWN),
                span);
        Expr digits = new Expr.Cast(
                Expr.Call.of("substring", state, Expr.Literal.number(3), Expr.Literal.number(3))
                        .at(span),
                TypeName.of("integer"),
                false,
                span);
        cases.addAll(raised(state, span));
        cases.add(new Expr.When(
                own, new Expr.Binary(BinaryOperator.SUBTRACT, Expr.Literal.number(-20000), digits, span)));
        return new Expr.Case(Optional.empty(), cases, Optional.of(Expr.Literal.number(ErrorStates.OTHERS)), span);
    }

    /** Errors that the code itself declares or signals have one number. */
    private List<Expr.When> raised(Expr state, Span span) {
        Set<String> states = new TreeSet<>();
        StatementSearch.anyStatement(List.of(code.frame().whole), s -> {
            if (s instanceof CodeStatement.Signal signal) {
                signal.state()
                        .map(t -> code.frame().state(t, code.adapter().from.name(), signal.span()))
                        .filter(t -> !t.startsWith(OWN))
                        .ifPresent(states::add);
            }
            return false;
        });
        Optional<Integer> number = ErrorStates.ofRaised(code.adapter().from.name());
        return number.isEmpty()
                ? List.of()
                : states.stream()
                        .map(t -> new Expr.When(
                                new Expr.Binary(BinaryOperator.EQUAL, state, Expr.Literal.string(t), span),
                                Expr.Literal.number(number.get())))
                        .toList();
    }
}
