package raftcart.rewrite;

import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import raftcart.dialect.MaskStyle;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.TypeName;
import raftcart.type.LogicalType;

/** Brings format masks of dates from one mask language to another. */
final class MaskTranslator {
    private static final int MICROSECONDS = 6;

    /** What every engine reads as a date or timestamp without being told how. */
    private static final Pattern ISO = Pattern.compile("(?i)YYYY-?MM-?DD([ \"T]+HH24:MI(:SS([.]FF\\d?|[.][MU]S)?)?)?"
            + "|%Y-?%m-?%d([ T]%H:%i(:%[sS])?)?|%Y-?%m-?%d([ T]%H:%M(:%S)?)?");

    /** Fields of the languages of words that the others lack. */
    private static final Pattern OTHER_WORDS =
            Pattern.compile("(?i)SSSSS?|TZ[HMRD]?|SCC|CC|AD|BC|[AB]\\.[DC]\\.|YYY|Y|IYY|IY|IDDD|ID|I"
                    + "|WW|W|J|D[LS]?|TS|RM|OF|EE?|TH|SP|X");

    /** Those of them that all languages of words have. */
    private static final Pattern COMMON_WORDS =
            Pattern.compile("(?i)SSSSS|TZ[HM]|CC|AD|BC|[AB]\\.[DC]\\.|YYY|Y|IYY|IY|I|WW|W|J|RM|TH");

    private static final Pattern FILL_MODE = Pattern.compile("(?i)FM");

    private final ExprAdapter adapter;

    MaskTranslator(ExprAdapter adapter) {
        this.adapter = adapter;
    }

    /** A field of a date with its spelling in each mask language; an empty one where it has none. */
    private enum Field {
        YEAR("YYYY", "%Y", "%Y", "yyyy", "yyyy"),
        SHORT_YEAR("YY", "%y", "", "yy", "yy"),
        ISO_YEAR("IYYY", "%x", "%G", "YYYY", ""),
        MONTH("MM", "%m", "%m", "MM", "MM"),
        MONTH_NAME("FMMonth", "%M", "%B", "MMMM", "MMMM"),
        MONTH_SHORT("Mon", "%b", "%b", "MMM", "MMM"),
        DAY("DD", "%d", "%d", "dd", "dd"),
        DAY_UNPADDED("FMDD", "%e", "%-d", "d", "d"),
        MONTH_UNPADDED("FMMM", "%c", "%-m", "M", "M"),
        DAY_OF_YEAR("DDD", "%j", "%j", "DDD", ""),
        DAY_NAME("FMDay", "%W", "%A", "EEEE", "dddd"),
        DAY_SHORT("Dy", "%a", "%a", "EEE", "ddd"),
        HOUR("HH24", "%H", "%H", "HH", "HH"),
        HOUR_12("HH12", "%h", "%I", "hh", "hh"),
        MINUTE_UNPADDED("FMMI", "", "%-M", "m", "m"),
        SECOND_UNPADDED("FMSS", "", "%-S", "s", "s"),
        HOUR_UNPADDED("FMHH24", "%k", "%-H", "H", "H"),
        HOUR_12_UNPADDED("FMHH12", "%l", "%-I", "h", "h"),
        MINUTE("MI", "%i", "%M", "mm", "mm"),
        SECOND("SS", "%s", "%S", "ss", "ss"),
        MILLISECOND("FF3", "", "%g", "SSS", "fff"),
        MICROSECOND("FF6", "%f", "", "SSSSSS", "ffffff"),
        HALF("AM", "%p", "%p", "a", "tt"),
        ISO_WEEK("IW", "%v", "%V", "", ""),
        QUARTER("Q", "", "", "Q", "");

        private final String[] spellings;

        Field(String... spellings) {
            this.spellings = spellings;
        }

