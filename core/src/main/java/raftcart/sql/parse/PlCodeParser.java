package raftcart.sql.parse;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import raftcart.sql.Span;
import raftcart.sql.Token;
import raftcart.sql.TokenCursor;
import raftcart.sql.TokenKind;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Condition;
import raftcart.sql.tree.CodeStatement.Declaration;
import raftcart.sql.tree.CodeStatement.Expected;
import raftcart.sql.tree.CodeStatement.Parameter;
import raftcart.sql.tree.CodeStatement.Rescue;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.Truth;
import raftcart.sql.tree.TypeName;

/** Reads the statements of PL/pgSQL ("PL/pgSQL - SQL Procedural Language", PostgreSQL). */
final class PlCodeParser extends PlParser {
    private final Map<String, Expr> aliases = new HashMap<>();
    private boolean columnsFirst;

    PlCodeParser(Parsing parsing) {
        super(parsing);
    }

    /** True where a name that could mean a column or a variable means the column. */
    boolean columnsFirst() {
        return columnsFirst;
    }

    /** Other names that the code declares for its parameters. */
    Map<String, Expr> aliases() {
        return aliases;
    }

    /** The one block of which a routine consists. */
    Statement body() {
        if (cursor.peek().isSymbol("#")) {
            cursor.take();
            if (!cursor.takeWords("VARIABLE_CONFLICT")) {
                throw cursor.unexpected("variable_conflict");
            }
            columnsFirst = cursor.takeWords("USE_COLUMN");
            if (!columnsFirst && !cursor.takeAny("USE_VARIABLE", "ERROR")) {
                throw cursor.unexpected("use_column, use_variable or error");
            }
        }
        Optional<Name> label = label();
        Statement block = block(label, cursor.peek().span());
        cursor.takeSymbol(";");
        if (!cursor.atEnd()) {
            throw cursor.unexpected("the end of the body");
        }
        return block;
    }

    @Override
    CodeStatement.Block block(
            Optional<Name> label,
            List<Declaration> declarations,
            List<Statement> body,
            List<Rescue> rescues,
            Span span) {
        return new CodeStatement.Block(label, declarations, List.of(), body, rescues, span);
    }

    @Override
    Statement own(String word, Span span) {
        return switch (word) {
            case "RETURN" -> returned(span);
            case "PERFORM" -> perform(span);
            case "SELECT", "WITH" -> new IntoParser(parsing).select(Expected.FIRST);
            case "RAISE" -> new RaiseParser(parsing).raise(span);
            case "GET" -> diagnosis(span);
            case "OPEN", "CLOSE", "FETCH" -> cursorStep(word, span);
            case "EXECUTE" -> dynamic(span);
            case "ASSERT" -> asserted(span);
            case "INSERT", "UPDATE", "DELETE" -> new ChangeIntoParser(parsing).change(span);
            case "FOREACH" -> new ItemLoopParser(parsing, () -> statements("END")).loop(span);
            case "MOVE" -> throw cursor.byHand(word + " in a routine");
            default -> assignmentOrChange(span);
        };
    }

    private Statement assignmentOrChange(Span span) {
        boolean assigns = cursor.peek().isName()
                && (isAssign(cursor.peek(1)) || cursor.peek(1).isSymbol(".") && isAssign(cursor.peek(3)));
        if (!assigns) {
            return cursor.peek().isName() && cursor.peek(1).isSymbol("[")
                    ? itemAssignment(span)
                    : StatementParser.nested(parsing);
        }
        Expr target = new Expr.Column(parsing.qualifiedName(), false, span);
        cursor.take();
        return new CodeStatement.Assign(target, parsing.expressions.expression(), span);
    }

    private Statement itemAssignment(Span span) {
        Expr array = new Expr.Column(parsing.qualifiedName(), false, span);
        cursor.expectSymbol("[");
        Expr place = parsing.expressions.expression();
        cursor.expectSymbol("]");
        if (!isAssign(cursor.peek())) {
            throw cursor.byHand("a part of an array that is assigned");
        }
        cursor.take();
        Expr item = new Expr.Subscript(array, Optional.of(place), Optional.empty(), false, span);
        return new CodeStatement.Assign(item, parsing.expressions.expression(), span);
    }

