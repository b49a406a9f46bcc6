package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import raftcart.finding.FindingCode;
import raftcart.sql.Span;
import raftcart.sql.tree.Expr;

/** Follows the question marks of a statement, whose order is all that tells them apart. */
final class Placeholders {
    private static final Pattern MARK = Pattern.compile("\u0001(\\d+)\u0001");

    private Placeholders() {}

    /** The parameter with its place in the source as its text. */
    static Expr marked(Expr.Parameter parameter) {
        return new Expr.Parameter("\u0001" + parameter.span().start() + "\u0001", parameter.span());
    }

    /** A parameter whose number tells it apart on the source, as a question mark. */
    static Expr numbered(String number, Span span) {
        return new Expr.Parameter("\u0001" + number + "\u0001", span);
    }

    /** The text with question marks again; notes it where they come in another order. */
    static String plain(String text, AdaptNotes notes, Span statement) {
        if (text.indexOf('\u0001') < 0) {
            return text;
        }
        Matcher marks = MARK.matcher(text);
        List<Integer> places = new ArrayList<>();
        while (marks.find()) {
            places.add(Integer.parseInt(marks.group(1)));
        }
        List<Integer> sorted = places.stream().distinct().sorted().toList();
        if (!sorted.equals(places)) {
            List<Integer> order =
                    places.stream().map(p -> sorted.indexOf(p) + 1).toList();
            notes.add(FindingCode.PARAMETERS, statement, "bind those of the source in the order " + order);
        }
        return MARK.matcher(text).replaceAll("?");
    }
}
