package raftcart.dialect.postgresql;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import raftcart.dialect.Untranslatable;
import raftcart.dialect.write.CodeWriter;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Block;
import raftcart.sql.tree.CodeStatement.Condition;
import raftcart.sql.tree.CodeStatement.CreateRoutine;
import raftcart.sql.tree.CodeStatement.CreateTrigger;
import raftcart.sql.tree.CodeStatement.Declaration;
import raftcart.sql.tree.CodeStatement.Event;
import raftcart.sql.tree.CodeStatement.Expected;
import raftcart.sql.tree.CodeStatement.Mode;
import raftcart.sql.tree.CodeStatement.Parameter;
import raftcart.sql.tree.CodeStatement.Rescue;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.ExprSearch;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.RoutineTraits.Access;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.StatementSearch;

/** Writes PL/pgSQL ("PL/pgSQL - SQL Procedural Language"). */
final class PgCodeWriter extends CodeWriter {
    private static final Set<String> COLUMN_WORDS = Set.of(
            ("between bigint bit boolean char character coalesce dec decimal exists extract float greatest grouping inout int"
                            + " integer interval json json_array json_arrayagg json_exists json_object json_objectagg json_query"
                            + " json_scalar json_serialize json_table json_value least merge_action national nchar none"
                            + " normalize nullif numeric out overlay position precision real row setof smallint substring time"
                            + " timestamp treat trim values varchar xmlattributes xmlconcat xmlelement xmlexists xmlforest"
                            + " xmlnamespaces xmlparse xmlpi xmlroot xmlserialize xmltable")
                    .split(" "));

    @Override
    protected String statement(CodeStatement code) {
        if (code instanceof CreateRoutine routine) {
            return routine(routine);
        }
        if (code instanceof CreateTrigger trigger) {
            return trigger(trigger);
        }
        if (code instanceof CodeStatement.RunBlock run) {
            Block body = run.body();
            return "DO " + body(body, !body.declarations().isEmpty(), true).substring("AS ".length());
        }
        if (code instanceof CodeStatement.SessionState state) {
            return state(state);
        }
        if (code instanceof Block block) {
            return block(block);
        }
        if (code instanceof CodeStatement.If choice) {
            return choice(choice, "ELSIF ");
        }
        if (code instanceof CodeStatement.CaseOf choice) {
            return caseOf(choice);
        }
        if (code instanceof CodeStatement.Loop loop) {
            return loop(loop);
        }
        if (code instanceof CodeStatement.ForRange range) {
            return range(range);
        }
        if (code instanceof CodeStatement.ForRows rows) {
            return label(rows.label()) + "FOR " + name(rows.row()) + " IN" + source(rows) + "LOOP\n"
                    + lines(rows.body()) + "END LOOP";
        }
        if (code instanceof CodeStatement.ForText loop) {
            return label(loop.label()) + "FOR " + name(loop.row()) + " IN EXECUTE " + text(loop.text())
                    + using(loop.values()) + " LOOP\n" + lines(loop.body()) + "END LOOP";
        }
        return simple(code);
    }

    /** What a loop goes through. */
    private String source(CodeStatement.ForRows rows) {
        return rows.query()
                .map(q -> "\n" + indented(text(q)) + "\n")
                .orElseGet(() -> " " + name(rows.cursor().orElseThrow()) + arguments(rows.arguments()) + " ");
    }

    private String arguments(List<Expr> arguments) {
        return arguments.isEmpty() ? "" : "(" + targets(arguments) + ")";
    }

    private String simple(CodeStatement code) {
        if (code instanceof CodeStatement.Assign a) {
            return text(a.target()) + " := " + text(a.value());
        }
        if (code instanceof CodeStatement.CursorStep c) {
            return (c.opens() ? "OPEN " : "CLOSE ")
                    + name(c.cursor())
                    + arguments(c.arguments())
                    + c.query().map(q -> " FOR\n" + indented(text(q))).orElse("");
        }
        if (code instanceof CodeStatement.Fetch f) {
            return "FETCH " + name(f.cursor()) + " INTO " + targets(f.targets());
        }
        return code instanceof CodeStatement.ChangeInto c
                ? text(c.change()) + "\nINTO " + (c.strict() ? "STRICT " : "") + targets(c.targets())
                : code instanceof CodeStatement.Dynamic d ? dynamic(d) : plain(code);
    }

