package raftcart.sql.parse;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import raftcart.error.SqlSyntaxException;
import raftcart.sql.Span;
import raftcart.sql.TokenCursor;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Choice;
import raftcart.sql.tree.CodeStatement.Timing;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.ExprSearch;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.QueryBody.Select;
import raftcart.sql.tree.Statement;

/**
 * Reads triggers whose bodies are changes, and queries that end them with an error ("CREATE TRIGGER", SQLite). One that cannot
 * be read is left to a person as a whole, for the reason and at the place where reading ended.
 */
final class ChangeTriggerParser {
    private static final Set<String> ENDING = Set.of("abort", "fail", "rollback");

    private final Parsing parsing;
    private final TokenCursor cursor;
    private final RoutineHeads heads;
    private Timing timing = Timing.BEFORE;

    ChangeTriggerParser(Parsing parsing) {
        this.parsing = parsing;
        this.cursor = parsing.cursor;
        this.heads = new RoutineHeads(parsing);
    }

    /** Reads from TRIGGER on. */
    Statement create(Span span) {
        cursor.take();
        cursor.takeWords("IF", "NOT", "EXISTS");
        return RoutineHeads.whole(cursor, "trigger", () -> trigger(span), span);
    }

    private Statement trigger(Span span) {
        QualifiedName name = parsing.qualifiedName();
        boolean said = cursor.peek().isAnyWord("BEFORE", "AFTER", "INSTEAD");
        timing = said ? heads.timing() : Timing.BEFORE;
        List<CodeStatement.Event> events = heads.events(true);
        cursor.expectWords("ON");
        QualifiedName table = parsing.qualifiedName();
        cursor.takeWords("FOR", "EACH", "ROW");
        Optional<Expr> when =
                cursor.takeWords("WHEN") ? Optional.of(parsing.expressions.expression()) : Optional.empty();
        Span begin = cursor.peek().span();
        cursor.expectWords("BEGIN");
        List<Statement> body = new ArrayList<>();
        while (!cursor.peek().isWord("END")) {
            body.addAll(meant(StatementParser.nested(parsing)));
            cursor.expectSymbol(";");
        }
        cursor.expectWords("END");
        cursor.takeSymbol(";");
        if (!cursor.atEnd()) {
            throw cursor.unexpected("the end of the trigger");
        }
        return new CodeStatement.CreateTrigger(
                name,
                false,
                timing,
                events,
                table,
                true,
                Optional.empty(),
                when,
                Optional.empty(),
                false,
                false,
                CodeStatement.Block.of(body, begin),
                span);
    }

    /** A change as it is; a query as the errors that it raises. */
    private List<Statement> meant(Statement statement) {
        if (!(statement instanceof Statement.QueryStatement query)) {
            return List.of(statement);
        }
        boolean plain = query.query().body() instanceof Select select
                && select.items().size() == 1
                && select.groupBy().isEmpty()
                && select.having().isEmpty()
                && query.query().with().isEmpty();
        if (!plain) {
            throw byHand(query.span());
        }
        Select select = (Select) query.query().body();
        List<Choice> choices = new ArrayList<>();
        Expr value = select.items().get(0).value();
        boolean cases = value instanceof Expr.Case c
                && c.otherwise().map(o -> o instanceof Expr.Literal).orElse(true);
        if (cases) {
            Expr.Case choice = (Expr.Case) value;
            choice.branches().forEach(b -> choices.add(choice(asked(choice, b), b.result(), select, query.span())));
        } else {
            choices.add(choice(Optional.empty(), value, select, query.span()));
        }
        boolean always = !cases && select.from().isEmpty() && select.where().isEmpty();
        return always ? choices.get(0).body() : List.of(new CodeStatement.If(choices, List.of(), query.span()));
    }

    private static Optional<Expr> asked(Expr.Case choice, Expr.When branch) {
        return choice.subject()
                .<Expr>map(s -> new Expr.Binary(
                        BinaryOperator.EQUAL,
                        s,
                        branch.condition(),
                        branch.condition().span()))
                .or(() -> Optional.of(branch.condition()));
    }

    /** An error, and when it is raised: where a row of the query is there. */
    private Choice choice(Optional<Expr> asked, Expr raise, Select select, Span span) {
        List<Expr> all = new ArrayList<>(select.where().stream().toList());
        asked.ifPresent(all::add);
        Optional<Expr> where = all.isEmpty()
                ? Optional.empty()
                : Optional.of(all.size() == 1 ? all.get(0) : new Expr.Junction(true, all, span));
        Expr condition = select.from().isEmpty()
                ? where.orElse(Expr.Literal.number(1))
                : new Expr.Exists(
                        Query.of(Select.of(List.of(QueryBody.Item.of(Expr.Literal.number(1))), select.from(), where)),
                        span);
        return new Choice(condition, List.of(error(raise)));
    }

    private Statement error(Expr raise) {
        if (passes(raise) && timing == Timing.BEFORE) {
            return new CodeStatement.Return(Optional.of(Expr.Literal.ofNull()), raise.span());
        }
        boolean ends = raise instanceof Expr.Call call
                && call.function().equals("raise")
                && call.arguments().size() == 2
                && call.arguments().get(0) instanceof Expr.Column how
                && ENDING.contains(how.name().last().key());
        if (!ends) {
            throw cursor.byHand(
                    ExprSearch.any(raise, ChangeTriggerParser::passes)
                            ? "RAISE(IGNORE), which passes over the row"
                            : "a query whose rows nobody gets");
        }
        Expr message = ((Expr.Call) raise).arguments().get(1);
        return new CodeStatement.Signal(Optional.of("45000"), Optional.of(message), List.of(), raise.span());
    }

    /** "The RAISE() function": the row stays as it is, without an error. */
    private static boolean passes(Expr raise) {
        return raise instanceof Expr.Call call
                && call.function().equals("raise")
                && call.arguments().size() == 1
                && call.arguments().get(0) instanceof Expr.Column how
                && how.name().last().is("ignore");
    }

    private SqlSyntaxException byHand(Span span) {
        return new SqlSyntaxException(span.line(), span.column(), "a query whose rows nobody gets", true);
    }
}
