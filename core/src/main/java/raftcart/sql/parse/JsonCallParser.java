package raftcart.sql.parse;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.sql.Span;
import raftcart.sql.TokenCursor;
import raftcart.sql.tree.CallSuffix;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.TypeName;

/** Reads what is special about functions for JSON. */
final class JsonCallParser {
    private final Parsing parsing;
    private final TokenCursor cursor;
    private final ExprParser expressions;

    JsonCallParser(Parsing parsing, ExprParser expressions) {
        this.parsing = parsing;
        this.cursor = parsing.cursor;
        this.expressions = expressions;
    }

    /** Keys and values in turn, however they are written. */
    Expr object(Span span) {
        cursor.expectSymbol("(");
        List<Expr> arguments = new ArrayList<>();
        while (!cursor.peek().isSymbol(")")) {
            boolean key = cursor.takeWords("KEY");
            arguments.add(expressions.expression(OperatorTable.COMPARISON + 1));
            if (cursor.peek().isWord("IS")) {
                cursor.take();
                arguments.add(expressions.expression(OperatorTable.COMPARISON + 1));
                if (cursor.peek().isAnyWord("NULL", "ABSENT")) {
                    throw cursor.byHand("NULL ON NULL clauses of JSON functions");
                }
                cursor.takeSymbol(",");
                continue;
            }
            if (cursor.peek().isAnyWord("NULL", "ABSENT") || cursor.takeWords("RETURNING")) {
                throw cursor.byHand("NULL and RETURNING clauses of JSON functions");
            }
            boolean separated = cursor.takeSymbol(":") || cursor.takeWords("VALUE") || cursor.takeSymbol(",");
            if (!separated && (key || !cursor.peek().isSymbol(")"))) {
                throw cursor.unexpected("VALUE or ':'");
            }
            if (cursor.peek().isAnyWord("NULL", "ABSENT") && cursor.peek(1).isWord("ON")) {
                throw cursor.byHand("NULL ON NULL clauses of JSON functions");
            }
        }
        cursor.expectSymbol(")");
        return new Expr.Call(QualifiedName.of("json_object"), true, arguments, CallSuffix.NONE, span);
    }

    Expr array(Span span) {
        cursor.expectSymbol("(");
        List<Expr> arguments = cursor.peek().isSymbol(")") ? List.of() : expressions.list();
        if (!cursor.peek().isSymbol(")")) {
            throw cursor.byHand("NULL and RETURNING clauses of JSON functions");
        }
        cursor.expectSymbol(")");
        return new Expr.Call(QualifiedName.of("json_array"), true, arguments, CallSuffix.NONE, span);
    }

    /**
     * "JSON value function" (ISO/IEC 9075-2): the type that is returned, and what comes of nothing and of failures, which
     * is NULL unless it is said.
     */
    Optional<TypeName> clauses(QualifiedName function) {
        if (!function.key().equals("json_value") && !function.key().equals("json_query")) {
            return Optional.empty();
        }
        Optional<TypeName> type =
                cursor.takeWords("RETURNING") ? Optional.of(TypeNameParser.parse(cursor)) : Optional.empty();
        while (cursor.peek().isAnyWord("NULL", "ERROR", "DEFAULT", "EMPTY", "WITH", "WITHOUT")) {
            boolean usual = cursor.takeWords("NULL", "ON", "ERROR")
                    || cursor.takeWords("NULL", "ON", "EMPTY")
                    || cursor.takeWords("WITHOUT", "WRAPPER");
            if (!usual) {
                throw cursor.byHand("the clause " + parsing.word() + " in a call for JSON");
            }
        }
        return type;
    }
}
