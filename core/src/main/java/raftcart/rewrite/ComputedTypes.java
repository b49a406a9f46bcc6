package raftcart.rewrite;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Stream;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.Name;
import raftcart.type.LogicalType;

/** Finds the type, with its length, of an expression that is to be a column; none where a value might not fit. */
final class ComputedTypes {
    /** Functions that make a text no longer. */
    private static final Set<String> SHORTENING = Set.of(
            "lower",
            "upper",
            "lcase",
            "ucase",
            "trim",
            "ltrim",
            "rtrim",
            "btrim",
            "left",
            "right",
            "substr",
            "substring",
            "reverse");

    /** Functions that give one of their arguments. */
    private static final Set<String> CHOOSING =
            Set.of("coalesce", "nvl", "ifnull", "isnull", "nullif", "greatest", "least");

    private final Function<Name, Optional<LogicalType>> columns;

    ComputedTypes(Function<Name, Optional<LogicalType>> columns) {
        this.columns = columns;
    }

    Optional<LogicalType> of(Expr value) {
        if (value instanceof Expr.Column column) {
            return columns.apply(column.name().last());
        }
        if (value instanceof Expr.Literal literal) {
            return literal(literal);
        }
        if (value instanceof Expr.Case choice) {
            return common(Stream.concat(choice.branches().stream().map(Expr.When::result), choice.otherwise().stream())
                    .toList());
        }
        if (value instanceof Expr.Concat concat) {
            return joined(concat.parts());
        }
        if (value instanceof Expr.Cast && IndexedTexts.uncast(value) != value) {
            return of(IndexedTexts.uncast(value)).filter(ComputedTypes::isText).map(ComputedTypes::unpadded);
        }
        return value instanceof Expr.Call call ? call(call) : Optional.empty();
    }

    private Optional<LogicalType> call(Expr.Call call) {
        String function = call.name().last().key();
        if (CHOOSING.contains(function) && call.arguments().size() > 1) {
            return common(call.arguments());
        }
        if (function.equals("concat")) {
            return joined(call.arguments());
        }
        return SHORTENING.contains(function) && !call.arguments().isEmpty()
                ? of(call.arguments().get(0)).filter(ComputedTypes::isText).map(ComputedTypes::unpadded)
                : Optional.empty();
    }

    private static Optional<LogicalType> literal(Expr.Literal literal) {
        if (literal.kind() == LiteralKind.STRING) {
            return Optional.of(
                    new LogicalType.Varchar(Math.max(1, literal.text().length())));
        }
        return literal.isDigits(18) ? Optional.of(new LogicalType.Int(64, false)) : Optional.empty();
    }

    private Optional<LogicalType> joined(List<Expr> parts) {
        int length = 0;
        for (Expr part : parts) {
            Optional<LogicalType> type = of(part).filter(ComputedTypes::isText);
            if (type.isEmpty()) {
                return type;
            }
            length += length(type.get());
        }
        return Optional.of(new LogicalType.Varchar(length));
    }

    /** The type that holds each of the values; NULL fits any. */
    private Optional<LogicalType> common(List<Expr> values) {
        Optional<LogicalType> common = Optional.empty();
        for (Expr value : values) {
            if (value instanceof Expr.Literal none && none.kind() == LiteralKind.NULL) {
                continue;
            }
            Optional<LogicalType> next = of(value);
            common = common.isEmpty() ? next : next.flatMap(holding(common.get()));
            if (common.isEmpty()) {
                return common;
            }
        }
        return common;
    }

    private static Function<LogicalType, Optional<LogicalType>> holding(LogicalType one) {
        return other -> {
            if (one.equals(other)) {
                return Optional.of(one);
            }
            if (isText(one) && isText(other)) {
                return Optional.of(new LogicalType.Varchar(Math.max(length(one), length(other))));
            }
            return one instanceof LogicalType.Int a
                            && other instanceof LogicalType.Int b
                            && a.unsigned() == b.unsigned()
                    ? Optional.of(new LogicalType.Int(Math.max(a.bits(), b.bits()), a.unsigned()))
                    : Optional.empty();
        };
    }

    private static boolean isText(LogicalType type) {
        return type instanceof LogicalType.Varchar || type instanceof LogicalType.Char;
    }

    private static LogicalType unpadded(LogicalType type) {
        return new LogicalType.Varchar(length(type));
    }

    private static int length(LogicalType type) {
        return type instanceof LogicalType.Varchar text ? text.length() : ((LogicalType.Char) type).length();
    }
}
