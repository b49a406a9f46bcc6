package raftcart.rewrite;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import raftcart.rewrite.Knowledge.KnownColumn;
import raftcart.sql.Span;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Condition;
import raftcart.sql.tree.CodeStatement.Declaration;
import raftcart.sql.tree.CodeStatement.Handler;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.TypeName;

/** What is known at a place of a routine: its variables, the handlers that are in force, and what had to be added to it. */
final class CodeFrame {
    /** What a routine is. */
    enum Kind {
        FUNCTION,
        PROCEDURE,
        /** A procedure that may become a function, as it has no parameters that give anything. */
        PERHAPS_OF_ROWS,
        TRIGGER;

        boolean isProcedure() {
            return this == PROCEDURE || this == PERHAPS_OF_ROWS;
        }
    }

    /** A handler and the block that it belongs to, under the label by which it is left. */
    record Active(Handler handler, Name block) {}

    final Kind kind;
    final Statement whole;
    final Optional<KnownColumn> result;
    private final Deque<Map<String, KnownColumn>> variables = new ArrayDeque<>();
    private final Map<String, Condition> conditions = new HashMap<>();
    private final Map<String, List<Scope.ColumnFacts>> cursors = new HashMap<>();
    private final Map<String, List<Scope.ColumnFacts>> held = new HashMap<>();
    private final Map<String, Query> queries = new HashMap<>();
    private final Map<String, Name> rowsAtHand = new HashMap<>();
    private final Deque<Active> notFound = new ArrayDeque<>();
    private final Deque<Active> continuing = new ArrayDeque<>();
    private final Deque<CodeStatement.Loop> loops = new ArrayDeque<>();
    private final List<Declaration> added = new ArrayList<>();
    private List<CodeStatement.Parameter> rows = List.of();
    private Optional<Name> called = Optional.empty();

    CodeFrame(Kind kind, Statement whole, Optional<KnownColumn> result) {
        this.kind = kind;
        this.whole = whole;
        this.result = result;
    }

    /** Says what the routine is called. */
    void calledAs(Name name) {
        called = Optional.of(name);
    }

    /** What the routine is called; empty for a block without a name. */
    Optional<Name> called() {
        return called;
    }

    void enter() {
        variables.push(new LinkedHashMap<>());
    }

    void leave() {
        variables.pop();
    }

    void declare(KnownColumn variable) {
        variables.peek().put(variable.name().text().toLowerCase(Locale.ROOT), variable);
    }

    /** The variables of the innermost block, as the columns of a table that its queries see. */
    Map<String, Scope.ColumnFacts> facts() {
        Map<String, Scope.ColumnFacts> facts = new LinkedHashMap<>();
        variables.peek().forEach((name, variable) -> facts.put(name, Scope.ColumnFacts.of(variable)));
        return facts;
    }

    Optional<KnownColumn> variable(Name name) {
        return variables.stream()
                .map(m -> m.get(name.text().toLowerCase(Locale.ROOT)))
                .filter(Objects::nonNull)
                .findFirst();
    }

    void name(Name name, Condition condition) {
        conditions.put(name.text().toLowerCase(Locale.ROOT), condition);
    }

    Condition resolved(Condition condition) {
        return condition.kind() == Condition.Kind.NAME
                ? conditions.getOrDefault(condition.value().toLowerCase(Locale.ROOT), condition)
                : condition;
    }

    /** The state of an error that is raised, which may be given by the name of a condition. */
    String state(String given, String dialect, Span span) {
        if (given.matches("[0-9A-Z]{5}")) {
            return given;
        }
        Condition named = resolved(new Condition(Condition.Kind.NAME, given));
        return named.kind() == Condition.Kind.STATE
                ? named.value()
                : ErrorStates.of(dialect, named.value())
                        .orElseThrow(() -> CodeAdapter.at(span, "an error by the name " + given));
    }

    /** Says what rows a cursor goes through. */
    void goes(Name cursor, List<Scope.ColumnFacts> columns) {
        cursors.put(cursor.text().toLowerCase(Locale.ROOT), columns);
    }

    /** The columns of a cursor; none where it has none that are known, or is none. */
    List<Scope.ColumnFacts> cursor(Name name) {
        return cursors.getOrDefault(name.text().toLowerCase(Locale.ROOT), List.of());
    }

    boolean isCursor(Name name) {
        return cursors.containsKey(name.text().toLowerCase(Locale.ROOT));
    }

    /** Says what query a cursor has. */
    void reads(Name cursor, Query query) {
        queries.put(cursor.text().toLowerCase(Locale.ROOT), query);
    }

    /** The query of a cursor, where it is known. */
    Optional<Query> query(Name cursor) {
        return Optional.ofNullable(queries.get(cursor.text().toLowerCase(Locale.ROOT)));
    }

    /** Says which variable has the row that a cursor is at. */
    void isAt(Name cursor, Name row) {
        rowsAtHand.put(cursor.text().toLowerCase(Locale.ROOT), row);
    }

    /** The variable with the row that a cursor is at. */
    Optional<Name> rowOf(Name cursor) {
        return Optional.ofNullable(rowsAtHand.get(cursor.text().toLowerCase(Locale.ROOT)));
    }

    /** Says what a variable for a row holds. */
    void hold(Name row, List<Scope.ColumnFacts> columns) {
        held.put(row.text().toLowerCase(Locale.ROOT), columns);
    }

    /** The columns of a variable for a row. */
    Optional<List<Scope.ColumnFacts>> row(Name name) {
        return Optional.ofNullable(held.get(name.text().toLowerCase(Locale.ROOT)));
    }

    /** A variable of the routine's own that takes a row. */
    Name row(Span span) {
        Name name = Name.of("row_" + (added.size() + 1) + "_");
        added.add(new Declaration.Variable(name, TypeName.of("record"), Optional.empty(), false, span));
        return name;
    }

    /** A variable of the routine's own that takes a number. */
    Name number(Span span) {
        Name name = Name.of("rows_" + (added.size() + 1) + "_");
        added.add(new Declaration.Variable(name, TypeName.of("bigint"), Optional.empty(), false, span));
        return name;
    }

    /** The cursor of the routine's own through which it hands a query to its caller. */
    Name results(Span span) {
        Name name = Name.of("result_");
        if (added.stream().noneMatch(d -> d.name().equals(name))) {
            added.add(new Declaration.Variable(name, CodeResults.CURSOR, Optional.empty(), false, span));
        }
        return name;
    }

    /** True for a variable that was added to those of the source. */
    boolean isAdded(String name) {
        return added.stream().anyMatch(d -> d.name().text().equals(name));
    }

    /** The columns of the rows that the routine gives. */
    List<CodeStatement.Parameter> rows() {
        return rows;
    }

    void give(List<CodeStatement.Parameter> columns) {
        rows = List.copyOf(columns);
    }

    List<Declaration> added() {
        return added;
    }

    Deque<Active> notFound() {
        return notFound;
    }

    Deque<Active> continuing() {
        return continuing;
    }

    Deque<CodeStatement.Loop> loops() {
        return loops;
    }
}
