package raftcart.resource;

import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;

/** Run by the build: writes each YAML table below a folder as JSON beside it. */
public final class JsonTwins {
    private static final String YAML = ".yaml";

    private JsonTwins() {}

    /** The path of a table's twin. */
    static String twin(String path) {
        return path.substring(0, path.length() - YAML.length()) + ".json";
    }

    /**
     * Writes the twins.
     *
     * @param args the folder
     */
    public static void main(String[] args) throws IOException {
        List<Path> tables;
        try (Stream<Path> files = Files.walk(Path.of(args[0]))) {
            tables = files.filter(f -> f.toString().endsWith(YAML)).toList();
        }
        for (Path table : tables) {
            Path twin = Path.of(twin(table.toString()));
            new ObjectMapper().writeValue(twin.toFile(), StrictYaml.MAPPER.readTree(table.toFile()));
        }
    }
}
