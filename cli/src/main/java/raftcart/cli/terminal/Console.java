package raftcart.cli.terminal;

import java.io.PrintStream;
import java.nio.charset.StandardCharsets;

/**
 * Standard output for results, standard error for messages and progress. The launcher says by system properties which
 * of them are terminals, since Java 17 cannot tell one from the other.
 */
public final class Console {
    private static final int DEFAULT_WIDTH = 100;

    private final PrintStream out = utf8(System.out);
    private final PrintStream err = utf8(System.err);
    private final boolean quiet;
    private final boolean json;
    private final boolean color;

    /** A console that follows the options of a command. */
    public Console(boolean quiet, boolean json, boolean color) {
        this.quiet = quiet;
        this.json = json;
        this.color = color && colorAllowed();
    }

    /** A console without any options. */
    public static Console standard() {
        return new Console(false, false, true);
    }

    private static PrintStream utf8(PrintStream stream) {
        return new PrintStream(stream, true, StandardCharsets.UTF_8);
    }

    /** True where colours may be used at all: on a terminal, and NO_COLOR is not set. */
    public static boolean colorAllowed() {
        String noColor = System.getenv("NO_COLOR");
        return Boolean.getBoolean("raftcart.terminal.out") && (noColor == null || noColor.isEmpty());
    }

    /** The width of the terminal in characters. */
    public static int width() {
        return Math.max(60, Integer.getInteger("raftcart.terminal.width", DEFAULT_WIDTH));
    }

    /** True where progress is drawn anew in place. */
    public boolean drawsProgress() {
        return !quiet && Boolean.getBoolean("raftcart.terminal.err");
    }

    /** True where messages are wanted. */
    public boolean talks() {
        return !quiet;
    }

    /** True where the result is one JSON document. */
    public boolean isJson() {
        return json;
    }

    /** A line of the result; nothing where the result is JSON. */
    public void line(String text) {
        if (!json) {
            out.println(text);
        }
    }

    /** Text on standard output whatever the options. */
    public void print(String text) {
        out.println(text);
    }

    /** A message on standard error, unless all is to be quiet. */
    public void message(String text) {
        if (!quiet) {
            err.println(text);
        }
    }

    /** A finding on standard error; these are a part of the result and stay when all else is quiet. */
    public void finding(String text) {
        err.println(text);
    }

    /** An error with what to do about it. */
    public void error(String command, String message, String advice) {
        err.println(paint(Style.BAD, command + ": ") + message);
        if (!advice.isEmpty()) {
            err.println("  " + advice.replace("\n", "\n  "));
        }
    }

    /** The text in a style, or plain where there are no colours. */
    public String paint(Style style, String text) {
        return color ? style.start() + text + Style.END : text;
    }

    /** The stream on which progress is drawn. */
    /** Standard output, in UTF-8, for a document that is written piece by piece. */
    public PrintStream stream() {
        return out;
    }

    PrintStream progressStream() {
        return err;
    }
}
