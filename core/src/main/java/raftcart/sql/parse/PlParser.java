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
import raftcart.sql.tree.CodeStatement.Parameter;
import raftcart.sql.tree.CodeStatement.Rescue;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.Statement;

/**
 * Reads what the languages of Oracle and PostgreSQL have alike: blocks with their exceptions, choices, and loops ("Control
 * Statements", PL/SQL; "Control Structures", PL/pgSQL).
 */
abstract class PlParser {
    final Parsing parsing;
    final TokenCursor cursor;
    private final ChoiceParser choices;
    private final PassedStatement passed;

    PlParser(Parsing parsing) {
        this.parsing = parsing;
        this.cursor = parsing.cursor;
        this.choices = new ChoiceParser(parsing, this::statements, "ELSIF", "ELSEIF");
        this.passed = new PassedStatement(parsing.cursor, "BEGIN", "IF");
    }

    /** Something that a block declares, or several, without the semicolon. */
    abstract List<Declaration> declaration();

    /** A condition that a block handles, or several by one name. */
    abstract List<Condition> conditions();

    /** A block of what was read. */
    abstract CodeStatement.Block block(
            Optional<Name> label,
            List<Declaration> declarations,
            List<Statement> body,
            List<Rescue> rescues,
            Span span);

    /** A statement that the other language has not, or has otherwise. */
    abstract Statement own(String word, Span span);

    final Optional<Name> label() {
        if (!cursor.takeSymbol("<<")) {
            return Optional.empty();
        }
        Name name = parsing.name();
        cursor.expectSymbol(">>");
        return Optional.of(name);
    }

    final List<Statement> statements(String... ends) {
        List<Statement> all = new ArrayList<>();
        while (!cursor.peek().isAnyWord(ends)) {
            if (cursor.atEnd()) {
                throw cursor.unexpected(String.join(" or ", ends));
            }
            mark().ifPresent(all::add);
            all.add(passed.unless(() -> parsing.nested(this::statement)));
            cursor.expectSymbol(";");
        }
        return all;
    }

    /** The mark that the label of the statement at the cursor is, where a language has GOTO. */
    private Optional<Statement> mark() {
        int start = cursor.mark();
        Span span = cursor.peek().span();
        Optional<Statement> mark = hasGoto() ? label().map(l -> new CodeStatement.Mark(l, span)) : Optional.empty();
        cursor.reset(start);
        return mark;
    }

    /** True for a language that has GOTO. */
    abstract boolean hasGoto();

    private Statement statement() {
        Optional<Name> label = label();
        Token token = cursor.peek();
        Span span = token.span();
        String word = token.kind() == TokenKind.WORD ? token.value().toUpperCase(Locale.ROOT) : "";
        if (label.isPresent() && word.equals("FOREACH")) {
            throw cursor.byHand("FOREACH with a label");
        }
        return switch (word) {
            case "BEGIN", "DECLARE" -> block(label, span);
            case "IF" -> choices.choice(span);
            case "CASE" -> choices.caseOf(span);
            case "LOOP", "WHILE" -> loop(label, span);
            case "FOR" -> forLoop(label, span);
            case "EXIT", "CONTINUE" -> jump(span);
            case "NULL" -> {
                cursor.take();
                yield new CodeStatement.Nothing(span);
            }
            default -> own(word, span);
        };
    }

    final CodeStatement.Block block(Optional<Name> label, Span span) {
        List<Declaration> declarations = new ArrayList<>();
        while (cursor.takeWords("DECLARE")) {
            declarations.addAll(declarations());
        }
        return block(label, declarations, span);
    }

    /** Declarations up to the word that begins the statements. */
    final List<Declaration> declarations() {
        List<Declaration> all = new ArrayList<>();
        while (!cursor.peek().isAnyWord("BEGIN", "DECLARE")) {
            all.addAll(declaration());
            cursor.expectSymbol(";");
        }
        return all;
    }

    final CodeStatement.Block block(Optional<Name> label, List<Declaration> declarations, Span span) {
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
        return block(label, declarations, body, rescues, span);
    }

    private Rescue rescue() {
        List<Condition> conditions = new ArrayList<>();
        do {
            conditions.addAll(conditions());
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
        boolean parenthesised = cursor.peek().isSymbol("(") && cursor.peek(1).isAnyWord("SELECT", "WITH");
        if (parenthesised || cursor.peek().isAnyWord("SELECT", "WITH", "VALUES")) {
            Parsing inner = parsing.before("LOOP"); // which would be an alias there
            Query rows = inner.queries.query();
            if (!inner.cursor.atEnd()) {
                throw inner.cursor.unexpected("LOOP");
            }
            return new CodeStatement.ForRows(
                    label, variable, Optional.of(rows), Optional.empty(), List.of(), rounds(), span);
        }
        if (cursor.peek().isWord("EXECUTE")) {
            cursor.take();
            Expr text = parsing.expressions.expression();
            List<Expr> values = cursor.takeWords("USING") ? parsing.expressions.list() : List.of();
            return new CodeStatement.ForText(label, variable, text, values, rounds(), span);
        }
        boolean named = cursor.peek().isName()
                && (cursor.peek(1).isWord("LOOP")
                        || cursor.peek(1).isSymbol("(")
                                && cursor.peek(cursor.closing(1) + 1).isWord("LOOP"));
        if (named) {
            Name rows = parsing.name();
            List<Expr> given = arguments();
            return new CodeStatement.ForRows(
                    label, variable, Optional.empty(), Optional.of(rows), given, rounds(), span);
        }
        boolean reverse = cursor.takeWords("REVERSE");
        Expr from = parsing.expressions.expression();
        cursor.expectSymbol("..");
        Expr to = parsing.expressions.expression();
        Optional<Expr> step = cursor.takeWords("BY") ? Optional.of(parsing.expressions.expression()) : Optional.empty();
        boolean swapped = reverse && countsDownFromFirst();
        return new CodeStatement.ForRange(
                label, variable, reverse, swapped ? to : from, swapped ? from : to, step, rounds(), span);
    }

    /** True where the first of two bounds is the greater one if a loop counts down. */
    abstract boolean countsDownFromFirst();

    /** Arguments in parentheses, if any. */
    final List<Expr> arguments() {
        if (!cursor.takeSymbol("(") || cursor.takeSymbol(")")) {
            return List.of();
        }
        List<Expr> given = parsing.expressions.list();
        cursor.expectSymbol(")");
        return given;
    }

    /** The parameters of a cursor, each of which goes in. */
    final List<Parameter> cursorParameters() {
        if (!cursor.takeSymbol("(")) {
            return List.of();
        }
        List<Parameter> all = parsing.list(() -> {
            Name name = parsing.name();
            cursor.takeWords("IN");
            return new Parameter(CodeStatement.Mode.IN, name, AnchoredTypes.read(parsing), initial());
        });
        cursor.expectSymbol(")");
        return all;
    }

    /** The value that something has to begin with. */
    final Optional<Expr> initial() {
        boolean given = cursor.takeWords("DEFAULT") || cursor.takeSymbol(":=") || cursor.takeSymbol("=");
        return given ? Optional.of(parsing.expressions.expression()) : Optional.empty();
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
}