        String in(MaskStyle style) {
            return switch (style) {
                case WORDS -> spellings[0];
                case WORDS_M -> spellings[0].equals("FF3") ? "MS" : spellings[0].equals("FF6") ? "US" : spellings[0];
                case PERCENT_I -> spellings[1];
                case PERCENT_M, PERCENT_F -> spellings[2];
                case LETTERS -> spellings[3];
                case LETTERS_D -> spellings[4];
            };
        }
    }

    private static final Set<Field> NAMES =
            EnumSet.of(Field.MONTH_NAME, Field.MONTH_SHORT, Field.DAY_NAME, Field.DAY_SHORT);

    /** Further spellings of fields in the language of words. */
    private static final String[][] SYNONYMS = {
        {"RRRR", "YYYY"},
        {"RR", "YY"},
        {"HH", "HH12"},
        {"PM", "AM"},
        {"A.M.", "AM"},
        {"P.M.", "AM"},
        {"MONTH", "FMMonth"},
        {"FMMONTH", "FMMonth"},
        {"MON", "Mon"},
        {"FMDAY", "FMDay"},
        {"DAY", "FMDay"},
        {"DY", "Dy"},
        {"FF3", "MS"},
        {"FF6", "US"},
        {"FF", "FF6"},
        {"FF9", "FF6"},
        {"SSSSS", ""}
    };

    Expr call(Expr.Call given) {
        adapter.instants.partly(given);
        Optional<Expr> number = new NumberMasks(adapter).read(given);
        if (number.isPresent()) {
            return number.get();
        }
        if (given.is("parse_instant")) {
            return new MaskedInstants(adapter).read(given);
        }
        boolean parses = given.is("parse_date") || given.is("parse_timestamp");
        return parses ? parsed(given) : formatted(given);
    }

    /** A text read by a mask: a constant where both are constants; a date that has a time of day as a timestamp. */
    private Expr parsed(Expr.Call call) {
        boolean constant = isWords(adapter.from.masks())
                && call.arguments().get(0) instanceof Expr.Literal text
                && text.kind() == LiteralKind.STRING
                && call.arguments().get(1) instanceof Expr.Literal mask
                && mask.kind() == LiteralKind.STRING;
        boolean dated = call.is("parse_date") && adapter.from.has(SqlFeature.DATES_HAVE_TIME);
        if (constant) {
            String mask = ((Expr.Literal) call.arguments().get(1)).text();
            boolean day = call.is("parse_date") && !(dated && MaskedDates.hasTime(mask));
            Optional<LocalDateTime> moment =
                    MaskedDates.read(((Expr.Literal) call.arguments().get(0)).text(), mask);
            if (moment.isPresent()) {
                return constant(moment.get(), day, call);
            }
        }
        Optional<Expr> plain = iso(call);
        if (plain.isPresent()) {
            return plain.get();
        }
        if (isTime(call)) {
            return Expr.Call.of("time_of", formatted(call)).at(call.span());
        }
        boolean time =
                dated && !(call.arguments().get(1) instanceof Expr.Literal mask && !MaskedDates.hasTime(mask.text()));
        return formatted(time ? call.with("parse_timestamp", call.arguments()).at(call.span()) : call);
    }

    /** MySQL reads a time of day where the mask has no part of a date. */
    private boolean isTime(Expr.Call call) {
        return adapter.from.masks() == MaskStyle.PERCENT_I
                && adapter.to.masks() != MaskStyle.PERCENT_I
                && call.arguments().get(1) instanceof Expr.Literal mask
                && mask.text().matches("(%[HhIkliSspTrf%]|[^%])*");
    }

    /** A text as every engine reads it, where the target has no masks for reading. */
    private Optional<Expr> iso(Expr.Call call) {
        String mask = call.arguments().get(1) instanceof Expr.Literal l ? l.text() : "";
        boolean readable = !adapter.writes(call.function()) && ISO.matcher(mask).matches();
        if (!readable) {
            return Optional.empty();
        }
        boolean day = !mask.contains("H");
        LogicalType type = day && !adapter.from.has(SqlFeature.DATES_HAVE_TIME)
                ? new LogicalType.Date()
                : new LogicalType.Timestamp(call.is("parse_date") ? 0 : MICROSECONDS, false);
        adapter.note(FindingCode.SYNTAX_ADAPTED, call.span(), "the text is read without the mask");
        return Optional.of(
                new Expr.Cast(adapter.expr(call.arguments().get(0)), adapter.castType(type), false, call.span()));
    }

