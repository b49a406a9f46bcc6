package raftcart.dialect.sqlite;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import raftcart.dialect.Untranslatable;
import raftcart.dialect.write.CodeWriter;
import raftcart.sql.function.Signature;
import raftcart.sql.function.Signatures;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Block;
import raftcart.sql.tree.CodeStatement.Choice;
import raftcart.sql.tree.CodeStatement.CreateTrigger;
import raftcart.sql.tree.CodeStatement.Event;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.ExprSearch;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.TableRef;
import raftcart.sql.tree.Truth;

/**
 * Writes triggers ("CREATE TRIGGER", SQLite), whose bodies are changes and queries one after the other: what stands under a
 * condition gets it as a condition of its own.
 */
final class SqliteCodeWriter extends CodeWriter {
    @Override
    protected String statement(CodeStatement code) {
        if (!(code instanceof CreateTrigger trigger)) {
            throw new Untranslatable("code outside of triggers, which the engine does not have");
        }
        Event event = trigger.events().get(0);
        String columns = event.columns().isEmpty()
                ? ""
                : " OF " + event.columns().stream().map(this::name).collect(Collectors.joining(", "));
        if (trigger.follows().isPresent()) {
            throw new Untranslatable("a trigger with a place among others");
        }
        Optional<Choice> only = only(trigger.body());
        List<String> all = new ArrayList<>();
        List<Statement> body = only.map(Choice::body).orElse(List.of(trigger.body()));
        body.forEach(s -> flat(s, List.of(), trigger, all));
        if (all.isEmpty()) {
            all.add("SELECT 1");
        }
        return "CREATE TRIGGER " + name(trigger.name()) + "\n" + timing(trigger) + " " + event.kind() + columns + " ON "
                + name(trigger.table()) + "\nFOR EACH ROW"
                + only.map(c -> " WHEN " + text(c.condition())).orElse("") + "\nBEGIN\n"
                + all.stream().map(s -> indented(s + ";") + "\n").collect(Collectors.joining()) + "END";
    }

    /** The condition under which all of a body stands. */
    private static Optional<Choice> only(Statement body) {
        if (body instanceof CodeStatement.If choice
                && choice.choices().size() == 1
                && choice.otherwise().isEmpty()) {
            return Optional.of(choice.choices().get(0));
        }
        return body instanceof Block block && isPlain(block) && block.body().size() == 1
                ? only(block.body().get(0))
                : Optional.empty();
    }

    private static boolean isPlain(Block block) {
        return block.declarations().isEmpty() && block.handlers().isEmpty();
    }

    private void flat(Statement statement, List<Expr> conditions, CreateTrigger trigger, List<String> all) {
        if (statement instanceof Block block && isPlain(block)) {
            block.body().forEach(s -> flat(s, conditions, trigger, all));
        } else if (statement instanceof CodeStatement.If choice) {
            choices(choice, conditions, trigger, all);
        } else if (statement instanceof CodeStatement.Signal signal) {
            all.add(raised(signal, conditions));
        } else if (statement instanceof Statement.Dml change) {
            all.add(text(under(change, conditions, trigger)));
        } else if (!(statement instanceof CodeStatement.Nothing)) {
            throw new Untranslatable(
                    statement instanceof CodeStatement.Assign
                            ? "a value that a trigger gives to a variable or to a column of its row"
                            : "a trigger of more than changes under conditions");
        }
    }

    private void choices(CodeStatement.If choice, List<Expr> outer, CreateTrigger trigger, List<String> all) {
        List<Expr> rest = new ArrayList<>(outer);
        for (Choice each : choice.choices()) {
            refuseUnsteady(each.condition());
            List<Expr> conditions = new ArrayList<>(rest);
            conditions.add(each.condition());
            each.body().forEach(s -> flat(s, conditions, trigger, all));
            rest.add(new Expr.Is(each.condition(), Truth.TRUE, true, choice.span()));
        }
        choice.otherwise().forEach(s -> flat(s, rest, trigger, all));
    }

