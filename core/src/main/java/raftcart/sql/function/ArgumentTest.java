package raftcart.sql.function;

import raftcart.sql.function.FunctionDictionary.Kinds;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;

/** What a dictionary asks of an argument before it spells a function in a certain way. */
interface ArgumentTest {
    /** Holds for every argument. */
    ArgumentTest NONE = (argument, kinds) -> true;

    /** True where the spelling may be taken for this argument. */
    boolean holds(Expr argument, Kinds kinds);

    /**
     * The test of a name: {@code character}, a constant of one character; {@code characters}, a constant none of whose
     * characters means something between the brackets of a regular expression; {@code constant}, a whole number that
     * is given; or a kind of values.
     */
    static ArgumentTest named(String word) {
        return switch (word) {
            case "character" -> (argument, kinds) -> isText(argument, ".");
            case "constant" ->
                (argument, kinds) ->
                        argument instanceof Expr.Literal l && l.text().matches("[0-9]+");
            case "characters" -> (argument, kinds) -> isText(argument, "[^\\[\\]^&~|\\\\-]+");
            default -> {
                ValueKind kind = ValueKind.named(word);
                yield (argument, kinds) -> kind.covers(kinds.of(argument));
            }
        };
    }

    private static boolean isText(Expr argument, String pattern) {
        return argument instanceof Expr.Literal l
                && l.kind() == LiteralKind.STRING
                && l.text().matches(pattern);
    }
}
