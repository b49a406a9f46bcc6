package raftcart.rewrite;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;

/**
 * Characters of a text that become others, or go, as one replacement after the other: for constants of which no character
 * comes in that would be replaced in its turn.
 */
final class Translations {
    private static final int MOST = 64;

    private Translations() {}

    static Optional<Expr> nested(List<Expr> arguments) {
        if (!isText(arguments.get(1)) || !isText(arguments.get(2))) {
            return Optional.empty();
        }
        String from = ((Expr.Literal) arguments.get(1)).text();
        String to = ((Expr.Literal) arguments.get(2)).text();
        Set<Character> changed = new HashSet<>();
        Set<Character> replacements = new HashSet<>();
        Expr text = arguments.get(0);
        for (int i = 0; i < from.length(); i++) {
            char old = from.charAt(i);
            String now = i < to.length() ? to.substring(i, i + 1) : "";
            boolean first = from.indexOf(old) == i;
            if (first && !now.equals(String.valueOf(old))) {
                changed.add(old);
                now.chars().forEach(c -> replacements.add((char) c));
                text = Expr.Call.of(
                        "replace", text, Expr.Literal.string(String.valueOf(old)), Expr.Literal.string(now));
            }
        }
        replacements.retainAll(changed);
        return replacements.isEmpty() && from.length() <= MOST ? Optional.of(text) : Optional.empty();
    }

    private static boolean isText(Expr e) {
        return e instanceof Expr.Literal l
                && l.kind() == LiteralKind.STRING
                && l.text().chars().noneMatch(c -> Character.isSurrogate((char) c));
    }
}
