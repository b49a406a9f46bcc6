package raftcart.rewrite;

import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;

/**
 * What takes the place of a match, and refers to the groups of the pattern by a backslash or by a dollar sign ("Regular
 * Expressions", MySQL; "POSIX Regular Expressions", PostgreSQL).
 */
final class GroupReferences {
    private final ExprAdapter adapter;

    GroupReferences(ExprAdapter adapter) {
        this.adapter = adapter;
    }

    /** The text in the target's words; one that is computed is told of. */
    Expr adapted(Expr text) {
        boolean dollars = adapter.to.has(SqlFeature.GROUPS_BY_DOLLAR);
        if (adapter.from.has(SqlFeature.GROUPS_BY_DOLLAR) == dollars) {
            return text;
        }
        if (!(text instanceof Expr.Literal literal) || literal.kind() != LiteralKind.STRING) {
            adapter.note(
                    FindingCode.FUNCTION_DIFFERS,
                    text.span(),
                    dollars
                            ? "a dollar sign in the new text refers to a group, on the source a backslash does"
                            : "a backslash in the new text refers to a group, on the source a dollar sign does");
            return text;
        }
        String written = dollars ? dollars(literal.text()) : backslashes(literal.text());
        if (written.equals(literal.text())) {
            return text;
        }
        adapter.note(FindingCode.SYNTAX_ADAPTED, literal.span(), "references to the groups of a pattern");
        return new Expr.Literal(LiteralKind.STRING, written, literal.span());
    }

    private static String dollars(String text) {
        StringBuilder written = new StringBuilder();
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            if (c != '\\' || i + 1 == text.length()) {
                written.append(c == '$' || c == '\\' ? "\\" : "").append(c);
                continue;
            }
            char next = text.charAt(++i);
            if (Character.isDigit(next) || next == '&') {
                boolean longer = i + 1 < text.length() && Character.isDigit(text.charAt(i + 1));
                if (longer) {
                    throw new Untranslatable("a digit behind the reference to a group");
                }
                written.append('$').append(next == '&' ? '0' : next);
            } else if (next == '\\') {
                written.append("\\\\");
            } else {
                throw new Untranslatable("\\" + next + " in what takes the place of a match");
            }
        }
        return written.toString();
    }

    private static String backslashes(String text) {
        StringBuilder written = new StringBuilder();
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            char next = i + 1 < text.length() ? text.charAt(i + 1) : ' ';
            if (c == '$' && Character.isDigit(next)) {
                boolean longer = i + 2 < text.length() && Character.isDigit(text.charAt(i + 2));
                if (longer || next == '0') {
                    throw new Untranslatable("the reference $" + next + (longer ? text.charAt(i + 2) : ""));
                }
                written.append('\\').append(next);
                i++;
            } else if (c == '\\' && i + 1 < text.length()) {
                written.append(next == '\\' ? "\\\\" : String.valueOf(next));
                i++;
            } else {
                written.append(c);
            }
        }
        return written.toString();
    }
}
