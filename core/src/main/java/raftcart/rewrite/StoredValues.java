package raftcart.rewrite;

import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.TypeName;
import raftcart.type.LogicalType;

/** Converts values that go into columns of another kind as the source does, and says where the engines differ. */
final class StoredValues {
    private final ExprAdapter adapter;

    StoredValues(ExprAdapter adapter) {
        this.adapter = adapter;
    }

    void note(Expr value, ValueKind kind, LogicalType type) {
        ValueKind column = KindFinder.kind(type);
        if (kind == column) {
            return;
        }
        boolean other = !adapter.from.name().equals(adapter.to.name());
        if (other && column == ValueKind.TEXT && kind == ValueKind.BOOLEAN && !Truths.isNumber(value, adapter)) {
            say(value, "engines spell truth values as texts in different ways");
        }
        if (other && column == ValueKind.TEXT && (kind == ValueKind.FLOAT || Digits.isExponential(value))) {
            say(value, "engines spell floating-point numbers as texts in different ways");
        }
        boolean settings = adapter.from.has(SqlFeature.DATES_SHOWN_BY_SETTINGS)
                || adapter.to.has(SqlFeature.DATES_SHOWN_BY_SETTINGS);
        boolean moment = kind == ValueKind.TIMESTAMP || kind == ValueKind.TIME || kind == ValueKind.DATE && settings;
        if (other && column == ValueKind.TEXT && moment) {
            say(value, "engines spell dates and times in different ways");
        }
        boolean halves =
                adapter.from.has(SqlFeature.FLOAT_HALVES_GO_UP) != adapter.to.has(SqlFeature.FLOAT_HALVES_GO_UP);
        if (halves && column == ValueKind.INTEGER && kind == ValueKind.FLOAT) {
            say(value, "halves of floating-point numbers become the even number on one engine");
        }
        boolean rounded = adapter.lost(SqlFeature.NUMBERS_ARE_CONDITIONS) && column == ValueKind.BOOLEAN;
        if (rounded && (kind == ValueKind.DECIMAL || kind == ValueKind.FLOAT)) {
            say(value, "the source rounds a number before it takes it for a truth value");
        }
    }

    /** A text for a column of another kind, with the cast that some engines want; truth values as numbers. */
    Expr converted(Expr given, ValueKind kind, LogicalType type) {
        Expr value = new TextMoments(adapter).stored(given, kind, type);
        boolean strict = adapter.to.has(SqlFeature.COLUMNS_TAKE_THEIR_KIND)
                && !adapter.from.has(SqlFeature.COLUMNS_TAKE_THEIR_KIND)
                && !(value instanceof Expr.Literal);
        ValueKind column = KindFinder.kind(type);
        if (strict && type instanceof LogicalType.Uuid && kind == ValueKind.TEXT && !isUuid(value)) {
            return uuid(value, type);
        }
        if (!strict || kind == column || column == ValueKind.UNKNOWN) {
            return value;
        }
        boolean text = kind == ValueKind.TEXT
                && (column.isNumber() || column.isDate() || column == ValueKind.TIME || column == ValueKind.BOOLEAN);
        boolean shown = column == ValueKind.TEXT && Truths.isNumber(value, adapter);
        if (kind == ValueKind.BOOLEAN && column.isNumber() || shown) {
            return Truths.asNumber(value, value.span());
        }
        if (kind == ValueKind.JSON && column.isNumber()) {
            return new Expr.Cast(value, adapter.sourceType(type), false, value.span());
        }
        if (text) {
            say(value, "a text that goes into a column of another kind");
            if (column == ValueKind.BOOLEAN && adapter.from.has(SqlFeature.NUMBERS_ARE_CONDITIONS)) {
                Expr number = new Operands(adapter).numberOfText(value);
                return new Expr.Binary(BinaryOperator.NOT_EQUAL, number, Expr.Literal.number(0), value.span());
            }
            return new Expr.Cast(value, adapter.sourceType(type), false, value.span());
        }
        if (kind == ValueKind.BYTES && (column == ValueKind.TEXT || column == ValueKind.JSON)) {
            return new Expr.Cast(value, adapter.sourceType(new LogicalType.Text(0)), false, value.span());
        }
        boolean encodes = adapter.from.has(SqlFeature.CASTS_DECODE_BYTES) && adapter.writes("bytes_of_text");
        if (kind == ValueKind.TEXT && column == ValueKind.BYTES && encodes) {
            return Expr.Call.of("bytes_of_text", value).at(value.span());
        }
        if (kind == ValueKind.TEXT && column == ValueKind.JSON && adapter.writes("json_as_stored")) {
            return Expr.Call.of("json_as_stored", value).at(value.span());
        }
        if (isMixed(kind, column)) {
            throw new Untranslatable("a value of one kind in a column of another");
        }
        return value;
    }

    /** True for kinds of which no engine makes the other by itself and right. */
    private static boolean isMixed(ValueKind kind, ValueKind column) {
        return column.isNumber() && (kind.isDate() || kind == ValueKind.TIME)
                || kind.isNumber() && (column.isDate() || column == ValueKind.TIME)
                || kind == ValueKind.BOOLEAN && (column.isDate() || column == ValueKind.TIME)
                || kind.isDate() && (column == ValueKind.BOOLEAN || column == ValueKind.TIME);
    }

    private Expr uuid(Expr text, LogicalType type) {
        TypeName own = adapter.sourceType(type);
        if (!(adapter.finder.type(own) instanceof LogicalType.Uuid)) {
            throw new Untranslatable("a text in a column of a type that the source lacks");
        }
        return new Expr.Cast(text, own, false, text.span());
    }

    private boolean isUuid(Expr value) {
        boolean made = value instanceof Expr.Cast cast && adapter.finder.type(cast.type()) instanceof LogicalType.Uuid;
        return made
                || value instanceof Expr.Call call
                        && adapter.from
                                .functions()
                                .recognise(call.name().toString(), call.arguments(), adapter::kind)
                                .filter(f -> f.signature().name().equals("new_uuid"))
                                .isPresent()
                || adapter.facts(value)
                        .flatMap(Scope.ColumnFacts::type)
                        .filter(LogicalType.Uuid.class::isInstance)
                        .isPresent();
    }

    private void say(Expr value, String what) {
        adapter.note(FindingCode.IMPLICIT_CAST, value.span(), what);
    }
}
