package raftcart.sql.parse;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Supplier;
import raftcart.error.SqlSyntaxException;
import raftcart.sql.Span;
import raftcart.sql.TokenCursor;
import raftcart.sql.tree.CodeStatement.Event;
import raftcart.sql.tree.CodeStatement.Mode;
import raftcart.sql.tree.CodeStatement.Parameter;
import raftcart.sql.tree.CodeStatement.Timing;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.Statement;

/** What routines and triggers begin with in the engines' languages alike. */
final class RoutineHeads {
    private final Parsing parsing;
    private final TokenCursor cursor;

    RoutineHeads(Parsing parsing) {
        this.parsing = parsing;
        this.cursor = parsing.cursor;
    }

    /** Parameters in their parentheses. */
    List<Parameter> parameters(Supplier<Parameter> parameter) {
        cursor.expectSymbol("(");
        if (cursor.takeSymbol(")")) {
            return List.of();
        }
        List<Parameter> parameters = parsing.list(parameter);
        cursor.expectSymbol(")");
        return parameters;
    }

    /** The way of a parameter, which goes in where it is not said. */
    Mode mode() {
        if (cursor.takeWords("INOUT")) {
            return Mode.INOUT;
        }
        if (cursor.takeWords("OUT")) {
            return Mode.OUT;
        }
        cursor.takeWords("IN");
        return Mode.IN;
    }

    /** When a trigger fires. */
    Timing timing() {
        if (cursor.takeWords("BEFORE")) {
            return Timing.BEFORE;
        }
        if (cursor.takeWords("INSTEAD", "OF")) {
            return Timing.INSTEAD;
        }
        cursor.expectWords("AFTER");
        return Timing.AFTER;
    }

    /** The changes that a trigger is about. */
    List<Event> events(boolean ofColumns) {
        List<Event> events = new ArrayList<>();
        do {
            Event.Kind kind = event();
            boolean columns = ofColumns && cursor.takeWords("OF");
            events.add(new Event(kind, columns ? columns() : List.of()));
        } while (cursor.takeWords("OR"));
        return events;
    }

    private List<Name> columns() {
        boolean enclosed = cursor.takeSymbol("(");
        List<Name> columns = parsing.list(parsing::name);
        if (enclosed) {
            cursor.expectSymbol(")");
        }
        return columns;
    }

    private Event.Kind event() {
        for (Event.Kind kind : Event.Kind.values()) {
            if (cursor.takeWords(kind.name())) {
                return kind;
            }
        }
        throw cursor.byHand("a trigger on " + parsing.word());
    }

    /**
     * What is read to its end or, for the reason and at the place where reading ended, left to a person as a whole. The text
     * was cut at the end of it.
     */
    static Statement whole(TokenCursor cursor, String kind, Supplier<Statement> reading, Span span) {
        try {
            return reading.get();
        } catch (SqlSyntaxException e) {
            StatementParser.skipRest(cursor);
            return left(kind, e, span);
        }
    }

    /** Refuses what stands behind the end. */
    static void end(TokenCursor cursor, String kind) {
        cursor.takeSymbol(";");
        if (!cursor.atEnd()) {
            throw cursor.unexpected("the end of the " + kind);
        }
    }

    /** What is left to a person as a whole, for the reason and at the place where reading ended. */
    static Statement left(String kind, SqlSyntaxException why, Span span) {
        Span place = new Span(span.start(), span.end(), why.line(), why.column());
        return new Statement.NotTranslated(kind + ": " + why.reason(), true, place);
    }
}
