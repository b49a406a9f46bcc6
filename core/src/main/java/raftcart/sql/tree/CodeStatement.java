package raftcart.sql.tree;

import java.util.List;
import java.util.Optional;
import raftcart.sql.Span;

/**
 * Routines and triggers, and the statements of which their bodies consist beside those that read or change rows: one tree for
 * all procedural languages (ISO 9075-4, SQL/PSM, has most of them; others are named where they stand).
 */
public sealed interface CodeStatement extends Statement {
    /** How a parameter passes its value. */
    enum Mode {
        IN,
        OUT,
        INOUT
    }

    /** A parameter of a routine. */
    record Parameter(Mode mode, Name name, TypeName type, Optional<Expr> initial) {}

    /**
     * A function, or a procedure where it returns nothing.
     *
     * @param replace true where one of the same name is replaced
     * @param rows the columns of the rows that a function gives; empty where it gives one value, or none
     */
    record CreateRoutine(
            QualifiedName name,
            boolean replace,
            List<Parameter> parameters,
            Optional<TypeName> returns,
            List<Parameter> rows,
            RoutineTraits traits,
            Statement body,
            Span span)
            implements CodeStatement {
        public CreateRoutine {
            parameters = List.copyOf(parameters);
            rows = List.copyOf(rows);
        }
    }

    /**
     * A package: variables and routines of which others see those that it shows.
     *
     * @param body false for what it shows
     * @param routines those that have a body here
     * @param shown the names of those that are only said to be there
     * @param first what is done before anything of it is used in a session
     */
    record CreatePackage(
            QualifiedName name,
            boolean replace,
            boolean body,
            List<Declaration> declarations,
            List<CreateRoutine> routines,
            List<Name> shown,
            Optional<Block> first,
            Span span)
            implements CodeStatement {
        public CreatePackage {
            declarations = List.copyOf(declarations);
            routines = List.copyOf(routines);
            shown = List.copyOf(shown);
        }
    }

    /**
     * What gives and takes the variables of a package that a session keeps.
     *
     * @param first what fills them
     */
    record SessionState(Name name, Block first, Span span) implements CodeStatement {}

    /** A block that runs where it stands, and is kept nowhere. */
    record RunBlock(Block body, Span span) implements CodeStatement {}

    /** What a trigger watches: one kind of change, of some columns where an UPDATE is meant that names them. */
    record Event(Kind kind, List<Name> columns) {
        /** Kinds of change. */
        public enum Kind {
            INSERT,
            UPDATE,
            DELETE
        }
    }

    /** When a trigger fires. */
    enum Timing {
        BEFORE,
        AFTER,
        INSTEAD
    }

    /** The names under which a trigger reads the rows of a statement before and after the change. */
    record ChangedRows(Name before, Name after) {}

    /**
     * A trigger with its body.
     *
     * @param eachRow true where it fires for each row, false for each statement
     * @param rows the rows of the statement as tables, where the trigger reads them so
     * @param follows the trigger after which it fires; before which if {@code precedes}
     * @param columnsFirst true where a name that could mean a column or a variable of the trigger means the column
     */
    record CreateTrigger(
            QualifiedName name,
            boolean replace,
            Timing timing,
            List<Event> events,
            QualifiedName table,
            boolean eachRow,
            Optional<ChangedRows> rows,
            Optional<Expr> when,
            Optional<Name> follows,
            boolean precedes,
            boolean columnsFirst,
            Statement body,
            Span span)
            implements CodeStatement {
        public CreateTrigger {
            events = List.copyOf(events);
        }
    }

    /** Something that a block declares. */
    sealed interface Declaration {
        /** What it is called. */
        Name name();

        /** A variable, or a constant. */
        record Variable(Name name, TypeName type, Optional<Expr> initial, boolean constant, Span span)
                implements Declaration {}

        /** A cursor over a query. */
        record Cursor(Name name, List<Parameter> parameters, Query query, Span span) implements Declaration {}

        /**
         * A row.
         *
         * @param of the table or cursor whose rows it is like; empty where its columns are said
         * @param fields the columns
         */
        record Row(Name name, Optional<QualifiedName> of, List<Parameter> fields, Span span) implements Declaration {
            public Row {
                fields = List.copyOf(fields);
            }
        }

        /** A name for a condition. */
        record NamedCondition(Name name, Condition condition) implements Declaration {}
    }

    /** What a handler handles: a kind of condition, or one by its state, number or name. */
    record Condition(Kind kind, String value) {
        /** Kinds of condition. */
        public enum Kind {
            /** Any error. */
            ERROR,
            NOT_FOUND,
            WARNING,
            /** By its SQLSTATE. */
            STATE,
            /** By the engine's own number. */
            NUMBER,
            /** By a name that was declared. */
            NAME
        }
    }

