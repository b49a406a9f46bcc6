package raftcart.translate;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Stream;
import raftcart.catalog.ObjectName;
import raftcart.dialect.Language;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Block;
import raftcart.sql.tree.DdlStatement;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.StatementSearch;
import raftcart.sql.tree.TableRef;

/** Puts the target's names into a routine or trigger; the names of its variables stay, and go before those of columns. */
final class RoutineRenamer extends ObjectRenamer {
    private final Deque<Set<String>> variables = new ArrayDeque<>();
    private final Set<String> made = new HashSet<>();
    private final Map<String, Relation> changedRows = new HashMap<>();
    private boolean hides;

    RoutineRenamer(
            Language source,
            Function<QualifiedName, Optional<Relation>> tables,
            Function<QualifiedName, QualifiedName> sequences) {
        super(source, tables, sequences);
    }

    @Override
    protected boolean isOther(Name name) {
        return variables.stream().anyMatch(s -> s.contains(name.text().toLowerCase(Locale.ROOT)));
    }

    @Override
    public Statement statement(Statement statement) {
        if (statement instanceof CodeStatement.CreateRoutine routine) {
            noteMade(routine);
            return knowing(routine.parameters().stream().map(CodeStatement.Parameter::name), routine);
        }
        if (statement instanceof Block block) {
            return knowing(block.declarations().stream().map(CodeStatement.Declaration::name), block);
        }
        if (statement instanceof CodeStatement.CreateTrigger trigger) {
            noteMade(trigger);
            Optional<Relation> table = relation(trigger.table());
            trigger.rows().ifPresent(r -> Stream.of(r.before(), r.after())
                    .forEach(n -> table.ifPresent(
                            t -> changedRows.put(n.key(), new Relation(new ObjectName("", n.text()), t.columns())))));
            return within(Map.of("new", table, "old", table), () -> super.statement(trigger));
        }
        if (statement instanceof Statement.Update update) {
            List<TableRef> tables = Stream.concat(Stream.of(update.target()), update.from().stream())
                    .toList();
            return among(tables, () -> update(update));
        }
        if (statement instanceof Statement.Delete delete) {
            List<TableRef> tables = Stream.concat(Stream.of(delete.table()), delete.using().stream())
                    .toList();
            return among(tables, () -> super.statement(delete));
        }
        return statement instanceof Statement.Insert insert ? insert(insert) : super.statement(statement);
    }

    /** The rows of the change that fires a trigger are called as they are, and have the columns of its table. */
    @Override
    protected Optional<Relation> found(QualifiedName table) {
        Relation rows = table.parts().size() == 1 ? changedRows.get(table.last().key()) : null;
        return rows == null ? super.found(table) : Optional.of(rows);
    }

    /** Tables that the code makes itself are called as it calls them. */
    @Override
    protected boolean isMadeHere(QualifiedName table) {
        return table.parts().size() == 1 && made.contains(table.last().key());
    }

    /** True where the code makes a temporary table that hides another one. */
    boolean hidesTable() {
        return hides;
    }

    private void noteMade(Statement code) {
        StatementSearch.anyStatement(List.of(code), s -> {
            if (s instanceof DdlStatement.CreateTable table
                    && table.temporary() != DdlStatement.CreateTable.Temporary.NO) {
                made.add(table.name().last().key());
                hides |= isThere(table.name());
            }
            return false;
        });
    }

    private Statement knowing(Stream<Name> names, Statement statement) {
        Set<String> known = new HashSet<>();
        names.forEach(n -> known.add(n.text().toLowerCase(Locale.ROOT)));
        variables.push(known);
        try {
            return super.statement(statement);
        } finally {
            variables.pop();
        }
    }

    /** An UPDATE may call its table by the alias that FROM gives it (T-SQL). */
    private Statement update(Statement.Update update) {
        Optional<TableRef> meant =
                update.target() instanceof TableRef.Table t && t.name().parts().size() == 1
                        ? update.from().stream()
                                .flatMap(TableRef::tables)
                                .filter(f -> f.alias()
                                        .filter(a -> a.name().matches(t.name().last()))
                                        .isPresent())
                                .map(TableRef.class::cast)
                                .findFirst()
                        : Optional.empty();
        if (meant.isEmpty()) {
            return super.statement(update);
        }
        Statement.Update renamed = (Statement.Update) super.statement(update.withTarget(meant.get()));
        return renamed.withTarget(update.target());
    }

    private Statement insert(Statement.Insert insert) {
        Optional<Relation> table = relation(insert.table());
        String own = insert.table().last().text().toLowerCase(Locale.ROOT);
        Statement.Insert renamed = (Statement.Insert) within(Map.of(own, table), () -> super.statement(insert));
        List<Name> columns = insert.columns().stream()
                .map(c -> table.flatMap(t -> t.column(c)).orElse(c))
                .toList();
        return renamed.withColumns(columns);
    }
}
