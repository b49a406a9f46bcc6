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

    static TableRows of(String table, List<String> columns, Supplier<Stream<String[]>> rows) {
        return new TableRows(table, columns, List.of(), List.of(), rows);
    }
}
