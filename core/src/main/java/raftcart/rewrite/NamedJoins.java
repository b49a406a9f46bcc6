package raftcart.rewrite;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import raftcart.dialect.Language;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.Span;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.ExprSearch;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.OrderItem;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody.Item;
import raftcart.sql.tree.QueryBody.Select;
import raftcart.sql.tree.QueryMapper;
import raftcart.sql.tree.TableRef;
import raftcart.sql.tree.TableRef.Join;

/**
 * Joins by the names of columns (USING and NATURAL) as joins with conditions, for targets without them. A column that the
 * join names stands once for both tables: for that of the side whose rows are all kept ("joined table" of the standard).
 */
final class NamedJoins {
    private final QueryAdapter adapter;

    /** What a joined column stands for, by its name in lower case. */
    private final Map<String, Expr> merged = new LinkedHashMap<>();

    NamedJoins(QueryAdapter adapter) {
        this.adapter = adapter;
    }

    Query rewrite(Query query) {
        boolean concerned =
                query.body() instanceof Select s && s.from().stream().anyMatch(t -> isLost(t, differs(s)));
        if (!concerned) {
            return query;
        }
        Select select = (Select) query.body();
        List<Item> given = stars(select);
        List<TableRef> from = select.from().stream().map(this::table).toList();
        QueryMapper names = new ColumnNames(
                c -> Optional.ofNullable(merged.get(c.name().last().key())));
        List<Item> items = given.stream().map(i -> named(i, names)).toList();
        Select plain = (Select) names.body(select.withItems(List.of()).withFrom(from));
        List<OrderItem> order = query.order().stream()
                .map(o -> isItem(o.value(), given) && !isColumn(o.value()) ? o : o.withValue(names.expr(o.value())))
                .toList();
        return query.withBody(plain.withItems(items)).withOrder(order);
    }

    /** True where a star of one table, or a joined column by the name of its table, means another thing on the target. */
    private boolean differs(Select select) {
        boolean stars = select.items().stream()
                .anyMatch(i -> i.value() instanceof Expr.Star s && s.table().isPresent());
        return stars && passesOver(adapter.from) != passesOver(adapter.to)
                || adapter.to.has(SqlFeature.JOINED_COLUMNS_HAVE_NO_TABLE) && namesTable(select);
    }

    private static boolean passesOver(Language language) {
        return language.has(SqlFeature.STARS_PASS_OVER_JOINED_COLUMNS);
    }

    private static boolean namesTable(Select select) {
        Set<String> joined = new HashSet<>();
        select.from().forEach(t -> using(t, joined));
        return ExprSearch.any(
                select,
                e -> e instanceof Expr.Column c
                        && c.name().parts().size() > 1
                        && joined.contains(c.name().last().key()));
    }

    private static void using(TableRef table, Set<String> joined) {
        if (table instanceof Join join) {
            using(join.left(), joined);
            using(join.right(), joined);
            join.using().forEach(c -> joined.add(c.key()));
        }
    }

    private boolean isLost(TableRef table, boolean differs) {
        if (!(table instanceof Join join)) {
            return false;
        }
        boolean natural =
                join.kind().name().startsWith("NATURAL") && (differs || !adapter.to.has(SqlFeature.NATURAL_JOIN));
        boolean using = !join.using().isEmpty() && (differs || !adapter.to.has(SqlFeature.USING_JOIN));
        return natural || using || isLost(join.left(), differs) || isLost(join.right(), differs);
    }

    /** A column keeps the name under which the query gives it. */
    private static Item named(Item item, QueryMapper names) {
        Expr value = names.expr(item.value());
        boolean unnamed =
                item.alias().isEmpty() && item.value() instanceof Expr.Column && !(value instanceof Expr.Column);
        return new Item(
                value, unnamed ? Optional.of(((Expr.Column) item.value()).name().last()) : item.alias());
    }

    private boolean isColumn(Expr value) {
        return merged.get(((Expr.Column) value).name().last().key()) instanceof Expr.Column;
    }

    private static boolean isItem(Expr value, List<Item> items) {
        return value instanceof Expr.Column c
                && c.name().parts().size() == 1
                && items.stream().anyMatch(i -> i.alias()
                        .or(() -> i.value() instanceof Expr.Column own
                                ? Optional.of(own.name().last())
                                : Optional.empty())
                        .filter(n -> n.matches(c.name().last()))
                        .isPresent());
    }

    private TableRef table(TableRef table) {
        if (!(table instanceof Join join)) {
            return table;
        }
        TableRef left = table(join.left());
        TableRef right = table(join.right());
        Join.Kind kind = kind(join.kind());
        List<Name> columns = kind == join.kind() ? join.using() : common(join);
        if (columns.isEmpty()) {
            boolean natural = kind != join.kind();
            return new Join(natural ? Join.Kind.CROSS : kind, left, right, join.on(), List.of(), join.span());
        }
        adapter.note(FindingCode.SYNTAX_ADAPTED, join.span(), "a join by names of columns with its condition");
        List<Expr> conditions = new ArrayList<>();
        Map<String, Expr> own = new LinkedHashMap<>();
        for (Name column : columns) {
            Expr a = Optional.ofNullable(merged.get(column.key())).orElseGet(() -> of(left, column));
            Expr b = of(right, column);
            conditions.add(new Expr.Binary(BinaryOperator.EQUAL, a, b, join.span()));
            own.put(
                    column.key(),
                    switch (kind) {
                        case RIGHT -> b;
                        case FULL -> Expr.Call.of("coalesce", a, b).at(join.span());
                        default -> a;
                    });
        }
        merged.putAll(own);
        return new Join(kind, left, right, OldForms.and(conditions), List.of(), join.span());
    }

