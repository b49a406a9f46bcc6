package raftcart.rewrite;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import raftcart.finding.FindingCode;
import raftcart.sql.Span;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.StatementMapper;
import raftcart.sql.tree.TypeName;

/** What T-SQL's CATCH asks of the error at hand ("ERROR_MESSAGE", "ERROR_NUMBER" and the like), from its text and state. */
final class TsqlErrorQuestions {
    /** The states of errors that code raises by a number from 50000 on begin so, and end in what is more than that. */
    private static final String OWN = "^U[0-9]{4}$";

    private static final int FIRST_OWN = 50_000;

    /** The severity of errors that code raises, and of most that users make ("RAISERROR", severity). */
    private static final int SEVERITY = 16;

    private final CodeAdapter code;

    TsqlErrorQuestions(CodeAdapter code) {
        this.code = code;
    }

    Statement answered(Statement statement) {
        return new StatementMapper() {
            @Override
            public Expr expr(Expr e) {
                return e instanceof Expr.Call call
                                && call.canonical()
                                && call.function().startsWith("error_")
                        ? answer(call)
                        : super.expr(e);
            }
        }.statement(statement);
    }

    private Expr answer(Expr.Call call) {
        return switch (call.function()) {
            case "error_message" -> {
                say(call.span(), "ERROR_MESSAGE gives the text of an error, which is another on the target");
                yield Expr.Column.of("sqlerrm");
            }
            case "error_number" -> number(call.span());
            case "error_severity" -> {
                say(call.span(), "ERROR_SEVERITY is " + SEVERITY + " for all errors");
                yield Expr.Literal.number(SEVERITY);
            }
            case "error_state" -> {
                say(call.span(), "ERROR_STATE is 1 for all errors");
                yield Expr.Literal.number(1);
            }
            case "error_line" -> {
                say(call.span(), "ERROR_LINE is 0 for all errors");
                yield Expr.Literal.number(0);
            }
            case "error_procedure" -> {
                say(call.span(), "ERROR_PROCEDURE is the routine that asks, not one that it called");
                yield code.frame()
                        .called()
                        .map(n -> Expr.Literal.string(n.text()))
                        .orElseGet(Expr.Literal::ofNull);
            }
            default -> throw CodeAdapter.at(call.span(), call.function().toUpperCase(Locale.ROOT));
        };
    }

    private void say(Span span, String what) {
        code.adapter().note(FindingCode.SYNTAX_CHECK, span, what);
    }

    /** The number that the source has for the state of the error. */
    private Expr number(Span span) {
        say(span, "ERROR_NUMBER is " + ErrorStates.OTHERS + " for errors whose numbers on the source we do not know");
        Expr state = Expr.Column.of("sqlstate");
        List<Expr.When> cases = ErrorStates.cases(code.adapter().from.name(), state, span);
        Expr digits = new Expr.Cast(
                Expr.Call.of("substring", state, Expr.Literal.number(2), Expr.Literal.number(4))
                        .at(span),
                TypeName.of("integer"),
                false,
                span);
        Expr own = Expr.Call.of("regexp_like", state, Expr.Literal.string(OWN)).at(span);
        cases.add(
                new Expr.When(own, new Expr.Binary(BinaryOperator.ADD, Expr.Literal.number(FIRST_OWN), digits, span)));
        return new Expr.Case(Optional.empty(), cases, Optional.of(Expr.Literal.number(ErrorStates.OTHERS)), span);
    }
}
