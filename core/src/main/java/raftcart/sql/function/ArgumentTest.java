package raftcart.sql.function;

import raftcart.sql.function.FunctionDictionary.Kinds;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.UnaryOperator;

/** What a dictionary asks of an argument before it spells a function in a certain way. */
interface ArgumentTest {
    /** Holds for every argument. */
    ArgumentTest NONE = (argument, kinds) -> true;

    /** True where the spelling may be taken for this argument. */
    boolean holds(Expr argument, Kinds kinds);

    /**
     * The test of a name: {@code character}, a constant of one character; {@code characters}, a constant none of whose
     * characters means something between the brackets of a regular expression; {@code constant}, a whole number that
     * is given; {@code separator}, a regular expression of a few signs alone; {@code punctuation}, signs that no letter of JSON is
     * written with; {@code ungrouped}, a text without a parenthesis, and {@code unescaped}, one without a backslash;
     * {@code given}, any constant but NULL; {@code fraction}, a number that is no whole one; {@code first} and
     * {@code last}, the constants 1 and -1; or a kind of values.
     */
    static ArgumentTest named(String word) {
        return switch (word) {
            case "character" -> (argument, kinds) -> isText(argument, ".");
            case "constant" ->
                (argument, kinds) ->
                        argument instanceof Expr.Literal l && l.text().matches("[0-9]+");
            case "given" -> (argument, kinds) -> argument instanceof Expr.Literal l && l.kind() != LiteralKind.NULL;
            case "fraction" ->
                (argument, kinds) -> kinds.of(argument) == ValueKind.DECIMAL || kinds.of(argument) == ValueKind.FLOAT;
            case "first" ->
                (argument, kinds) ->
                        argument instanceof Expr.Literal l && l.text().equals("1");
            case "last" -> (argument, kinds) -> isMinusOne(argument);
            case "characters" -> (argument, kinds) -> isText(argument, "[^\\[\\]^&~|\\\\-]+");
            case "punctuation" -> (argument, kinds) -> isText(argument, "[ ,;:|+*#~=._-]+");
            case "separator" -> (argument, kinds) -> isText(argument, "\\[?[ ,;:#~=_-]+]?[+]?");
            case "ungrouped" -> (argument, kinds) -> isText(argument, "[^(]+");
            case "unescaped" -> (argument, kinds) -> isText(argument, "[^\\\\]*");
            default -> {
                ValueKind kind = ValueKind.named(word);
                yield (argument, kinds) -> kind.covers(kinds.of(argument));
            }
        };
    }

    private static boolean isMinusOne(Expr argument) {
        Expr number = argument instanceof Expr.Unary u && u.operator() == UnaryOperator.MINUS ? u.operand() : argument;
        String sign = number == argument ? "-" : "";
        return number instanceof Expr.Literal l && l.text().equals(sign + "1");
    }

    private static boolean isText(Expr argument, String pattern) {
        return argument instanceof Expr.Literal l
                && l.kind() == LiteralKind.STRING
                && l.text().matches(pattern);
    }
}
