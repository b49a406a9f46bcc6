package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.TypeName;
import raftcart.type.LogicalType;

/** Adapts texts that are put together: what becomes of NULL among them, and of values that are no texts. */
final class ConcatAdapter {
    private final ExprAdapter adapter;

    ConcatAdapter(ExprAdapter adapter) {
        this.adapter = adapter;
    }

    private boolean same() {
        return adapter.from.name().equals(adapter.to.name());
    }

    /** Texts put together: NULL as empty or not, and what is no text made one. */
    Expr concat(Expr.Concat given) {
        Expr.Concat concat = withoutNothing(given);
        boolean empty = concat.nullIsEmpty() && !adapter.to.has(SqlFeature.EMPTY_TEXT_IS_NULL);
        if (concat.parts().size() == 1) {
            Expr text = alone(concat);
            boolean filled = empty
                    && given.parts().size() == 1
                    && !NeverNull.is(concat.parts().get(0), adapter.scope);
            return filled
                    ? Expr.Call.of("coalesce", text, Expr.Literal.string("")).at(concat.span())
                    : text;
        }
        adapter.empties.kept(concat.parts());
        refuseOthers(concat);
        new TextRules(adapter).padded(concat.parts(), "concat", concat.span());
        List<Expr> parts = new ArrayList<>();
        boolean wrapped = false;
        for (Expr part : same() ? concat.parts() : flat(concat)) {
            ValueKind kind = adapter.kind(part);
            Expr adapted = PlainConstants.typedNull(asText(part, kind, concat.nullIsEmpty()), adapter);
            if (empty && !NeverNull.is(part, adapter.scope)) {
                Expr none = Expr.Literal.string("");
                Expr text = kind == ValueKind.TEXT ? adapted : toText(adapted, kind);
                adapted = Expr.Call.of("coalesce", text, none).at(part.span());
                wrapped = true;
            }
            parts.add(adapted);
        }
        if (!same() && adapter.to.has(SqlFeature.ARRAYS) && beginsWithoutText(flat(concat))) {
            parts.set(0, toText(parts.get(0), adapter.kind(flat(concat).get(0))));
        }
        if (wrapped) {
            adapter.note(FindingCode.EMPTY_TEXT, concat.span(), "NULL adds nothing to a text, as on the source");
        }
        boolean nullWins = !concat.nullIsEmpty() && !same() && adapter.to.has(SqlFeature.EMPTY_TEXT_IS_NULL);
        if (nullWins && concat.parts().stream().anyMatch(p -> !NeverNull.is(p, adapter.scope))) {
            adapter.note(
                    FindingCode.EMPTY_TEXT,
                    concat.span(),
                    "a NULL makes the whole NULL on the source, on the target it adds nothing");
        }
        return new Expr.Concat(parts, concat.nullIsEmpty() && !empty, concat.span());
    }

    private Expr alone(Expr.Concat concat) {
        Expr part = concat.parts().get(0);
        ValueKind kind = adapter.kind(part);
        Expr text = asText(part, kind, concat.nullIsEmpty());
        return kind == ValueKind.TEXT || text instanceof Expr.Cast ? text : toText(text, kind);
    }

    /** True where the first two parts are known to be no texts, so that nothing says that texts are put together. */
    private boolean beginsWithoutText(List<Expr> parts) {
        return parts.size() > 1
                && parts.stream()
                        .limit(2)
                        .map(adapter::kind)
                        .allMatch(k -> k.isNumber() || FunctionArguments.shownAsText(k) && k != ValueKind.JSON);
    }

    /** Refuses what is put together by the same sign and is no text. */
    private void refuseOthers(Expr.Concat concat) {
        if (!same()
                && !adapter.to.has(SqlFeature.ARRAYS)
                && concat.parts().stream().anyMatch(p -> adapter.kind(p) == ValueKind.ARRAY)) {
            throw new Untranslatable("an array to which something is added");
        }
        boolean documents = !same()
                && adapter.lost(SqlFeature.DOCUMENTS_ARE_MERGED)
                && concat.parts().stream().anyMatch(p -> adapter.kind(p) == ValueKind.JSON);
        if (documents) {
            throw new Untranslatable("JSON documents that are merged");
        }
    }

