package raftcart.demo.observatory;

import java.util.List;
import java.util.function.Supplier;
import java.util.stream.Stream;

/**
 * The rows of one table as texts, NULL for SQL NULL; dates, numbers and bits (as a whole number) in their usual
 * spelling, bytes in hexadecimal.
 *
 * @param columns the columns that are given; the others have defaults or are computed
 * @param bytes those of the columns that hold bytes
 * @param bits those of the columns that hold bits
 * @param rows makes the rows anew at every call, always the same
 */
record TableRows(
        String table, List<String> columns, List<String> bytes, List<String> bits, Supplier<Stream<String[]>> rows) {
    TableRows {
        columns = List.copyOf(columns);
        bytes = List.copyOf(bytes);
        bits = List.copyOf(bits);
    }

    /** A table without bytes and bits; the columns are separated by commas. */
    static TableRows of(String table, String columns, Supplier<Stream<String[]>> rows) {
        return new TableRows(table, List.of(columns.split(",")), List.of(), List.of(), rows);
    }

    /** The same with these columns holding bytes. */
    TableRows withBytes(String... names) {
        return new TableRows(table, columns, List.of(names), bits, rows);
    }

    /** The same with these columns holding bits. */
    TableRows withBits(String... names) {
        return new TableRows(table, columns, bytes, List.of(names), rows);
    }
}
