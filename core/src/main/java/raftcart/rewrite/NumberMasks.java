package raftcart.rewrite;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import raftcart.dialect.MaskStyle;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.parse.GrammarFeature;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.TypeName;
import raftcart.type.LogicalType;

/**
 * Brings masks of numbers from one language to another: digits at least, thousands apart or not, digits behind the point
 * ("Format Models", Number Format Models; "Standard numeric format strings", "Custom numeric format strings").
 */
final class NumberMasks {
    /** Digits before the point that a mask of words is made for, where the other has no limit. */
    private static final int MOST_DIGITS = 18;

    private static final int MOST_PRECISE = 38;

    private static final Pattern STANDARD = Pattern.compile("([NnFf])(\\d?)");
    private static final Pattern CUSTOM = Pattern.compile("([#,]*)(0+)(?:\\.(0+))?|([#,]+)\\.(0+)");
    private static final Pattern WORDS = Pattern.compile("(?i)(FM)?([9,G]*)([0-9,G]*?)(?:[.D](0+))?");
    private static final Pattern ANY = Pattern.compile("[NnFfCcPpEeGgXx]\\d?|[#0][#0,.%]*|[#0,.%]*[#0]");

    private final ExprAdapter adapter;

    NumberMasks(ExprAdapter adapter) {
        this.adapter = adapter;
    }

    /**
     * What a mask says: the digits before the point at least, thousands apart or not, the digits behind the point, and the
     * width to which blanks fill the text up; 0 for none.
     */
    private record Form(int least, boolean thousands, int decimals, int width) {
        /** As words; with as many digits as a mask can take. */
        String words() {
            StringBuilder text = new StringBuilder();
            for (int place = MOST_DIGITS; place >= 1; place--) {
                text.append(place > least ? '9' : '0');
                if (thousands && place > 1 && place % 3 == 1) {
                    text.append(',');
                }
            }
            return "FM" + text + fraction();
        }

        String letters() {
            int places = thousands ? Math.max(4, least) : Math.max(1, least);
            StringBuilder text = new StringBuilder("#".repeat(places - least) + "0".repeat(least));
            return (thousands ? text.insert(places - 3, ',') : text) + fraction();
        }

        private String fraction() {
            return decimals == 0 ? "" : "." + "0".repeat(decimals);
        }
    }

    /** A date's format that is one of a number, as the mask tells. */
    Optional<Expr> read(Expr.Call call) {
        boolean number = call.is("format_date")
                && adapter.from.masks() == MaskStyle.LETTERS_D
                && !adapter.kind(call.arguments().get(0)).isDate()
                && call.arguments().get(1) instanceof Expr.Literal l
                && ANY.matcher(l.text()).matches();
        return number
                ? Optional.of(call(call.with("format_number", call.arguments()).at(call.span())))
                : Optional.empty();
    }

    /** The call with its mask in the target's language. */
    Expr call(Expr.Call call) {
        Expr number = adapter.expr(call.arguments().get(0));
        Expr mask = call.arguments().get(1);
        MaskStyle source = adapter.from.masks();
        MaskStyle target = adapter.to.masks();
        if (source == target || MaskTranslator.isWords(source) && MaskTranslator.isWords(target)) {
            return call.with("format_number", List.of(number, adapter.expr(mask)))
                    .at(call.span());
        }
        if (!(mask instanceof Expr.Literal l) || l.kind() != LiteralKind.STRING) {
            throw new Untranslatable("a number's mask that is not a constant");
        }
        boolean asText = !MaskTranslator.isWords(target) && target != MaskStyle.LETTERS_D;
        Form form = (MaskTranslator.isWords(source) ? words(l.text()) : letters(l.text()))
                .filter(f -> asText || f.width() == 0)
                .orElseThrow(() -> new Untranslatable("the mask " + l.text()));
        if (MaskTranslator.isWords(source)) {
            adapter.note(
                    FindingCode.FORMAT_MASK, call.span(), "a number with more digits than the mask is # on the source");
        }
        if (asText) {
            return text(form, number, call).orElseThrow(() -> new Untranslatable("the mask " + l.text()));
        }
        String written = target == MaskStyle.LETTERS_D ? form.letters() : form.words();
        adapter.note(FindingCode.SYNTAX_ADAPTED, call.span(), "the mask " + l.text() + " is " + written);
        return call.with("format_number", List.of(number, Expr.Literal.string(written)))
                .at(call.span());
    }

    /** A number as the text that a mask makes of it, for a target without masks. */
    private Optional<Expr> text(Form form, Expr number, Expr.Call call) {
        boolean grouped = form.thousands() && form.least() == 1;
        boolean plain = !form.thousands() && (form.least() == 1 || form.decimals() == 0);
        boolean shortens = adapter.to.grammar().has(GrammarFeature.UNTYPED_COLUMNS);
        if (!grouped && !plain || shortens) {
            return Optional.empty();
        }
        Expr text = grouped
                ? Expr.Call.of("format_decimals", number, Expr.Literal.number(form.decimals()))
                        .at(call.span())
                : digits(form.decimals(), number, call);
        if (form.least() > 1) {
            adapter.note(FindingCode.FORMAT_MASK, call.span(), "a number below zero has its sign among the zeros");
            text = filled(text, form.least(), "0", call);
        }
        return Optional.of(form.width() == 0 ? text : filled(text, form.width(), " ", call));
    }

    private Expr digits(int decimals, Expr number, Expr.Call call) {
        TypeName rounded = adapter.castType(new LogicalType.Decimal(MOST_PRECISE, decimals, false));
        TypeName text = adapter.castType(new LogicalType.Text(0));
        return new Expr.Cast(new Expr.Cast(number, rounded, false, call.span()), text, false, call.span());
    }

    private static Expr filled(Expr text, int length, String with, Expr.Call call) {
        return Expr.Call.of("lpad_with", text, Expr.Literal.number(length), Expr.Literal.string(with))
                .at(call.span());
    }

    private static Optional<Form> letters(String mask) {
        Matcher standard = STANDARD.matcher(mask);
        if (standard.matches()) {
            int decimals = standard.group(2).isEmpty() ? 2 : Integer.parseInt(standard.group(2));
            return Optional.of(new Form(1, standard.group(1).equalsIgnoreCase("N"), decimals, 0));
        }
        Matcher custom = CUSTOM.matcher(mask);
        if (!custom.matches()) {
            return Optional.empty();
        }
        boolean digits = custom.group(2) != null;
        String before = digits ? custom.group(1) : custom.group(4);
        String after = digits ? custom.group(3) : custom.group(5);
        return Optional.of(new Form(
                digits ? custom.group(2).length() : 0,
                before.indexOf(',') >= 0,
                after == null ? 0 : after.length(),
                0));
    }

    private static Optional<Form> words(String mask) {
        Matcher words = WORDS.matcher(mask);
        String all = words.matches() ? words.group(2) + words.group(3) : "";
        if (all.isEmpty()) {
            return Optional.empty();
        }
        String digits = words.group(3);
        boolean zeros = digits.replaceAll("[,Gg]", "").matches("(0[09]*)?");
        boolean thousands = all.toUpperCase(Locale.ROOT).matches(".*[,G].*");
        boolean grouped = !thousands || all.matches("(?i)[09]{1,3}([,G][09]{3})+");
        return zeros && grouped
                ? Optional.of(new Form(
                        digits.replaceAll("[,Gg]", "").length(),
                        thousands,
                        words.group(4) == null ? 0 : words.group(4).length(),
                        words.group(1) == null ? mask.length() + 1 : 0))
                : Optional.empty();
    }
}
