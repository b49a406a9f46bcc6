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
        return comment.replaceAll("\\r$", "");
    }

    /** True where a dialect with these rules reads this one as a comment too. */
    static boolean isPortable(String comment, LexicalRules target) {
        if (comment.startsWith("#")) {
            return target.has(LexicalFeature.HASH_COMMENTS);
        }
        if (comment.startsWith("//")) {
            return target.has(LexicalFeature.SLASH_COMMENTS);
        }
        boolean tight = comment.startsWith("--") && comment.length() > 2 && comment.charAt(2) > ' ';
        return !tight || !target.has(LexicalFeature.DASHES_BEFORE_BLANK);
    }

    /** White space with comments between, line by line. */
    static String portableBlank(String blank) {
        if (blank.isBlank()) {
            return blank;
        }
        StringBuilder text = new StringBuilder();
        boolean block = false;
        for (String line : blank.split("(?<=\n)", -1)) {
            String body = line.stripLeading();
            boolean single = !block
                    && (body.startsWith("#")
                            || body.startsWith("//")
                            || body.startsWith("--") && body.length() > 2 && body.charAt(2) > ' ');
            if (single) {
                text.append(line, 0, line.length() - body.length()).append(portable(body));
            } else {
                text.append(line);
            }
            int open = line.lastIndexOf("/*");
            int close = line.lastIndexOf("*/");
            block = open > close || (block && close < 0);
        }
        return text.toString();
    }
}
