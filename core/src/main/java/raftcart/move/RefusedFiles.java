package raftcart.move;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;
import raftcart.error.WorkspaceException;
import raftcart.translate.TableMapping;

/** Where refused rows are kept: a file for each part while tables are loaded, and one for each table that is done. */
final class RefusedFiles {
    private final Path folder;

    RefusedFiles(Path folder) {
        this.folder = folder;
    }

    /** The file of a table. */
    Path of(TableMapping table) {
        return folder.resolve(table.source().name().toString().replaceAll("[^\\p{L}\\p{N}._-]", "_") + ".jsonl");
    }

    /** True where refused rows of a table wait to be loaded again. */
    boolean wait(TableMapping table) {
        return Files.exists(of(table));
    }

    /** The file of a part. */
    Path of(TableMapping table, int part) {
        return of(table).resolveSibling(of(table).getFileName() + "." + part);
    }

    /** Takes away what earlier loads of a table left. */
    void forget(TableMapping table) {
        try {
            Files.deleteIfExists(of(table));
            for (Path part : parts(of(table).getFileName() + ".")) {
                Files.delete(part);
            }
        } catch (IOException e) {
            throw failed(of(table), e);
        }
    }

    /** Puts the files of all parts into that of the table; they stay, so that it can be done again. */
    void join(TableMapping table) {
        Path whole = of(table);
        try {
            List<Path> parts = parts(whole.getFileName() + ".");
            if (parts.isEmpty()) {
                return;
            }
            Path joined = whole.resolveSibling(whole.getFileName() + ".new");
            try (OutputStream out = Files.newOutputStream(joined)) {
                for (Path part : parts) {
                    Files.copy(part, out);
                }
            }
            Files.move(joined, whole, StandardCopyOption.REPLACE_EXISTING);
        } catch (IOException e) {
            throw failed(whole, e);
        }
    }

    /** Takes the files of all parts away; those of the tables stay. */
    void forgetParts() {
        try {
            for (Path part : parts("")) {
                Files.delete(part);
            }
        } catch (IOException e) {
            throw failed(folder, e);
        }
    }

    /** The files of parts whose names begin so, in the order of the parts. */
    private List<Path> parts(String prefix) throws IOException {
        if (!Files.isDirectory(folder)) {
            return List.of();
        }
        try (Stream<Path> files = Files.list(folder)) {
            return files.filter(f -> f.getFileName().toString().startsWith(prefix))
                    .filter(f -> f.getFileName().toString().matches(".*\\.jsonl\\.\\d{1,9}"))
                    .sorted(Comparator.comparing(RefusedFiles::number))
                    .toList();
        }
    }

    private static int number(Path part) {
        String name = part.getFileName().toString();
        return Integer.parseInt(name.substring(name.lastIndexOf('.') + 1));
    }

    static WorkspaceException failed(Path file, IOException e) {
        return new WorkspaceException(
                file + " cannot be written",
                "Check that the folder is yours to write and the disk is not full; then run `raftcart load` again.",
                e);
    }
}
