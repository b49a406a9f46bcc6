package raftcart.sql;

import java.util.List;
import java.util.regex.Pattern;

/** Keeps the passwords that stand in statements out of what is shown and kept; what else they say stays. */
public final class Passwords {
    private static final String HIDDEN = "***";

    /** Statements on accounts, on other servers and on the tables of those. */
    private static final Pattern MAY_HAVE = Pattern.compile(
            "(?i)(?:\\W*(?:(?:create|alter)\\s+(?:\\w+\\s+){0,4}?(?:user|role|login|server|subscription|link|credential|key"
                    + "|secret|connection|integration|stage|group|database)\\b|grant\\b|set\\s+password\\b|change\\s+(?:master"
                    + "|replication)\\b|conn(?:ect)?\\b)|(?:create\\s+table\\b.*?)?(?:engine|connection)\\b)",
            Pattern.DOTALL);

    private static final Pattern BEHIND_WORDS =
            Pattern.compile("(?i)(\\bidentified\\s+by\\s+(?:password\\s+|values\\s+)?"
                    + "|\\bidentified\\s+(?:via|with)\\s+\\w+\\s+(?:using|as|by)\\s+(?:password\\s*\\(\\s*)?"
                    + "|\\b(?:\\w+_)?password(?:\\s+for\\b[^=]*)?\\s*=?\\s*(?:password\\s*)?\\(?\\s*|\\b(?:digest|salt|hash)\\s+|\\bsecret\\s*=\\s*|\\w*_secret\\w*\\s*=\\s*)"
                    + "(?:N?'(?:[^']|'')*'|\"[^\"]*\"|0x[0-9a-f]+)");

    private static final Pattern BARE =
            Pattern.compile("(?i)(\\bidentified\\s+by\\s+)(?!password\\b|values\\b)[\\w$#]+");
    private static final Pattern IN_TEXT = Pattern.compile("(?i)\\b((?:password|pwd)=)[^;\\s'\",&]+");
    private static final Pattern IN_ADDRESS = Pattern.compile("(://[^:/@\\s'\"]*:)[^@\\s'\"]+@");
    private static final Pattern OF_CLIENT = Pattern.compile("(?i)^(\\s*conn(?:ect)?\\s+[^/\\s]+/)[^@\\s]+");

    /** With which the statements of {@link #MAY_HAVE} begin: most have another, which is found out at once. */
    private static final List<String> FIRST_WORDS =
            List.of("create", "alter", "grant", "set", "change", "conn", "engine");

    private Passwords() {}

    private static boolean mayHave(String statement) {
        int start = 0;
        while (start < statement.length() && !isWordPart(statement.charAt(start))) {
            start++;
        }
        for (String word : FIRST_WORDS) {
            if (statement.regionMatches(true, start, word, 0, word.length())) {
                return MAY_HAVE.matcher(statement).lookingAt();
            }
        }
        return false;
    }

    private static boolean isWordPart(char c) {
        return c >= 'a' && c <= 'z' || c >= 'A' && c <= 'Z' || c >= '0' && c <= '9' || c == '_';
    }

    /** The statement, or clause of one, with three stars for each password. */
    public static String hidden(String statement) {
        if (!mayHave(statement)) {
            return statement;
        }
        String text = BEHIND_WORDS.matcher(statement).replaceAll("$1'" + HIDDEN + "'");
        text = BARE.matcher(text).replaceAll("$1" + HIDDEN);
        text = IN_TEXT.matcher(text).replaceAll("$1" + HIDDEN);
        text = IN_ADDRESS.matcher(text).replaceAll("$1" + HIDDEN + "@");
        return OF_CLIENT.matcher(text).replaceAll("$1" + HIDDEN);
    }
}
