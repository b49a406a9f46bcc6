package raftcart.sql.parse;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;
import raftcart.sql.Span;
import raftcart.sql.TokenCursor;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Choice;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Statement;

/** Reads IF and CASE as statements, which languages for routines have alike (ISO 9075-4; PL/pgSQL "Conditionals"). */
final class ChoiceParser {
    private final Parsing parsing;
    private final TokenCursor cursor;
    private final Function<String[], List<Statement>> statements;
    private final String[] again;

    /**
     * A reader for one language.
     *
     * @param statements reads statements up to one of these words
     * @param again the words before each condition after the first
     */
    ChoiceParser(Parsing parsing, Function<String[], List<Statement>> statements, String... again) {
        this.parsing = parsing;
        this.cursor = parsing.cursor;
        this.statements = statements;
        this.again = again;
    }

    Statement choice(Span span) {
        String[] ends =
                Stream.concat(Arrays.stream(again), Stream.of("ELSE", "END")).toArray(String[]::new);
        List<Choice> choices = new ArrayList<>();
        do {
            cursor.take();
            choices.add(choice(ends));
        } while (cursor.peek().isAnyWord(again));
        List<Statement> otherwise = cursor.takeWords("ELSE") ? upTo("END") : List.of();
        cursor.expectWords("END", "IF");
        return new CodeStatement.If(choices, otherwise, span);
    }

    Statement caseOf(Span span) {
        cursor.take();
        Optional<Expr> operand =
                cursor.peek().isWord("WHEN") ? Optional.empty() : Optional.of(parsing.expressions.expression());
        List<Choice> choices = new ArrayList<>();
        boolean several = false;
        while (cursor.takeWords("WHEN")) {
            Expr value = parsing.expressions.expression();
            List<Expr> values = new ArrayList<>(List.of(value));
            while (operand.isPresent() && cursor.takeSymbol(",")) {
                values.add(parsing.expressions.expression());
            }
            several |= values.size() > 1;
            cursor.expectWords("THEN");
            Expr condition = values.size() == 1 ? value : new Expr.Row(values, value.span());
            choices.add(new Choice(condition, upTo("WHEN", "ELSE", "END")));
        }
        Optional<List<Statement>> otherwise = cursor.takeWords("ELSE") ? Optional.of(upTo("END")) : Optional.empty();
        cursor.expectWords("END", "CASE");
        return several
                ? anyOf(operand.orElseThrow(), choices, otherwise, span)
                : new CodeStatement.CaseOf(operand, choices, otherwise, span);
    }

    /** Choices of which some have several values, as conditions. */
    private Statement anyOf(Expr operand, List<Choice> choices, Optional<List<Statement>> otherwise, Span span) {
        if (!(operand instanceof Expr.Column)) {
            throw cursor.byHand("CASE of an expression with several values for a choice");
        }
        List<Choice> conditions = choices.stream()
                .map(c -> new Choice(
                        new Expr.InList(
                                operand,
                                c.condition() instanceof Expr.Row row ? row.items() : List.of(c.condition()),
                                false,
                                c.condition().span()),
                        c.body()))
                .toList();
        return new CodeStatement.CaseOf(Optional.empty(), conditions, otherwise, span);
    }

    private Choice choice(String... ends) {
        Expr condition = parsing.expressions.expression();
        cursor.expectWords("THEN");
        return new Choice(condition, upTo(ends));
    }

    private List<Statement> upTo(String... ends) {
        return statements.apply(ends);
    }
}
