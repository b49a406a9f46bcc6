package raftcart.dialect.mariadb;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.dialect.write.CodeWriter;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Block;
import raftcart.sql.tree.CodeStatement.Condition;
import raftcart.sql.tree.CodeStatement.CreateRoutine;
import raftcart.sql.tree.CodeStatement.CreateTrigger;
import raftcart.sql.tree.CodeStatement.Declaration;
import raftcart.sql.tree.CodeStatement.Handler;
import raftcart.sql.tree.CodeStatement.Mode;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.RoutineTraits.Access;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.StatementSearch;

/** Writes SQL/PSM ("Stored Routines", "Triggers"). */
final class MariaDbCodeWriter extends CodeWriter {
    @Override
    protected String statement(CodeStatement code) {
        if (code instanceof CreateRoutine routine) {
            return routine(routine);
        }
        if (code instanceof CreateTrigger trigger) {
            String word = trigger.replace() ? replacing() : "";
            return "CREATE " + word + "TRIGGER " + name(trigger.name()) + " " + trigger.timing() + " "
                    + trigger.events().get(0).kind() + " ON " + name(trigger.table()) + " FOR EACH ROW"
                    + trigger.follows()
                            .map(f -> (trigger.precedes() ? " PRECEDES " : " FOLLOWS ") + name(f))
                            .orElse("")
                    + "\n" + text(trigger.body());
        }
        if (code instanceof CodeStatement.RunBlock run) {
            return "BEGIN NOT ATOMIC\n" + lines(List.of(run.body())) + "END";
        }
        if (code instanceof Block block) {
            return block(block);
        }
        if (code instanceof CodeStatement.If choice) {
            return choice(choice, "ELSEIF ");
        }
        if (code instanceof CodeStatement.CaseOf choice) {
            return caseOf(choice);
        }
        return code instanceof CodeStatement.Loop
                        || code instanceof CodeStatement.ForRange
                        || code instanceof CodeStatement.ForRows
                ? loop(code)
                : simple(code);
    }

    private String replacing() {
        return language().has(SqlFeature.ROUTINES_ARE_REPLACED) ? "OR REPLACE " : "";
    }

    private String simple(CodeStatement code) {
        if (code instanceof CodeStatement.Assign a) {
            String row = a.value() instanceof Expr.Row ? "ROW" : "";
            return "SET " + text(a.target()) + " = " + row + text(a.value());
        }
        if (code instanceof CodeStatement.Jump j) {
            return (j.again() ? "ITERATE " : "LEAVE ") + name(j.label().orElseThrow());
        }
        if (code instanceof CodeStatement.Return r) {
            return "RETURN " + r.value().map(this::text).orElse("NULL");
        }
        if (code instanceof CodeStatement.SelectInto s) {
            return text(s.query()) + "\nINTO " + targets(s.targets());
        }
        if (code instanceof CodeStatement.Signal s) {
            return signal(s);
        }
        if (code instanceof CodeStatement.RowCount r) {
            return "SET " + text(r.target()) + " = ROW_COUNT()";
        }
        if (code instanceof CodeStatement.Evaluate e) {
            return "DO " + text(e.value());
        }
        if (code instanceof CodeStatement.CursorStep c) {
            return (c.opens() ? "OPEN " : "CLOSE ") + name(c.cursor()) + arguments(c.arguments());
        }
        if (code instanceof CodeStatement.Fetch f) {
            return "FETCH " + name(f.cursor()) + " INTO " + targets(f.targets());
        }
        if (code instanceof CodeStatement.CollectRows r) {
            return collect(r);
        }
        if (code instanceof CodeStatement.Dynamic d && d.targets().isEmpty()) {
            return "EXECUTE IMMEDIATE " + text(d.text())
                    + (d.values().isEmpty() ? "" : " USING " + targets(d.values()));
        }
        if (code instanceof CodeStatement.Nothing) {
            return "BEGIN\nEND";
        }
        if (code instanceof CodeStatement.Diagnosis d) {
            return "GET DIAGNOSTICS CONDITION 1 " + items(d);
        }
        throw new Untranslatable("a statement of a routine");
    }