    private String dynamic(CodeStatement.Dynamic dynamic) {
        return "EXECUTE " + text(dynamic.text())
                + (dynamic.targets().isEmpty()
                        ? ""
                        : (dynamic.expected() == Expected.FIRST ? " INTO " : " INTO STRICT ")
                                + targets(dynamic.targets()))
                + using(dynamic.values());
    }

    private String using(List<Expr> values) {
        return values.isEmpty() ? "" : " USING " + targets(values);
    }

    private String plain(CodeStatement code) {
        if (code instanceof CodeStatement.Jump j) {
            return (j.again() ? "CONTINUE" : "EXIT")
                    + j.label().map(l -> " " + name(l)).orElse("")
                    + j.when().map(w -> " WHEN " + text(w)).orElse("");
        }
        if (code instanceof CodeStatement.Return r) {
            return "RETURN" + r.value().map(v -> " " + text(v)).orElse("");
        }
        if (code instanceof CodeStatement.SelectInto s) {
            return text(s.query()) + "\nINTO " + (s.expected() == Expected.EXACTLY_ONE ? "STRICT " : "")
                    + targets(s.targets());
        }
        if (code instanceof CodeStatement.Evaluate e) {
            return "PERFORM " + text(e.value());
        }
        if (code instanceof CodeStatement.Message m) {
            return "RAISE NOTICE '%', " + text(m.text());
        }
        if (code instanceof CodeStatement.Signal s) {
            return signal(s);
        }
        if (code instanceof CodeStatement.ReturnRows r) {
            return "RETURN QUERY\n" + indented(text(r.query()));
        }
        if (code instanceof CodeStatement.ReturnText r) {
            return "RETURN QUERY EXECUTE " + text(r.text()) + using(r.values());
        }
        if (code instanceof CodeStatement.Diagnosis d) {
            return "GET STACKED DIAGNOSTICS " + items(d);
        }
        if (code instanceof CodeStatement.RowCount r) {
            return "GET DIAGNOSTICS " + text(r.target()) + " = ROW_COUNT";
        }
        if (code instanceof CodeStatement.Nothing) {
            return "NULL";
        }
        throw new Untranslatable("a statement of a routine");
    }

    /** What stands before THEN is read up to the first one that is in no parentheses. */
    @Override
    protected String condition(Expr condition) {
        boolean choice = ExprSearch.any(condition, Expr.Case.class::isInstance);
        return choice ? "(" + text(condition) + ")" : text(condition);
    }

    private String routine(CreateRoutine routine) {
        String parameters = routine.parameters().stream().map(this::parameter).collect(Collectors.joining(", "));
        String row = rowType(routine);
        String returns = routine.rows().isEmpty()
                ? routine.returns().map(t -> " RETURNS " + type(t)).orElse("")
                : " RETURNS SETOF " + (isOfCursors(routine) ? "refcursor" : row);
        return rows(routine, row) + "CREATE " + (routine.replace() ? "OR REPLACE " : "") + kind(routine)
                + name(routine.name()) + "(" + parameters + ")" + returns + "\n"
                + String.join("\n", traits(routine)) + "\n"
                + body(
                        (Block) routine.body(),
                        variables(routine),
                        routine.traits().columnsFirst())
                + comment(routine);
    }

    private static String kind(CreateRoutine routine) {
        return routine.returns().isPresent() || !routine.rows().isEmpty() ? "FUNCTION " : "PROCEDURE ";
    }

