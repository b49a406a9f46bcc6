package raftcart.translate;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import raftcart.catalog.ForeignKey;
import raftcart.catalog.ObjectName;
import raftcart.catalog.Table;

/**
 * Puts tables in an order in which parents stand before children, as far as there is one. Tables that refer to each
 * other in a circle stand together, in the order of their names; their foreign keys are added after all rows.
 */
final class TableOrder {
    private final Map<ObjectName, Table> tables = new TreeMap<>();
    private final Map<ObjectName, State> states = new HashMap<>();
    private final List<Table> ordered = new ArrayList<>();

    private TableOrder(Collection<Table> tables) {
        tables.forEach(t -> this.tables.put(t.name(), t));
    }

    private enum State {
        OPEN,
        DONE
    }

    /** The tables in order; the same tables always come in the same order. */
    static List<Table> of(Collection<Table> tables) {
        TableOrder order = new TableOrder(tables);
        order.tables.keySet().forEach(order::visit);
        return List.copyOf(order.ordered);
    }

    /** Parents first, without recursion: a chain of tables may be as long as there are tables. */
    private void visit(ObjectName first) {
        Deque<ObjectName> open = new ArrayDeque<>();
        open.push(first);
        while (!open.isEmpty()) {
            ObjectName name = open.peek();
            Table table = tables.get(name);
            if (table == null || states.get(name) == State.DONE) {
                open.pop();
            } else if (states.putIfAbsent(name, State.OPEN) == null) {
                table.foreignKeys().stream()
                        .map(ForeignKey::target)
                        .filter(t -> !states.containsKey(t))
                        .sorted(Comparator.reverseOrder())
                        .forEach(open::push);
            } else {
                open.pop();
                states.put(name, State.DONE);
                ordered.add(table);
            }
        }
    }
}
