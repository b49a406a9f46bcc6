package raftcart.translate;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Supplier;
import raftcart.catalog.ObjectName;
import raftcart.dialect.Language;
import raftcart.rewrite.DateWords;
import raftcart.rewrite.DummyTables;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.StatementMapper;
import raftcart.sql.tree.TableRef;

/** Puts the target's names of tables, columns and sequences into a query of the source. */
class ObjectRenamer extends StatementMapper {
    private final Language source;
    private final Function<QualifiedName, Optional<Relation>> tables;
    private final Function<QualifiedName, QualifiedName> sequences;
    private final Deque<Map<String, Optional<Relation>>> frames = new ArrayDeque<>();
    private final Deque<Set<String>> commonTables = new ArrayDeque<>();
    private final Set<QualifiedName> missing = new LinkedHashSet<>();

    ObjectRenamer(
            Language source,
            Function<QualifiedName, Optional<Relation>> tables,
            Function<QualifiedName, QualifiedName> sequences) {
        this.source = source;
        this.tables = tables;
        this.sequences = sequences;
    }

    /**
     * A table or view of the target.
     *
     * @param columns its columns' names on the target, by those on the source
     */
    record Relation(ObjectName target, Map<String, String> columns) {
        QualifiedName name() {
            Name own = new Name(target.name(), true);
            return new QualifiedName(
                    target.schema().isEmpty() ? List.of(own) : List.of(new Name(target.schema(), true), own));
        }

        Optional<Name> column(Name source) {
            return Optional.ofNullable(columns.get(source.text()))
                    .or(() -> columns.entrySet().stream()
                            .filter(c -> c.getKey().equalsIgnoreCase(source.text()))
                            .map(Map.Entry::getValue)
                            .findFirst())
                    .map(c -> new Name(c, true));
        }
    }

    /** The tables of a change, in which its names are looked up. */
    final <T> T among(List<TableRef> tables, Supplier<T> renamed) {
        Map<String, Optional<Relation>> frame = new HashMap<>();
        tables.forEach(t -> enter(t, frame));
        return within(frame, renamed);
    }

    /** Rows that have a name of their own. */
    final <T> T within(Map<String, Optional<Relation>> frame, Supplier<T> renamed) {
        frames.push(frame);
        try {
            return renamed.get();
        } finally {
            frames.pop();
        }
    }

    /** The name of a table on the target; the name as it is, noted as missing, where there is none. */
    @Override
    protected QualifiedName changed(QualifiedName table) {
        return relation(table).map(Relation::name).orElse(table);
    }

    /** What a table is on the target; noted as missing where there is none. */
    final Optional<Relation> relation(QualifiedName table) {
        Optional<Relation> known = found(table);
        if (known.isEmpty() && !isMadeHere(table)) {
            missing.add(table);
        }
        return known;
    }

    /** What a table is on the target, if it is there. */
    protected Optional<Relation> found(QualifiedName table) {
        return tables.apply(table);
    }

    /** True for a table that is on the target. */
    final boolean isThere(QualifiedName table) {
        return found(table).isPresent();
    }

    /** True for a table that the object makes itself. */
    protected boolean isMadeHere(QualifiedName table) {
        return false;
    }

    /** True for a name that is no column, whatever tables are there. */
    protected boolean isOther(Name name) {
        return false;
    }

    /** Tables that are read and of which nothing is known. */
    Set<QualifiedName> missing() {
        return missing;
    }

    @Override
    public Query query(Query query) {
        Set<String> names = new HashSet<>();
        query.with().forEach(t -> names.add(t.name().text().toLowerCase(Locale.ROOT)));
        commonTables.push(names);
        boolean ordered = query.body() instanceof QueryBody.Select;
        if (ordered) {
            frames.push(frame((QueryBody.Select) query.body()));
        }
        try {
            return super.query(query);
        } finally {
            commonTables.pop();
            if (ordered) {
                frames.pop();
            }
        }
    }

    @Override
    protected QueryBody select(QueryBody.Select select) {
        frames.push(frame(select));
        try {
            return super.select(select);
        } finally {
            frames.pop();
        }
    }

    private Map<String, Optional<Relation>> frame(QueryBody.Select select) {
        Map<String, Optional<Relation>> frame = new HashMap<>();
        select.from().forEach(t -> enter(t, frame));
        return frame;
    }