    private static boolean isAssign(Token token) {
        return token.isSymbol(":=") || token.isSymbol("=");
    }

    @Override
    List<Declaration> declaration() {
        Span span = cursor.peek().span();
        Name name = parsing.name();
        if (cursor.takeWords("ALIAS", "FOR")) {
            aliases.put(name.key(), parsing.expressions.expression());
            return List.of();
        }
        if (cursor.takeWords("NO", "SCROLL") || cursor.peek().isWord("CURSOR")) {
            return List.of(cursor(name, span));
        }
        if (cursor.peek().isWord("SCROLL")) {
            throw cursor.byHand("a cursor that goes back");
        }
        boolean constant = cursor.takeWords("CONSTANT");
        TypeName type = AnchoredTypes.read(parsing);
        boolean full = cursor.takeWords("NOT", "NULL");
        if (type.name().endsWith(TypeName.OF_ROW)) {
            String of = type.name().substring(0, type.name().length() - TypeName.OF_ROW.length());
            List<Name> parts = Stream.of(of.split("\\.")).map(Name::of).toList();
            return List.of(new Declaration.Row(name, Optional.of(new QualifiedName(parts)), List.of(), span));
        }
        if (type.name().equals("record")) {
            return List.of(new Declaration.Row(name, Optional.empty(), List.of(), span));
        }
        if (full) {
            throw cursor.byHand("a variable that takes no NULL");
        }
        return List.of(new Declaration.Variable(name, type, initial(), constant, span));
    }

    private Declaration cursor(Name name, Span span) {
        cursor.expectWords("CURSOR");
        List<Parameter> parameters = cursorParameters();
        if (!cursor.takeAny("FOR", "IS")) {
            throw cursor.unexpected("FOR");
        }
        return new Declaration.Cursor(name, parameters, parsing.queries.query(), span);
    }

    @Override
    List<Condition> conditions() {
        if (cursor.takeWords("SQLSTATE")) {
            return List.of(new Condition(Condition.Kind.STATE, parsing.string()));
        }
        return List.of(
                cursor.takeWords("OTHERS")
                        ? new Condition(Condition.Kind.ERROR, "")
                        : new Condition(Condition.Kind.NAME, parsing.name().key()));
    }

    @Override
    boolean countsDownFromFirst() {
        return true;
    }

    @Override
    boolean hasGoto() {
        return false;
    }

    private Statement returned(Span span) {
        cursor.take();
        if (cursor.takeWords("QUERY")) {
            if (cursor.peek().isWord("EXECUTE")) {
                CodeStatement.Dynamic computed = (CodeStatement.Dynamic) dynamic(span);
                return new CodeStatement.ReturnText(computed.text(), computed.values(), span);
            }
            return new CodeStatement.ReturnRows(parsing.queries.query(), span);
        }
        if (cursor.takeWords("NEXT")) {
            List<QueryBody.Item> items = cursor.peek().isSymbol(";")
                    ? List.of()
                    : List.of(QueryBody.Item.of(parsing.expressions.expression()));
            return new CodeStatement.ReturnRows(
                    Query.of(QueryBody.Select.of(items, List.of(), Optional.empty())), span);
        }
        return new CodeStatement.Return(
                cursor.peek().isSymbol(";") ? Optional.empty() : Optional.of(parsing.expressions.expression()), span);
    }

    /** What is computed for what it does, and whose value nobody wants. */
    private Statement perform(Span span) {
        Token verb = cursor.take();
        int mark = cursor.mark();
        Expr value = parsing.expressions.expression();
        if (cursor.peek().isSymbol(";")) {
            return new CodeStatement.Evaluate(value, span);
        }
        // PERFORM stands in the place of SELECT.
        cursor.reset(mark);
        List<Token> tokens = new ArrayList<>();
        tokens.add(new Token(TokenKind.WORD, "SELECT", "SELECT", verb.span()));
        int depth = 0;
        while (!cursor.atEnd() && !(depth == 0 && cursor.peek().isSymbol(";"))) {
            depth += cursor.peek().isSymbol("(") ? 1 : cursor.peek().isSymbol(")") ? -1 : 0;
            tokens.add(cursor.take());
        }
        tokens.add(new Token(TokenKind.END, "", "", cursor.peek().span()));
        TokenCursor inner = new TokenCursor(tokens);
        Query query = new Parsing(inner, parsing.grammar).queries.query();
        if (!inner.atEnd()) {
            throw inner.unexpected("the end of the query");
        }
        return new CodeStatement.Evaluate(new Expr.Subquery(query, span), span);
    }