    private List<String> traits(CreateRoutine routine) {
        List<String> traits = new ArrayList<>();
        traits.add("LANGUAGE plpgsql");
        if (routine.returns().isPresent() && routine.traits().deterministic()) {
            volatility(routine).ifPresent(traits::add);
        }
        if (routine.traits().definer()) {
            traits.add("SECURITY DEFINER");
        }
        if (wantsOneRow(routine.body())) {
            traits.add("SET plpgsql.extra_errors = 'too_many_rows'");
        }
        routine.traits().lookup().ifPresent(l -> traits.add("SET search_path = " + name(l) + ", pg_temp"));
        return traits;
    }

    /** Rows have a type of their own, since columns that a function declares would hide those of its queries. */
    private String rowType(CreateRoutine routine) {
        String own = routine.name().last().text() + "_row";
        return name(routine.name().withLast(new Name(own, routine.name().last().exact())));
    }

    private String rows(CreateRoutine routine, String row) {
        if (routine.rows().isEmpty()) {
            return "";
        }
        if (isOfCursors(routine)) {
            return routine.replace()
                    ? "DROP FUNCTION IF EXISTS " + name(routine.name()) + "(" + types(routine) + ");\n"
                    : "";
        }
        String columns = routine.rows().stream()
                .map(c -> name(c.name()) + " " + type(c.type()))
                .collect(Collectors.joining(", "));
        String again = routine.replace()
                ? "DROP FUNCTION IF EXISTS " + name(routine.name()) + "(" + types(routine) + ");\nDROP TYPE IF EXISTS "
                        + row + ";\n"
                : "";
        return again + "CREATE TYPE " + row + " AS (" + columns + ");\n";
    }

    /** True for a function that gives a cursor for each of its result sets. */
    private static boolean isOfCursors(CreateRoutine routine) {
        return routine.rows().size() == 1 && routine.rows().get(0).type().name().equals("refcursor");
    }

    private String types(CreateRoutine routine) {
        return routine.parameters().stream()
                .map(p -> (p.mode() == Mode.IN ? "" : p.mode() + " ") + type(p.type()))
                .collect(Collectors.joining(", "));
    }

    private String comment(CreateRoutine routine) {
        return routine.traits()
                .comment()
                .filter(c -> !c.isEmpty())
                .map(c -> ";\nCOMMENT ON " + kind(routine) + name(routine.name()) + "(" + types(routine) + ") IS "
                        + string(c))
                .orElse("");
    }

    /** What a deterministic function may be taken for: it is no more steady than what it reads. */
    private static Optional<String> volatility(CreateRoutine routine) {
        boolean reads = StatementSearch.anyStatement(
                        List.of(routine.body()),
                        s -> s instanceof Statement.Dml || s instanceof CodeStatement.SelectInto)
                || StatementSearch.anyExpression(
                        List.of(routine.body()), e -> e instanceof Expr.Subquery || e instanceof Expr.Exists);
        boolean changes = StatementSearch.anyStatement(List.of(routine.body()), s -> s instanceof Statement.Dml);
        if (changes || routine.traits().access() == Access.CHANGES) {
            return Optional.empty();
        }
        return Optional.of(reads || routine.traits().access() == Access.READS ? "STABLE" : "IMMUTABLE");
    }

    private static boolean wantsOneRow(Statement body) {
        return StatementSearch.anyStatement(
                List.of(body), s -> s instanceof CodeStatement.SelectInto i && i.expected() == Expected.AT_MOST_ONE);
    }

    /** Words that may be names of columns and variables, but not of parameters (PostgreSQL manual, "SQL Key Words"). */
    private String parameterName(Name name) {
        String plain = name(name);
        return COLUMN_WORDS.contains(plain.toLowerCase(Locale.ROOT))
                ? "\"" + plain.toLowerCase(Locale.ROOT) + "\""
                : plain;
    }

    private String parameter(Parameter parameter) {
        String mode = parameter.mode() == Mode.IN ? "" : parameter.mode() + " ";
        return mode + parameterName(parameter.name()) + " " + type(parameter.type())
                + parameter.initial().map(i -> " DEFAULT " + text(i)).orElse("");
    }

