package raftcart.sql.parse;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import raftcart.sql.Lexer;
import raftcart.sql.Span;
import raftcart.sql.Token;
import raftcart.sql.TokenCursor;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Statement;

/** Reads EXECUTE: of a procedure, or of a statement that is put together as a text ("EXECUTE", "sp_executesql"). */
final class TsqlCalls {
    private final Parsing parsing;
    private final TokenCursor cursor;
    private final TsqlVariables variables;

    TsqlCalls(Parsing parsing, TsqlVariables variables) {
        this.parsing = parsing;
        this.cursor = parsing.cursor;
        this.variables = variables;
    }

    Statement executed(Span span) {
        cursor.take();
        if (cursor.takeSymbol("(")) {
            Expr text = parsing.expressions.expression();
            cursor.expectSymbol(")");
            if (cursor.peek().isWord("AT")) {
                throw cursor.byHand("a statement for another server");
            }
            return new CodeStatement.Dynamic(text, List.of(), List.of(), span);
        }
        if (variables.isAt(cursor.peek())) {
            throw cursor.byHand("the status, or the name, of a procedure in a variable");
        }
        QualifiedName name = parsing.qualifiedName();
        if (name.last().key().equals("sp_executesql")) {
            return computed(span);
        }
        if (name.last().key().matches("(sp|xp)_\\w+")) {
            throw cursor.byHand("a procedure of the engine, " + name.last().text());
        }
        boolean given = !cursor.atEnd()
                && !cursor.peek().isSymbol(";")
                && !cursor.peek().isAnyWord("END", "ELSE", "WITH")
                && (variables.isAt(cursor.peek())
                        || !cursor.peek().isName()
                        || cursor.peek().isAnyWord("NULL", "DEFAULT"));
        Set<Integer> outputs = new HashSet<>();
        List<Expr> arguments = new ArrayList<>();
        while (given && (arguments.isEmpty() || cursor.takeSymbol(","))) {
            arguments.add(argument());
            if (cursor.takeAny("OUT", "OUTPUT")) {
                outputs.add(arguments.size() - 1);
            }
        }
        if (cursor.takeWords("WITH")) {
            cursor.expectWords("RECOMPILE");
        }
        return new Statement.CallProcedure(name, arguments, Optional.of(outputs), span);
    }

    /** {@code sp_executesql text, parameters, values}; a constant text with parameters becomes a statement of the code. */
    private Statement computed(Span span) {
        Token text = cursor.peek();
        Expr given = parsing.expressions.expression();
        if (!cursor.takeSymbol(",")) {
            return new CodeStatement.Dynamic(given, List.of(), List.of(), span);
        }
        boolean constant = given instanceof Expr.Literal
                && text.isString()
                && cursor.peek().isString();
        if (!constant) {
            throw cursor.byHand("a computed statement with parameters of its own");
        }
        List<String> names = new ArrayList<>();
        Lexer.tokens(cursor.take().value(), parsing.grammar.lexical()).stream()
                .filter(TsqlVariables::isVariable)
                .forEach(t -> names.add(t.text().toLowerCase(Locale.ROOT)));
        Map<String, Token> values = new HashMap<>();
        for (int place = 0; cursor.takeSymbol(","); place++) {
            boolean named = variables.isAt(cursor.peek()) && cursor.peek(1).isSymbol("=");
            String name = named
                    ? variables.written(cursor.take()).toLowerCase(Locale.ROOT)
                    : place < names.size() ? names.get(place) : "";
            if (named) {
                cursor.take();
            }
            values.put(name, cursor.take());
            cursor.takeAny("OUT", "OUTPUT");
            boolean plain = cursor.atEnd()
                    || cursor.peek().isSymbol(",")
                    || cursor.peek().isSymbol(";")
                    || TsqlTransactions.begins(cursor.peek());
            if (!plain) {
                throw cursor.byHand("an expression as a parameter of a computed statement");
            }
        }
        return constant(text, values, span);
    }

    /** A statement that is a constant text, with values in the places of its parameters. */
    private Statement constant(Token text, Map<String, Token> values, Span span) {
        List<Token> tokens = new ArrayList<>();
        for (Token token : Lexer.tokens(text.value(), parsing.grammar.lexical())) {
            Token value = values.get(token.text().toLowerCase(Locale.ROOT));
            if (TsqlVariables.isVariable(token) && value == null) {
                throw cursor.byHand("a computed statement with the parameter " + token.text() + ", which has no value");
            }
            boolean given = TsqlVariables.isVariable(token);
            tokens.add(given ? value : new Token(token.kind(), token.text(), token.value(), text.span()));
        }
        Parsing inner = new Parsing(new TokenCursor(tokens), parsing.grammar);
        List<Statement> all = new ArrayList<>();
        if (inner.cursor.peek().isAnyWord("SELECT", "WITH")) {
            new TsqlAssignments(inner, variables).select(all);
        } else {
            all.add(StatementParser.nested(inner));
        }
        inner.cursor.takeSymbol(";");
        if (!inner.cursor.atEnd()) {
            throw cursor.byHand("several computed statements");
        }
        return all.size() == 1 ? all.get(0) : CodeStatement.Block.of(all, span);
    }

    private Expr argument() {
        Token token = cursor.peek();
        boolean named = variables.isAt(token) && cursor.peek(1).isSymbol("=");
        if (named) {
            cursor.take();
            cursor.take();
            return new Expr.NamedArgument(TsqlVariables.parameter(variables.written(token)), value(), token.span());
        }
        return value();
    }

    private Expr value() {
        if (cursor.peek().isWord("DEFAULT")) {
            throw cursor.byHand("DEFAULT as an argument");
        }
        boolean text = cursor.peek().isName()
                && !variables.isAt(cursor.peek())
                && !cursor.peek().isAnyWord("NULL");
        if (text) {
            throw cursor.byHand("a name as an argument, which is a text");
        }
        return parsing.expressions.expression();
    }
}