    private Expr constant(LocalDateTime moment, boolean day, Expr.Call call) {
        String date = moment.toLocalDate().toString();
        String fraction = moment.getNano() == 0 ? "" : String.format(".%06d", moment.getNano() / 1000);
        String text = day
                ? date
                : date + " " + String.format("%02d:%02d:%02d", moment.getHour(), moment.getMinute(), moment.getSecond())
                        + fraction;
        adapter.note(FindingCode.SYNTAX_ADAPTED, call.span(), "the date that the mask reads: " + text);
        if (adapter.to.has(SqlFeature.TYPED_DATES)) {
            return new Expr.Literal(day ? LiteralKind.DATE : LiteralKind.TIMESTAMP, text, call.span());
        }
        LogicalType type = day ? new LogicalType.Date() : new LogicalType.Timestamp(fraction.isEmpty() ? 0 : 6, false);
        return new Expr.Cast(Expr.Literal.string(text), adapter.castType(type), false, call.span());
    }

    private Expr formatted(Expr.Call call) {
        Expr given = new DateAdapter(adapter).fromText(call.arguments().get(0));
        boolean constant = call.is("format_date")
                && given instanceof Expr.Literal text
                && text.kind() == LiteralKind.STRING
                && adapter.to.has(SqlFeature.TYPED_DATES);
        Expr value = constant
                ? DateAdapter.typed(
                        (Expr.Literal) given,
                        ((Expr.Literal) given).text().strip().length() > 10 ? ValueKind.TIMESTAMP : ValueKind.DATE)
                : adapter.expr(given);
        if (call.is("format_date") && adapter.to.has(SqlFeature.TYPED_DATES) && !constant) {
            value = dated(value, call);
        }
        Expr mask = call.arguments().get(1);
        Expr translated = adapter.expr(mask);
        if (adapter.from.masks() != adapter.to.masks()) {
            if (mask instanceof Expr.Literal literal && literal.kind() == LiteralKind.STRING) {
                translated = Expr.Literal.string(translate(literal, call));
            } else {
                adapter.note(FindingCode.FORMAT_MASK, call.span(), "the mask is not a constant and was not translated");
            }
        }
        return call.with(call.function(), List.of(value, translated)).at(call.span());
    }

    /** Targets that format dates and numbers with one function choose by the type; a text is made a timestamp. */
    private Expr dated(Expr value, Expr.Call call) {
        ValueKind kind = adapter.kindOf(value);
        if (kind == ValueKind.TEXT) {
            adapter.note(
                    FindingCode.IMPLICIT_CAST, call.span(), "a text is formatted as a date; one that is none fails");
            return new Expr.Cast(
                    value, adapter.castType(new LogicalType.Timestamp(MICROSECONDS, false)), false, call.span());
        }
        if (kind == ValueKind.UNKNOWN) {
            adapter.note(
                    FindingCode.FORMAT_MASK,
                    call.span(),
                    "the type of the formatted value is not known; it must be a date or timestamp");
        }
        return value;
    }

