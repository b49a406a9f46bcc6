package raftcart.sql.script;

import java.util.Optional;
import java.util.regex.Pattern;

/** Lines for a client that do more than show something or set how it is shown. */
public final class ClientLines {
    private static final Pattern CALL = Pattern.compile("(?is)exec(ute)?\\s+\\S.*");
    private static final Pattern OTHER_SCRIPT =
            Pattern.compile("(?is)(@{1,2}\\s*\\S|start\\s+\\S|\\\\ir?\\s|\\\\include|\\.run\\s|\\.read\\s).*");

    private ClientLines() {}

    /** What a line does to the database; empty for one that does nothing to it. */
    public static Optional<String> effect(String line) {
        String text = line.strip();
        if (CALL.matcher(text).matches()) {
            return Optional.of("a procedure called by the client");
        }
        return OTHER_SCRIPT.matcher(text).matches()
                ? Optional.of("another script, which the client runs here")
                : Optional.empty();
    }
}
