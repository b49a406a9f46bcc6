package raftcart.sql;

import java.util.List;
import java.util.Optional;

/** Patterns of LIKE and of GLOB ("SQL Language Expressions" of SQLite's manual) told in terms of each other. */
public final class GlobPatterns {
    /** What is replaced in a LIKE pattern, in this order, to make one of GLOB. */
    public static final List<List<String>> REPLACED = List.of(
            List.of("[", "[[]"), List.of("*", "[*]"), List.of("?", "[?]"), List.of("%", "*"), List.of("_", "?"));

    private GlobPatterns() {}

    /** The GLOB pattern for one of LIKE; the escape is empty where none is said. */
    public static String ofLike(String pattern, String escape) {
        StringBuilder glob = new StringBuilder();
        for (int i = 0; i < pattern.length(); i++) {
            char c = pattern.charAt(i);
            boolean escaped = !escape.isEmpty() && c == escape.charAt(0) && i + 1 < pattern.length();
            if (escaped) {
                i++;
                c = pattern.charAt(i);
            }
            if (!escaped && (c == '%' || c == '_')) {
                glob.append(c == '%' ? '*' : '?');
            } else if (c == '[' || c == '*' || c == '?') {
                glob.append('[').append(c).append(']');
            } else {
                glob.append(c);
            }
        }
        return glob.toString();
    }

    /** The LIKE pattern for one of GLOB, with a backslash before what stands for itself; empty where it has brackets. */
    public static Optional<String> toLike(String glob) {
        if (glob.indexOf('[') >= 0) {
            return Optional.empty();
        }
        StringBuilder like = new StringBuilder();
        for (char c : glob.toCharArray()) {
            switch (c) {
                case '*' -> like.append('%');
                case '?' -> like.append('_');
                case '%', '_', '\\' -> like.append('\\').append(c);
                default -> like.append(c);
            }
        }
        return Optional.of(like.toString());
    }
}