    /** What is done under some conditions; the statement after goes on unless the block is left. */
    record Handler(boolean leaves, List<Condition> conditions, Statement action, Span span) {
        public Handler {
            conditions = List.copyOf(conditions);
        }
    }

    /** What is done in the place of the rest of a block, whose changes are undone (PL/pgSQL, PL/SQL: EXCEPTION). */
    record Rescue(List<Condition> conditions, List<Statement> body) {
        public Rescue {
            conditions = List.copyOf(conditions);
            body = List.copyOf(body);
        }
    }

    /** Statements one after the other, with what they declare; handlers or rescues for what fails among them. */
    record Block(
            Optional<Name> label,
            List<Declaration> declarations,
            List<Handler> handlers,
            List<Statement> body,
            List<Rescue> rescues,
            Span span)
            implements CodeStatement {
        public Block {
            declarations = List.copyOf(declarations);
            handlers = List.copyOf(handlers);
            body = List.copyOf(body);
            rescues = List.copyOf(rescues);
        }

        /** Statements alone. */
        public static Block of(List<Statement> body, Span span) {
            return new Block(Optional.empty(), List.of(), List.of(), body, List.of(), span);
        }

        /** The same with other statements. */
        public Block withBody(List<Statement> other) {
            return new Block(label, declarations, handlers, other, rescues, span);
        }
    }

    /** A value for a variable, or for a column of the row that a trigger is about. */
    record Assign(Expr target, Expr value, Span span) implements CodeStatement {}

    /** A condition and what is done if it is true. */
    record Choice(Expr condition, List<Statement> body) {
        public Choice {
            body = List.copyOf(body);
        }
    }

    /** The first choice whose condition is true; otherwise the rest. */
    record If(List<Choice> choices, List<Statement> otherwise, Span span) implements CodeStatement {
        public If {
            choices = List.copyOf(choices);
            otherwise = List.copyOf(otherwise);
        }
    }

    /**
     * CASE as a statement, which fails where no choice holds and there is no ELSE.
     *
     * @param operand what the values of the choices are compared with; conditions where there is none
     */
    record CaseOf(Optional<Expr> operand, List<Choice> choices, Optional<List<Statement>> otherwise, Span span)
            implements CodeStatement {
        public CaseOf {
            choices = List.copyOf(choices);
        }

        /** The same with conditions, each of which asks for the operand again. */
        public CaseOf searched() {
            if (operand.isEmpty()) {
                return this;
            }
            List<Choice> conditions = choices.stream()
                    .map(c -> new Choice(
                            new Expr.Binary(
                                    BinaryOperator.EQUAL,
                                    operand.get(),
                                    c.condition(),
                                    c.condition().span()),
                            c.body()))
                    .toList();
            return new CaseOf(Optional.empty(), conditions, otherwise, span);
        }
    }

    /**
     * Statements again and again.
     *
     * @param before the condition on which each round begins; always where there is none
     * @param after the condition on which the loop ends after a round
     */
    record Loop(Optional<Name> label, Optional<Expr> before, Optional<Expr> after, List<Statement> body, Span span)
            implements CodeStatement {
        public Loop {
            body = List.copyOf(body);
        }
    }

    /**
     * Statements for each whole number of a range.
     *
     * @param step how far from one to the next; 1 where it is not said
     */
    record ForRange(
            Optional<Name> label,
            Name variable,
            boolean reverse,
            Expr from,
            Expr to,
            Optional<Expr> step,
            List<Statement> body,
            Span span)
            implements CodeStatement {
        public ForRange {
            body = List.copyOf(body);
        }
    }

    /** Statements for each row of a query, or of a cursor that is named with its arguments. */
    record ForRows(
            Optional<Name> label,
            Name row,
            Optional<Query> query,
            Optional<Name> cursor,
            List<Expr> arguments,
            List<Statement> body,
            Span span)
            implements CodeStatement {
        public ForRows {
            arguments = List.copyOf(arguments);
            body = List.copyOf(body);
        }
    }

    /** Statements for each row of a query that is put together as a text. */
    record ForText(Optional<Name> label, Name row, Expr text, List<Expr> values, List<Statement> body, Span span)
            implements CodeStatement {
        public ForText {
            values = List.copyOf(values);
            body = List.copyOf(body);
        }
    }

    /** Leaves a block or loop, or begins the next round of one; the innermost loop where none is named. */
    record Jump(boolean again, Optional<Name> label, Optional<Expr> when, Span span) implements CodeStatement {}

    /** A place to which the code may go. */
    record Mark(Name label, Span span) implements CodeStatement {}

    /** Goes on at a mark. */
    record Goto(Name label, Span span) implements CodeStatement {}

    /** The end of a routine. */
    record Return(Optional<Expr> value, Span span) implements CodeStatement {}

