package raftcart.dialect.db2;

import java.util.List;
import java.util.stream.Collectors;
import raftcart.dialect.Untranslatable;
import raftcart.dialect.write.PsmCodeWriter;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Block;
import raftcart.sql.tree.CodeStatement.CreateRoutine;
import raftcart.sql.tree.CodeStatement.CreateTrigger;
import raftcart.sql.tree.CodeStatement.Event;
import raftcart.sql.tree.CodeStatement.Parameter;
import raftcart.sql.tree.RoutineTraits.Access;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.StatementSearch;

/** Writes SQL PL ("SQL Procedural Language", DB2). */
final class Db2CodeWriter extends PsmCodeWriter {
    @Override
    protected String begin() {
        return "BEGIN";
    }

    @Override
    protected String statement(CodeStatement code) {
        if (code instanceof CodeStatement.ForRows rows && rows.query().isPresent()) {
            return label(rows.label()) + "FOR " + name(rows.row()) + " AS\n"
                    + indented(text(rows.query().get())) + "\nDO\n" + body(rows.body()) + "END FOR";
        }
        if (code instanceof CodeStatement.ReturnRows given) {
            return "BEGIN\n"
                    + indented("DECLARE result_ CURSOR WITH RETURN FOR\n" + indented(text(given.query())) + ";")
                    + "\n    OPEN result_;\nEND";
        }
        return super.statement(code);
    }

    @Override
    protected String simple(CodeStatement code) {
        if (code instanceof CodeStatement.Diagnosis d && d.items().equals(List.of("MESSAGE_TEXT"))) {
            return "GET DIAGNOSTICS EXCEPTION 1 " + items(d);
        }
        return super.simple(code);
    }

    @Override
    protected String routine(CreateRoutine routine) {
        boolean function = routine.returns().isPresent();
        String parameters =
                routine.parameters().stream().map(p -> parameter(p, function)).collect(Collectors.joining(", "));
        boolean changes = StatementSearch.anyStatement(
                List.of(routine.body()), s -> s instanceof Statement.Dml && !(s instanceof Statement.QueryStatement));
        String data = changes || !function
                ? "MODIFIES SQL DATA"
                : routine.traits().access() == Access.NONE ? "CONTAINS SQL" : "READS SQL DATA";
        String traits = function
                ? "RETURNS " + type(routine.returns().orElseThrow()) + "\nLANGUAGE SQL\n"
                        + (routine.traits().deterministic() ? "DETERMINISTIC " : "NOT DETERMINISTIC ") + data
                : "LANGUAGE SQL\n" + data + results(routine.body());
        Statement body =
                routine.body() instanceof Block ? routine.body() : Block.of(List.of(routine.body()), routine.span());
        return "CREATE " + (routine.replace() ? "OR REPLACE " : "") + (function ? "FUNCTION " : "PROCEDURE ")
                + name(routine.name()) + " (" + parameters + ")\n" + traits + "\n" + text(body);
    }

    private String parameter(Parameter parameter, boolean function) {
        return (function ? "" : parameter.mode() + " ") + name(parameter.name()) + " " + type(parameter.type())
                + parameter.initial().map(i -> " DEFAULT " + text(i)).orElse("");
    }

    private static String results(Statement body) {
        int[] count = {0};
        StatementSearch.anyStatement(List.of(body), s -> {
            count[0] += s instanceof CodeStatement.ReturnRows ? 1 : 0;
            return false;
        });
        return count[0] == 0 ? "" : " DYNAMIC RESULT SETS " + count[0];
    }

    @Override
    protected String trigger(CreateTrigger trigger) {
        if (trigger.follows().isPresent()) {
            throw new Untranslatable("a trigger with a place among others");
        }
        Event event = trigger.events().get(0);
        String columns = event.columns().isEmpty()
                ? ""
                : " OF " + event.columns().stream().map(this::name).collect(Collectors.joining(", "));
        String rows = (event.kind() == Event.Kind.DELETE ? "" : " NEW AS new")
                + (event.kind() == Event.Kind.INSERT ? "" : " OLD AS old");
        Statement body =
                trigger.body() instanceof Block ? trigger.body() : Block.of(List.of(trigger.body()), trigger.span());
        return "CREATE " + (trigger.replace() ? "OR REPLACE " : "") + "TRIGGER " + name(trigger.name()) + " "
                + trigger.timing() + " " + event.kind() + columns + " ON " + name(trigger.table()) + "\nREFERENCING"
                + rows + "\nFOR EACH ROW\n" + text(body);
    }
}
