package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.TableRef;

/** Queries in FROM that read the rows of the tables before them: LATERAL on some engines, APPLY on others. */
final class ApplyAdapter {
    private final QueryAdapter adapter;

    ApplyAdapter(QueryAdapter adapter) {
        this.adapter = adapter;
    }

    /** The tables of FROM, those with a LATERAL query behind a comma joined with it where the target has APPLY alone. */
    List<TableRef> joined(List<TableRef> from) {
        boolean apply = !adapter.to.has(SqlFeature.LATERAL) && adapter.to.has(SqlFeature.APPLY);
        List<TableRef> tables = new ArrayList<>();
        for (TableRef table : from) {
            boolean reads = table instanceof TableRef.Derived d && d.lateral() || table instanceof TableRef.JsonTable;
            boolean lateral = apply && reads && !tables.isEmpty();
            if (lateral) {
                TableRef before = tables.remove(tables.size() - 1);
                for (int i = tables.size() - 1; i >= 0; i--) {
                    before = cross(tables.remove(i), before);
                }
                tables.add(cross(before, table));
            } else {
                tables.add(table);
            }
        }
        return tables;
    }

    /** The tables of FROM, whose first has none before it that it could read. */
    static List<TableRef> begun(List<TableRef> from) {
        if (from.isEmpty()) {
            return from;
        }
        List<TableRef> tables = new ArrayList<>(from);
        tables.set(0, begun(from.get(0)));
        return tables;
    }

    private static TableRef begun(TableRef table) {
        if (table instanceof TableRef.Join join) {
            return new TableRef.Join(
                    join.kind(), begun(join.left()), join.right(), join.on(), join.using(), join.span());
        }
        return table instanceof TableRef.Derived d && d.lateral() ? notLateral(d) : table;
    }

    private static TableRef.Derived notLateral(TableRef.Derived derived) {
        return new TableRef.Derived(derived.query(), false, derived.alias(), derived.span());
    }

    private static TableRef cross(TableRef left, TableRef right) {
        return new TableRef.Join(TableRef.Join.Kind.CROSS, left, right, Optional.empty(), List.of(), right.span());
    }

    /** A join, of tables or with a query that reads the rows before it. */
    TableRef join(TableRef.Join join) {
        TableRef left = adapter.table(join.left());
        TableRef right = adapter.table(join.right());
        Optional<Expr> on = adapter.optionalCondition(join.on());
        TableRef.Join.Kind kind = join.kind();
        boolean reads = right instanceof TableRef.JsonTable;
        if (reads && !adapter.to.has(SqlFeature.APPLY)) {
            return plain(join, left, right, on);
        }
        boolean apply = kind == TableRef.Join.Kind.CROSS_APPLY || kind == TableRef.Join.Kind.OUTER_APPLY;
        if (apply && !adapter.to.has(SqlFeature.APPLY) && adapter.to.has(SqlFeature.LATERAL)) {
            adapter.note(FindingCode.SYNTAX_ADAPTED, join.span(), "APPLY as LATERAL");
            right = lateral(right);
            boolean outer = kind == TableRef.Join.Kind.OUTER_APPLY;
            Expr always =
                    new Expr.Binary(BinaryOperator.EQUAL, Expr.Literal.number(1), Expr.Literal.number(1), join.span());
            return new TableRef.Join(
                    outer ? TableRef.Join.Kind.LEFT : TableRef.Join.Kind.CROSS,
                    left,
                    right,
                    outer ? Optional.of(always) : Optional.empty(),
                    List.of(),
                    join.span());
        }
        boolean lateralQuery = reads || right instanceof TableRef.Derived d && d.lateral();
        if (lateralQuery && !adapter.to.has(SqlFeature.LATERAL) && adapter.to.has(SqlFeature.APPLY)) {
            adapter.note(FindingCode.SYNTAX_ADAPTED, join.span(), "LATERAL as APPLY");
            boolean outer = kind == TableRef.Join.Kind.LEFT || kind == TableRef.Join.Kind.OUTER_APPLY;
            if (join.on().isPresent() && !isAlways(join.on().get())) {
                throw new Untranslatable("LATERAL with a condition of its own");
            }
            return new TableRef.Join(
                    outer ? TableRef.Join.Kind.OUTER_APPLY : TableRef.Join.Kind.CROSS_APPLY,
                    left,
                    right instanceof TableRef.Derived d ? notLateral(d) : right,
                    Optional.empty(),
                    List.of(),
                    join.span());
        }
        return new TableRef.Join(kind, left, right, on, join.using(), join.span());
    }

    /** A join with the parts of a document, which may read the tables before them by themselves. */
    private static TableRef plain(TableRef.Join join, TableRef left, TableRef right, Optional<Expr> on) {
        boolean outer = join.kind() == TableRef.Join.Kind.OUTER_APPLY || join.kind() == TableRef.Join.Kind.LEFT;
        Expr always =
                new Expr.Binary(BinaryOperator.EQUAL, Expr.Literal.number(1), Expr.Literal.number(1), join.span());
        boolean literal = join.on().filter(e -> e instanceof Expr.Literal).isPresent();
        Optional<Expr> condition = on.isPresent() && !literal ? on : outer ? Optional.of(always) : Optional.empty();
        TableRef.Join.Kind kind = outer
                ? TableRef.Join.Kind.LEFT
                : condition.isPresent() ? TableRef.Join.Kind.INNER : TableRef.Join.Kind.CROSS;
        return new TableRef.Join(kind, left, right, condition, List.of(), join.span());
    }

    private static boolean isAlways(Expr on) {
        return on instanceof Expr.Literal l && l.text().equals("true")
                || on instanceof Expr.Binary b && b.left().equals(b.right());
    }

    private static TableRef lateral(TableRef table) {
        if (table instanceof TableRef.Derived d) {
            return new TableRef.Derived(d.query(), true, d.alias(), d.span());
        }
        if (table instanceof TableRef.Function f) {
            return new TableRef.Function(f.call(), true, f.ordinality(), f.alias(), f.span());
        }
        throw new Untranslatable("APPLY of a table");
    }
}
