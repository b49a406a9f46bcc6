package raftcart.sql.parse;

import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import raftcart.sql.Token;
import raftcart.sql.TokenCursor;
import raftcart.sql.TokenKind;
import raftcart.sql.tree.BinaryOperator;

/** How tightly operators bind: the higher the level, the tighter. */
public final class OperatorTable {
    /** Conditions joined by OR. */
    public static final int OR = 1;
    /** Exclusive or. */
    public static final int XOR = 2;
    /** Conditions joined by AND. */
    public static final int AND = 3;
    /** NOT before a condition. */
    public static final int NOT = 4;
    /** Comparisons, IS, IN, LIKE and BETWEEN. */
    public static final int COMPARISON = 5;
    /** Operators of no other group. */
    public static final int OTHER = 6;
    /** Sums. */
    public static final int ADDITIVE = 10;
    /** Products. */
    public static final int MULTIPLICATIVE = 11;
    /** Powers. */
    public static final int POWER = 12;
    /** Signs. */
    public static final int UNARY = 13;
    /** Tighter than a sign. */
    public static final int POSTFIX = 14;

    private static final Map<String, BinaryOperator> SYMBOLS = new HashMap<>();
    private static final Map<BinaryOperator, Integer> LEVELS = new HashMap<>();

    static {
        SYMBOLS.put("=", BinaryOperator.EQUAL);
        SYMBOLS.put("==", BinaryOperator.EQUAL);
        SYMBOLS.put("<>", BinaryOperator.NOT_EQUAL);
        SYMBOLS.put("!=", BinaryOperator.NOT_EQUAL);
        SYMBOLS.put("^=", BinaryOperator.NOT_EQUAL);
        SYMBOLS.put("~=", BinaryOperator.NOT_EQUAL);
        SYMBOLS.put("¬=", BinaryOperator.NOT_EQUAL);
        SYMBOLS.put("<", BinaryOperator.LESS);
        SYMBOLS.put("!>", BinaryOperator.LESS_OR_EQUAL);
        SYMBOLS.put("¬>", BinaryOperator.LESS_OR_EQUAL);
        SYMBOLS.put("<=", BinaryOperator.LESS_OR_EQUAL);
        SYMBOLS.put(">", BinaryOperator.GREATER);
        SYMBOLS.put("!<", BinaryOperator.GREATER_OR_EQUAL);
        SYMBOLS.put("¬<", BinaryOperator.GREATER_OR_EQUAL);
        SYMBOLS.put(">=", BinaryOperator.GREATER_OR_EQUAL);
        SYMBOLS.put("<=>", BinaryOperator.SAME);
        SYMBOLS.put("+", BinaryOperator.ADD);
        SYMBOLS.put("-", BinaryOperator.SUBTRACT);
        SYMBOLS.put("*", BinaryOperator.MULTIPLY);
        SYMBOLS.put("/", BinaryOperator.DIVIDE);
        SYMBOLS.put("//", BinaryOperator.DIVIDE_WHOLE);
        SYMBOLS.put("%", BinaryOperator.MODULO);
        SYMBOLS.put("**", BinaryOperator.POWER);
        SYMBOLS.put("|", BinaryOperator.BIT_OR);
        SYMBOLS.put("&", BinaryOperator.BIT_AND);
        SYMBOLS.put("<<", BinaryOperator.SHIFT_LEFT);
        SYMBOLS.put(">>", BinaryOperator.SHIFT_RIGHT);
        SYMBOLS.put("->", BinaryOperator.JSON_GET);
        SYMBOLS.put("->>", BinaryOperator.JSON_GET_TEXT);
        SYMBOLS.put("#>", BinaryOperator.JSON_PATH);
        SYMBOLS.put("#>>", BinaryOperator.JSON_PATH_TEXT);
        SYMBOLS.put("@>", BinaryOperator.CONTAINS);
        SYMBOLS.put("<@", BinaryOperator.CONTAINED);
        SYMBOLS.put("@@", BinaryOperator.TEXT_SEARCH);
        for (BinaryOperator operator : BinaryOperator.values()) {
            LEVELS.put(operator, defaultLevel(operator));
        }
    }

    private static final Map<String, BinaryOperator> COMPARING_WORDS = Map.of(
            "EQ", BinaryOperator.EQUAL,
            "NE", BinaryOperator.NOT_EQUAL,
            "LT", BinaryOperator.LESS,
            "LE", BinaryOperator.LESS_OR_EQUAL,
            "GT", BinaryOperator.GREATER,
            "GE", BinaryOperator.GREATER_OR_EQUAL);

    private OperatorTable() {}

    private static int defaultLevel(BinaryOperator operator) {
        return switch (operator) {
            case XOR -> XOR;
            case EQUAL, NOT_EQUAL, LESS, LESS_OR_EQUAL, GREATER, GREATER_OR_EQUAL, SAME, DIFFERENT -> COMPARISON;
            case JSON_GET, JSON_GET_TEXT, JSON_PATH, JSON_PATH_TEXT, CONTAINS, CONTAINED, OVERLAPS, TEXT_SEARCH ->
                OTHER;
            case BIT_OR -> 7;
            case BIT_AND -> 8;
            case SHIFT_LEFT, SHIFT_RIGHT -> 9;
            case ADD, SUBTRACT -> ADDITIVE;
            case MULTIPLY, DIVIDE, DIVIDE_WHOLE, DIVIDE_EXACT, MODULO -> MULTIPLICATIVE;
            case POWER, BIT_XOR -> POWER;
        };
    }

    static int level(BinaryOperator operator, Grammar grammar) {
        Integer own = grammar.levels().get(operator);
        return own == null ? LEVELS.get(operator) : own;
    }

    /** The operator that stands at the cursor, or null. */
    static BinaryOperator at(TokenCursor cursor, Grammar grammar) {
        return of(cursor.peek(), grammar);
    }

    /** The operator that a token stands for, or null. */
    static BinaryOperator of(Token token, Grammar grammar) {
        if (token.kind() == TokenKind.SYMBOL) {
            return switch (token.text()) {
                case "^" -> grammar.has(GrammarFeature.CARET_IS_POWER) ? BinaryOperator.POWER : BinaryOperator.BIT_XOR;
                case "#" -> grammar.has(GrammarFeature.NUMBER_SIGN_IS_XOR) ? BinaryOperator.BIT_XOR : null;
                case "&&" -> grammar.has(GrammarFeature.AMPERSANDS_ARE_AND) ? null : BinaryOperator.OVERLAPS;
                default -> SYMBOLS.get(token.text());
            };
        }
        if (token.kind() == TokenKind.WORD) {
            boolean words = grammar.has(GrammarFeature.WORD_OPERATORS);
            if (token.isWord("MOD") && (words || grammar.has(GrammarFeature.MOD_OPERATOR))) {
                return BinaryOperator.MODULO;
            }
            if (words && token.isWord("DIV")) {
                return BinaryOperator.DIVIDE_WHOLE;
            }
            if (grammar.has(GrammarFeature.WORD_COMPARISONS)) {
                return COMPARING_WORDS.get(token.value().toUpperCase(Locale.ROOT));
            }
            return words && token.isWord("XOR") ? BinaryOperator.XOR : null;
        }
        return null;
    }
}