    private void enter(TableRef ref, Map<String, Optional<Relation>> frame) {
        if (ref instanceof TableRef.Join join) {
            enter(join.left(), frame);
            enter(join.right(), frame);
        } else if (ref instanceof TableRef.Table table) {
            String alias = table.alias()
                    .map(a -> a.name().text())
                    .orElse(table.name().last().text());
            frame.put(alias.toLowerCase(Locale.ROOT), isCommon(table.name()) ? Optional.empty() : found(table.name()));
        } else if (ref instanceof TableRef.Derived derived) {
            derived.alias().ifPresent(a -> frame.put(a.name().text().toLowerCase(Locale.ROOT), Optional.empty()));
        }
    }

    private boolean isCommon(QualifiedName name) {
        return name.parts().size() == 1
                && commonTables.stream()
                        .anyMatch(s -> s.contains(name.last().text().toLowerCase(Locale.ROOT)));
    }

    @Override
    public TableRef table(TableRef ref) {
        if (ref instanceof TableRef.Table table && !isCommon(table.name())) {
            Optional<Relation> known = found(table.name());
            if (known.isEmpty() && (isMadeHere(table.name()) || DummyTables.isOne(table.name(), source))) {
                return table;
            }
            if (known.isEmpty()) {
                missing.add(table.name());
                return table;
            }
            return table.named(known.get().name(), table.alias());
        }
        if (ref instanceof TableRef.Join join && !join.using().isEmpty()) {
            List<Name> using = new ArrayList<>();
            join.using().forEach(n -> using.add(column(n).orElse(n)));
            return new TableRef.Join(
                    join.kind(), table(join.left()), table(join.right()), join.on(), using, join.span());
        }
        return super.table(ref);
    }

    @Override
    public Expr expr(Expr e) {
        if (e instanceof Expr.SequenceValue value) {
            return new Expr.SequenceValue(sequences.apply(value.sequence()), value.next(), value.span());
        }
        if (e instanceof Expr.Star star && star.table().isPresent()) {
            return new Expr.Star(star.table().map(this::qualifier), star.except(), star.span());
        }
        if (e instanceof Expr.Call call && DateWords.isFirstOf(call)) {
            return DateWords.kept(call, super.expr(call));
        }
        return e instanceof Expr.Column column ? column(column) : super.expr(e);
    }

    private Expr column(Expr.Column column) {
        QualifiedName name = column.name();
        if (name.parts().size() == 1) {
            if (isOther(name.last())) {
                return column;
            }
            return column(name.last())
                    .<Expr>map(n -> new Expr.Column(new QualifiedName(List.of(n)), column.outer(), column.span()))
                    .orElse(column);
        }
        QualifiedName table = new QualifiedName(name.qualifier());
        Optional<Relation> relation = relation(table.last());
        Name own = relation.flatMap(r -> r.column(name.last())).orElse(name.last());
        return new Expr.Column(qualifier(table).with(own), column.outer(), column.span());
    }

    private Optional<Relation> relation(Name alias) {
        for (Map<String, Optional<Relation>> frame : frames) {
            Optional<Relation> found = frame.get(alias.text().toLowerCase(Locale.ROOT));
            if (found != null) {
                return found;
            }
        }
        return Optional.empty();
    }

    /** An alias stays; the name of a table becomes its name on the target. */
    private QualifiedName qualifier(QualifiedName table) {
        Optional<Relation> relation = relation(table.last());
        boolean named = relation.isPresent()
                && found(table).filter(relation.get()::equals).isPresent();
        return named
                ? new QualifiedName(List.of(new Name(relation.get().target().name(), true)))
                : new QualifiedName(List.of(table.last()));
    }

    /** The column that a name alone means, in the innermost query that has it. */
    private Optional<Name> column(Name name) {
        for (Map<String, Optional<Relation>> frame : frames) {
            List<Name> found = frame.values().stream()
                    .flatMap(Optional::stream)
                    .map(r -> r.column(name))
                    .flatMap(Optional::stream)
                    .distinct()
                    .toList();
            if (!found.isEmpty()) {
                return Optional.of(found.get(0));
            }
        }
        return Optional.empty();
    }
}
