package raftcart.rewrite;

import java.util.Optional;
import java.util.Set;
import raftcart.dialect.SqlFeature;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.ExprSearch;
import raftcart.sql.tree.TypeName;
import raftcart.type.LogicalType;

/** Numbers that say a place in a text, a length or how many digits, which some engines take with 32 bits only. */
final class Positions {
    private static final int NARROW = 32;

    /** The functions that take such numbers. */
    private static final Set<String> FUNCTIONS = Set.of(
            "left",
            "right",
            "substring",
            "repeat",
            "repeat_or_null",
            "space",
            "lpad",
            "rpad",
            "lpad_with",
            "rpad_with",
            "locate",
            "locate_nth",
            "char_of",
            "unicode_char",
            "overlay",
            "insert_text",
            "insert_text_within",
            "split_part",
            "substring_before",
            "regexp_substring_nth",
            "round_to",
            "truncate_to",
            "make_date",
            "ntile",
            "nth_value");

    private static final Set<String> WIDE_RESULTS =
            Set.of("count", "sum", "row_number", "rank", "dense_rank", "count_big", "bigint");

    private final ExprAdapter adapter;

    Positions(ExprAdapter adapter) {
        this.adapter = adapter;
    }

    /** The number as the target takes it; empty where it is narrow enough. */
    Optional<Expr> narrowed(Expr number, Expr.Call call) {
        ValueKind kind = adapter.kind(number);
        boolean concerns = adapter.to.has(SqlFeature.NARROW_POSITIONS)
                && !adapter.from.has(SqlFeature.NARROW_POSITIONS)
                && FUNCTIONS.contains(call.function())
                && !(number instanceof Expr.Literal)
                && kind.isNumber()
                && (kind != ValueKind.INTEGER || ExprSearch.any(number, this::isWide));
        if (!concerns) {
            return Optional.empty();
        }
        boolean cut = kind != ValueKind.INTEGER && adapter.from.has(SqlFeature.POSITIONS_ARE_CUT);
        Expr whole = cut ? Expr.Call.of("truncate", number).at(number.span()) : number;
        TypeName narrow = adapter.castType(new LogicalType.Int(NARROW, false));
        return Optional.of(new Expr.Cast(adapter.expr(whole), narrow, false, number.span()));
    }

    private boolean isWide(Expr e) {
        if (e instanceof Expr.Cast cast) {
            return isWide(adapter.finder.type(cast.type()));
        }
        if (e instanceof Expr.Call call) {
            return WIDE_RESULTS.contains(call.name().last().key());
        }
        return adapter.facts(e)
                .flatMap(Scope.ColumnFacts::type)
                .filter(Positions::isWide)
                .isPresent();
    }

    private static boolean isWide(LogicalType type) {
        return type instanceof LogicalType.Int i && (i.bits() > NARROW || i.bits() == NARROW && i.unsigned())
                || type instanceof LogicalType.Decimal
                || type instanceof LogicalType.Floating;
    }
}
