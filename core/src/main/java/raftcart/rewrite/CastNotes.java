package raftcart.rewrite;

import java.util.regex.Pattern;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.TypeName;
import raftcart.type.LogicalType;
import raftcart.type.ValueForm;

/** What is to be said about casts that engines carry out in different ways. */
final class CastNotes {
    /** What stands between the parts of a date or time, so that they are no number together. */
    private static final Pattern SEPARATOR = Pattern.compile("[-:/., ]");

    private final ExprAdapter adapter;

    CastNotes(ExprAdapter adapter) {
        this.adapter = adapter;
    }

    /** Says where the same value becomes another text. */
    void spelled(Expr cast, ValueKind kind) {
        boolean settings = adapter.from.has(SqlFeature.DATES_SHOWN_BY_SETTINGS)
                || adapter.to.has(SqlFeature.DATES_SHOWN_BY_SETTINGS);
        if (kind == ValueKind.TIMESTAMP || kind == ValueKind.TIME || kind == ValueKind.DATE && settings) {
            adapter.note(FindingCode.IMPLICIT_CAST, cast.span(), "engines spell dates and times in different ways");
        }
        if (kind == ValueKind.INTERVAL) {
            adapter.note(FindingCode.IMPLICIT_CAST, cast.span(), "engines spell spans of time in different ways");
        }
        boolean money = adapter.from.has(SqlFeature.MONEY_SHOWS_TWO_DIGITS)
                && adapter.facts(value(cast))
                        .flatMap(Scope.ColumnFacts::type)
                        .filter(t -> t instanceof LogicalType.Decimal d
                                && d.scale() == 4
                                && (d.precision() == 19 || d.precision() == 10))
                        .isPresent();
        if (money) {
            adapter.note(
                    FindingCode.IMPLICIT_CAST,
                    cast.span(),
                    "if this is money, the source shows two digits behind the point, not four");
        }
        boolean zeros =
                adapter.from.has(SqlFeature.NUMBERS_SHOWN_SHORT) != adapter.to.has(SqlFeature.NUMBERS_SHOWN_SHORT);
        boolean whole = adapter.facts(value(cast))
                .flatMap(Scope.ColumnFacts::type)
                .filter(t -> t instanceof LogicalType.Decimal d && d.precision() > 0 && d.scale() == 0)
                .isPresent();
        if (kind == ValueKind.DECIMAL && zeros && !whole) {
            adapter.note(
                    FindingCode.IMPLICIT_CAST,
                    cast.span(),
                    "zeros before the point, or at the end of a fraction, are shown on one side only");
        }
    }

    /** True for a type of moments that keeps no seconds, which the target has no such type for. */
    static boolean roundsToMinutes(TypeName type, ExprAdapter adapter) {
        return type.name().equals("smalldatetime") && adapter.lost(SqlFeature.SMALL_DATES_ARE_MINUTES);
    }

    private static Expr value(Expr cast) {
        return cast instanceof Expr.Cast c
                ? c.value()
                : cast instanceof Expr.Call call ? call.arguments().get(0) : cast;
    }

    /** Says where a text is read otherwise, or not at all. */
    private void texts(Expr.Cast cast, LogicalType type, ValueKind kind) {
        boolean zoned = type instanceof LogicalType.Time time
                && time.zoned()
                && !adapter.from.name().equals(adapter.to.name())
                && TargetTypes.chosen(type, adapter.to).form() == ValueForm.TEXT;
        if (zoned) {
            adapter.note(FindingCode.IMPLICIT_CAST, cast.span(), "a time with a zone stays the text that it is");
        }
        boolean text = kind == ValueKind.TEXT && KindFinder.kind(type) == ValueKind.BYTES;
        if (text && adapter.lost(SqlFeature.TEXTS_OF_HEX_BYTES)) {
            adapter.note(
                    FindingCode.IMPLICIT_CAST, cast.span(), "backslashes in this text stand for bytes on the source");
        }
    }

