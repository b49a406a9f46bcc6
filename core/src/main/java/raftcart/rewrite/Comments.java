package raftcart.rewrite;

import raftcart.sql.LexicalFeature;
import raftcart.sql.LexicalRules;

/** Brings comments into a form that every dialect reads. */
final class Comments {
    private Comments() {}

    /** One comment: those that begin with # or // begin with two dashes. */
    static String portable(String comment) {
        if (comment.startsWith("#")) {
            return "-- " + comment.substring(1).stripLeading();
        }
        if (comment.startsWith("//")) {
            return "-- " + comment.substring(2).stripLeading();
        }
        if (comment.startsWith("--") && comment.length() > 2 && comment.charAt(2) > ' ') {
            return "-- " + comment.substring(2);
        }
        return comment.startsWith("/*") ? plain(comment) : comment.replaceAll("\\r$", "");
    }

    /** A block comment without what other dialects take for a comment within it, or for statements. */
    private static String plain(String block) {
        String body = block.substring(2, block.length() - 2);
        boolean read = body.startsWith("!") || body.startsWith("M!");
        return "/*" + (read ? " " : "") + body.replace("/*", "/ *").replace("*/", "* /") + "*/";
    }

    /** True where a dialect with these rules reads this one as a comment too. */
    static boolean isPortable(String comment, LexicalRules target) {
        if (comment.startsWith("#")) {
            return target.has(LexicalFeature.HASH_COMMENTS);
        }
        if (comment.startsWith("//")) {
            return target.has(LexicalFeature.SLASH_COMMENTS);
        }
        if (comment.startsWith("/*")) {
            return plain(comment).equals(comment);
        }
        boolean tight = comment.startsWith("--") && comment.length() > 2 && comment.charAt(2) > ' ';
        return !tight || !target.has(LexicalFeature.DASHES_BEFORE_BLANK);
    }

    /** White space with comments between. */
    static String portableBlank(String blank, LexicalRules source) {
        if (blank.isBlank()) {
            return blank;
        }
        StringBuilder text = new StringBuilder();
        int at = 0;
        while (at < blank.length()) {
            int end = at + 1;
            if (blank.startsWith("/*", at)) {
                end = endOfBlock(blank, at, source.has(LexicalFeature.NESTED_COMMENTS));
            } else if (!Character.isWhitespace(blank.charAt(at))) {
                int line = blank.indexOf('\n', at);
                end = line < 0 ? blank.length() : line;
            }
            String part = blank.substring(at, end);
            boolean closed = !part.startsWith("/*") || part.length() >= 4 && part.endsWith("*/");
            text.append(end > at + 1 && closed ? portable(part) : part);
            at = end;
        }
        return text.toString();
    }

    private static int endOfBlock(String text, int from, boolean nests) {
        int depth = 1;
        int at = from + 2;
        while (at < text.length() && depth > 0) {
            boolean closes = text.startsWith("*/", at);
            boolean opens = nests && text.startsWith("/*", at);
            depth += opens ? 1 : closes ? -1 : 0;
            at += opens || closes ? 2 : 1;
        }
        return at;
    }
}