    /** The same without the empty texts, which to Oracle are NULL and add nothing. */
    private Expr.Concat withoutNothing(Expr.Concat concat) {
        if (same() || !adapter.from.has(SqlFeature.EMPTY_TEXT_IS_NULL) || !concat.nullIsEmpty()) {
            return concat;
        }
        List<Expr> parts = flat(concat).stream()
                .filter(p -> !(p instanceof Expr.Literal l
                        && (l.kind() == LiteralKind.NULL
                                || l.kind() == LiteralKind.STRING && l.text().isEmpty())))
                .toList();
        return parts.isEmpty() ? concat : new Expr.Concat(parts, true, concat.span());
    }

    /** The texts of texts that are put together in the same way. */
    private static List<Expr> flat(Expr.Concat concat) {
        List<Expr> parts = new ArrayList<>();
        for (Expr part : concat.parts()) {
            if (part instanceof Expr.Concat inner && inner.nullIsEmpty() == concat.nullIsEmpty()) {
                parts.addAll(flat(inner));
            } else {
                parts.add(part);
            }
        }
        return parts;
    }

    private Expr asText(Expr part, ValueKind kind, boolean passesNulls) {
        Expr written = new Variants(adapter).asText(part);
        if (written != part) {
            return adapter.expr(written);
        }
        boolean truth = Truths.isNumber(part, adapter);
        Optional<Expr> letter = passesNulls ? Truths.letter(part, adapter) : Optional.empty();
        if (letter.isPresent()) {
            return letter.get();
        }
        if (!same() && kind == ValueKind.BOOLEAN && !truth) {
            TypeName text = adapter.sourceType(new LogicalType.Text(0));
            return adapter.expr(new Expr.Cast(part, text, false, part.span()));
        }
        Expr adapted = new UniqueIds(adapter).asText(part, Truths.shown(part, adapter.expr(part), adapter));
        if (same() || kind == ValueKind.TEXT || kind == ValueKind.NULL) {
            return adapted;
        }
        noteSpelling(part, adapter);
        boolean wantsText =
                adapter.to.has(SqlFeature.PLUS_CONCATENATES) || adapter.to.has(SqlFeature.KEYS_SAY_NOT_NULL);
        if (kind == ValueKind.UNKNOWN
                && adapter.to.has(SqlFeature.PLUS_CONCATENATES)
                && !adapter.from.has(SqlFeature.PLUS_CONCATENATES)) {
            return new Expr.Cast(adapted, adapter.castType(new LogicalType.Text(0)), false, part.span());
        }
        return kind == ValueKind.UNKNOWN || !wantsText ? adapted : toText(adapted, kind);
    }

    /** Says where a value becomes a text that is not the same one on each engine. */
    static void noteSpelling(Expr part, ExprAdapter adapter) {
        ValueKind kind = adapter.kind(part);
        boolean zeros = kind == ValueKind.DECIMAL
                && adapter.from.has(SqlFeature.NUMBERS_SHOWN_SHORT) != adapter.to.has(SqlFeature.NUMBERS_SHOWN_SHORT);
        boolean differs = zeros
                || kind == ValueKind.FLOAT
                || Digits.isExponential(part)
                || kind == ValueKind.TIMESTAMP
                || kind == ValueKind.DATE;
        if (differs && !adapter.from.name().equals(adapter.to.name())) {
            adapter.note(
                    FindingCode.IMPLICIT_CAST,
                    part.span(),
                    "engines spell this kind of value as a text in different ways");
        }
    }

    private Expr toText(Expr adapted, ValueKind kind) {
        TypeName wanted = adapter.castType(new LogicalType.Text(0));
        boolean isText = adapted instanceof Expr.Cast cast
                        && (cast.type().equals(wanted) || adapter.finder.type(cast.type()) instanceof LogicalType.Text)
                || adapted instanceof Expr.Call call && call.is("coalesce");
        if (isText) {
            return adapted;
        }
        if (kind == ValueKind.UNKNOWN && !(adapter.to.has(SqlFeature.DATE_PLUS_INTERVAL_IS_TIMESTAMP))) {
            return adapted;
        }
        if (kind == ValueKind.TEXT) {
            return adapted;
        }
        return new Expr.Cast(adapted, wanted, false, adapted.span());
    }
}
