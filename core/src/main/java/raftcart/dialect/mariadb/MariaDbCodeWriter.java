package raftcart.dialect.mariadb;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.dialect.write.PsmCodeWriter;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Condition;
import raftcart.sql.tree.CodeStatement.CreateRoutine;
import raftcart.sql.tree.CodeStatement.CreateTrigger;
import raftcart.sql.tree.CodeStatement.Declaration;
import raftcart.sql.tree.CodeStatement.Mode;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.RoutineTraits.Access;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.StatementSearch;

/** Writes SQL/PSM ("Stored Routines", "Triggers"). */
final class MariaDbCodeWriter extends PsmCodeWriter {
    @Override
    protected String statement(CodeStatement code) {
        if (code instanceof CodeStatement.RunBlock run) {
            return "BEGIN NOT ATOMIC\n" + lines(List.of(run.body())) + "END";
        }
        return code instanceof CodeStatement.ForRange || code instanceof CodeStatement.ForRows
                ? loop(code)
                : super.statement(code);
    }

    @Override
    protected String begin() {
        return "BEGIN";
    }

    @Override
    protected String trigger(CreateTrigger trigger) {
        if (trigger.timing() == CodeStatement.Timing.INSTEAD) {
            throw new Untranslatable("a trigger in the place of a change");
        }
        String word = trigger.replace() ? replacing() : "";
        return "CREATE " + word + "TRIGGER " + name(trigger.name()) + " " + trigger.timing() + " "
                + trigger.events().get(0).kind() + " ON " + name(trigger.table()) + " FOR EACH ROW"
                + trigger.follows()
                        .map(f -> (trigger.precedes() ? " PRECEDES " : " FOLLOWS ") + name(f))
                        .orElse("")
                + "\n" + text(trigger.body());
    }

    private String replacing() {
        return language().has(SqlFeature.ROUTINES_ARE_REPLACED) ? "OR REPLACE " : "";
    }

    @Override
    protected String simple(CodeStatement code) {
        if (code instanceof CodeStatement.Assign a && a.value() instanceof Expr.Row) {
            return "SET " + text(a.target()) + " = ROW" + text(a.value());
        }
        if (code instanceof CodeStatement.SelectInto s) {
            return text(s.query()) + "\nINTO " + targets(s.targets());
        }
        if (code instanceof CodeStatement.RowCount r) {
            return "SET " + text(r.target()) + " = ROW_COUNT()";
        }
        if (code instanceof CodeStatement.Evaluate e) {
            return "DO " + text(e.value());
        }
        if (code instanceof CodeStatement.CollectRows r) {
            return collect(r);
        }
        if (code instanceof CodeStatement.Dynamic d && d.targets().isEmpty()) {
            return "EXECUTE IMMEDIATE " + text(d.text())
                    + (d.values().isEmpty() ? "" : " USING " + targets(d.values()));
        }
        return code instanceof CodeStatement.Diagnosis d
                ? "GET DIAGNOSTICS CONDITION 1 " + items(d)
                : super.simple(code);
    }

    /** A table of the session in which rows wait in their order. */
    private String collect(CodeStatement.CollectRows rows) {
        String table = name(rows.table());
        String drop = "DROP TEMPORARY TABLE IF EXISTS " + table;
        if (rows.begins()) {
            String columns = rows.columns().stream()
                    .map(c -> ", " + name(c.name()) + " " + type(c.type()))
                    .collect(Collectors.joining());
            return drop + ";\nCREATE TEMPORARY TABLE " + table + " (row_number_ BIGINT AUTO_INCREMENT PRIMARY KEY"
                    + columns + ")";
        }
        String columns = rows.columns().stream().map(c -> name(c.name())).collect(Collectors.joining(", "));
        return "SELECT " + columns + " FROM " + table + " ORDER BY row_number_;\n" + drop;
    }

    @Override
    protected String routine(CreateRoutine routine) {
        boolean function = routine.returns().isPresent();
        String parameters = routine.parameters().stream()
                .map(p ->
                        (function || p.mode() == Mode.IN ? "" : p.mode() + " ") + name(p.name()) + " " + type(p.type()))
                .collect(Collectors.joining(", "));
        List<String> traits = new ArrayList<>();
        if (function) {
            traits.add(routine.traits().deterministic() ? "DETERMINISTIC" : "NOT DETERMINISTIC");
            traits.add(
                    routine.traits().access() == Access.NONE
                            ? "NO SQL"
                            : routine.traits().access() == Access.READS ? "READS SQL DATA" : "MODIFIES SQL DATA");
        }
        routine.traits().comment().ifPresent(c -> traits.add("COMMENT " + string(c)));
        traits.add("SQL SECURITY " + (routine.traits().definer() ? "DEFINER" : "INVOKER"));
        return "CREATE " + (routine.replace() ? replacing() : "") + (function ? "FUNCTION " : "PROCEDURE ")
                + name(routine.name()) + "(" + parameters + ")"
                + routine.returns().map(t -> " RETURNS " + type(t)).orElse("") + "\n" + String.join(" ", traits) + "\n"
                + (callsItself(routine)
                        ? "BEGIN\n" + indented("SET max_sp_recursion_depth = 255;") + "\n"
                                + lines(List.of(routine.body())) + "END"
                        : text(routine.body()));
    }

    /** True for a procedure that calls itself, which the server refuses by itself ("max_sp_recursion_depth"). */
    private static boolean callsItself(CreateRoutine routine) {
        return StatementSearch.anyStatement(
                List.of(routine.body()),
                s -> s instanceof Statement.CallProcedure c
                        && c.name().last().equals(routine.name().last()));
    }

    @Override
    protected String declaration(Declaration declaration) {
        if (declaration instanceof Declaration.Cursor cursor
                && !cursor.parameters().isEmpty()) {
            return "DECLARE " + name(cursor.name()) + " CURSOR (" + fields(cursor.parameters()) + ") FOR\n"
                    + indented(text(cursor.query()));
        }
        return declaration instanceof Declaration.Row row
                ? "DECLARE " + name(row.name()) + " ROW(" + fields(row.fields()) + ")"
                : super.declaration(declaration);
    }

    @Override
    protected String condition(Condition condition) {
        return condition.kind() == Condition.Kind.NUMBER ? condition.value() : super.condition(condition);
    }

    private String loop(CodeStatement code) {
        if (code instanceof CodeStatement.ForRange range) {
            return label(range.label()) + "FOR " + name(range.variable()) + " IN " + (range.reverse() ? "REVERSE " : "")
                    + text(range.from()) + " .. " + text(range.to()) + " DO\n" + body(range.body()) + "END FOR";
        }
        CodeStatement.ForRows rows = (CodeStatement.ForRows) code;
        String source = rows.query()
                .map(q -> "(\n" + indented(text(q)) + "\n)")
                .orElseGet(() -> name(rows.cursor().orElseThrow()) + arguments(rows.arguments()));
        return label(rows.label()) + "FOR " + name(rows.row()) + " IN " + source + " DO\n" + body(rows.body())
                + "END FOR";
    }
}
