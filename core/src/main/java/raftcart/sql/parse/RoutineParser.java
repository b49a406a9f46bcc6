package raftcart.sql.parse;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import raftcart.error.SqlSyntaxException;
import raftcart.sql.Span;
import raftcart.sql.TokenCursor;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Access;
import raftcart.sql.tree.CodeStatement.Event;
import raftcart.sql.tree.CodeStatement.Mode;
import raftcart.sql.tree.CodeStatement.Parameter;
import raftcart.sql.tree.CodeStatement.Timing;
import raftcart.sql.tree.CodeStatement.Traits;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
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
        int mark = cursor.mark();
        String kind = parsing.word().toLowerCase(Locale.ROOT);
        try {
            cursor.take();
            cursor.takeWords("IF", "NOT", "EXISTS");
            Statement read = kind.equals("trigger") ? trigger(replace, span) : routine(replace, kind, span);
            cursor.takeSymbol(";");
            if (!cursor.atEnd()) {
                throw cursor.unexpected("the end of the " + kind);
            }
            return read;
        } catch (SqlSyntaxException e) {
            cursor.reset(mark);
            while (!cursor.atEnd()) {
                cursor.take(); // the text was cut at the end of the routine
            }
            return RoutineHeads.left(kind, e, span);
        }
    }

    private Statement routine(boolean replace, String kind, Span span) {
        QualifiedName name = parsing.qualifiedName();
        List<Parameter> parameters = heads.parameters(this::parameter);
        Optional<TypeName> returns = Optional.empty();
        if (kind.equals("function")) {
            cursor.expectWords("RETURNS");
            returns = Optional.of(type());
        }
        Traits traits = traits();
        Statement body = new PsmParser(parsing).body();
        return new CodeStatement.CreateRoutine(name, replace, parameters, returns, List.of(), traits, body, span);
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

    private Traits traits() {
        boolean deterministic = false;
        Access access = Access.UNSAID;
        boolean definer = true; // unless it says otherwise
        Optional<String> comment = Optional.empty();
        while (true) {
            if (cursor.takeWords("NOT", "DETERMINISTIC")) {
                deterministic = false;
            } else if (cursor.takeWords("DETERMINISTIC")) {
                deterministic = true;
            } else if (cursor.takeWords("CONTAINS", "SQL") || cursor.takeWords("LANGUAGE", "SQL")) {
                continue;
            } else if (cursor.takeWords("NO", "SQL")) {
                access = Access.NONE;
            } else if (cursor.takeWords("READS", "SQL", "DATA")) {
                access = Access.READS;
            } else if (cursor.takeWords("MODIFIES", "SQL", "DATA")) {
                access = Access.CHANGES;
            } else if (cursor.takeWords("SQL", "SECURITY")) {
                definer = cursor.takeWords("DEFINER");
                if (!definer) {
                    cursor.expectWords("INVOKER");
                }
            } else if (cursor.takeWords("COMMENT")) {
                comment = Optional.of(parsing.string());
            } else {
                return new Traits(deterministic, access, definer, false, comment);
            }
        }
    }

    private Statement trigger(boolean replace, Span span) {
        QualifiedName name = parsing.qualifiedName();
        Timing timing = cursor.takeWords("BEFORE") ? Timing.BEFORE : Timing.AFTER;
        if (timing == Timing.AFTER) {
            cursor.expectWords("AFTER");
        }
        List<Event> events = heads.events(false);
        cursor.expectWords("ON");
        QualifiedName table = parsing.qualifiedName();
        cursor.expectWords("FOR", "EACH", "ROW");
        boolean precedes = cursor.takeWords("PRECEDES");
        Optional<Name> other = precedes || cursor.takeWords("FOLLOWS") ? Optional.of(parsing.name()) : Optional.empty();
        Statement body = new PsmParser(parsing).body();
        return new CodeStatement.CreateTrigger(
                name, replace, timing, events, table, true, Optional.empty(), other, precedes, false, body, span);
    }
}