    /** Says where engines convert in different ways. */
    void uncertain(Expr.Cast cast, LogicalType type, ValueKind kind) {
        padding(cast, type, kind);
        if (roundsToMinutes(cast.type(), adapter)) {
            adapter.note(FindingCode.IMPLICIT_CAST, cast.span(), "the source rounds to minutes");
        }
        texts(cast, type, kind);
        boolean text = type instanceof LogicalType.Text
                || type instanceof LogicalType.Varchar
                || type instanceof LogicalType.Char;
        if (text && kind == ValueKind.BOOLEAN) {
            adapter.note(
                    FindingCode.IMPLICIT_CAST, cast.span(), "engines spell truth values as texts in different ways");
        }
        if (text && !adapter.from.name().equals(adapter.to.name())) {
            spelled(cast, kind);
        }
        if (text && (kind == ValueKind.FLOAT || Digits.isExponential(cast.value()))) {
            adapter.note(
                    FindingCode.IMPLICIT_CAST, cast.span(), "engines spell floating-point numbers in different ways");
        }
        boolean numeral = cast.value() instanceof Expr.Literal l && l.text().matches("-?[0-9]+([.][0-9]+)?");
        boolean perhaps = kind == ValueKind.UNKNOWN
                && !cast.safe()
                && Digits.of(type).isPresent()
                && !(cast.value() instanceof Expr.Literal || cast.value() instanceof Expr.Parameter)
                && Digits.surplus(adapter.from, type).differs(Digits.surplus(adapter.to, type))
                && Digits.surplus(adapter.to, type) != Digits.Surplus.NEAREST;
        if (perhaps) {
            adapter.note(
                    FindingCode.TYPES_UNKNOWN,
                    cast.span(),
                    "one engine rounds, the other cuts or keeps digits for which the type has no room; it is not known whether there are any");
        }
        boolean silent =
                kind == ValueKind.TEXT && KindFinder.kind(type).isNumber() && !numeral && !isPartOfDate(adapter, cast);
        if (silent && adapter.lost(SqlFeature.LENIENT_NUMBERS)) {
            adapter.note(
                    FindingCode.IMPLICIT_CAST,
                    cast.span(),
                    "a text that is no number is 0 or its beginning on the source and refused on the target");
        }
    }

    /** Refuses the items of a document as an array, by which MySQL indexes each of them ("Multi-Valued Indexes"). */
    void items(Expr.Cast cast) {
        boolean document = cast.type().arrays() > 0 && adapter.from.has(SqlFeature.ARRAYS_ARE_OF_DOCUMENTS);
        if (document && !adapter.from.name().equals(adapter.to.name())) {
            throw new Untranslatable("the items of a JSON array, each for itself");
        }
    }

    /** SQLite knows no types of moments and truth, and makes a number of what is cast to one ("Datatypes In SQLite"). */
    void affinity(Expr.Cast cast) {
        ValueKind wanted = KindFinder.kind(adapter.finder.type(cast.type()));
        boolean number = adapter.lost(SqlFeature.DATES_ARE_TEXTS)
                && (wanted.isDate() || wanted == ValueKind.TIME || wanted == ValueKind.BOOLEAN);
        if (number) {
            adapter.note(
                    FindingCode.IMPLICIT_CAST, cast.span(), "the source gives the number with which the value begins");
        }
    }

    /** Says where one engine alone fills texts up to the length of their type. */
    private void padding(Expr.Cast cast, LogicalType type, ValueKind kind) {
        boolean padded = type instanceof LogicalType.Char c
                && c.length() > 1
                && (kind.isNumber() || kind == ValueKind.TEXT || kind == ValueKind.UNKNOWN)
                && !(cast.value() instanceof Expr.Literal l && l.text().length() >= c.length())
                && !(cast.value() instanceof Expr.Call call && isFormatted(adapter, call));
        if (padded
                && adapter.from.has(SqlFeature.CHARACTERS_ARE_PADDED)
                        != adapter.to.has(SqlFeature.CHARACTERS_ARE_PADDED)) {
            adapter.note(
                    FindingCode.PADDING, cast.span(), "the cast fills a short text up with blanks on one engine only");
        }
    }

    /** True for a text of a fixed length whose trailing blanks count on the target alone ("Character Types", PostgreSQL). */
    static boolean losesBlanks(Expr.Cast cast, ExprAdapter adapter) {
        boolean blanks = !(cast.value() instanceof Expr.Literal l) || l.text().endsWith(" ");
        return blanks
                && adapter.lost(SqlFeature.FIXED_TEXTS_LOSE_BLANKS)
                && !adapter.to.has(SqlFeature.CHARACTERS_ARE_PADDED)
                && adapter.kind(cast.value()) == ValueKind.TEXT
                && adapter.finder.type(cast.type()) instanceof LogicalType.Char c
                && c.length() > 1;
    }

    /** True for digits of a date, which are a number. */
    static boolean isPartOfDate(ExprAdapter adapter, Expr.Cast cast) {
        return cast.value() instanceof Expr.Call call
                && call.arguments().stream()
                        .noneMatch(a -> a instanceof Expr.Literal l
                                && SEPARATOR.matcher(l.text()).find())
                && isFormatted(adapter, call);
    }

    private static boolean isFormatted(ExprAdapter adapter, Expr.Call call) {
        return call.is("format_date")
                || adapter.from
                        .functions()
                        .recognise(call.name().toString(), call.arguments(), adapter::kind)
                        .filter(r -> r.signature().name().equals("format_date"))
                        .isPresent();
    }
}