    private static boolean variables(CreateRoutine routine) {
        return !routine.parameters().isEmpty()
                || !((Block) routine.body()).declarations().isEmpty();
    }

    /** The body with its quotes; a name that could mean a variable or a column means what it does on the source. */
    private String body(Block block, boolean variables, boolean columnsFirst) {
        boolean queries = StatementSearch.anyStatement(List.of(block), PgCodeWriter::isQuery)
                || StatementSearch.anyExpression(
                        List.of(block), e -> e instanceof Expr.Subquery || e instanceof Expr.Exists)
                || block.declarations().stream().anyMatch(Declaration.Cursor.class::isInstance);
        String text = conflict(variables && queries, columnsFirst) + block(block) + ";\n";
        String quote = "$$";
        for (int i = 0; text.contains(quote); i++) {
            quote = "$body" + (i == 0 ? "" : i) + "$";
        }
        return "AS " + quote + "\n" + text + quote;
    }

    private static String conflict(boolean possible, boolean columnsFirst) {
        return possible ? "#variable_conflict use_" + (columnsFirst ? "column" : "variable") + "\n" : "";
    }

    private static boolean isQuery(Statement statement) {
        return statement instanceof Statement.Dml
                || statement instanceof CodeStatement.SelectInto
                || statement instanceof CodeStatement.ReturnRows
                || statement instanceof CodeStatement.CursorStep c && c.query().isPresent()
                || statement instanceof CodeStatement.ForRows;
    }

    private String trigger(CreateTrigger trigger) {
        String events = trigger.events().stream()
                .map(e -> e.kind().name()
                        + (e.columns().isEmpty()
                                ? ""
                                : " OF " + e.columns().stream().map(this::name).collect(Collectors.joining(", "))))
                .collect(Collectors.joining(" OR "));
        Block body = (Block) trigger.body();
        String one = wantsOneRow(body) ? "\nSET plpgsql.extra_errors = 'too_many_rows'" : "";
        return "CREATE OR REPLACE FUNCTION " + name(trigger.name()) + "() RETURNS trigger\nLANGUAGE plpgsql" + one
                + "\n"
                + body(body, !body.declarations().isEmpty(), trigger.columnsFirst()) + ";\nCREATE TRIGGER "
                + name(trigger.name().last()) + " " + timing(trigger) + " " + events + " ON "
                + name(trigger.table()) + referencing(trigger) + "\nFOR EACH "
                + (trigger.eachRow() ? "ROW" : "STATEMENT")
                + trigger.when().map(w -> "\nWHEN (" + text(w) + ")").orElse("") + "\nEXECUTE FUNCTION "
                + name(trigger.name()) + "()";
    }

    /** The rows of the statement as tables, of which each kind of change has its own ("CREATE TRIGGER", transition tables). */
    private String referencing(CreateTrigger trigger) {
        if (trigger.rows().isEmpty()) {
            return "";
        }
        Event.Kind kind = trigger.events().get(0).kind();
        String before = kind == Event.Kind.INSERT
                ? ""
                : " OLD TABLE AS " + name(trigger.rows().get().before());
        String after = kind == Event.Kind.DELETE
                ? ""
                : " NEW TABLE AS " + name(trigger.rows().get().after());
        return "\nREFERENCING" + before + after;
    }

    /** The variables of a package as settings of the session ("Customized Options"), NULL as an empty text. */
    private String state(CodeStatement.SessionState state) {
        String schema = name(state.name());
        String setting = state.name().text().toLowerCase(Locale.ROOT) + ".";
        String ready = string(setting + "ready_");
        return "CREATE OR REPLACE FUNCTION " + schema
                + ".state_(variable text) RETURNS text\nLANGUAGE plpgsql\nAS $$\n"
                + "BEGIN\n    IF COALESCE(current_setting(" + ready + ", true), '') = '' THEN\n"
                + "        PERFORM set_config(" + ready + ", 'yes', false);\n"
                + (state.first().body().isEmpty() ? "" : indented(indented(block(state.first()) + ";")) + "\n")
                + "    END IF;\n    IF current_setting(" + string(setting) + " || variable, true) <> '' THEN\n"
                + "        RETURN substr(current_setting(" + string(setting) + " || variable), 2);\n"
                + "    END IF;\n    RETURN NULL;\nEND;\n$$;\n"
                + "CREATE OR REPLACE FUNCTION " + schema
                + ".keep_(variable text, value text) RETURNS void\nLANGUAGE plpgsql\nAS $$\n"
                + "BEGIN\n    PERFORM " + schema + ".state_('');\n    PERFORM set_config(" + string(setting)
                + " || variable, COALESCE('=' || value, ''), false);\nEND;\n$$";
    }