    private static Join.Kind kind(Join.Kind kind) {
        return switch (kind) {
            case NATURAL -> Join.Kind.INNER;
            case NATURAL_LEFT -> Join.Kind.LEFT;
            case NATURAL_RIGHT -> Join.Kind.RIGHT;
            case NATURAL_FULL -> Join.Kind.FULL;
            default -> kind;
        };
    }

    /** The columns that both sides of a natural join have. */
    private List<Name> common(Join join) {
        Set<String> right = columns(join.right());
        return columns(join.left()).stream()
                .filter(right::contains)
                .map(Name::of)
                .toList();
    }

    private Set<String> columns(TableRef table) {
        Scope scope = new Scope(Optional.of(adapter.scope));
        adapter.finder.addTable(table, scope);
        if (!scope.relations().stream().allMatch(Scope.Relation::complete)) {
            throw new Untranslatable("a NATURAL JOIN of tables whose columns are not known");
        }
        Set<String> names = new LinkedHashSet<>();
        scope.relations().forEach(r -> r.columns().values().forEach(c -> names.add(c.name())));
        return names;
    }

    /** The column of the one table on this side that has it. */
    private Expr of(TableRef side, Name column) {
        List<TableRef> leaves = side.leaves();
        List<TableRef> owners = leaves.stream().filter(l -> has(l, column)).toList();
        if (leaves.size() > 1 && owners.size() != 1) {
            throw new Untranslatable("a join by the column " + column.text() + ", whose table is not known");
        }
        TableRef owner = leaves.size() == 1 ? leaves.get(0) : owners.get(0);
        return new Expr.Column(new QualifiedName(List.of(ChangeAdapter.alias(owner), column)), false, Span.NONE);
    }

    private boolean has(TableRef leaf, Name column) {
        Scope scope = new Scope(Optional.of(adapter.scope));
        adapter.finder.addTable(leaf, scope);
        return scope.relations().stream().anyMatch(r -> r.columns().containsKey(column.key()));
    }

    /** The items with a star for all columns written out, as a joined column comes once and first. */
    private List<Item> stars(Select select) {
        List<Item> items = new ArrayList<>();
        for (Item item : select.items()) {
            boolean star = item.value() instanceof Expr.Star;
            Optional<QualifiedName> table = star ? ((Expr.Star) item.value()).table() : Optional.empty();
            if (!star || table.isPresent() && !passesOver(adapter.from)) {
                items.add(item);
                continue;
            }
            Optional<List<Item>> written =
                    select.from().size() == 1 ? written(select.from().get(0), table) : Optional.empty();
            if (written.isEmpty()) {
                adapter.note(
                        FindingCode.SYNTAX_CHECK,
                        item.value().span(),
                        table.isPresent()
                                ? "the star leaves out the columns by which tables are joined, on the source alone"
                                : "the star gives the columns by which tables are joined once for each table");
            }
            items.addAll(written.orElse(List.of(item)));
        }
        return items;
    }

    private Optional<List<Item>> written(TableRef table, Optional<QualifiedName> only) {
        Scope scope = new Scope(Optional.of(adapter.scope));
        adapter.finder.addTable(table, scope);
        if (!scope.relations().stream().allMatch(Scope.Relation::complete)) {
            return Optional.empty();
        }
        Set<String> joined = new LinkedHashSet<>();
        collect(table, joined);
        List<Item> items = new ArrayList<>();
        if (only.isEmpty()) {
            joined.forEach(c -> items.add(Item.of(Expr.Column.of(c))));
        }
        for (Scope.Relation relation : scope.relations()) {
            boolean meant = only.isEmpty() || only.get().last().text().equalsIgnoreCase(relation.name());
            if (!meant) {
                continue;
            }
            relation.columns().forEach((key, facts) -> {
                if (joined.stream().noneMatch(j -> j.equalsIgnoreCase(key))) {
                    items.add(Item.of(Expr.Column.of(relation.name(), facts.name())));
                }
            });
        }
        return Optional.of(items);
    }

    private void collect(TableRef table, Set<String> joined) {
        if (table instanceof Join join) {
            collect(join.left(), joined);
            collect(join.right(), joined);
            List<Name> columns = kind(join.kind()) == join.kind() ? join.using() : common(join);
            columns.forEach(c -> joined.add(c.text()));
        }
    }

    /** Says where a star gives the columns of a right join by names in another order. */
    static void star(Select select, QueryAdapter adapter) {
        boolean star = select.items().stream()
                .anyMatch(i -> i.value() instanceof Expr.Star s && s.table().isEmpty());
        boolean right = select.from().stream()
                .anyMatch(t -> t instanceof TableRef.Join j
                        && (j.kind() == TableRef.Join.Kind.RIGHT && !j.using().isEmpty()
                                || j.kind() == TableRef.Join.Kind.NATURAL_RIGHT));
        if (star
                && right
                && adapter.from.has(SqlFeature.RIGHT_TABLE_FIRST) != adapter.to.has(SqlFeature.RIGHT_TABLE_FIRST)) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK, select.span(), "the star gives the columns in another order; name them");
        }
    }
}
