package raftcart.dialect.postgresql;

import java.util.Map;
import java.util.Optional;
import raftcart.sql.LexicalRules;
import raftcart.sql.Token;
import raftcart.sql.TokenKind;
import raftcart.sql.expr.BinaryOperator;
import raftcart.sql.expr.ExprGrammar;
import raftcart.sql.expr.FunctionDictionary;

/** How PostgreSQL writes tokens and operators ("Lexical Structure", "Operator Precedence"). */
final class PgGrammar implements ExprGrammar {
    private static final LexicalRules LEXICAL = PgLanguage.create().grammar().lexical();
    private static final Map<String, BinaryOperator> SYMBOLS = Map.ofEntries(
            Map.entry("=", BinaryOperator.EQUAL),
            Map.entry("<>", BinaryOperator.NOT_EQUAL),
            Map.entry("!=", BinaryOperator.NOT_EQUAL),
            Map.entry("<", BinaryOperator.LESS),
            Map.entry("<=", BinaryOperator.LESS_OR_EQUAL),
            Map.entry(">", BinaryOperator.GREATER),
            Map.entry(">=", BinaryOperator.GREATER_OR_EQUAL),
            Map.entry("+", BinaryOperator.ADD),
            Map.entry("-", BinaryOperator.SUBTRACT),
            Map.entry("*", BinaryOperator.MULTIPLY),
            Map.entry("/", BinaryOperator.DIVIDE_BY_TYPE),
            Map.entry("%", BinaryOperator.MODULO),
            Map.entry("&", BinaryOperator.BIT_AND),
            Map.entry("|", BinaryOperator.BIT_OR),
            Map.entry("#", BinaryOperator.BIT_XOR),
            Map.entry("<<", BinaryOperator.SHIFT_LEFT),
            Map.entry(">>", BinaryOperator.SHIFT_RIGHT));

    private final FunctionDictionary functions = FunctionDictionary.beside(PgGrammar.class);

    @Override
    public LexicalRules lexical() {
        return LEXICAL;
    }

    @Override
    public Optional<BinaryOperator> operator(Token token) {
        if (token.kind() == TokenKind.SYMBOL) {
            return Optional.ofNullable(SYMBOLS.get(token.text()));
        }
        if (token.isWord("AND")) {
            return Optional.of(BinaryOperator.AND);
        }
        return token.isWord("OR") ? Optional.of(BinaryOperator.OR) : Optional.empty();
    }

    @Override
    public boolean pipesConcatenate() {
        return true;
    }

    @Override
    public int currentTimePrecision() {
        return 6;
    }

    @Override
    public FunctionDictionary functions() {
        return functions;
    }
}
