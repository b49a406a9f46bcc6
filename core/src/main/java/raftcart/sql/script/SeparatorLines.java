package raftcart.sql.script;

import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The lines of scripts that name another separator of statements. */
final class SeparatorLines {
    private static final Pattern DELIMITER = Pattern.compile("(?i)delimiter\\s+(\\S+).*");
    private static final Pattern TERMINATOR = Pattern.compile("(?i)--#SET\\s+(?:TERMINATOR|DELIMITER)\\s+(\\S+)\\s*");

    private SeparatorLines() {}

    /**
     * The separator that a line names; empty where it names none.
     *
     * @param current the separator until now, with which such a line may end
     */
    static Optional<String> named(String line, String current, Set<ScriptFeature> features) {
        if (features.contains(ScriptFeature.DELIMITER_COMMAND) && line.regionMatches(true, 0, "delimiter", 0, 9)) {
            return first(DELIMITER.matcher(line.strip()));
        }
        if (features.contains(ScriptFeature.TERMINATOR_COMMENTS) && line.startsWith("--#")) {
            return first(TERMINATOR.matcher(line));
        }
        return features.contains(ScriptFeature.TERM_COMMAND)
                ? first(Pattern.compile("(?i)set\\s+term\\s+(\\S+?)\\s*\\Q" + current + "\\E?\\s*")
                        .matcher(line.strip()))
                : Optional.empty();
    }

    private static Optional<String> first(Matcher matcher) {
        return matcher.matches() ? Optional.of(matcher.group(1)) : Optional.empty();
    }

    /**
     * True for a sign at the end of a line that no statement ends with: the separator that a client was given when it
     * was started, of which the script itself says nothing.
     */
    static boolean isUnnamed(String line, Set<ScriptFeature> features) {
        return features.contains(ScriptFeature.TERMINATOR_COMMENTS)
                && (line.charAt(0) == '@' || line.charAt(0) == '!')
                && line.substring(1).isBlank();
    }
}
