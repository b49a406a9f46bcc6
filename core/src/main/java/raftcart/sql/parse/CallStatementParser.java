package raftcart.sql.parse;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.sql.Span;
import raftcart.sql.Token;
import raftcart.sql.TokenCursor;
import raftcart.sql.TokenKind;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.Statement;

/** Reads calls of procedures, and CALL of a value where an engine has that. */
final class CallStatementParser {
    private final Parsing parsing;
    private final TokenCursor cursor;

    CallStatementParser(Parsing parsing) {
        this.parsing = parsing;
        this.cursor = parsing.cursor;
    }

    Statement call(Span span) {
        Token verb = cursor.take();
        if (verb.isWord("EXECUTE") && cursor.peek(1).isName()) {
            cursor.takeWords("PROCEDURE"); // Firebird's call
        }
        if (verb.isWord("EXECUTE") && cursor.atWords("BLOCK")) {
            if (parsing.has(GrammarFeature.PSQL_ROUTINES)) {
                return new PsqlRoutineParser(parsing).run(span);
            }
            StatementParser.skipRest(cursor);
            return new Statement.NotTranslated("block of code", true, span);
        }
        if (verb.isWord("EXECUTE") && cursor.peek().isAnyWord("IMMEDIATE", "PROCEDURE")) {
            throw cursor.byHand("EXECUTE " + parsing.word());
        }
        if (verb.isAnyWord("EXEC", "EXECUTE") && parsing.has(GrammarFeature.STATEMENTS_WITHOUT_SEPARATOR)) {
            Optional<Statement> executed = new EngineCalls(parsing).executed();
            if (executed.isPresent()) {
                return executed.get();
            }
        }
        if (verb.isWord("CALL") && parsing.has(GrammarFeature.CALL_EVALUATES)) {
            return value(span);
        }
        refuse(verb);
        QualifiedName name = parsing.qualifiedName();
        Optional<Statement> ofEngine = new EngineCalls(parsing).read(name, span);
        if (ofEngine.isPresent()) {
            return ofEngine.get();
        }
        List<Expr> arguments = new ArrayList<>();
        if (cursor.takeSymbol("(")) {
            if (!cursor.takeSymbol(")")) {
                arguments.addAll(parsing.list(this::argument));
                cursor.expectSymbol(")");
            }
        } else if (!cursor.atEnd() && !cursor.peek().isSymbol(";")) {
            arguments.addAll(parsing.list(this::argument));
        }
        return new Statement.CallProcedure(name, arguments, span);
    }

    private Expr argument() {
        Token token = cursor.peek();
        boolean named = token.isName()
                        && (cursor.peek(1).isSymbol("=>") || cursor.peek(1).isSymbol(":="))
                || parsing.has(GrammarFeature.TSQL_ROUTINES)
                        && TsqlVariables.isVariable(token)
                        && cursor.peek(1).isSymbol("=");
        if (named) {
            cursor.take();
            cursor.take();
            Name name =
                    TsqlVariables.isVariable(token) ? TsqlVariables.parameter(token.text()) : Name.of(token.value());
            return new Expr.NamedArgument(name, parsing.expressions.expression(), token.span());
        }
        Expr value = parsing.expressions.expression();
        if (cursor.peek().isAnyWord("OUT", "OUTPUT")) {
            throw cursor.byHand("a call with output arguments");
        }
        return value;
    }

    private Statement value(Span span) {
        QueryBody.Item value = QueryBody.Item.of(parsing.expressions.expression());
        Query one = Query.of(QueryBody.Select.of(List.of(value), List.of(), Optional.empty()));
        return new Statement.QueryStatement(one, Optional.empty(), false, span);
    }

    private void refuse(Token verb) {
        if (verb.isWord("EXECUTE") && parsing.has(GrammarFeature.EXECUTE_IS_PREPARED)) {
            throw cursor.byHand("a prepared statement");
        }
        if (cursor.peek().isSymbol("(") || cursor.peek().isString()) {
            throw cursor.byHand("SQL put together as text");
        }
        if (cursor.atWords("NEXT", "VALUE", "FOR")) {
            throw cursor.byHand("CALL of an expression");
        }
        if (cursor.peek().kind() == TokenKind.NUMBER) {
            throw cursor.byHand("CALL of an expression");
        }
        if (!cursor.peek().isName()) {
            throw cursor.unexpected("the name of a procedure");
        }
    }
}
