package raftcart.sql.parse;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.sql.Span;
import raftcart.sql.Token;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Condition;
import raftcart.sql.tree.CodeStatement.Declaration;
import raftcart.sql.tree.CodeStatement.Expected;
import raftcart.sql.tree.CodeStatement.Parameter;
import raftcart.sql.tree.CodeStatement.Rescue;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.TypeName;

/** Reads the statements of PL/pgSQL ("PL/pgSQL - SQL Procedural Language", PostgreSQL). */
final class PlCodeParser extends PlParser {
    PlCodeParser(Parsing parsing) {
        super(parsing);
    }

    /** The one block of which a routine consists. */
    Statement body() {
        if (cursor.peek().isSymbol("#")) {
            cursor.take();
            if (!cursor.takeWords("VARIABLE_CONFLICT")) {
                throw cursor.unexpected("variable_conflict");
            }
            if (!cursor.takeAny("USE_VARIABLE", "ERROR")) {
                throw cursor.byHand("names that mean columns where they could mean variables");
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
            case "OPEN", "CLOSE", "FETCH", "MOVE", "EXECUTE", "FOREACH", "ASSERT" ->
                throw cursor.byHand(word + " in a routine");
            default -> assignmentOrChange(span);
        };
    }

    private Statement assignmentOrChange(Span span) {
        boolean assigns = cursor.peek().isName()
                && (isAssign(cursor.peek(1)) || cursor.peek(1).isSymbol(".") && isAssign(cursor.peek(3)));
        if (!assigns) {
            if (cursor.peek().isName() && cursor.peek(1).isSymbol("[")) {
                throw cursor.byHand("an item of an array that is assigned");
            }
            return StatementParser.nested(parsing);
        }
        Expr target = new Expr.Column(parsing.qualifiedName(), false, span);
        cursor.take();
        return new CodeStatement.Assign(target, parsing.expressions.expression(), span);
    }

    private static boolean isAssign(Token token) {
        return token.isSymbol(":=") || token.isSymbol("=");
    }

    @Override
    List<Declaration> declaration() {
        Span span = cursor.peek().span();
        Name name = parsing.name();
        if (cursor.peek().isWord("ALIAS")) {
            throw cursor.byHand("another name for a parameter");
        }
        if (cursor.takeWords("NO", "SCROLL") || cursor.peek().isWord("CURSOR")) {
            return List.of(cursor(name, span));
        }
        if (cursor.peek().isAnyWord("SCROLL", "REFCURSOR")) {
            throw cursor.byHand("a cursor that goes back, or one without a query of its own");
        }
        boolean constant = cursor.takeWords("CONSTANT");
        TypeName type = AnchoredTypes.read(parsing);
        if (type.name().endsWith(TypeName.OF_ROW)) {
            throw cursor.byHand("a variable of the type of a row");
        }
        if (cursor.takeWords("NOT", "NULL")) {
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
    Statement range(Optional<Name> label, Name variable, boolean reverse, Expr from, Expr to, Span span) {
        return super.range(label, variable, reverse, reverse ? to : from, reverse ? from : to, span);
    }

    private Statement returned(Span span) {
        cursor.take();
        if (cursor.peek().isAnyWord("NEXT", "QUERY")) {
            throw cursor.byHand("RETURN " + parsing.word());
        }
        return new CodeStatement.Return(
                cursor.peek().isSymbol(";") ? Optional.empty() : Optional.of(parsing.expressions.expression()), span);
    }

    /** What is computed for what it does, and whose value nobody wants. */
    private Statement perform(Span span) {
        cursor.take();
        Expr value = parsing.expressions.expression();
        if (!cursor.peek().isSymbol(";")) {
            throw cursor.byHand("PERFORM of a query");
        }
        return new CodeStatement.Evaluate(value, span);
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
