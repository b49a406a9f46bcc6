package raftcart.rewrite;

import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import raftcart.dialect.ColumnUse;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.TypeName;
import raftcart.type.LogicalType;

/**
 * Columns of long texts, which some engines keep as large objects: these are not compared, sorted or grouped ("Large
 * objects" in the manuals of Oracle, DB2, Derby and Teradata).
 */
final class LongTexts {
    private static final Pattern LARGE_OBJECT = Pattern.compile("(?i)(db|n)?clob.*");

    private final ExprAdapter adapter;

    LongTexts(ExprAdapter adapter) {
        this.adapter = adapter;
    }

    /** A value that is compared or sorted, as a text that the target compares; it is adapted already. */
    Expr comparable(Expr given, Expr adapted) {
        if (!isLarge(given)) {
            return adapted;
        }
        TypeName text = adapter.castType(new LogicalType.Text(0));
        adapter.note(
                FindingCode.SYNTAX_CHECK,
                given.span(),
                name(given) + " is compared as " + text.name() + "; longer texts are cut or refused there");
        return new Expr.Cast(adapted, text, false, given.span());
    }

    /** Refuses values by which the target cannot tell rows apart. */
    void refuse(Stream<Expr> values, String where) {
        if (adapter.to.has(SqlFeature.LONG_TEXTS_DO_NOT_COMPARE)) {
            values.filter(this::isLarge).findFirst().ifPresent(e -> {
                throw new Untranslatable(where + " of the long text " + name(e));
            });
        }
    }

    private static String name(Expr column) {
        return ((Expr.Column) column).name().last().text();
    }

    private boolean isLarge(Expr e) {
        return e instanceof Expr.Column column
                && isLarge(adapter.facts(e).flatMap(Scope.ColumnFacts::type))
                && !adapter.scope.isKeyed(column.name());
    }

    /** True for a type that becomes a large object on the target, unless it is that of a key. */
    boolean isLarge(Optional<LogicalType> type) {
        return adapter.to.has(SqlFeature.LONG_TEXTS_DO_NOT_COMPARE)
                && !adapter.from.has(SqlFeature.LONG_TEXTS_DO_NOT_COMPARE)
                && type.filter(t -> t instanceof LogicalType.Text || t instanceof LogicalType.Varchar)
                        .map(t -> adapter.to.types().choose(t, ColumnUse.PLAIN).sql())
                        .filter(sql -> LARGE_OBJECT.matcher(sql).matches())
                        .isPresent();
    }
}
