package raftcart.rewrite;

import java.util.List;
import raftcart.dialect.Language;
import raftcart.dialect.MaskStyle;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.function.ValueKind;
import raftcart.sql.parse.TypeNameParser;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.TypeName;
import raftcart.type.LogicalType;

/** Translates CONVERT with a style number ("CAST and CONVERT (Transact-SQL)": date and time styles). */
final class StyleTranslator {
    private final ExprAdapter adapter;

    StyleTranslator(ExprAdapter adapter) {
        this.adapter = adapter;
    }

    /** The type that such a call names. */
    static TypeName type(Expr.Call call, Language language) {
        String type = ((Expr.Literal) call.arguments().get(1)).text();
        return TypeNameParser.parse(type, language.grammar().lexical());
    }

    Expr convert(Expr.Call call) {
        Expr value = call.arguments().get(0);
        String type = ((Expr.Literal) call.arguments().get(1)).text();
        String style = ((Expr.Literal) call.arguments().get(2)).text();
        LogicalType wanted = adapter.finder.type(type(call, adapter.from));
        ValueKind kind = KindFinder.kind(wanted);
        ValueKind given = adapter.kind(value);
        if (given == ValueKind.BYTES || kind == ValueKind.BYTES) {
            return hexadecimal(call, given, kind, style);
        }
        if (given == ValueKind.TEXT && kind == ValueKind.TEXT) {
            return adapter.expr(new Expr.Cast(value, type(call, adapter.from), false, call.span()));
        }
        if (kind == ValueKind.TEXT) {
            String mask = mask(style);
            Expr formatted = Expr.Call.of("format_date", adapter.expr(value), masked(mask, call))
                    .at(call.span());
            int length = type.indexOf('(') < 0
                    ? 0
                    : wanted instanceof LogicalType.Varchar v
                            ? v.length()
                            : wanted instanceof LogicalType.Char c ? c.length() : 0;
            int natural = mask.replaceAll("HH24", "HH").length();
            if (length > 0 && length < natural) {
                return Expr.Call.of("left", formatted, Expr.Literal.number(length))
                        .at(call.span());
            }
            return formatted;
        }
        boolean iso = style.equals("126") || style.equals("127") || style.matches("2[015]|12[01]|0?23");
        if (kind.isDate() && iso && value instanceof Expr.Literal text && text.kind() == LiteralKind.STRING) {
            return DateAdapter.typed(new DateAdapter(adapter).asRead(text, kind), kind);
        }
        if (kind.isDate()) {
            String function = kind == ValueKind.DATE ? "parse_date" : "parse_timestamp";
            return Expr.Call.of(function, adapter.expr(value), masked(mask(style), call))
                    .at(call.span());
        }
        throw new Untranslatable("CONVERT with the style " + style);
    }

    /** Bytes as hexadecimal digits and back, which style 1 begins with {@code 0x}. */
    private Expr hexadecimal(Expr.Call call, ValueKind given, ValueKind wanted, String style) {
        Expr value = adapter.expr(call.arguments().get(0));
        if (given == ValueKind.BYTES && wanted == ValueKind.TEXT && style.matches("[12]")) {
            Expr digits = Expr.Call.of("hex_of_bytes", value).at(call.span());
            return style.equals("2")
                    ? digits
                    : new Expr.Concat(List.of(Expr.Literal.string("0x"), digits), false, call.span());
        }
        if (wanted == ValueKind.BYTES && given != ValueKind.BYTES && style.equals("2")) {
            return Expr.Call.of("bytes_of_hex", value).at(call.span());
        }
        throw new Untranslatable("CONVERT with the style " + style);
    }

    private static String mask(String style) {
        return switch (style) {
            case "101" -> "MM/DD/YYYY";
            case "102" -> "YYYY.MM.DD";
            case "103" -> "DD/MM/YYYY";
            case "104" -> "DD.MM.YYYY";
            case "105" -> "DD-MM-YYYY";
            case "108" -> "HH24:MI:SS";
            case "110" -> "MM-DD-YYYY";
            case "111" -> "YYYY/MM/DD";
            case "112" -> "YYYYMMDD";
            case "120" -> "YYYY-MM-DD HH24:MI:SS";
            case "121" -> "YYYY-MM-DD HH24:MI:SS.MS";
            case "23" -> "YYYY-MM-DD";
            case "24" -> "HH24:MI:SS";
            case "20" -> "YYYY-MM-DD HH24:MI:SS";
            case "21", "25" -> "YYYY-MM-DD HH24:MI:SS.MS";
            default -> throw new Untranslatable("CONVERT with the style " + style);
        };
    }

    private Expr masked(String words, Expr.Call call) {
        MaskStyle target = adapter.to.masks();
        String mask =
                switch (target) {
                    case WORDS -> words.replace("MS", "FF3");
                    case WORDS_M -> words;
                    case LETTERS, LETTERS_D ->
                        words.replace("YYYY", "yyyy")
                                .replace("DD", "dd")
                                .replace("HH24", "HH")
                                .replace("MI", "mm")
                                .replace("SS", "ss")
                                .replace("MS", target == MaskStyle.LETTERS ? "SSS" : "fff");
                    case PERCENT_I -> percent(words).replace("MI", "%i").replace("SS", "%s");
                    case PERCENT_M, PERCENT_F ->
                        percent(words).replace("MI", "%M").replace("SS", "%S");
                };
        if (words.contains("MS")) {
            adapter.note(FindingCode.FORMAT_MASK, call.span(), "milliseconds in a mask");
        }
        return Expr.Literal.string(mask);
    }

    private static String percent(String words) {
        return words.replace("YYYY", "%Y")
                .replace(".MS", "")
                .replace("MM", "%m")
                .replace("DD", "%d")
                .replace("HH24", "%H");
    }
}
