package raftcart.dialect;

import java.util.List;
import java.util.Objects;
import raftcart.finding.FindingCode;
import raftcart.type.LogicalType;

/**
 * The type that a target gives to a column.
 *
 * @param sql the type as it is written in CREATE TABLE
 * @param stored the logical type that the target's column then has
 * @param checks conditions that keep the source's range, in the target's SQL
 * @param notes what is to be said about it
 */
public record TypeChoice(String sql, LogicalType stored, List<String> checks, List<Note> notes) {
    public TypeChoice {
        Objects.requireNonNull(sql, "sql");
        Objects.requireNonNull(stored, "stored");
        checks = List.copyOf(checks);
        notes = List.copyOf(notes);
    }

    /** A choice that needs no comment. */
    public static TypeChoice of(String sql, LogicalType stored) {
        return new TypeChoice(sql, stored, List.of(), List.of());
    }

    /** The same choice with one more thing to say. */
    public TypeChoice note(FindingCode code, String detail) {
        return new TypeChoice(sql, stored, checks, append(notes, new Note(code, detail)));
    }

    /** The same choice with one more condition. */
    public TypeChoice check(String condition) {
        return new TypeChoice(sql, stored, append(checks, condition), notes);
    }

    private static <T> List<T> append(List<T> list, T item) {
        return java.util.stream.Stream.concat(list.stream(), java.util.stream.Stream.of(item))
                .toList();
    }

    /** Something to say about a type, not yet tied to an object. */
    public record Note(FindingCode code, String detail) {}
}
