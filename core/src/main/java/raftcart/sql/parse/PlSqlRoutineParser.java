package raftcart.sql.parse;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import raftcart.sql.Span;
import raftcart.sql.TokenCursor;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Block;
import raftcart.sql.tree.CodeStatement.Event;
import raftcart.sql.tree.CodeStatement.Mode;
import raftcart.sql.tree.CodeStatement.Parameter;
import raftcart.sql.tree.CodeStatement.Timing;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.RoutineTraits;
import raftcart.sql.tree.RoutineTraits.Access;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.TypeName;

/**
 * Reads functions, procedures and triggers whose bodies are PL/SQL ("CREATE FUNCTION", "CREATE PROCEDURE", "CREATE TRIGGER",
 * Oracle). One whose body cannot be read is left to a person as a whole, for the reason and at the place where reading ended.
 */
final class PlSqlRoutineParser {
    private final Parsing parsing;
    private final TokenCursor cursor;
    private final RoutineHeads heads;
    private boolean deterministic;
    private boolean definer = true; // unless it says otherwise
    private Access access = Access.UNSAID;
    private Optional<String> comment = Optional.empty();

    PlSqlRoutineParser(Parsing parsing) {
        this.parsing = parsing;
        this.cursor = parsing.cursor;
        this.heads = new RoutineHeads(parsing);
    }

    /** Reads from the word for the kind of object on. */
    Statement create(boolean replace, Span span) {
        String kind = parsing.word().toLowerCase(Locale.ROOT);
        return RoutineHeads.whole(cursor, kind, () -> read(replace, kind, span), span);
    }

    private Statement read(boolean replace, String kind, Span span) {
        cursor.take();
        cursor.takeWords("IF", "NOT", "EXISTS");
        Statement read = kind.equals("trigger") ? trigger(replace, span) : routine(replace, kind, span);
        RoutineHeads.end(cursor, kind);
        return read;
    }

    /** A block that has no name and runs at once, from its first word on. */
    Statement block(Span span) {
        return RoutineHeads.whole(cursor, "block of code", () -> run(span), span);
    }

    private Statement run(Span span) {
        PlSqlDeclarations declarations = new PlSqlDeclarations(parsing, "");
        PlSqlParser code = new PlSqlParser(parsing, declarations);
        cursor.takeWords("DECLARE");
        Block body = code.body(Optional.empty(), span);
        RoutineHeads.end(cursor, "block");
        return new CodeStatement.RunBlock(body, span);
    }

    private Statement routine(boolean replace, String kind, Span span) {
        QualifiedName name = parsing.qualifiedName();
        PlSqlDeclarations declarations =
                new PlSqlDeclarations(parsing, name.last().text());
        return routine(name, replace, kind, declarations, span).orElseThrow(() -> cursor.unexpected("IS"));
    }

    /** A routine of a package, from its kind on without the semicolon; nothing where only its head is said. */
    Optional<CodeStatement.CreateRoutine> inPackage(
            QualifiedName of, boolean definersRights, PlSqlDeclarations declarations) {
        Span span = cursor.peek().span();
        String kind = cursor.take().value().toLowerCase(Locale.ROOT);
        definer = definersRights;
        QualifiedName name = new QualifiedName(List.of(of.last(), parsing.name()));
        return routine(name, true, kind, declarations, span);
    }

    private Optional<CodeStatement.CreateRoutine> routine(
            QualifiedName name, boolean replace, String kind, PlSqlDeclarations declarations, Span span) {
        PlSqlParser code = new PlSqlParser(parsing, declarations);
        List<Parameter> parameters =
                cursor.peek().isSymbol("(") ? heads.parameters(() -> parameter(declarations, code)) : List.of();
        Optional<TypeName> returns = Optional.empty();
        if (kind.equals("function")) {
            cursor.expectWords("RETURN");
            returns = Optional.of(declarations.type());
        }
        while (trait()) {
            continue;
        }
        if (cursor.peek().isSymbol(";")) {
            return Optional.empty();
        }
        if (!cursor.takeAny("IS", "AS")) {
            throw cursor.unexpected("IS");
        }
        if (cursor.peek().isAnyWord("LANGUAGE", "EXTERNAL")) {
            throw cursor.byHand("code in another language");
        }
        Block body = code.body(Optional.empty(), cursor.peek().span());
        RoutineTraits traits = new RoutineTraits(deterministic, access, definer, true, comment);
        return Optional.of(
                new CodeStatement.CreateRoutine(name, replace, parameters, returns, List.of(), traits, body, span));
    }

    /** With whose rights code runs; with those of its owner unless it says otherwise. */
    static boolean definer(TokenCursor cursor) {
        boolean said = cursor.takeWords("AUTHID") || cursor.takeWords("SQL", "SECURITY");
        if (!said || cursor.takeWords("DEFINER")) {
            return true;
        }
        if (!cursor.takeAny("CURRENT_USER", "INVOKER")) {
            throw cursor.unexpected("DEFINER or the rights of the caller");
        }
        return false;
    }

