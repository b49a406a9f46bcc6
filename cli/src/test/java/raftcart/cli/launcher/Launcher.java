package raftcart.cli.launcher;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;

/** Runs the built program as a process of its own, as a user would. */
final class Launcher {
    private static final long LIMIT_SECONDS = 180;

    private final Path folder;

    Launcher(Path folder) {
        this.folder = folder;
    }

    record Result(int exit, String out, String err) {}

    Result run(String... arguments) throws IOException, InterruptedException {
        return run(Map.of(), arguments);
    }

    Result run(Map<String, String> environment, String... arguments) throws IOException, InterruptedException {
        Path out = Files.createTempFile(folder, "out", ".txt");
        Path err = Files.createTempFile(folder, "err", ".txt");
        Process process = start(environment, out, err, arguments);
        if (!process.waitFor(LIMIT_SECONDS, TimeUnit.SECONDS)) {
            process.destroyForcibly();
            throw new AssertionError("the program did not end: " + List.of(arguments));
        }
        Result result = new Result(process.exitValue(), Files.readString(out), Files.readString(err));
        Files.delete(out);
        Files.delete(err);
        return result;
    }

    Process start(Map<String, String> environment, Path out, Path err, String... arguments) throws IOException {
        List<String> command = new ArrayList<>(List.of(System.getProperty("raftcart.launcher")));
        command.addAll(List.of(arguments));
        ProcessBuilder builder = new ProcessBuilder(command)
                .directory(folder.toFile())
                .redirectOutput(out.toFile())
                .redirectError(err.toFile());
        builder.environment().putAll(environment);
        Process process = builder.start();
        process.getOutputStream().close();
        return process;
    }

    static String text(Path file) throws IOException {
        return new String(Files.readAllBytes(file), StandardCharsets.UTF_8);
    }
}