    private String translate(Expr.Literal literal, Expr.Call call) {
        String mask = literal.text();
        MaskStyle source = adapter.from.masks();
        MaskStyle target = adapter.to.masks();
        if (source == MaskStyle.LETTERS_D && mask.length() == 1) {
            throw new Untranslatable("the form " + mask + ", which depends on the language");
        }
        if (source == MaskStyle.LETTERS_D && mask.startsWith("%")) {
            mask = mask.substring(1);
        }
        if (source == MaskStyle.WORDS) {
            mask = FillModes.ofEach(mask);
        }
        StringBuilder text = new StringBuilder();
        int position = 0;
        while (position < mask.length()) {
            Optional<Match> match = match(mask, position, source);
            int other = isWords(source) ? otherField(mask, position) : position;
            if (other > match.map(Match::end).orElse(position)) {
                text.append(other(mask.substring(position, other), target, call));
                position = other;
                continue;
            }
            if (match.isEmpty()) {
                position = literalPart(mask, position, source, target, text);
                continue;
            }
            String given = mask.substring(position, match.get().end());
            text.append(spelling(match.get().field(), given, call));
            position = match.get().end();
        }
        if (target == MaskStyle.LETTERS_D && text.length() == 1) {
            text.insert(0, '%'); // a single letter stands for a whole form there
        }
        if (adapter.to.has(SqlFeature.MASKS_FILL_UP) && FILL_MODE.matcher(text).find()) {
            throw new Untranslatable("a mask without the zeros and blanks that fill up its fields");
        }
        String written = target == MaskStyle.WORDS ? FillModes.ofAll(text.toString()) : text.toString();
        if (!written.equals(literal.text())) {
            adapter.note(FindingCode.SYNTAX_ADAPTED, literal.span(), "the mask " + literal.text() + " is " + written);
        }
        return written;
    }

    private String spelling(Field field, String given, Expr.Call call) {
        MaskStyle target = adapter.to.masks();
        boolean name = NAMES.contains(field);
        if (isWords(target) && isWords(adapter.from.masks()) && (name || field == Field.HALF)) {
            return given; // in the same case, and filled up or not
        }
        if (name) {
            adapter.note(
                    FindingCode.FORMAT_MASK,
                    call.span(),
                    "names of days and months can differ in language, case and padding");
        }
        if (field == Field.HALF && isWords(adapter.from.masks()) && !given.matches("[AP]M")) {
            adapter.note(FindingCode.FORMAT_MASK, call.span(), "AM and PM come in capitals and without points");
        }
        if (field.in(target).isEmpty()) {
            return without(given, call);
        }
        return field.in(target);
    }

    private record Match(Field field, int end) {}

    /** The end of a field of words that has no spelling elsewhere; the place itself where there is none. */
    private static int otherField(String mask, int position) {
        Matcher other = OTHER_WORDS.matcher(mask).region(position, mask.length());
        return other.lookingAt() ? other.end() : position;
    }

    private String other(String word, MaskStyle target, Expr.Call call) {
        if (word.equalsIgnoreCase("X")) {
            return "."; // the character before fractions
        }
        if (!isWords(target) || !COMMON_WORDS.matcher(word).matches()) {
            return without(word, call);
        }
        return word;
    }

    /** A field that is left as it is where masks have words, which may mean the same; no other mask has it. */
    private String without(String field, Expr.Call call) {
        if (!isWords(adapter.to.masks()) || !isWords(adapter.from.masks())) {
            throw new Untranslatable("the field " + field + " of a mask");
        }
        adapter.note(FindingCode.FORMAT_MASK, call.span(), "the field " + field + " has no counterpart");
        return field;
    }

    /** The longest field that stands at a place. */
    private static Optional<Match> match(String mask, int position, MaskStyle style) {
        String upper = mask.toUpperCase(Locale.ROOT);
        Match best = null;
        for (Field field : Field.values()) {
            for (String spelling : spellings(field, style)) {
                boolean here = isWords(style)
                        ? upper.startsWith(spelling.toUpperCase(Locale.ROOT), position)
                        : mask.startsWith(spelling, position);
                if (!spelling.isEmpty() && here && (best == null || position + spelling.length() > best.end())) {
                    best = new Match(field, position + spelling.length());
                }
            }
        }
        return Optional.ofNullable(best);
    }

