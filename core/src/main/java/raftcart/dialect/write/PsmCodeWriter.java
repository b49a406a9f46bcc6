package raftcart.dialect.write;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import raftcart.dialect.Untranslatable;
import raftcart.sql.Span;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Block;
import raftcart.sql.tree.CodeStatement.Condition;
import raftcart.sql.tree.CodeStatement.CreateRoutine;
import raftcart.sql.tree.CodeStatement.CreateTrigger;
import raftcart.sql.tree.CodeStatement.Declaration;
import raftcart.sql.tree.CodeStatement.Event;
import raftcart.sql.tree.CodeStatement.Handler;
import raftcart.sql.tree.CodeStatement.Parameter;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.StatementSearch;

/** Writes SQL/PSM ("Persistent Stored Modules", ISO/IEC 9075-4) as far as its dialects have it in common. */
public abstract class PsmCodeWriter extends CodeWriter {
    @Override
    protected String statement(CodeStatement code) {
        if (code instanceof CreateRoutine routine) {
            return routine(routine);
        }
        if (code instanceof CreateTrigger trigger) {
            return trigger(trigger);
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
        return code instanceof CodeStatement.Loop loop ? loop(loop) : simple(code);
    }

    protected abstract String routine(CreateRoutine routine);

    protected abstract String trigger(CreateTrigger trigger);

    /** What begins a block, behind its label. */
    protected abstract String begin();

    /** A cursor through which a procedure hands rows to its caller. */
    protected final String given(CodeStatement.ReturnRows rows) {
        return begin() + "\n"
                + indented("DECLARE result_ CURSOR WITH RETURN FOR\n" + indented(text(rows.query())) + ";")
                + "\n    OPEN result_;\nEND";
    }

    /** How many such cursors a body has, as the head of its procedure says it. */
    protected static String results(Statement body) {
        int[] count = {0};
        StatementSearch.anyStatement(List.of(body), s -> {
            count[0] += s instanceof CodeStatement.ReturnRows ? 1 : 0;
            return false;
        });
        return count[0] == 0 ? "" : " DYNAMIC RESULT SETS " + count[0];
    }

    /** True for code that changes rows. */
    protected static boolean changesRows(Statement body) {
        return StatementSearch.anyStatement(
                List.of(body), s -> s instanceof Statement.Dml && !(s instanceof Statement.QueryStatement));
    }

    protected static Block whole(Statement body, Span span) {
        return body instanceof Block block ? block : Block.of(List.of(body), span);
    }

    /**
     * A trigger of the standard ("CREATE TRIGGER", ISO/IEC 9075-2), behind its name.
     *
     * @param rows what stands before the name of a row of the change
     */
    protected final String watching(CreateTrigger trigger, String rows) {
        if (trigger.follows().isPresent()) {
            throw new Untranslatable("a trigger with a place among others");
        }
        Event event = trigger.events().get(0);
        String columns = event.columns().isEmpty()
                ? ""
                : " OF " + event.columns().stream().map(this::name).collect(Collectors.joining(", "));
        String named = (event.kind() == Event.Kind.DELETE ? "" : " NEW " + rows + "AS new")
                + (event.kind() == Event.Kind.INSERT ? "" : " OLD " + rows + "AS old");
        return timing(trigger) + " " + event.kind() + columns + " ON " + name(trigger.table()) + "\nREFERENCING" + named
                + "\nFOR EACH ROW\n" + text(whole(trigger.body(), trigger.span()));
    }

    /** A statement that holds no others. */
    protected String simple(CodeStatement code) {
        if (code instanceof CodeStatement.Assign a) {
            return "SET " + text(a.target()) + " = " + text(a.value());
        }
        if (code instanceof CodeStatement.Jump j) {
            return (j.again() ? "ITERATE " : "LEAVE ") + name(j.label().orElseThrow());
        }
        if (code instanceof CodeStatement.Return r) {
            return "RETURN " + r.value().map(this::text).orElse("NULL");
        }
        if (code instanceof CodeStatement.SelectInto s) {
            return text(s.query(), targets(s.targets()));
        }
        if (code instanceof CodeStatement.Signal s) {
            return signal(s);
        }
        if (code instanceof CodeStatement.RowCount r) {
            return "GET DIAGNOSTICS " + text(r.target()) + " = ROW_COUNT";
        }
        if (code instanceof CodeStatement.CursorStep c && c.query().isEmpty()) {
            return (c.opens() ? "OPEN " : "CLOSE ") + name(c.cursor()) + arguments(c.arguments());
        }
        if (code instanceof CodeStatement.Fetch f) {
            return "FETCH " + name(f.cursor()) + " INTO " + targets(f.targets());
        }
        if (code instanceof CodeStatement.Nothing) {
            return begin() + "\nEND";
        }
        throw new Untranslatable("a statement of a routine");
    }

    protected final String arguments(List<Expr> arguments) {
        return arguments.isEmpty() ? "" : "(" + targets(arguments) + ")";
    }

    protected final String label(Optional<Name> label) {
        return label.map(l -> name(l) + ": ").orElse("");
    }

    protected String block(Block block) {
        StringBuilder text = new StringBuilder(label(block.label())).append(begin() + "\n");
        inOrder(block.declarations())
                .forEach(d -> text.append(indented(declaration(d) + ";")).append("\n"));
        block.handlers().forEach(h -> text.append(indented(handler(h) + ";")).append("\n"));
        return text.append(lines(block.body())).append("END").toString();
    }

    /** Variables stand before cursors. */
    protected static Stream<Declaration> inOrder(List<Declaration> all) {
        return Stream.concat(
                all.stream().filter(d -> !(d instanceof Declaration.Cursor)),
                all.stream().filter(Declaration.Cursor.class::isInstance));
    }

    protected String declaration(Declaration declaration) {
        if (declaration instanceof Declaration.Cursor cursor
                && cursor.parameters().isEmpty()) {
            return "DECLARE " + name(cursor.name()) + " CURSOR FOR\n" + indented(text(cursor.query()));
        }
        if (!(declaration instanceof Declaration.Variable variable)) {
            throw new Untranslatable("a variable for a row, or a cursor with parameters");
        }
        return "DECLARE " + name(variable.name()) + " " + type(variable.type())
                + variable.initial().map(i -> " DEFAULT " + text(i)).orElse("");
    }

    protected final String fields(List<Parameter> fields) {
        return fields.stream().map(f -> name(f.name()) + " " + type(f.type())).collect(Collectors.joining(", "));
    }

    protected final String handler(Handler handler) {
        String conditions = handler.conditions().stream().map(this::condition).collect(Collectors.joining(", "));
        return "DECLARE " + (handler.leaves() ? "EXIT" : "CONTINUE") + " HANDLER FOR " + conditions + "\n"
                + text(handler.action());
    }

    protected String condition(Condition condition) {
        return switch (condition.kind()) {
            case ERROR -> "SQLEXCEPTION";
            case NOT_FOUND -> "NOT FOUND";
            case WARNING -> "SQLWARNING";
            case STATE -> "SQLSTATE " + string(condition.value());
            default -> throw new Untranslatable("a handler for " + condition.value());
        };
    }

    /** Statements, of which there has to be one. */
    @Override
    protected String body(List<Statement> statements) {
        return statements.isEmpty() ? indented(begin() + "\nEND;") + "\n" : lines(statements);
    }

    private String loop(CodeStatement.Loop loop) {
        return loop.before()
                .map(b -> label(loop.label()) + "WHILE " + text(b) + " DO\n" + body(loop.body()) + "END WHILE")
                .or(() -> loop.after()
                        .map(a -> label(loop.label()) + "REPEAT\n" + body(loop.body()) + "UNTIL " + text(a)
                                + " END REPEAT"))
                .orElseGet(() -> label(loop.label()) + "LOOP\n" + body(loop.body()) + "END LOOP");
    }

    protected String signal(CodeStatement.Signal signal) {
        if (signal.state().isEmpty() && signal.message().isEmpty()) {
            return "RESIGNAL";
        }
        return "SIGNAL SQLSTATE " + string(signal.state().orElse("45000"))
                + signal.message().map(m -> " SET MESSAGE_TEXT = " + text(m)).orElse("");
    }
}
