package raftcart.rewrite;

import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;

/** Constant texts whose characters are given by their UTF-16 code units behind a backslash. */
final class CodeUnits {
    private static final Pattern ESCAPE = Pattern.compile("\\\\(?:([0-9A-Fa-f]{4})|\\\\)");

    private CodeUnits() {}

    /** The text itself; null where it is no constant. */
    static Expr plain(List<Expr> arguments) {
        if (!(arguments.get(0) instanceof Expr.Literal text) || text.kind() != LiteralKind.STRING) {
            return null;
        }
        String plain = ESCAPE.matcher(text.text())
                .replaceAll(m -> Matcher.quoteReplacement(
                        m.group(1) == null ? "\\" : String.valueOf((char) Integer.parseInt(m.group(1), 16))));
        return Expr.Literal.string(plain);
    }
}
