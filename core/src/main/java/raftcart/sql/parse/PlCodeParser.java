package raftcart.sql.parse;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import raftcart.sql.Span;
import raftcart.sql.Token;
import raftcart.sql.TokenCursor;
import raftcart.sql.TokenKind;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Condition;
import raftcart.sql.tree.CodeStatement.Declaration;
import raftcart.sql.tree.CodeStatement.Expected;
import raftcart.sql.tree.CodeStatement.Rescue;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.TypeName;

/** Reads the statements of PL/pgSQL ("PL/pgSQL - SQL Procedural Language", PostgreSQL). */
final class PlCodeParser {
    private final Parsing parsing;
    private final TokenCursor cursor;
    private final ChoiceParser choices;

    PlCodeParser(Parsing parsing) {
        this.parsing = parsing;
        this.cursor = parsing.cursor;
        this.choices = new ChoiceParser(parsing, this::statements, "ELSIF", "ELSEIF");
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

    /** The name of a type; that of a column is kept with its sign, as in {@code star.mag%type}. */
    static TypeName type(Parsing parsing) {
        TokenCursor cursor = parsing.cursor;
        int mark = cursor.mark();
        if (cursor.peek().isName()) {
            QualifiedName name = parsing.qualifiedName();
            if (cursor.takeSymbol("%")) {
                if (!cursor.takeWords("TYPE")) {
                    throw cursor.byHand("a variable of the type of a row");
                }
                return TypeName.of(
                        String.join(".", name.parts().stream().map(Name::text).toList()) + "%type");
            }
        }
        cursor.reset(mark);
        return TypeNameParser.parse(cursor);
    }

    private Optional<Name> label() {
        if (!cursor.takeSymbol("<<")) {
            return Optional.empty();
        }
        Name name = parsing.name();
        cursor.expectSymbol(">>");
        return Optional.of(name);
    }

    private List<Statement> statements(String... ends) {
        List<Statement> all = new ArrayList<>();
        while (!cursor.peek().isAnyWord(ends)) {
            if (cursor.atEnd()) {
                throw cursor.unexpected(String.join(" or ", ends));
            }
            all.add(parsing.nested(this::statement));
            cursor.expectSymbol(";");
        }
        return all;
    }

    private Statement statement() {
        Optional<Name> label = label();
        Token token = cursor.peek();
        Span span = token.span();
        String word = token.kind() == TokenKind.WORD ? token.value().toUpperCase(Locale.ROOT) : "";
        return switch (word) {
            case "BEGIN", "DECLARE" -> block(label, span);
            case "IF" -> choices.choice(span);
            case "CASE" -> choices.caseOf(span);
            case "LOOP", "WHILE" -> loop(label, span);
            case "FOR" -> forLoop(label, span);
            case "EXIT", "CONTINUE" -> jump(span);
            case "RETURN" -> returned(span);
            case "NULL" -> {
                cursor.take();
                yield new CodeStatement.Nothing(span);
            }
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

    private Statement block(Optional<Name> label, Span span) {
        List<Declaration> declarations = new ArrayList<>();
        while (cursor.takeWords("DECLARE")) {
            while (!cursor.peek().isAnyWord("BEGIN", "DECLARE")) {
                declarations.add(declaration());
                cursor.expectSymbol(";");
            }
        }
        cursor.expectWords("BEGIN");
        List<Statement> body = statements("END", "EXCEPTION");
        List<Rescue> rescues = new ArrayList<>();
        if (cursor.takeWords("EXCEPTION")) {
            while (cursor.takeWords("WHEN")) {
                rescues.add(rescue());
            }
        }
        cursor.expectWords("END");
        if (cursor.peek().isName()) {
            parsing.name();
        }
        return new CodeStatement.Block(label, declarations, List.of(), body, rescues, span);
    }

    private Declaration declaration() {
        Span span = cursor.peek().span();
        Name name = parsing.name();
        if (cursor.peek().isWord("ALIAS")) {
            throw cursor.byHand("another name for a parameter");
        }
        if (cursor.peek().isAnyWord("CURSOR", "SCROLL", "REFCURSOR")
                || cursor.peek().isWord("NO") && cursor.peek(1).isWord("SCROLL")) {
            throw cursor.byHand("a cursor");
        }
        boolean constant = cursor.takeWords("CONSTANT");
        TypeName type = type(parsing);
        if (cursor.takeWords("NOT", "NULL")) {
            throw cursor.byHand("a variable that takes no NULL");
        }
        boolean given = cursor.takeWords("DEFAULT") || cursor.takeSymbol(":=") || cursor.takeSymbol("=");
        Optional<Expr> initial = given ? Optional.of(parsing.expressions.expression()) : Optional.empty();
        return new Declaration.Variable(name, type, initial, constant, span);
    }

    private Rescue rescue() {
        List<Condition> conditions = new ArrayList<>();
        do {
            if (cursor.takeWords("SQLSTATE")) {
                conditions.add(new Condition(Condition.Kind.STATE, parsing.string()));
            } else if (cursor.takeWords("OTHERS")) {
                conditions.add(new Condition(Condition.Kind.ERROR, ""));
            } else {
                conditions.add(new Condition(Condition.Kind.NAME, parsing.name().key()));
            }
        } while (cursor.takeWords("OR"));
        cursor.expectWords("THEN");
        return new Rescue(conditions, statements("WHEN", "END"));
    }

    private Statement loop(Optional<Name> label, Span span) {
        Optional<Expr> before =
                cursor.takeWords("WHILE") ? Optional.of(parsing.expressions.expression()) : Optional.empty();
        return new CodeStatement.Loop(label, before, Optional.empty(), rounds(), span);
    }

    private List<Statement> rounds() {
        cursor.expectWords("LOOP");
        List<Statement> body = statements("END");
        cursor.expectWords("END", "LOOP");
        if (cursor.peek().isName()) {
            parsing.name();
        }
        return body;
    }

    private Statement forLoop(Optional<Name> label, Span span) {
        cursor.take();
        Name variable = parsing.name();
        cursor.expectWords("IN");
        boolean query = cursor.peek().isAnyWord("SELECT", "WITH", "VALUES")
                || cursor.peek().isSymbol("(") && cursor.peek(1).isAnyWord("SELECT", "WITH");
        if (query) {
            Query rows = parsing.queries.query();
            return new CodeStatement.ForRows(
                    label, variable, Optional.of(rows), Optional.empty(), List.of(), rounds(), span);
        }
        if (cursor.peek().isWord("EXECUTE")) {
            throw cursor.byHand("a loop over the rows of a computed statement");
        }
        boolean reverse = cursor.takeWords("REVERSE");
        Expr from = parsing.expressions.expression();
        cursor.expectSymbol("..");
        Expr to = parsing.expressions.expression();
        if (cursor.peek().isWord("BY")) {
            throw cursor.byHand("a loop with steps");
        }
        return new CodeStatement.ForRange(
                label, variable, reverse, reverse ? to : from, reverse ? from : to, rounds(), span);
    }

    private Statement jump(Span span) {
        boolean again = cursor.take().isWord("CONTINUE");
        Optional<Name> label = cursor.peek().isName() && !cursor.peek().isWord("WHEN")
                ? Optional.of(parsing.name())
                : Optional.empty();
        Optional<Expr> when =
                cursor.takeWords("WHEN") ? Optional.of(parsing.expressions.expression()) : Optional.empty();
        return new CodeStatement.Jump(again, label, when, span);
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
