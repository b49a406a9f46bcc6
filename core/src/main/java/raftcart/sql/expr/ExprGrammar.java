package raftcart.sql.expr;

import java.util.Optional;
import raftcart.sql.LexicalRules;
import raftcart.sql.Token;

/** What a dialect decides while an expression is read. */
public interface ExprGrammar {
    /** How the dialect writes its tokens. */
    LexicalRules lexical();

    /** The operator that a token stands for between two operands, if it is one. */
    Optional<BinaryOperator> operator(Token token);

    /** True where {@code ||} puts texts together rather than joining truths. */
    boolean pipesConcatenate();

    /** The number of fractional digits that the current time has where none is asked for. */
    int currentTimePrecision();

    /** The function names of the dialect. */
    FunctionDictionary functions();
}
