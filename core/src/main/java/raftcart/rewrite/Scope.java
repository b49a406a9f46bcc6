package raftcart.rewrite;

import java.util.ArrayList;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiFunction;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.type.LogicalType;

/** The tables whose columns can be named at a place of a query, and those of the queries around it. */
final class Scope {
    /** Most statements have few expressions of which more is to be known; a table of the usual size costs more than they. */
    static final int FEW = 8;

    private final Optional<Scope> outer;
    private final List<Relation> relations = new ArrayList<>(4);
    private final Map<String, Relation> commonTables = new LinkedHashMap<>();
    private final Map<Expr, ValueKind> kinds = new IdentityHashMap<>(FEW);
    private final Map<QualifiedName, Optional<ColumnFacts>> found = new IdentityHashMap<>(FEW);

    Scope(Optional<Scope> outer) {
        this.outer = outer;
    }

    /** What is known of a column. */
    record ColumnFacts(String name, ValueKind kind, Optional<LogicalType> type, boolean notNull, boolean ignoresCase) {
        static ColumnFacts of(Knowledge.KnownColumn column) {
            return new ColumnFacts(
                    column.name().text(),
                    column.type().map(KindFinder::kind).orElse(ValueKind.UNKNOWN),
                    column.type(),
                    column.notNull(),
                    column.ignoresCase());
        }
    }

    /**
     * A table under the name by which it is called here; no columns are listed where none are known.
     *
     * @param address the column that is the address of its row
     * @param keys those that its rows do not share
     * @param variables true where the columns are variables of a routine
     */
    record Relation(
            String name,
            Map<String, ColumnFacts> columns,
            boolean complete,
            Optional<Name> address,
            List<List<Name>> keys,
            boolean variables) {
        Relation(String name, Map<String, ColumnFacts> columns, boolean complete) {
            this(name, columns, complete, Optional.empty(), List.of(), false);
        }

        /** Variables of a routine under the name of their block, or of the row whose parts they are. */
        static Relation ofVariables(String name, Map<String, ColumnFacts> variables) {
            return new Relation(name, variables, true, Optional.empty(), List.of(), true);
        }

        private boolean isKeyed(Name column) {
            return keys.stream().flatMap(List::stream).anyMatch(column::matches);
        }

        /** A table that is known, under a name of its own. */
        static Optional<Relation> of(String name, QualifiedName table, Knowledge knowledge) {
            return knowledge
                    .table(table)
                    .map(t -> new Relation(name, t.facts(), true, knowledge.address(table), t.keys(), false));
        }
    }

    /** The kind of an expression here, found out once: the same is asked at every level of what stands around it. */
    ValueKind kind(Expr e, BiFunction<Expr, Scope, ValueKind> finder) {
        ValueKind known = kinds.get(e);
        if (known == null) {
            known = finder.apply(e, this);
            kinds.put(e, known);
        }
        return known;
    }

    void add(Relation relation) {
        forget();
        relations.add(relation);
    }

    /** The columns of these relations may be NULL, as an outer join gives rows without them. */
    void makeNullable(int start, int end) {
        forget();
        for (int i = start; i < end; i++) {
            Relation relation = relations.get(i);
            Map<String, ColumnFacts> columns = new LinkedHashMap<>();
            relation.columns()
                    .forEach((key, c) ->
                            columns.put(key, new ColumnFacts(c.name(), c.kind(), c.type(), false, c.ignoresCase())));
            relations.set(
                    i,
                    new Relation(
                            relation.name(),
                            columns,
                            relation.complete(),
                            relation.address(),
                            relation.keys(),
                            relation.variables()));
        }
    }

    private void forget() {
        kinds.clear();
        found.clear();
    }

    /** Adds a common table, whose own query may read it, and then sees what its first part gives. */
    void addCommonTable(Query.CommonTable table, KindFinder finder) {
        String name = table.name().text();
        if (table.query().body() instanceof QueryBody.SetOperation set) {
            Query first = table.query().withBody(set.left());
            addCommonTable(table.name(), finder.relation(name, first, table.columns(), this));
        }
        addCommonTable(table.name(), finder.relation(name, table.query(), table.columns(), this));
    }

