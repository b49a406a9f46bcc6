package raftcart.rewrite;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.TypeName;
import raftcart.sql.tree.UnaryOperator;
import raftcart.type.LogicalType;

/** Casts of texts to truth values ("Boolean Type", PostgreSQL: the words and all their beginnings that tell them apart). */
final class TruthTexts {
    private static final String YES = "t|tr|tru|true|y|ye|yes|on|1";
    private static final String NO = "f|fa|fal|fals|false|n|no|of|off|0";

    private final ExprAdapter adapter;

    TruthTexts(ExprAdapter adapter) {
        this.adapter = adapter;
    }

    /** @param value what is cast, without a cast to a text around it */
    Optional<Expr> cast(Expr.Cast cast, Expr value, ValueKind wanted) {
        if (wanted == ValueKind.TEXT && Truths.isNumber(cast.value(), adapter)) {
            Expr number = Truths.shown(cast.value(), adapter.expr(cast.value()), adapter);
            TypeName text = adapter.castType(new LogicalType.Text(0));
            return Optional.of(new Expr.Cast(number, text, false, cast.span()));
        }
        ValueKind kind = adapter.kind(cast.value());
        if (wanted == ValueKind.TEXT && kind == ValueKind.BOOLEAN && isShownOtherwise()) {
            return Optional.of(shown(cast));
        }
        if (wanted != ValueKind.BOOLEAN || kind != ValueKind.TEXT && kind != ValueKind.JSON) {
            return Optional.empty();
        }
        String word = value instanceof Expr.Literal l ? l.text().strip().toLowerCase(Locale.ROOT) : "";
        boolean yes = word.matches(YES);
        if (yes || word.matches(NO)) {
            return Optional.of(
                    adapter.to.has(SqlFeature.BOOLEAN_CONSTANTS)
                            ? new Expr.Literal(LiteralKind.BOOLEAN, yes ? "true" : "false", cast.span())
                            : Expr.Literal.number(yes ? 1 : 0));
        }
        if (!adapter.to.has(SqlFeature.BOOLEAN_CONSTANTS)) {
            throw new Untranslatable("a text as a truth value");
        }
        boolean number = adapter.to.has(SqlFeature.NUMBERS_ARE_CONDITIONS)
                && !adapter.from.has(SqlFeature.NUMBERS_ARE_CONDITIONS);
        return number ? Optional.of(choice(value, cast)) : Optional.empty();
    }

    /** True where the target has other words for truth values, or numbers. */
    private boolean isShownOtherwise() {
        boolean words =
                adapter.from.has(SqlFeature.BOOLEAN_CONSTANTS) && !adapter.from.has(SqlFeature.NUMBERS_ARE_CONDITIONS);
        boolean same = adapter.to.has(SqlFeature.BOOLEAN_CONSTANTS)
                && !adapter.to.has(SqlFeature.NUMBERS_ARE_CONDITIONS)
                && adapter.from.has(SqlFeature.TRUTHS_SHOWN_IN_CAPITALS)
                        == adapter.to.has(SqlFeature.TRUTHS_SHOWN_IN_CAPITALS);
        return words && !same && !adapter.from.name().equals(adapter.to.name());
    }

    private Expr shown(Expr.Cast cast) {
        adapter.note(FindingCode.CONDITION_ADAPTED, cast.span(), "a truth value as a text");
        boolean capitals = adapter.from.has(SqlFeature.TRUTHS_SHOWN_IN_CAPITALS);
        Expr.When yes = new Expr.When(adapter.condition(cast.value()), Expr.Literal.string(capitals ? "TRUE" : "true"));
        Expr.When no = new Expr.When(
                adapter.condition(new Expr.Unary(UnaryOperator.NOT, cast.value(), cast.span())),
                Expr.Literal.string(capitals ? "FALSE" : "false"));
        return new Expr.Case(Optional.empty(), List.of(yes, no), Optional.empty(), cast.span());
    }

    /** Any text that is no word for a truth value fails on the source, and is false here. */
    private Expr choice(Expr value, Expr.Cast cast) {
        adapter.note(FindingCode.SYNTAX_ADAPTED, cast.span(), "the words for truth values");
        if (adapter.kind(cast.value()) == ValueKind.JSON) {
            return new Expr.Binary(BinaryOperator.EQUAL, adapter.expr(value), Expr.Literal.string("true"), cast.span());
        }
        Expr word =
                Expr.Call.of("lower", Expr.Call.of("trim", adapter.expr(value))).at(cast.span());
        List<Expr> words =
                Arrays.stream(YES.split("[|]")).<Expr>map(Expr.Literal::string).toList();
        return new Expr.InList(word, words, false, cast.span());
    }
}
