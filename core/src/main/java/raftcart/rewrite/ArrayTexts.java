package raftcart.rewrite;

import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import raftcart.dialect.Untranslatable;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.type.LogicalType;

/** Arrays that are written as texts ("Array Input and Output Syntax" of PostgreSQL), as JSON arrays. */
final class ArrayTexts {
    private static final Pattern NUMBER = Pattern.compile("[+-]?(\\d+(\\.\\d*)?|\\.\\d+)([eE][+-]?\\d+)?");

    private final String text;
    private int position;

    private ArrayTexts(String text) {
        this.text = text;
    }

    /** An item: a text, quoted or not, or an array. */
    private record Item(String text, boolean quoted, Optional<List<Item>> items) {}

    /** {@code {a,"b c",{d}}} as {@code ["a", "b c", ["d"]]}. */
    static Expr.Literal json(Expr.Literal array, LogicalType.Array type) {
        List<Item> items = new ArrayTexts(array.text().strip())
                .whole()
                .orElseThrow(() -> new Untranslatable("an array that is given as a text"));
        return new Expr.Literal(LiteralKind.STRING, json(items, kind(type)), array.span());
    }

    /** True for constants, and lists of them. */
    static boolean isConstant(Expr e) {
        Expr value = e instanceof Expr.Cast cast ? cast.value() : e;
        return value instanceof Expr.Literal
                || value instanceof Expr.ArrayItems list
                        && list.items().stream().allMatch(ArrayTexts::isConstant);
    }

    /** Constants between brackets as JSON. */
    static Expr.Literal json(Expr.ArrayItems items, LogicalType.Array type) {
        return new Expr.Literal(
                LiteralKind.STRING,
                json(items.items().stream().map(ArrayTexts::item).toList(), kind(type)),
                items.span());
    }

    private static ValueKind kind(LogicalType.Array type) {
        LogicalType innermost = type.element();
        while (innermost instanceof LogicalType.Array inner) {
            innermost = inner.element();
        }
        return KindFinder.kind(innermost);
    }

    private static Item item(Expr given) {
        Expr value = given instanceof Expr.Cast cast ? cast.value() : given;
        if (value instanceof Expr.ArrayItems inner) {
            return new Item(
                    "",
                    false,
                    Optional.of(inner.items().stream().map(ArrayTexts::item).toList()));
        }
        if (value instanceof Expr.Literal l && l.kind() == LiteralKind.NULL) {
            return new Item("null", false, Optional.empty());
        }
        if (!(value instanceof Expr.Literal literal)) {
            throw new Untranslatable("an array of more than constants");
        }
        return new Item(literal.text(), literal.kind() == LiteralKind.STRING, Optional.empty());
    }

    private static String json(List<Item> items, ValueKind kind) {
        return items.stream()
                .map(i -> i.items().map(inner -> json(inner, kind)).orElseGet(() -> json(i, kind)))
                .collect(Collectors.joining(", ", "[", "]"));
    }

    private static String json(Item item, ValueKind kind) {
        if (!item.quoted() && item.text().equalsIgnoreCase("null")) {
            return "null";
        }
        return switch (kind) {
            case INTEGER, DECIMAL, FLOAT -> number(item.text());
            case BOOLEAN ->
                String.valueOf(Truths.ofWord(item.text())
                        .orElseThrow(() -> new Untranslatable("an array with " + item.text())));
            default -> JsonNodeFactory.instance.textNode(item.text()).toString();
        };
    }

    /** A number as JSON has it, which knows neither NaN nor infinity (RFC 8259, section 6). */
    private static String number(String text) {
        if (!NUMBER.matcher(text).matches()) {
            throw new Untranslatable("an array with " + text);
        }
        return new BigDecimal(text).toString();
    }

    /** The items of a plain array; empty where one is quoted or an array itself. */
    static Optional<List<String>> items(String array) {
        return new ArrayTexts(array.strip())
                .whole()
                .filter(all ->
                        all.stream().noneMatch(i -> i.quoted() || i.items().isPresent()))
                .map(all -> all.stream().map(Item::text).toList());
    }

    private Optional<List<Item>> whole() {
        Optional<List<Item>> items = items();
        return position == text.length() ? items : Optional.empty();
    }

    private Optional<List<Item>> items() {
        if (!takes('{')) {
            return Optional.empty();
        }
        List<Item> items = new ArrayList<>();
        skipBlanks();
        if (takes('}')) {
            return Optional.of(items);
        }
        do {
            skipBlanks();
            Optional<Item> item = item();
            if (item.isEmpty()) {
                return Optional.empty();
            }
            items.add(item.get());
            skipBlanks();
        } while (takes(','));
        return takes('}') ? Optional.of(items) : Optional.empty();
    }

    private Optional<Item> item() {
        if (position < text.length() && text.charAt(position) == '{') {
            return items().map(inner -> new Item("", false, Optional.of(inner)));
        }
        boolean quoted = takes('"');
        StringBuilder value = new StringBuilder();
        while (position < text.length() && !ends(text.charAt(position), quoted)) {
            if (text.charAt(position) == '\\' && position + 1 < text.length()) {
                position++;
            }
            value.append(text.charAt(position++));
        }
        boolean ended = !quoted || takes('"');
        String plain = quoted ? value.toString() : value.toString().strip();
        return ended && (quoted || !plain.isEmpty())
                ? Optional.of(new Item(plain, quoted, Optional.empty()))
                : Optional.empty();
    }

    private static boolean ends(char c, boolean quoted) {
        return quoted ? c == '"' : c == ',' || c == '}' || c == '{' || c == '"';
    }

    private boolean takes(char c) {
        boolean there = position < text.length() && text.charAt(position) == c;
        position += there ? 1 : 0;
        return there;
    }

    private void skipBlanks() {
        while (position < text.length() && Character.isWhitespace(text.charAt(position))) {
            position++;
        }
    }
}
