package raftcart.rewrite;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import raftcart.dialect.Untranslatable;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.type.LogicalType;

/** Arrays that are written as texts ("Array Input and Output Syntax" of PostgreSQL), as JSON arrays. */
final class ArrayTexts {
    private ArrayTexts() {}

    /** {@code {a,b}} as {@code ["a", "b"]}; only where no item is quoted or an array itself. */
    static Expr.Literal json(Expr.Literal array, LogicalType.Array type) {
        ValueKind kind = KindFinder.kind(type.element());
        String items =
                items(array.text()).orElseThrow(() -> new Untranslatable("an array that is given as a text")).stream()
                        .map(i -> item(i, kind))
                        .collect(Collectors.joining(", "));
        return new Expr.Literal(LiteralKind.STRING, "[" + items + "]", array.span());
    }

    /** The items of a plain array; empty where one is quoted or an array itself. */
    static Optional<List<String>> items(String array) {
        String text = array.strip();
        if (!text.matches("\\{[^{}\"\\\\]*}")) {
            return Optional.empty();
        }
        String inner = text.substring(1, text.length() - 1).strip();
        return Optional.of(
                inner.isEmpty()
                        ? List.of()
                        : Arrays.stream(inner.split(",")).map(String::strip).toList());
    }

    private static String item(String item, ValueKind kind) {
        if (item.equalsIgnoreCase("null")) {
            return "null";
        }
        return switch (kind) {
            case INTEGER, DECIMAL, FLOAT -> item;
            case BOOLEAN -> item.startsWith("t") ? "true" : "false";
            default -> '"' + item + '"';
        };
    }
}