    void addCommonTable(Name name, Relation relation) {
        forget();
        commonTables.put(name.text().toLowerCase(Locale.ROOT), relation);
    }

    Optional<Relation> commonTable(QualifiedName name) {
        if (name.parts().size() > 1) {
            return Optional.empty();
        }
        Relation own = commonTables.get(name.last().text().toLowerCase(Locale.ROOT));
        return own != null ? Optional.of(own) : outer.flatMap(o -> o.commonTable(name));
    }

    List<Relation> relations() {
        return relations;
    }

    /** The relation of this name here or further out. */
    Optional<Relation> relation(String name) {
        for (Relation relation : relations) {
            if (relation.name().equalsIgnoreCase(name)) {
                return Optional.of(relation);
            }
        }
        return outer.flatMap(o -> o.relation(name));
    }

    /** The relation, where there is but one. */
    Optional<Relation> only() {
        return relations.size() == 1 ? Optional.of(relations.get(0)) : Optional.empty();
    }

    private boolean isComplete() {
        for (Relation relation : relations) {
            if (!relation.complete()) {
                return false;
            }
        }
        return true;
    }

    /** True for a column that is known to be part of a key. */
    boolean isKeyed(QualifiedName name) {
        if (name.parts().size() > 1) {
            String table = name.parts().get(name.parts().size() - 2).text();
            return relation(table).filter(r -> r.isKeyed(name.last())).isPresent();
        }
        return relations.stream().anyMatch(r -> r.isKeyed(name.last()))
                || relations.stream().noneMatch(r -> r.columns()
                                .containsKey(name.last().key()))
                        && outer.filter(o -> o.isKeyed(name)).isPresent();
    }

    /** True for a name that a variable has, whatever tables there are. */
    boolean isOfVariable(QualifiedName name) {
        String column = name.last().text().toLowerCase(Locale.ROOT);
        boolean own = relations.stream()
                .anyMatch(r -> r.variables()
                        && (name.parts().size() > 1
                                ? r.name().equalsIgnoreCase(name.parts().get(0).text())
                                : r.columns().containsKey(column)));
        return own || outer.filter(o -> o.isOfVariable(name)).isPresent();
    }

    /** True for a name that is, or may be, that of a column of a table, and not of a variable. */
    boolean isOfTable(QualifiedName name) {
        String column = name.last().text().toLowerCase(Locale.ROOT);
        Optional<String> of = name.parts().size() > 1
                ? Optional.of(name.parts().get(name.parts().size() - 2).text())
                : Optional.empty();
        for (Relation relation : relations) {
            boolean named = of.map(relation.name()::equalsIgnoreCase)
                    .orElseGet(() -> !relation.complete() || relation.columns().containsKey(column));
            if (named) {
                return !relation.variables();
            }
        }
        return outer.filter(o -> o.isOfTable(name)).isPresent();
    }

    /** What is known of the column that a name means, found out once for each place that has the name. */
    Optional<ColumnFacts> column(QualifiedName name) {
        Optional<ColumnFacts> known = found.get(name);
        if (known == null) {
            known = seek(name);
            found.put(name, known);
        }
        return known;
    }

    private Optional<ColumnFacts> seek(QualifiedName name) {
        String column = name.last().text().toLowerCase(Locale.ROOT);
        if (name.parts().size() > 1) {
            String table = name.parts().get(name.parts().size() - 2).text();
            return relation(table).map(r -> r.columns().get(column));
        }
        for (Relation relation : relations) {
            ColumnFacts facts = relation.columns().get(column);
            if (facts != null) {
                return Optional.of(facts);
            }
        }
        return isComplete() ? outer.flatMap(o -> o.column(name)) : Optional.empty();
    }
}
