package raftcart.dialect.db2;

import java.util.List;
import java.util.stream.Collectors;
import raftcart.dialect.write.PsmCodeWriter;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.CreateRoutine;
import raftcart.sql.tree.CodeStatement.CreateTrigger;
import raftcart.sql.tree.CodeStatement.Parameter;
import raftcart.sql.tree.RoutineTraits.Access;

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
            return given(given);
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
        String data = changesRows(routine.body()) || !function
                ? "MODIFIES SQL DATA"
                : routine.traits().access() == Access.NONE ? "CONTAINS SQL" : "READS SQL DATA";
        String traits = function
                ? "RETURNS " + type(routine.returns().orElseThrow()) + "\nLANGUAGE SQL\n"
                        + (routine.traits().deterministic() ? "DETERMINISTIC " : "NOT DETERMINISTIC ") + data
                : "LANGUAGE SQL\n" + data + results(routine.body());
        return "CREATE " + (routine.replace() ? "OR REPLACE " : "") + (function ? "FUNCTION " : "PROCEDURE ")
                + name(routine.name()) + " (" + parameters + ")\n" + traits + "\n"
                + text(whole(routine.body(), routine.span()));
    }

    private String parameter(Parameter parameter, boolean function) {
        return (function ? "" : parameter.mode() + " ") + name(parameter.name()) + " " + type(parameter.type())
                + parameter.initial().map(i -> " DEFAULT " + text(i)).orElse("");
    }

    @Override
    protected String trigger(CreateTrigger trigger) {
        return "CREATE " + (trigger.replace() ? "OR REPLACE " : "") + "TRIGGER " + name(trigger.name()) + " "
                + watching(trigger, "");
    }
}
