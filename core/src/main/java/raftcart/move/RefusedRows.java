package raftcart.move;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.BufferedWriter;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import raftcart.catalog.Key;
import raftcart.translate.ColumnMapping;
import raftcart.translate.TableMapping;

/**
 * Keeps rows of a table that the target refused: one JSON object a line with the row's key, the server's reason in its
 * words and, where it can be seen, in ours, and all values. The file is made with the first refused row.
 */
final class RefusedRows implements AutoCloseable {
    private static final ObjectMapper JSON = new ObjectMapper();

    private final Path file;
    private final List<ColumnMapping> columns;
    private final List<String> key;
    private BufferedWriter writer;
    private long count;

    RefusedRows(Path file, TableMapping table) {
        this.file = file;
        this.columns = table.columns().stream().filter(ColumnMapping::loaded).toList();
        this.key = table.source().primaryKey().map(Key::columns).orElse(List.of());
        try {
            Files.deleteIfExists(file);
        } catch (IOException e) {
            throw RefusedFiles.failed(file, e);
        }
    }

    long count() {
        return count;
    }

    /**
     * Keeps a row; it is on disk before the caller goes on.
     *
     * @param reason the server's words
     * @param misfits ours, none where nothing is to be seen
     */
    void add(RowBuffer rows, int row, String reason, List<String> misfits) {
        ObjectNode line = JSON.createObjectNode();
        ObjectNode values = JSON.createObjectNode();
        for (int i = 0; i < columns.size(); i++) {
            RefusedValue.put(values, columns.get(i), rows, row, i);
        }
        if (!key.isEmpty()) {
            ObjectNode keyValues = line.putObject("key");
            key.stream().filter(values::has).forEach(name -> keyValues.set(name, values.get(name)));
        }
        line.put("reason", reason);
        if (!misfits.isEmpty()) {
            line.put("explanation", String.join("; ", misfits));
        }
        line.set("values", values);
        try {
            if (writer == null) {
                Files.createDirectories(file.getParent());
                writer = Files.newBufferedWriter(file);
            }
            writer.write(JSON.writeValueAsString(line));
            writer.newLine();
            writer.flush();
        } catch (IOException e) {
            throw RefusedFiles.failed(file, e);
        }
        count++;
    }

    @Override
    public void close() {
        if (writer != null) {
            try {
                writer.close();
            } catch (IOException e) {
                throw RefusedFiles.failed(file, e);
            }
        }
    }
}