    private static List<String> spellings(Field field, MaskStyle style) {
        List<String> all = new ArrayList<>(List.of(field.in(style)));
        if (isWords(style)) {
            for (String[] synonym : SYNONYMS) {
                if (synonym[1].equals(field.in(style))) {
                    all.add(synonym[0]);
                }
            }
        }
        if (style == MaskStyle.PERCENT_I && field == Field.HOUR_12) {
            all.add("%I");
        }
        if (style == MaskStyle.PERCENT_I && field == Field.SECOND) {
            all.add("%S");
        }
        return all;
    }

    /** Text that stands for itself: quoted where the language wants that. */
    private int literalPart(String mask, int position, MaskStyle source, MaskStyle target, StringBuilder text) {
        char c = mask.charAt(position);
        if (isWords(source) && mask.regionMatches(true, position, "FM", 0, 2)) {
            throw new Untranslatable("FM before " + mask.substring(position + 2) + " in a mask");
        }
        char quote = isWords(source) ? '"' : isLetters(source) ? '\'' : 0;
        if (c == '%' && position + 1 < mask.length() && !isWords(source) && !isLetters(source)) {
            String composed =
                    switch (mask.substring(position, position + 2)) {
                        case "%T" -> source == MaskStyle.PERCENT_I ? "%H:%i:%s" : "%H:%M:%S";
                        case "%F" -> "%Y-%m-%d";
                        case "%R" -> "%H:%M";
                        case "%%" -> "";
                        default -> null;
                    };
            if (composed != null && !composed.isEmpty()) {
                text.append(plain(composed, source, target));
                return position + 2;
            }
            if (composed == null) {
                throw new Untranslatable("the field " + mask.substring(position, position + 2) + " of a mask");
            }
            text.append(mask, position, position + 2);
            return position + 2;
        }
        if (quote != 0 && c == quote) {
            int end = mask.indexOf(quote, position + 1);
            int until = end < 0 ? mask.length() : end;
            text.append(quoted(mask.substring(position + 1, until), target));
            return Math.min(mask.length(), until + 1);
        }
        boolean letter = Character.isLetter(c);
        text.append(letter ? quoted(String.valueOf(c), target) : String.valueOf(c));
        return position + 1;
    }

    static boolean isWords(MaskStyle style) {
        return style == MaskStyle.WORDS || style == MaskStyle.WORDS_M;
    }

    private static boolean isLetters(MaskStyle style) {
        return style == MaskStyle.LETTERS || style == MaskStyle.LETTERS_D;
    }

    private static String plain(String mask, MaskStyle source, MaskStyle target) {
        StringBuilder text = new StringBuilder();
        int position = 0;
        while (position < mask.length()) {
            Optional<Match> match = match(mask, position, source);
            text.append(match.map(m -> m.field().in(target)).orElse(mask.substring(position, position + 1)));
            position = match.map(Match::end).orElse(position + 1);
        }
        return text.toString();
    }

    private static String quoted(String text, MaskStyle target) {
        return switch (target) {
            case WORDS, WORDS_M -> "\"" + text + "\"";
            case LETTERS, LETTERS_D -> "'" + text + "'";
            case PERCENT_I, PERCENT_M, PERCENT_F -> text;
        };
    }

    /** A date as it is, or read from a text in a format. */
    Expr withFormat(Expr.Call call) {
        Expr value = call.arguments().get(0);
        TypeName type = TypeName.of(((Expr.Literal) call.arguments().get(1)).text());
        ValueKind wanted = KindFinder.kind(adapter.finder.type(type));
        ValueKind kind = adapter.kind(value);
        if (kind.isDate() || !wanted.isDate()) {
            return adapter.expr(new Expr.Cast(value, type, false, call.span()));
        }
        if (kind != ValueKind.TEXT) {
            adapter.note(FindingCode.TYPES_UNKNOWN, call.span(), "taken for a text in the format that the cast names");
        }
        String function = wanted == ValueKind.DATE ? "parse_date" : "parse_timestamp";
        return call(call.with(function, List.of(value, call.arguments().get(2))).at(call.span()));
    }
}
