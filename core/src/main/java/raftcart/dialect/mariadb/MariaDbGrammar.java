package raftcart.dialect.mariadb;

import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import raftcart.sql.LexicalRules;
import raftcart.sql.Token;
import raftcart.sql.TokenKind;
import raftcart.sql.expr.BinaryOperator;
import raftcart.sql.expr.ExprGrammar;
import raftcart.sql.expr.FunctionDictionary;

/** How MariaDB writes tokens and operators in its default SQL mode ("Operator Precedence"). */
final class MariaDbGrammar implements ExprGrammar {
    private static final LexicalRules LEXICAL =
            MariaDbLanguage.create().grammar().lexical();
    private static final Map<String, BinaryOperator> SYMBOLS = Map.ofEntries(
            Map.entry("=", BinaryOperator.EQUAL),
            Map.entry("<>", BinaryOperator.NOT_EQUAL),
            Map.entry("!=", BinaryOperator.NOT_EQUAL),
            Map.entry("<", BinaryOperator.LESS),
            Map.entry("<=", BinaryOperator.LESS_OR_EQUAL),
            Map.entry(">", BinaryOperator.GREATER),
            Map.entry(">=", BinaryOperator.GREATER_OR_EQUAL),
            Map.entry("<=>", BinaryOperator.SAME),
            Map.entry("+", BinaryOperator.ADD),
            Map.entry("-", BinaryOperator.SUBTRACT),
            Map.entry("*", BinaryOperator.MULTIPLY),
            Map.entry("/", BinaryOperator.DIVIDE),
            Map.entry("%", BinaryOperator.MODULO),
            Map.entry("&", BinaryOperator.BIT_AND),
            Map.entry("|", BinaryOperator.BIT_OR),
            Map.entry("^", BinaryOperator.BIT_XOR),
            Map.entry("<<", BinaryOperator.SHIFT_LEFT),
            Map.entry(">>", BinaryOperator.SHIFT_RIGHT),
            Map.entry("||", BinaryOperator.OR),
            Map.entry("&&", BinaryOperator.AND));
    private static final Map<String, BinaryOperator> WORDS = Map.of(
            "and", BinaryOperator.AND,
            "or", BinaryOperator.OR,
            "xor", BinaryOperator.XOR,
            "div", BinaryOperator.DIVIDE_WHOLE,
            "mod", BinaryOperator.MODULO);

    private final FunctionDictionary functions = FunctionDictionary.beside(MariaDbGrammar.class);

    @Override
    public LexicalRules lexical() {
        return LEXICAL;
    }

    @Override
    public Optional<BinaryOperator> operator(Token token) {
        if (token.kind() == TokenKind.SYMBOL) {
            return Optional.ofNullable(SYMBOLS.get(token.text()));
        }
        return token.kind() == TokenKind.WORD
                ? Optional.ofNullable(WORDS.get(token.value().toLowerCase(Locale.ROOT)))
                : Optional.empty();
    }

    @Override
    public boolean pipesConcatenate() {
        return false;
    }

    @Override
    public int currentTimePrecision() {
        return 0;
    }

    @Override
    public FunctionDictionary functions() {
        return functions;
    }
}
