package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.Span;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.TableRef;
import raftcart.sql.tree.UnaryOperator;

/** Compares rows value by value, as the standard (ISO/IEC 9075-2, 8.2) says that they compare, for targets without rows. */
final class RowComparisons {
    private final ExprAdapter adapter;

    RowComparisons(ExprAdapter adapter) {
        this.adapter = adapter;
    }

    /** True for a comparison of rows that the target does not have. */
    boolean concerns(Expr.Binary binary) {
        boolean rows = binary.left() instanceof Expr.Row && binary.right() instanceof Expr.Row;
        return concerns(binary.left())
                || rows
                        && !adapter.to.has(SqlFeature.ROW_COMPARISONS)
                        && !adapter.from.name().equals(adapter.to.name());
    }

    /** True for a row that the target cannot compare as such. */
    boolean concerns(Expr left) {
        return left instanceof Expr.Row && !adapter.to.has(SqlFeature.ROW_VALUES);
    }

    /** True for a row among rows, of which the target does not rightly say whether it is there. */
    boolean concerns(Expr.InList in) {
        boolean rows = in.value() instanceof Expr.Row && in.items().stream().allMatch(Expr.Row.class::isInstance);
        boolean blurred = rows
                && !adapter.from.name().equals(adapter.to.name())
                && adapter.to.has(SqlFeature.ROW_LISTS_BLUR_NULLS);
        return blurred || concerns(in.value());
    }

    /** The comparison of two rows, yet to be adapted. */
    Expr compare(Expr.Binary binary) {
        if (!(binary.right() instanceof Expr.Row right)) {
            throw new Untranslatable("a comparison of several values with a query");
        }
        adapter.note(FindingCode.SYNTAX_ADAPTED, binary.span(), "rows compared value by value");
        List<Expr> a = ((Expr.Row) binary.left()).items();
        List<Expr> b = right.items();
        Span span = binary.span();
        return switch (binary.operator()) {
            case EQUAL -> equal(a, b, span);
            case NOT_EQUAL -> new Expr.Unary(UnaryOperator.NOT, equal(a, b, span), span);
            case LESS, GREATER -> ordered(a, b, binary.operator(), binary.operator(), span);
            case LESS_OR_EQUAL -> ordered(a, b, BinaryOperator.LESS, binary.operator(), span);
            case GREATER_OR_EQUAL -> ordered(a, b, BinaryOperator.GREATER, binary.operator(), span);
            default -> throw new Untranslatable("this comparison of several values at once");
        };
    }

    /** A row among rows, yet to be adapted. */
    Expr in(Expr.InList in) {
        adapter.note(FindingCode.SYNTAX_ADAPTED, in.span(), "rows compared value by value");
        List<Expr> choices = new ArrayList<>();
        for (Expr item : in.items()) {
            if (!(item instanceof Expr.Row row)) {
                throw new Untranslatable("several values among those of a query");
            }
            choices.add(equal(((Expr.Row) in.value()).items(), row.items(), in.span()));
        }
        Expr found = choices.size() == 1 ? choices.get(0) : new Expr.Junction(false, choices, in.span());
        return in.negated() ? new Expr.Unary(UnaryOperator.NOT, found, in.span()) : found;
    }

    /** {@code (a, b) IN (SELECT ...)} as EXISTS, which is the same wherever it is asked for true. */
    Expr exists(Expr.InList in) {
        Expr.Row row = (Expr.Row) in.value();
        Expr.Subquery subquery = (Expr.Subquery) in.items().get(0);
        Span span = in.span();
        adapter.note(FindingCode.SYNTAX_ADAPTED, span, "rows looked for in a query, with EXISTS");
        List<Name> columns = new ArrayList<>();
        List<Expr> conditions = new ArrayList<>();
        for (Expr item : row.items()) {
            Name column = Name.of("column_" + (columns.size() + 1) + "_");
            columns.add(column);
            Expr found = Expr.Column.of("found_", column.text());
            conditions.add(new Expr.Binary(BinaryOperator.EQUAL, found, item, span));
        }
        TableRef rows = new TableRef.Derived(
                subquery.query(), false, Optional.of(new TableRef.Alias(Name.of("found_"), columns, List.of())), span);
        Query query = Query.of(QueryBody.Select.of(
                List.of(QueryBody.Item.of(Expr.Literal.number(1))), List.of(rows), OldForms.and(conditions)));
        return new Expr.Exists(query, span);
    }

    private static Expr equal(List<Expr> a, List<Expr> b, Span span) {
        List<Expr> parts = new ArrayList<>();
        for (int i = 0; i < Math.min(a.size(), b.size()); i++) {
            parts.add(new Expr.Binary(BinaryOperator.EQUAL, a.get(i), b.get(i), span));
        }
        return parts.size() == 1 ? parts.get(0) : new Expr.Junction(true, parts, span);
    }

    /** The first values decide, those after them where the first are equal. */
    private static Expr ordered(List<Expr> a, List<Expr> b, BinaryOperator strict, BinaryOperator last, Span span) {
        if (a.size() == 1 || b.size() == 1) {
            return new Expr.Binary(last, a.get(0), b.get(0), span);
        }
        Expr rest = ordered(a.subList(1, a.size()), b.subList(1, b.size()), strict, last, span);
        Expr tie = new Expr.Junction(
                true, List.of(new Expr.Binary(BinaryOperator.EQUAL, a.get(0), b.get(0), span), rest), span);
        return new Expr.Junction(false, List.of(new Expr.Binary(strict, a.get(0), b.get(0), span), tie), span);
    }
}
