package raftcart.scripts;

import raftcart.dialect.Language;
import raftcart.sql.LexicalFeature;

/** The text of a statement that begins or ends within a comment that servers of some version read, as MySQL's dumps have it. */
final class VersionedText {
    private VersionedText() {}

    /** The text from one place to another, with the marks of such comments around it. */
    static String of(String piece, int start, int end, Language language) {
        if (!language.grammar().lexical().has(LexicalFeature.VERSION_COMMENTS)) {
            return piece.substring(start, end);
        }
        int open = lastOpen(piece, start);
        int from = open >= 0 && piece.indexOf("*/", open) >= start ? open : start;
        int close = end;
        while (close < piece.length() && Character.isWhitespace(piece.charAt(close))) {
            close++;
        }
        boolean within = piece.startsWith("*/", close) && lastOpen(piece, end) > piece.lastIndexOf("*/", end - 1);
        return piece.substring(from, within ? close + 2 : end);
    }

    /** Where such a comment begins last; MariaDB has a mark of its own, which no other server's scripts contain. */
    private static int lastOpen(String piece, int before) {
        return Math.max(piece.lastIndexOf("/*!", before), piece.lastIndexOf("/*M!", before));
    }

    /** The text without these marks. */
    static String plain(String text, Language language) {
        return language.grammar().lexical().has(LexicalFeature.VERSION_COMMENTS) && lastOpen(text, text.length()) >= 0
                ? text.replaceAll("/\\*M?!\\d*|\\*/", " ")
                : text;
    }
}
