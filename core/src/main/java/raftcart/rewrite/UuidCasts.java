package raftcart.rewrite;

import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;
import raftcart.finding.FindingCode;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.type.LogicalType;

/** Casts between UUIDs, their texts and their bytes. */
final class UuidCasts {
    private static final Pattern DIGITS = Pattern.compile("[0-9a-fA-F]{32}");

    private final ExprAdapter adapter;

    UuidCasts(ExprAdapter adapter) {
        this.adapter = adapter;
    }

    /**
     * The cast in other words, where it needs them.
     *
     * @param value what is cast, as the target has it
     * @param kind its kind on the source
     */
    Optional<Expr> cast(Expr.Cast cast, Expr value, ValueKind kind, LogicalType type) {
        if (type instanceof LogicalType.Uuid) {
            return toUuid(cast, value, kind, type);
        }
        boolean ofUuid = cast.value() instanceof Expr.Cast inner
                && adapter.finder.type(inner.type()) instanceof LogicalType.Uuid;
        if (!ofUuid || KindFinder.kind(type) != ValueKind.BYTES) {
            return Optional.empty();
        }
        Expr text = new Expr.Cast(value, adapter.castType(new LogicalType.Varchar(36)), false, cast.span());
        return Optional.of(Expr.Call.of("uuid_to_bytes", text).at(cast.span()));
    }

    private Optional<Expr> toUuid(Expr.Cast cast, Expr value, ValueKind kind, LogicalType type) {
        boolean own = TargetTypes.chosen(type, adapter.to) instanceof LogicalType.Uuid;
        if (kind == ValueKind.BYTES) {
            Expr text = Expr.Call.of("uuid_of_bytes", value).at(cast.span());
            return Optional.of(own ? new Expr.Cast(text, adapter.castType(type), false, cast.span()) : text);
        }
        if (own || cast.value() instanceof Expr.Call call && call.is("new_uuid")) {
            return Optional.empty();
        }
        Optional<String> constant = cast.value() instanceof Expr.Literal literal && literal.kind() == LiteralKind.STRING
                ? normal(literal.text())
                : Optional.empty();
        if (constant.isEmpty()) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK,
                    cast.span(),
                    "a UUID keeps its spelling on the target: capital letters, hyphens");
        }
        return constant.map(t -> new Expr.Literal(LiteralKind.STRING, t, cast.span()));
    }

    /** The text by which engines with such a type show it (RFC 9562, section 4); empty where it is none. */
    private static Optional<String> normal(String text) {
        String digits = text.replaceAll("[-{}]", "").toLowerCase(Locale.ROOT);
        return DIGITS.matcher(digits).matches()
                ? Optional.of(digits.replaceFirst("(.{8})(.{4})(.{4})(.{4})", "$1-$2-$3-$4-"))
                : Optional.empty();
    }
}