    /** A condition is asked again for each statement below it, so that it may hang on the row at hand alone. */
    private static void refuseUnsteady(Expr condition) {
        boolean unsteady = ExprSearch.any(
                condition,
                e -> e instanceof Expr.Subquery
                        || e instanceof Expr.Exists
                        || e instanceof Expr.CurrentTime
                        || e instanceof Expr.Call c && c.isAny("random", "now", "sequence_value", "new_uuid"));
        if (unsteady) {
            throw new Untranslatable("a condition in a trigger that may change between its statements");
        }
    }

    private String raised(CodeStatement.Signal signal, List<Expr> conditions) {
        boolean constant =
                signal.message().filter(Expr.Literal.class::isInstance).isPresent();
        if (!constant || signal.goesOn()) {
            throw new Untranslatable("an error whose text is computed, or which is passed on");
        }
        String where = conditions.isEmpty() ? "" : " WHERE " + text(joined(conditions));
        return "SELECT RAISE(ABORT, " + text(signal.message().get()) + ")" + where;
    }

    private static Expr joined(List<Expr> conditions) {
        return conditions.size() == 1
                ? conditions.get(0)
                : new Expr.Junction(true, conditions, conditions.get(0).span());
    }

    private static Statement under(Statement.Dml change, List<Expr> conditions, CreateTrigger trigger) {
        if (change instanceof Statement.Insert insert && insert.returning().isEmpty()) {
            refuseOwn(insert.table().last().text(), trigger);
            return conditions.isEmpty()
                    ? insert
                    : insert.withSource(under(insert.source().orElseThrow(), conditions));
        }
        if (change instanceof Statement.Update update && update.target() instanceof TableRef.Table table) {
            refuseOwn(table.name().last().text(), trigger);
            return update.withWhere(where(update.where(), conditions));
        }
        if (change instanceof Statement.Delete delete && delete.table() instanceof TableRef.Table table) {
            refuseOwn(table.name().last().text(), trigger);
            return delete.withWhere(where(delete.where(), conditions));
        }
        throw new Untranslatable("a trigger of more than changes under conditions");
    }

    /** Triggers do not fire for what they do themselves, unless "recursive_triggers" is set. */
    private static void refuseOwn(String table, CreateTrigger trigger) {
        if (table.equalsIgnoreCase(trigger.table().last().text())) {
            throw new Untranslatable("a trigger that changes its own table");
        }
    }

    private static Optional<Expr> where(Optional<Expr> where, List<Expr> conditions) {
        List<Expr> all = new ArrayList<>(where.stream().toList());
        all.addAll(conditions);
        return all.isEmpty() ? Optional.empty() : Optional.of(joined(all));
    }

    /** True for an aggregate, which has a row even where a condition leaves none. */
    private static boolean isOfRows(Expr e) {
        return e instanceof Expr.Call call
                && Signatures.find(call.function())
                        .filter(s -> s.group() == Signature.Group.AGGREGATE)
                        .isPresent();
    }

    private static Query under(Query source, List<Expr> conditions) {
        if (source.body() instanceof QueryBody.Values values && values.rows().size() == 1) {
            List<QueryBody.Item> items =
                    values.rows().get(0).stream().map(QueryBody.Item::of).toList();
            return source.withBody(QueryBody.Select.of(items, List.of(), where(Optional.empty(), conditions)));
        }
        boolean plain = source.body() instanceof QueryBody.Select s
                && s.groupBy().isEmpty()
                && s.having().isEmpty()
                && source.paging().isEmpty()
                && s.items().stream().noneMatch(i -> ExprSearch.any(i.value(), SqliteCodeWriter::isOfRows));
        if (!plain) {
            throw new Untranslatable("such rows for a table under a condition");
        }
        QueryBody.Select select = (QueryBody.Select) source.body();
        return source.withBody(select.withWhere(where(select.where(), conditions)));
    }
}
