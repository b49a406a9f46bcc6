package raftcart.rewrite;

import java.util.Collections;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Set;
import raftcart.dialect.SqlFeature;
import raftcart.finding.FindingCode;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;

/**
 * Results of functions that may come out empty, which is NULL on a source that has no empty texts ("Oracle Database SQL
 * Language Reference", Nulls). They are made NULL, but where that changes nothing.
 */
final class EmptyTexts {
    private static final Set<String> TRIMS = Set.of("trim", "ltrim", "rtrim", "trim_of", "ltrim_of", "rtrim_of");
    private static final Set<String> REPLACING = Set.of("replace", "regexp_replace_all", "regexp_replace");

    private final ExprAdapter adapter;

    /** Calls beside which an empty text and NULL come to the same. */
    private final Set<Expr> harmless = Collections.newSetFromMap(new IdentityHashMap<>(Scope.FEW));

    EmptyTexts(ExprAdapter adapter) {
        this.adapter = adapter;
    }

    /** Remembers a call that is equal to nothing empty, in a condition that does not tell false from unknown. */
    void compared(Expr.Binary binary) {
        boolean never = adapter.askedForTrue
                && (binary.operator() == BinaryOperator.EQUAL
                        || binary.operator() == BinaryOperator.GREATER
                        || binary.operator() == BinaryOperator.GREATER_OR_EQUAL);
        if (never && isNotEmpty(binary.right())) {
            harmless.add(binary.left());
        }
        if (never && binary.operator() == BinaryOperator.EQUAL && isNotEmpty(binary.left())) {
            harmless.add(binary.right());
        }
    }

    /** The same for a list of values. */
    void listed(Expr.InList in) {
        boolean plain = in.items().stream().allMatch(EmptyTexts::isNotEmpty);
        if (adapter.askedForTrue && !in.negated() && plain) {
            harmless.add(in.value());
        }
    }

    /** The same for a pattern of which at least one character is no wildcard. */
    void matched(Expr.Like like) {
        boolean letters = like.pattern() instanceof Expr.Literal l
                && !l.text().replace("%", "").isEmpty();
        if (adapter.askedForTrue && !like.negated() && letters) {
            harmless.add(like.value());
        }
    }

    /** The same for texts that are put together, and for those in an index, which has to fit its queries. */
    void kept(List<Expr> parts) {
        harmless.addAll(parts);
    }

    /** The adapted call, made NULL where it is empty. */
    Expr asNull(Expr.Call original, Expr.Call meant, Expr adapted) {
        boolean kept = !adapter.lost(SqlFeature.EMPTY_TEXT_IS_NULL)
                || harmless.contains(original)
                || adapter.kind(original) != ValueKind.TEXT
                || !mayBeEmpty(meant);
        if (kept) {
            return adapted;
        }
        adapter.note(FindingCode.SYNTAX_ADAPTED, original.span(), "NULL where nothing is left, as on the source");
        return adapter.ofKind(
                Expr.Call.of("nullif", adapted, Expr.Literal.string("")).at(original.span()), ValueKind.TEXT);
    }

    /** What stands for nothing where it is NULL: a part of a text to be replaced, or what takes its place. */
    Expr asNothing(Expr argument, Expr adapted) {
        boolean sure = argument instanceof Expr.Literal l && l.kind() != LiteralKind.NULL
                || adapter.facts(argument).filter(Scope.ColumnFacts::notNull).isPresent();
        if (sure || !adapter.lost(SqlFeature.EMPTY_TEXT_IS_NULL)) {
            return adapted;
        }
        adapter.note(FindingCode.SYNTAX_ADAPTED, argument.span(), "NULL stands for nothing, as on the source");
        Expr nothing = Expr.Literal.string("");
        return argument instanceof Expr.Literal
                ? nothing
                : Expr.Call.of("coalesce", adapted, nothing).at(argument.span());
    }

    private static boolean mayBeEmpty(Expr.Call meant) {
        List<Expr> a = meant.arguments();
        String function = meant.function();
        if (TRIMS.contains(function)) {
            return !(a.get(0) instanceof Expr.Literal l && !l.text().isBlank());
        }
        if (REPLACING.contains(function)) {
            return a.size() < 3 || !(a.get(2) instanceof Expr.Literal && isNotEmpty(a.get(2)));
        }
        return switch (function) {
            case "remove" -> true;
            case "lpad", "rpad", "lpad_with", "rpad_with" -> !isAtLeastOne(a.get(1));
            case "substring" -> !(startsWithin(a.get(1)) && (a.size() < 3 || isAtLeastOne(a.get(2))));
            case "translate" -> a.size() == 3 && !(length(a.get(1)) >= 0 && length(a.get(1)) == length(a.get(2)));
            case "regexp_substring", "regexp_substring_nth" ->
                !(a.get(1) instanceof Expr.Literal l) || l.text().chars().anyMatch(c -> "*?|{".indexOf(c) >= 0);
            default -> false;
        };
    }

    /** A start that every text has that is not empty: 0 and 1, and from its end, beyond which there is NULL. */
    private static boolean startsWithin(Expr start) {
        return start instanceof Expr.Unary
                || start instanceof Expr.Literal l && l.text().matches("0|1|-\\d+");
    }

    private static boolean isAtLeastOne(Expr length) {
        return length instanceof Expr.Literal l && l.text().matches("0*[1-9]\\d*");
    }

    private static int length(Expr e) {
        return e instanceof Expr.Literal l && l.kind() == LiteralKind.STRING
                ? l.text().length()
                : -1;
    }

    /** A value that is no empty text: a constant, or a column, which holds NULL in its place. */
    private static boolean isNotEmpty(Expr e) {
        return e instanceof Expr.Column
                || e instanceof Expr.Literal l && !l.text().isEmpty();
    }
}
