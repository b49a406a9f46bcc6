package raftcart.cli;

import ch.qos.logback.classic.Level;
import ch.qos.logback.classic.LoggerContext;
import ch.qos.logback.classic.encoder.PatternLayoutEncoder;
import ch.qos.logback.classic.spi.ILoggingEvent;
import ch.qos.logback.core.FileAppender;
import java.nio.file.Path;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** Sends the log to a file; nothing of it ever reaches the terminal. */
public final class Logs {
    private static final String PATTERN = "%d{yyyy-MM-dd'T'HH:mm:ss.SSSXXX, UTC} %-5level %logger{24} - %msg%n";

    private static String current = "";

    private Logs() {}

    /** Writes the log to a file from here on. */
    public static void to(Path file, boolean verbose) {
        current = file.toString();
        LoggerContext context = (LoggerContext) LoggerFactory.getILoggerFactory();
        context.reset();
        PatternLayoutEncoder encoder = new PatternLayoutEncoder();
        encoder.setContext(context);
        encoder.setPattern(PATTERN);
        encoder.start();
        FileAppender<ILoggingEvent> appender = new FileAppender<>();
        appender.setContext(context);
        appender.setFile(current);
        appender.setEncoder(encoder);
        appender.start();
        ch.qos.logback.classic.Logger root = context.getLogger(Logger.ROOT_LOGGER_NAME);
        root.setLevel(verbose ? Level.DEBUG : Level.INFO);
        root.addAppender(appender);
        // The driver's own words at this level hold the text of statements, and so values.
        context.getLogger("org.mariadb").setLevel(Level.OFF);
        context.getLogger("org.postgresql").setLevel(Level.OFF);
    }

    /** The log file; makes one in the temporary folder if none was chosen yet. */
    static String fileForDefect() {
        if (current.isEmpty()) {
            to(
                    Path.of(
                            System.getProperty("java.io.tmpdir"),
                            "raftcart-" + ProcessHandle.current().pid() + ".log"),
                    true);
        }
        return current;
    }
}
