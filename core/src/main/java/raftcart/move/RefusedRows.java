package raftcart.move;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.BufferedWriter;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Base64;
import java.util.List;
import raftcart.engine.TransferColumn;
import raftcart.type.ValueForm;

/**
 * Keeps the rows of a part of a table that the target refused: one JSON object a line with the values and the server's reason.
 * Bytes are written in Base64. The file is made with the first refused row.
 */
final class RefusedRows implements AutoCloseable {
    private static final ObjectMapper JSON = new ObjectMapper();

    private final Path file;
    private final List<TransferColumn> columns;
    private BufferedWriter writer;
    private long count;

    RefusedRows(Path file, List<TransferColumn> columns) {
        this.file = file;
        this.columns = columns;
        try {
            Files.deleteIfExists(file);
        } catch (IOException e) {
            throw RefusedFiles.failed(file, e);
        }
    }

    long count() {
        return count;
    }

    /** Keeps a row; it is on disk before the caller goes on. */
    void add(RowBuffer rows, int row, String reason) {
        ObjectNode line = JSON.createObjectNode();
        line.put("reason", reason);
        ObjectNode values = line.putObject("values");
        for (int i = 0; i < columns.size(); i++) {
            String name = columns.get(i).column().name();
            if (rows.isNull(row, i)) {
                values.putNull(name);
            } else if (columns.get(i).form() == ValueForm.BYTES) {
                byte[] bytes = java.util.Arrays.copyOfRange(rows.data(), rows.start(row, i), rows.end(row, i));
                values.put(name, Base64.getEncoder().encodeToString(bytes));
            } else {
                values.put(name, rows.text(row, i));
            }
        }
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
