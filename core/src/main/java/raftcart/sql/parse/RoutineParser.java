package raftcart.sql.parse;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import raftcart.sql.Span;
import raftcart.sql.TokenCursor;
import raftcart.sql.tree.CodeStatement;
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
 * Reads functions, procedures and triggers whose bodies are SQL/PSM ("CREATE FUNCTION", "CREATE PROCEDURE", "CREATE TRIGGER",
 * MariaDB). One whose body cannot be read is left to a person as a whole, for the reason and at the place where reading ended.
 */
final class RoutineParser {
    private final Parsing parsing;
    private final TokenCursor cursor;
    private final RoutineHeads heads;

    RoutineParser(Parsing parsing) {
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
        cursor.takeSymbol("@"); // as clients have it where semicolons stand inside
        RoutineHeads.end(cursor, kind);
        return read;
    }

    private boolean columnsFirst() {
        return parsing.has(GrammarFeature.COLUMNS_HIDE_VARIABLES);
    }

    private Statement routine(boolean replace, String kind, Span span) {
        QualifiedName name = parsing.qualifiedName();
        List<Parameter> parameters = heads.parameters(this::parameter);
        Optional<TypeName> returns = Optional.empty();
        if (kind.equals("function")) {
            cursor.expectWords("RETURNS");
            if (cursor.peek().isWord("TABLE")) {
                throw cursor.byHand("a function that gives rows");
            }
            returns = Optional.of(type());
        }
        RoutineTraits traits = traits();
        if (parsing.has(GrammarFeature.COLON_VARIABLES)) {
            ColonVariables variables = new ColonVariables();
            List<Parameter> named = variables.named(parameters);
            Statement body = variables.named(whole(variables.rest(parsing)));
            return new CodeStatement.CreateRoutine(name, replace, named, returns, List.of(), traits, body, span);
        }
        Statement body = new PsmParser(parsing).body();
        return new CodeStatement.CreateRoutine(name, replace, parameters, returns, List.of(), traits, body, span);
    }

    /** The body that is the rest of a text. */
    private static Statement whole(Parsing inner) {
        Statement body =
                inner.cursor.peek().isSymbol("(") ? new PsmParser(inner).enclosed() : new PsmParser(inner).body();
        inner.cursor.takeSymbol(";");
        if (!inner.cursor.atEnd()) {
            throw inner.cursor.unexpected("the end");
        }
        return body;
    }

    private Parameter parameter() {
        Mode mode = heads.mode();
        Name name = parsing.name();
        TypeName type = type();
        Optional<Expr> initial =
                cursor.takeWords("DEFAULT") ? Optional.of(parsing.expressions.expression()) : Optional.empty();
        return new Parameter(mode, name, type, initial);
    }

    /** A type with what is said of its letters, which belongs to tables. */
    TypeName type() {
        if (cursor.atWords("TYPE", "OF") || cursor.atWords("ROW")) {
            throw cursor.byHand("a variable of the type of a column or row");
        }
        TypeName type = TypeNameParser.parse(cursor);
        while (true) {
            if (cursor.takeWords("CHARACTER", "SET") || cursor.takeWords("CHARSET") || cursor.takeWords("COLLATE")) {
                cursor.take();
            } else {
                return type;
            }
        }
    }

    private RoutineTraits traits() {
        boolean deterministic = false;
        Access access = Access.UNSAID;
        boolean definer = true; // unless it says otherwise
        Optional<String> comment = Optional.empty();
        while (true) {
            if (cursor.takeWords("NOT", "DETERMINISTIC")) {
                deterministic = false;
            } else if (cursor.takeWords("DETERMINISTIC")) {
                deterministic = true;
            } else if (plain()) {
                continue;
            } else if (cursor.takeWords("NO", "SQL")) {
                access = Access.NONE;
            } else if (cursor.takeWords("READS", "SQL", "DATA")) {
                access = Access.READS;
            } else if (cursor.takeWords("MODIFIES", "SQL", "DATA")) {
                access = Access.CHANGES;
            } else if (cursor.takeWords("SQL", "SECURITY")) {
                definer = cursor.takeAny("DEFINER", "CREATOR", "OWNER");
                if (!definer) {
                    cursor.expectWords("INVOKER");
                }
            } else if (cursor.takeWords("COMMENT")) {
                comment = Optional.of(parsing.string());
            } else {
                return new RoutineTraits(deterministic, access, definer, columnsFirst(), comment);
            }
        }
    }

    /** What says nothing of the meaning ("SQL-invoked routine", ISO 9075-2). */
    private boolean plain() {
        if (cursor.atWords("LANGUAGE") && !cursor.peek(1).isWord("SQL")
                || cursor.peek().isWord("EXTERNAL") && cursor.peek(1).isWord("NAME")) {
            throw cursor.byHand("code in another language");
        }
        if (cursor.peek().isAnyWord("AUTONOMOUS") || cursor.atWords("RETURNS", "NULL")) {
            throw cursor.byHand("a routine that is " + parsing.word());
        }
        if (cursor.takeWords("SPECIFIC")) {
            parsing.qualifiedName();
            return true;
        }
        if (cursor.takeWords("DYNAMIC", "RESULT", "SETS")
                || cursor.takeWords("RESULT", "SETS")
                || cursor.takeWords("INLINE", "TYPE")) {
            cursor.take();
            return true;
        }
        return cursor.takeWords("CONTAINS", "SQL")
                || cursor.takeWords("LANGUAGE", "SQL")
                || cursor.takeWords("CALLED", "ON", "NULL", "INPUT")
                || cursor.takeWords("NO", "EXTERNAL", "ACTION")
                || cursor.takeWords("EXTERNAL", "ACTION")
                || cursor.takeWords("INHERIT", "SPECIAL", "REGISTERS")
                || cursor.takeWords("OLD", "SAVEPOINT", "LEVEL")
                || cursor.takeWords("NEW", "SAVEPOINT", "LEVEL")
                || cursor.takeWords("COMMIT", "ON", "RETURN", "NO")
                || cursor.takeWords("STATIC", "DISPATCH")
                || cursor.takeWords("COLLATION", "INVOKER");
    }

    private Statement trigger(boolean replace, Span span) {
        QualifiedName name = parsing.qualifiedName();
        if (cursor.takeWords("DISABLED")) {
            throw cursor.byHand("a trigger that is switched off");
        }
        cursor.takeWords("ENABLED");
        cursor.takeWords("NO", "CASCADE");
        Timing timing = heads.timing();
        List<Event> events = heads.events(true);
        cursor.expectWords("ON");
        QualifiedName table = parsing.qualifiedName();
        TriggerRows rows = new TriggerRows(parsing);
        rows.referencing();
        if (!cursor.takeWords("FOR", "EACH", "ROW")) {
            throw cursor.byHand("a trigger for each statement");
        }
        cursor.takeWords("MODE", "DB2SQL");
        boolean precedes = cursor.takeWords("PRECEDES");
        Optional<Name> other = precedes || cursor.takeWords("FOLLOWS") ? Optional.of(parsing.name()) : Optional.empty();
        Parsing inner = rows.rest();
        Optional<Expr> when = Optional.empty();
        if (inner.cursor.takeWords("WHEN")) {
            inner.cursor.expectSymbol("(");
            when = Optional.of(inner.expressions.expression());
            inner.cursor.expectSymbol(")");
        }
        Statement body = whole(inner);
        return new CodeStatement.CreateTrigger(
                name,
                replace,
                timing,
                events,
                table,
                true,
                Optional.empty(),
                when,
                other,
                precedes,
                columnsFirst(),
                body,
                span);
    }
}