    private String arguments(List<Expr> arguments) {
        return arguments.isEmpty() ? "" : "(" + targets(arguments) + ")";
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

    private String routine(CreateRoutine routine) {
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

    private String label(Optional<Name> label) {
        return label.map(l -> name(l) + ": ").orElse("");
    }

    private String block(Block block) {
        StringBuilder text = new StringBuilder(label(block.label())).append("BEGIN\n");
        Stream.concat(
                        block.declarations().stream().filter(d -> !(d instanceof Declaration.Cursor)),
                        block.declarations().stream().filter(Declaration.Cursor.class::isInstance))
                .forEach(d -> text.append(indented(declaration(d) + ";")).append("\n"));
        block.handlers().forEach(h -> text.append(indented(handler(h) + ";")).append("\n"));
        return text.append(lines(block.body())).append("END").toString();
    }

    private String declaration(Declaration declaration) {
        if (declaration instanceof Declaration.Cursor cursor) {
            String parameters = cursor.parameters().isEmpty() ? "" : "(" + fields(cursor.parameters()) + ") ";
            return "DECLARE " + name(cursor.name()) + " CURSOR " + parameters + "FOR\n"
                    + indented(text(cursor.query()));
        }
        if (declaration instanceof Declaration.Row row) {
            return "DECLARE " + name(row.name()) + " ROW(" + fields(row.fields()) + ")";
        }
        Declaration.Variable variable = (Declaration.Variable) declaration;
        return "DECLARE " + name(variable.name()) + " " + type(variable.type())
                + variable.initial().map(i -> " DEFAULT " + text(i)).orElse("");
    }

    private String fields(List<CodeStatement.Parameter> fields) {
        return fields.stream().map(f -> name(f.name()) + " " + type(f.type())).collect(Collectors.joining(", "));
    }

    private String handler(Handler handler) {
        String conditions = handler.conditions().stream().map(this::condition).collect(Collectors.joining(", "));
        return "DECLARE " + (handler.leaves() ? "EXIT" : "CONTINUE") + " HANDLER FOR " + conditions + "\n"
                + text(handler.action());
    }

    private String condition(Condition condition) {
        return switch (condition.kind()) {
            case ERROR -> "SQLEXCEPTION";
            case NOT_FOUND -> "NOT FOUND";
            case WARNING -> "SQLWARNING";
            case STATE -> "SQLSTATE " + string(condition.value());
            case NUMBER -> condition.value();
            default -> throw new Untranslatable("a handler for " + condition.value());
        };
    }

    /** Statements, of which there has to be one. */
    @Override
    protected String body(List<Statement> statements) {
        return statements.isEmpty() ? "    BEGIN\n    END;\n" : lines(statements);
    }

    private String loop(CodeStatement code) {
        if (code instanceof CodeStatement.Loop loop) {
            return loop.before()
                    .map(b -> label(loop.label()) + "WHILE " + text(b) + " DO\n" + body(loop.body()) + "END WHILE")
                    .or(() -> loop.after()
                            .map(a -> label(loop.label()) + "REPEAT\n" + body(loop.body()) + "UNTIL " + text(a)
                                    + " END REPEAT"))
                    .orElseGet(() -> label(loop.label()) + "LOOP\n" + body(loop.body()) + "END LOOP");
        }
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

    private String signal(CodeStatement.Signal signal) {
        if (signal.state().isEmpty() && signal.message().isEmpty()) {
            return "RESIGNAL";
        }
        return "SIGNAL SQLSTATE " + string(signal.state().orElse("45000"))
                + signal.message().map(m -> " SET MESSAGE_TEXT = " + text(m)).orElse("");
    }
}