    /** How many rows a query may give whose values go into variables; fewer or more are an error. */
    enum Expected {
        /** The first of any number; NULL where there is none. */
        FIRST,
        /** The last of any number; none leaves the variables as they are (T-SQL). */
        LAST,
        /** One or none; none leaves the variables as they are (SQL/PSM). */
        AT_MOST_ONE,
        /** One. */
        EXACTLY_ONE
    }

    /** More rows for what a function gives; the statement after goes on. */
    record ReturnRows(Query query, Span span) implements CodeStatement {}

    /** Begins or ends to collect the rows that a routine gives one after the other; at the end they are given to the caller. */
    record CollectRows(Name table, List<Parameter> columns, boolean begins, Span span) implements CodeStatement {
        public CollectRows {
            columns = List.copyOf(columns);
        }
    }

    /** What is known of the error at hand, into variables: of each one of MESSAGE_TEXT and RETURNED_SQLSTATE. */
    record Diagnosis(List<Expr> targets, List<String> items, Span span) implements CodeStatement {
        public Diagnosis {
            targets = List.copyOf(targets);
            items = List.copyOf(items);
        }
    }

    /** The values of the row of a query into variables. */
    record SelectInto(Query query, List<Expr> targets, Expected expected, Span span) implements CodeStatement {
        public SelectInto {
            targets = List.copyOf(targets);
        }
    }

    /**
     * A change of which the values that it gives of its one row go into variables.
     *
     * @param strict true where no row is an error, too
     */
    record ChangeInto(Statement change, List<Expr> targets, boolean strict, Span span) implements CodeStatement {
        public ChangeInto {
            targets = List.copyOf(targets);
        }
    }

    /** Begins the name under which the text of a prepared statement is kept; no variable's name has a blank. */
    String PREPARED = "prepared ";

    /**
     * A statement that is put together as a text.
     *
     * @param targets the variables for the values of its one row
     * @param values what takes the places of its parameters
     * @param expected how many rows it may give, where it has targets
     */
    record Dynamic(Expr text, List<Expr> targets, List<Expr> values, Expected expected, Span span)
            implements CodeStatement {
        public Dynamic {
            targets = List.copyOf(targets);
            values = List.copyOf(values);
        }

        /** One that gives one row, or none at all. */
        public Dynamic(Expr text, List<Expr> targets, List<Expr> values, Span span) {
            this(text, targets, values, Expected.EXACTLY_ONE, span);
        }

        /** The same that may give another number of rows. */
        public Dynamic giving(Expected rows) {
            return new Dynamic(text, targets, values, rows, span);
        }

        /** The same with another text. */
        public Dynamic of(Expr other) {
            return new Dynamic(other, targets, values, expected, span);
        }

        /** The same with other targets. */
        public Dynamic into(List<Expr> others) {
            return new Dynamic(text, others, values, expected, span);
        }
    }

    /** More rows for what a function gives, of a query that is put together as a text. */
    record ReturnText(Expr text, List<Expr> values, Span span) implements CodeStatement {
        public ReturnText {
            values = List.copyOf(values);
        }
    }

    /**
     * Opens, or closes, a cursor.
     *
     * @param query what it goes through, where the cursor has no query of its own
     */
    record CursorStep(boolean opens, Name cursor, List<Expr> arguments, Optional<Query> query, Span span)
            implements CodeStatement {}

    /** The next row of a cursor into variables. */
    record Fetch(Name cursor, List<Expr> targets, Span span) implements CodeStatement {
        public Fetch {
            targets = List.copyOf(targets);
        }
    }

    /**
     * An error or warning made by the code.
     *
     * @param state its SQLSTATE, or the name of a condition; empty where the error at hand is passed on
     * @param message what it says
     * @param more what else it tells, by the names of these items, which another engine has no room for
     * @param goesOn true where the statements behind it are done, or the change that fired a trigger stays
     */
    record Signal(Optional<String> state, Optional<Expr> message, List<String> more, boolean goesOn, Span span)
            implements CodeStatement {
        public Signal {
            more = List.copyOf(more);
        }

        /** One that ends the routine. */
        public Signal(Optional<String> state, Optional<Expr> message, List<String> more, Span span) {
            this(state, message, more, false, span);
        }

        /** The same of which the routine does not end. */
        public Signal goingOn() {
            return new Signal(state, message, more, true, span);
        }
    }

    /** A value that is computed for what that does, and thrown away. */
    record Evaluate(Expr value, Span span) implements CodeStatement {}

    /** A text for whoever watches. */
    record Message(Expr text, Span span) implements CodeStatement {}

    /** The number of rows that the statement before changed. */
    record RowCount(Expr target, Span span) implements CodeStatement {}

    /** Nothing. */
    record Nothing(Span span) implements CodeStatement {}
}
