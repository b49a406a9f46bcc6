package raftcart.verify.calls;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.CreateTrigger;
import raftcart.sql.tree.DdlStatement;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.Statement.Transaction.Kind;
import raftcart.sql.tree.StatementSearch;
import raftcart.sql.tree.TableRef;

/** What statements change, with the routines that they call and the triggers that they fire. */
public final class RoutineEffects {
    private static final Pattern OF_ROWS =
            Pattern.compile("(?is)[\\s(]*(SELECT|WITH|VALUES|INSERT|UPDATE|DELETE|MERGE)\\b.*");

    /** Functions that begin their text with their first argument. */
    private static final Set<String> JOINING = Set.of("concat", "format");

    private final SourceCode code;
    private final Set<String> tables = new LinkedHashSet<>();
    private final Set<Object> seen = new HashSet<>();
    private final Deque<Statement> open = new ArrayDeque<>();
    private Optional<String> ends = Optional.empty();

    private RoutineEffects(SourceCode code) {
        this.code = code;
    }

    /**
     * The effects of statements, as far as their text tells; what is put together when they run is not seen.
     *
     * @param tables the names of tables that are changed, in lower case and without their schemas
     * @param ends what ends the transaction, so that its changes could not be taken back
     */
    public record Effects(Set<String> tables, Optional<String> ends) {}

    /**
     * Looks for them.
     *
     * @param routine one that is called besides
     */
    public static Effects of(List<Statement> statements, Optional<String> routine, SourceCode code) {
        RoutineEffects effects = new RoutineEffects(code);
        routine.ifPresent(effects::called);
        effects.open.addAll(statements);
        while (!effects.open.isEmpty()) {
            effects.look(effects.open.pop());
        }
        return new Effects(effects.tables, effects.ends);
    }

    private void look(Statement statement) {
        StatementSearch.anyStatement(List.of(statement), s -> {
            inside(s);
            return false;
        });
        StatementSearch.anyExpression(List.of(statement), e -> {
            if (e instanceof Expr.Call call && !call.canonical()) {
                called(call.name().last().text());
            }
            return false;
        });
    }

    private void inside(Statement s) {
        if (s instanceof Statement.Insert insert) {
            changed(insert.table());
        } else if (s instanceof Statement.Update update) {
            changed(update.target());
        } else if (s instanceof Statement.Delete delete) {
            changed(delete.table());
        } else if (s instanceof Statement.Merge merge) {
            changed(merge.target());
        } else if (s instanceof Statement.Truncate truncate) {
            truncate.tables().forEach(this::changed);
            end("TRUNCATE");
        } else if (s instanceof Statement.MultiInsert several) {
            several.branches().forEach(b -> changed(b.table()));
        } else if (s instanceof Statement.CallProcedure call) {
            called(call.name().last().text());
            if (!code.knows(call.name().last().text())) {
                end("a procedure that we do not know (" + call.name() + ")");
            }
        } else if (s instanceof CodeStatement.Dynamic dynamic && !isOfRows(dynamic.text())) {
            end("a computed statement that may be anything");
        } else if (s instanceof Statement.Transaction t) {
            boolean within = t.kind() == Kind.SAVEPOINT || t.kind() == Kind.ROLLBACK_TO || t.kind() == Kind.RELEASE;
            if (!within) {
                end("a transaction of its own (" + t.kind() + ")");
            }
        } else if (s instanceof Statement.NotTranslated not) {
            end("a statement that we cannot read (" + not.what() + ")");
        } else if (s instanceof DdlStatement ddl && !isTemporary(ddl)) {
            end("a change of the structure");
        }
    }

    /** True for a text that begins as what reads or changes rows. */
    private static boolean isOfRows(Expr text) {
        Expr first = text instanceof Expr.Concat c ? c.parts().get(0) : text;
        if (first instanceof Expr.Call call
                && JOINING.contains(call.function())
                && !call.arguments().isEmpty()) {
            first = call.arguments().get(0);
        }
        return first instanceof Expr.Literal l && OF_ROWS.matcher(l.text()).matches();
    }

    private static boolean isTemporary(DdlStatement ddl) {
        return ddl instanceof DdlStatement.CreateTable table
                        && table.temporary() != DdlStatement.CreateTable.Temporary.NO
                || ddl instanceof DdlStatement.Drop drop && drop.temporary();
    }

    private void end(String what) {
        ends = ends.or(() -> Optional.of(what));
    }

    private void changed(TableRef target) {
        target.tables().forEach(t -> changed(t.name()));
    }

    private void changed(QualifiedName table) {
        if (tables.add(table.last().text().toLowerCase(Locale.ROOT))) {
            code.triggers().stream()
                    .filter(t -> t.table()
                            .last()
                            .text()
                            .equalsIgnoreCase(table.last().text()))
                    .forEach(this::fired);
        }
    }

    private void fired(CreateTrigger trigger) {
        if (seen.add(trigger)) {
            open.add(trigger.body());
        }
    }

    private void called(String own) {
        if (seen.add(own.toLowerCase(Locale.ROOT))) {
            code.bodies(own).forEach(open::add);
            if (code.isUnread(own)) {
                end("a routine that we cannot read (" + own + ")");
            }
        }
    }
}