    private String block(Block block) {
        StringBuilder text = new StringBuilder();
        text.append(label(block.label()));
        if (!block.declarations().isEmpty()) {
            text.append("DECLARE\n");
            block.declarations()
                    .forEach(d -> text.append(indented(declaration(d) + ";")).append("\n"));
        }
        text.append("BEGIN\n").append(lines(block.body()));
        if (!block.rescues().isEmpty()) {
            text.append("EXCEPTION\n");
            block.rescues().forEach(r -> text.append(indented(rescue(r))).append("\n"));
        }
        return text.append("END").toString();
    }

    private String declaration(Declaration declaration) {
        if (declaration instanceof Declaration.Cursor cursor) {
            String parameters = cursor.parameters().isEmpty()
                    ? ""
                    : cursor.parameters().stream()
                            .map(p -> name(p.name()) + " " + type(p.type()))
                            .collect(Collectors.joining(", ", "(", ") "));
            return name(cursor.name()) + " CURSOR " + parameters + "FOR\n" + indented(text(cursor.query()));
        }
        Declaration.Variable variable = (Declaration.Variable) declaration;
        return name(variable.name())
                + (variable.constant() ? " CONSTANT " : " ")
                + type(variable.type())
                + variable.initial().map(i -> " := " + text(i)).orElse("");
    }

    private String rescue(Rescue rescue) {
        String conditions = rescue.conditions().stream().map(this::condition).collect(Collectors.joining(" OR "));
        String body = rescue.body().isEmpty() ? "    NULL;\n" : lines(rescue.body());
        return ("WHEN " + conditions + " THEN\n" + body).stripTrailing();
    }

    private String condition(Condition condition) {
        return switch (condition.kind()) {
            case ERROR -> "OTHERS";
            case STATE -> "SQLSTATE " + string(condition.value());
            default -> throw new Untranslatable("a handler for " + condition.value());
        };
    }

    private String loop(CodeStatement.Loop loop) {
        StringBuilder text = new StringBuilder();
        text.append(label(loop.label()));
        loop.before().ifPresent(b -> text.append("WHILE ").append(text(b)).append(" "));
        text.append("LOOP\n").append(lines(loop.body()));
        loop.after()
                .ifPresent(a -> text.append("    EXIT WHEN ").append(text(a)).append(";\n"));
        return text.append("END LOOP").toString();
    }

    private String range(CodeStatement.ForRange range) {
        String ends = range.reverse()
                ? "REVERSE " + text(range.to()) + ".." + text(range.from())
                : text(range.from()) + ".." + text(range.to());
        return label(range.label()) + "FOR " + name(range.variable()) + " IN " + ends
                + range.step().map(b -> " BY " + text(b)).orElse("") + " LOOP\n" + lines(range.body()) + "END LOOP";
    }

    private String label(Optional<Name> label) {
        return label.map(l -> "<<" + name(l) + ">>\n").orElse("");
    }

    private String signal(CodeStatement.Signal signal) {
        if (signal.state().isEmpty() && signal.message().isEmpty()) {
            return "RAISE";
        }
        String message = signal.message().map(this::text).orElse(string("an exception of the user"));
        return "RAISE EXCEPTION USING MESSAGE = " + message
                + signal.state().map(s -> ", ERRCODE = " + string(s)).orElse("");
    }
}
