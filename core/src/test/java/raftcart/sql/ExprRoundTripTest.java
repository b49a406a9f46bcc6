package raftcart.sql;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.function.IntFunction;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import raftcart.dialect.Dialect;
import raftcart.dialect.Dialects;
import raftcart.dialect.Untranslatable;
import raftcart.error.SqlSyntaxException;
import raftcart.sql.expr.BinaryOperator;
import raftcart.sql.expr.Expr;
import raftcart.sql.expr.ExprParser;
import raftcart.sql.expr.LiteralKind;
import raftcart.sql.expr.Truth;
import raftcart.sql.expr.UnaryOperator;

/** What a dialect prints it reads back as the same tree, for random trees of everything that it can say. */
class ExprRoundTripTest {
    private static final int TREES = 3000;
    private static final List<BinaryOperator> OPERATORS = List.of(
            BinaryOperator.OR,
            BinaryOperator.AND,
            BinaryOperator.EQUAL,
            BinaryOperator.NOT_EQUAL,
            BinaryOperator.LESS,
            BinaryOperator.GREATER_OR_EQUAL,
            BinaryOperator.ADD,
            BinaryOperator.SUBTRACT,
            BinaryOperator.MULTIPLY,
            BinaryOperator.MODULO,
            BinaryOperator.BIT_AND,
            BinaryOperator.BIT_OR,
            BinaryOperator.BIT_XOR,
            BinaryOperator.SHIFT_LEFT);
    private static final List<String> TEXTS = List.of("", "x", "it's", "back\\slash", "%_", "\"`", "é\n");

    private final SplittableRandom random = new SplittableRandom(11);

    private Expr expression(int depth) {
        if (depth == 0) {
            return leaf();
        }
        List<IntFunction<Expr>> kinds = List.of(
                d -> new Expr.Binary(pick(OPERATORS), expression(d), expression(d), Span.NONE),
                d -> new Expr.Unary(UnaryOperator.NOT, expression(d), Span.NONE),
                d -> new Expr.Between(expression(d), leaf(), leaf(), random.nextBoolean(), Span.NONE),
                d -> new Expr.InList(expression(d), List.of(leaf(), leaf()), random.nextBoolean(), Span.NONE),
                d -> new Expr.Like(leaf(), leaf(), false, random.nextBoolean(), Span.NONE),
                d -> new Expr.Is(expression(d), pick(List.of(Truth.values())), random.nextBoolean(), Span.NONE),
                d -> new Expr.Concat(List.of(leaf(), expression(d), leaf()), Span.NONE),
                d -> new Expr.Call("coalesce", List.of(expression(d), leaf()), Span.NONE),
                d -> new Expr.Call("lower", List.of(expression(d)), Span.NONE),
                this::choice);
        return pick(kinds).apply(depth - 1);
    }

    private Expr choice(int depth) {
        Optional<Expr> subject = random.nextBoolean() ? Optional.of(expression(depth)) : Optional.empty();
        Optional<Expr> otherwise = random.nextBoolean() ? Optional.of(leaf()) : Optional.empty();
        List<Expr.When> branches = IntStream.rangeClosed(1, 1 + random.nextInt(2))
                .mapToObj(i -> new Expr.When(expression(depth), leaf()))
                .toList();
        return new Expr.Case(subject, branches, otherwise, Span.NONE);
    }

    private Expr leaf() {
        return switch (random.nextInt(5)) {
            case 0 -> new Expr.Literal(LiteralKind.NUMBER, pick(List.of("0", "42", "-7", "1.5", "2e10")), Span.NONE);
            case 1 -> new Expr.Literal(LiteralKind.STRING, pick(TEXTS), Span.NONE);
            case 2 -> new Expr.Literal(LiteralKind.NULL, "", Span.NONE);
            case 3 -> new Expr.Literal(LiteralKind.BOOLEAN, pick(List.of("true", "false")), Span.NONE);
            default -> new Expr.ColumnRef(List.of(pick(List.of("a", "Select", "we\"ird", "b`q"))), Span.NONE);
        };
    }

    private <T> T pick(List<T> items) {
        return items.get(random.nextInt(items.size()));
    }

    @Test
    void everyDialectReadsBackWhatItPrints() {
        for (Dialect dialect : Dialects.all()) {
            for (int i = 0; i < TREES; i++) {
                Expr tree = expression(1 + random.nextInt(4));
                String text = dialect.expressions().print(tree);
                Expr again = ExprParser.parse(text, dialect.grammar());
                assertThat(again).as(dialect.name() + ": " + text).isEqualTo(tree);
                assertThat(dialect.expressions().print(again)).isEqualTo(text);
            }
        }
    }

    @Test
    void textThatWasTamperedWithEndsInAnErrorWithAPositionOrInATree() {
        for (Dialect dialect : Dialects.all()) {
            for (int i = 0; i < TREES; i++) {
                StringBuilder text = new StringBuilder(dialect.expressions().print(expression(3)));
                for (int change = 0; change < 3; change++) {
                    int at = random.nextInt(text.length() + 1);
                    if (random.nextBoolean() && at < text.length()) {
                        text.deleteCharAt(at);
                    } else {
                        text.insert(at, pick(List.of("(", ")", "'", ",", "CASE ", "=", "::", "]", "x", "\"", "`")));
                    }
                }
                try {
                    dialect.expressions().print(ExprParser.parse(text.toString(), dialect.grammar()));
                } catch (SqlSyntaxException e) {
                    assertThat(e).as(text.toString()).hasMessageMatching("(?s)(\\d+:\\d+: |expression is nested).*");
                } catch (Untranslatable e) {
                    assertThat(e.getMessage()).isNotBlank();
                }
            }
        }
    }
}