    private Parameter parameter(PlSqlDeclarations declarations, PlSqlParser code) {
        Name name = parsing.name();
        Mode mode = Mode.IN;
        if (cursor.takeWords("IN", "OUT") || cursor.takeWords("INOUT")) {
            mode = Mode.INOUT;
        } else if (cursor.takeWords("OUT")) {
            mode = Mode.OUT;
        } else {
            cursor.takeWords("IN");
        }
        cursor.takeWords("NOCOPY");
        TypeName type = declarations.type();
        if (type.name().endsWith(TypeName.OF_ROW)) {
            throw cursor.byHand("a parameter of the type of a row");
        }
        return new Parameter(mode, name, type, code.initial());
    }

    /** One of the things that a routine says of itself, in any order. */
    private boolean trait() {
        if (cursor.takeWords("DETERMINISTIC")) {
            deterministic = true;
        } else if (cursor.peek().isWord("AUTHID") || cursor.atWords("SQL", "SECURITY")) {
            definer = definer(cursor);
        } else if (cursor.takeWords("COMMENT")) {
            comment = Optional.of(parsing.string());
        } else if (cursor.takeWords("READS", "SQL", "DATA")) {
            access = Access.READS;
        } else if (cursor.takeWords("NO", "SQL")) {
            access = Access.NONE;
        } else {
            return plain();
        }
        return true;
    }

    /** What says nothing of the meaning. */
    private boolean plain() {
        if (cursor.peek().isAnyWord("PIPELINED", "AGGREGATE")) {
            throw cursor.byHand("a function that is " + parsing.word());
        }
        if (cursor.takeWords("PARALLEL_ENABLE") || cursor.takeWords("RESULT_CACHE")) {
            if (cursor.peek().isSymbol("(")) {
                parsing.skipParentheses();
            }
            return true;
        }
        return cursor.takeWords("NOT", "DETERMINISTIC")
                || cursor.takeWords("CONTAINS", "SQL")
                || cursor.takeWords("MODIFIES", "SQL", "DATA");
    }

    private Statement trigger(boolean replace, Span span) {
        QualifiedName name = parsing.qualifiedName();
        Timing timing = cursor.takeWords("BEFORE")
                ? Timing.BEFORE
                : cursor.takeWords("INSTEAD", "OF") ? Timing.INSTEAD : Timing.AFTER;
        if (timing == Timing.AFTER) {
            if (cursor.peek().isWord("FOR")) {
                throw cursor.byHand("a trigger of several moments");
            }
            cursor.expectWords("AFTER");
        }
        List<Event> events = heads.events(true);
        cursor.expectWords("ON");
        QualifiedName table = parsing.qualifiedName();
        TriggerRows rows = new TriggerRows(parsing);
        rows.referencing();
        boolean eachRow = cursor.takeWords("FOR", "EACH", "ROW") || timing == Timing.INSTEAD;
        Optional<Name> follows = cursor.takeWords("FOLLOWS") ? Optional.of(parsing.name()) : Optional.empty();
        if (cursor.takeWords("DISABLE")) {
            throw cursor.byHand("a trigger that is switched off");
        }
        cursor.takeWords("ENABLE");
        Parsing inner = rows.rest();
        Optional<Expr> when = Optional.empty();
        if (inner.cursor.takeWords("WHEN")) {
            inner.cursor.expectSymbol("(");
            when = Optional.of(inner.expressions.expression());
            inner.cursor.expectSymbol(")");
        }
        Block body = body(inner, name);
        return new CodeStatement.CreateTrigger(
                name,
                replace,
                timing,
                events,
                table,
                eachRow,
                Optional.empty(),
                when,
                follows,
                false,
                true,
                FiringEvents.asked(body, cursor),
                span);
    }

    private Block body(Parsing inner, QualifiedName name) {
        Optional<Name> label = Optional.empty();
        if (inner.cursor.takeSymbol("<<")) {
            label = Optional.of(inner.name());
            inner.cursor.expectSymbol(">>");
        }
        if (inner.cursor.peek().isAnyWord("CALL", "COMPOUND", "FOLLOWS")) {
            throw inner.cursor.byHand("a trigger with " + inner.word());
        }
        inner.cursor.takeWords("DECLARE");
        PlSqlDeclarations declarations =
                new PlSqlDeclarations(inner, name.last().text());
        Block body = new PlSqlParser(inner, declarations)
                .body(label, inner.cursor.peek().span());
        inner.cursor.takeSymbol(";");
        if (!inner.cursor.atEnd()) {
            throw inner.cursor.unexpected("the end of the trigger");
        }
        return body;
    }
}