    private Statement cursorStep(String word, Span span) {
        cursor.take();
        if (!word.equals("FETCH")) {
            Name name = parsing.name();
            boolean scrolls = !cursor.takeWords("NO", "SCROLL") && cursor.takeWords("SCROLL");
            if (cursor.takeWords("FOR")) {
                if (scrolls || cursor.peek().isWord("EXECUTE")) {
                    throw cursor.byHand(scrolls ? "a cursor that goes back" : "a cursor over a computed query");
                }
                return new CodeStatement.CursorStep(true, name, List.of(), Optional.of(parsing.queries.query()), span);
            }
            return new CodeStatement.CursorStep(word.equals("OPEN"), name, arguments(), Optional.empty(), span);
        }
        if (cursor.peek().isAnyWord("PRIOR", "FIRST", "LAST", "ABSOLUTE", "RELATIVE", "FORWARD", "BACKWARD")) {
            throw cursor.byHand("FETCH " + parsing.word());
        }
        if (cursor.peek().isWord("NEXT") && !cursor.peek(1).isWord("INTO")) {
            cursor.take();
        }
        cursor.takeAny("FROM", "IN");
        Name name = parsing.name();
        cursor.expectWords("INTO");
        return new CodeStatement.Fetch(name, targets(), span);
    }

    private List<Expr> targets() {
        return parsing.list(() -> {
            Span span = cursor.peek().span();
            return new Expr.Column(parsing.qualifiedName(), false, span);
        });
    }

    private Statement dynamic(Span span) {
        cursor.take();
        Expr text = parsing.expressions.expression();
        List<Expr> into = List.of();
        List<Expr> values = List.of();
        boolean strict = false;
        while (cursor.peek().isAnyWord("INTO", "USING")) {
            if (cursor.takeWords("USING")) {
                values = parsing.expressions.list();
            } else {
                cursor.take();
                strict = cursor.takeWords("STRICT");
                into = targets();
            }
        }
        Expected expected = strict ? Expected.EXACTLY_ONE : Expected.FIRST;
        return new CodeStatement.Dynamic(text, into, values, expected, span);
    }

    private Statement asserted(Span span) {
        cursor.take();
        Expr condition = parsing.expressions.expression();
        Expr message =
                cursor.takeSymbol(",") ? parsing.expressions.expression() : Expr.Literal.string("assertion failed");
        Statement fails = new CodeStatement.Signal(Optional.of("P0004"), Optional.of(message), List.of(), span);
        Expr not = new Expr.Is(condition, Truth.TRUE, true, span);
        return new CodeStatement.If(List.of(new CodeStatement.Choice(not, List.of(fails))), List.of(), span);
    }

    private Statement diagnosis(Span span) {
        cursor.take();
        boolean stacked = cursor.takeWords("STACKED");
        cursor.takeWords("CURRENT");
        cursor.expectWords("DIAGNOSTICS");
        List<Expr> targets = new ArrayList<>();
        List<String> items = new ArrayList<>();
        do {
            targets.add(new Expr.Column(parsing.qualifiedName(), false, span));
            cursor.take();
            items.add(parsing.word());
            cursor.take();
        } while (cursor.takeSymbol(","));
        if (!stacked && items.equals(List.of("ROW_COUNT"))) {
            return new CodeStatement.RowCount(targets.get(0), span);
        }
        boolean known =
                stacked && items.stream().allMatch(i -> i.equals("MESSAGE_TEXT") || i.equals("RETURNED_SQLSTATE"));
        if (!known) {
            throw cursor.byHand("GET DIAGNOSTICS of " + items);
        }
        return new CodeStatement.Diagnosis(targets, items, span);
    }
}
