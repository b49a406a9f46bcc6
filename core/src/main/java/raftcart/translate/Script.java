package raftcart.translate;

import java.util.List;
import java.util.Objects;

/**
 * One object's statements as they are kept in a file.
 *
 * @param path the file below the migration folder
 * @param object the object as messages name it
 * @param afterData true where the script runs once the rows are there
 */
public record Script(String path, String object, List<String> statements, boolean afterData) {
    public Script {
        Objects.requireNonNull(path, "path");
        Objects.requireNonNull(object, "object");
        statements = List.copyOf(statements);
    }
}
