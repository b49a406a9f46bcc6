package raftcart.rewrite;

import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody.Item;
import raftcart.sql.tree.QueryMapper;

/** Expressions in the place of the columns of a query in FROM that is there no longer, or gives something else. */
final class NamedExpressions extends QueryMapper {
    private final Map<String, Map<String, Expr>> tables = new HashMap<>();
    private int depth = -1;

    void put(String table, Name column, Expr expression) {
        tables.computeIfAbsent(table.toLowerCase(Locale.ROOT), t -> new HashMap<>())
                .put(column.text().toLowerCase(Locale.ROOT), expression);
    }

    Query in(Query query) {
        return tables.isEmpty() ? query : query(query);
    }

    @Override
    public Query query(Query query) {
        depth++;
        try {
            return super.query(query);
        } finally {
            depth--;
        }
    }

    @Override
    protected List<Item> items(List<Item> items) {
        return items.stream()
                .map(i -> i.alias().isEmpty() && i.value() instanceof Expr.Column c && found(c).isPresent()
                        ? new Item(expr(c), Optional.of(c.name().last()))
                        : new Item(expr(i.value()), i.alias()))
                .toList();
    }

    @Override
    public Expr expr(Expr e) {
        Optional<Expr> found = e instanceof Expr.Column c ? found(c) : Optional.empty();
        return found.orElseGet(() -> super.expr(e));
    }

    /** A bare name within a further query may be one of that query's own columns. */
    private Optional<Expr> found(Expr.Column column) {
        List<Name> parts = column.name().parts();
        String name = column.name().last().text().toLowerCase(Locale.ROOT);
        if (parts.size() > 1) {
            String table = parts.get(parts.size() - 2).text().toLowerCase(Locale.ROOT);
            return Optional.ofNullable(tables.getOrDefault(table, Map.of()).get(name));
        }
        List<Expr> all = tables.values().stream()
                .filter(t -> t.containsKey(name))
                .map(t -> t.get(name))
                .toList();
        return depth == 0 && all.size() == 1 ? Optional.of(all.get(0)) : Optional.empty();
    }
}
