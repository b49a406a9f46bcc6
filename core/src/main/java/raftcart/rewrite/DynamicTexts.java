package raftcart.rewrite;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import raftcart.dialect.Language;
import raftcart.sql.Span;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Assign;
import raftcart.sql.tree.CodeStatement.Declaration;
import raftcart.sql.tree.CodeStatement.Dynamic;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.ExprSearch;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.StatementMapper;
import raftcart.sql.tree.StatementSearch;

/**
 * Follows texts through variables to the statement that runs them, so that {@code s := 'SELECT …'; EXECUTE s} is seen as what it
 * is. What a variable holds is known from its assignment on, up to a statement that may change it or what the text was made of.
 */
final class DynamicTexts extends StatementMapper {
    /** Functions of texts that hang on nothing but their arguments. */
    private static final Pattern STEADY = Pattern.compile(
            "concat.*|format_text|format_date|quote_.*|coalesce|upper|lower|trim.*"
                    + "|.*trim|replace|substr.*|left|right|lpad|rpad|length|char_length|round.*|abs|if|nullif|chr|repeat|to_text");

    /** Texts that grow longer than this are not followed. */
    private static final int MOST_PARTS = 200;

    /** What a variable holds, by its key. */
    private Map<String, Expr> held = new HashMap<>();

    private final Set<String> followed = new HashSet<>();
    /** The variables of the code itself; others, as those of a package, may change in whatever is called. */
    private final Set<String> own = new HashSet<>(Set.of("new", "old"));

    private final Set<String> declared = new HashSet<>();

    private final Language from;

    private DynamicTexts(Language from) {
        this.from = from;
    }

    /** The same code, in which the texts of computed statements stand where these are run, as far as they are known. */
    static CodeStatement followed(CodeStatement code, Language from) {
        boolean computes = StatementSearch.anyStatement(
                List.of(code),
                s -> s instanceof Dynamic
                        || s instanceof CodeStatement.ReturnText
                        || s instanceof CodeStatement.ForText);
        if (!computes) {
            return code;
        }
        DynamicTexts texts = new DynamicTexts(from);
        Statement made = texts.statement(code);
        return (CodeStatement) texts.withoutIdle(made);
    }

    /** True for what holds the text of a prepared statement, which is no variable of the code. */
    static boolean isPrepared(Expr e) {
        return e instanceof Expr.Column c && c.name().last().text().startsWith(CodeStatement.PREPARED);
    }

    @Override
    public Statement statement(Statement statement) {
        if (statement instanceof CodeStatement.CreateRoutine routine) {
            Stream.concat(routine.parameters().stream(), routine.rows().stream())
                    .forEach(p -> own.add(p.name().key()));
        }
        if (statement instanceof CodeStatement.Block block) {
            return block(block);
        }
        if (statement instanceof Dynamic dynamic) {
            Dynamic made = DynamicCode.filling(dynamic.of(known(dynamic.text())), from);
            forget(changed(made));
            return made;
        }
        if (statement instanceof CodeStatement.ReturnText given) {
            Expr text = known(given.text());
            Optional<Query> query = query(text, given.values(), given.span());
            return query.<Statement>map(q -> new CodeStatement.ReturnRows(q, given.span()))
                    .orElseGet(() -> new CodeStatement.ReturnText(text, given.values(), given.span()));
        }
        if (statement instanceof CodeStatement.ForText loop) {
            Expr text = known(loop.text());
            Optional<Query> query = query(text, loop.values(), loop.span());
            return query.isEmpty()
                    ? again(new CodeStatement.ForText(
                            loop.label(), loop.row(), text, loop.values(), loop.body(), loop.span()))
                    : again(new CodeStatement.ForRows(
                            loop.label(), loop.row(), query, Optional.empty(), List.of(), loop.body(), loop.span()));
        }
        if (statement instanceof Assign assign) {
            assigned(assign);
            return assign;
        }
        return again(statement);
    }

    /** The query that a text is, with values in the places of its parameters; none of its names may mean a variable as well. */
    private Optional<Query> query(Expr text, List<Expr> values, Span span) {
        return TextParts.of(text, from).stream().allMatch(TextParts::isText)
                ? DynamicCode.query(new Dynamic(text, List.of(), values, span), from, own)
                : Optional.empty();
    }

    private Statement again(Statement statement) {
        Set<String> changed = changed(statement);
        boolean again = statement instanceof CodeStatement.Loop
                || statement instanceof CodeStatement.ForRange
                || statement instanceof CodeStatement.ForRows
                || statement instanceof CodeStatement.ForText;
        if (again) {
            counts(statement).ifPresent(own::add);
            forget(changed);
        }
        Map<String, Expr> before = new HashMap<>(held);
        Statement made = super.statement(statement);
        held = before;
        forget(changed);
        return made;
    }

    /** Each list of statements begins with what is known before it; a choice of several does not know of the others. */
    @Override
    public List<Statement> statements(List<Statement> all) {
        Map<String, Expr> before = new HashMap<>(held);
        List<Statement> made = new ArrayList<>();
        all.forEach(s -> made.add(statement(s)));
        Map<String, Expr> after = held;
        held = before;
        held.keySet().removeIf(k -> !held.get(k).equals(after.get(k)));
        return made;
    }

    /** What a block declares hides what is called so outside of it, and is not there any more behind it. */
    private Statement block(CodeStatement.Block block) {
        Map<String, Expr> outside = held;
        held = new HashMap<>(outside);
        for (Declaration declaration : block.declarations()) {
            String key = declaration.name().key();
            declared.add(key);
            own.add(key);
            forget(Set.of(key));
            if (declaration instanceof Declaration.Variable v && v.initial().isPresent()) {
                hold(key, v.initial().get());
            }
        }
        List<Statement> body = statements(block.body());
        Set<String> changed = changed(block);
        forget(changed); // what handles an error does not know how far the body came
        List<CodeStatement.Handler> handlers = block.handlers().stream()
                .map(h -> new CodeStatement.Handler(h.leaves(), h.conditions(), statement(h.action()), h.span()))
                .toList();
        List<CodeStatement.Rescue> rescues = block.rescues().stream()
                .map(r -> new CodeStatement.Rescue(r.conditions(), statements(r.body())))
                .toList();
        held = outside;
        block.declarations().forEach(d -> changed.remove(d.name().key())); // the ones outside are others
        forget(changed);
        return new CodeStatement.Block(block.label(), block.declarations(), handlers, body, rescues, block.span());
    }

    /** The variable of a loop over numbers or rows. */
    private static Optional<String> counts(Statement loop) {
        return loop instanceof CodeStatement.ForRange range
                ? Optional.of(range.variable().key())
                : loop instanceof CodeStatement.ForRows rows
                        ? Optional.of(rows.row().key())
                        : loop instanceof CodeStatement.ForText text
                                ? Optional.of(text.row().key())
                                : Optional.empty();
    }

    private void assigned(Assign assign) {
        Expr value = known(assign.value());
        forget(changed(assign));
        hold(key(assign.target()), value);
    }

    private void hold(String key, Expr value) {
        boolean kept = own.contains(key) || key.startsWith("@") || key.startsWith(CodeStatement.PREPARED);
        boolean stays = kept
                && !names(value).contains(key)
                && TextParts.of(value, from).size() <= MOST_PARTS
                && !ExprSearch.any(value, e -> !isSteady(e));
        if (stays) {
            held.put(key, value);
        }
    }

    /** True for what gives the same however often, and whenever, it is computed as long as its variables stay. */
    private boolean isSteady(Expr e) {
        if (e instanceof Expr.Call call) {
            Optional<String> function = call.canonical()
                    ? Optional.of(call.function())
                    : from.functions()
                            .recognise(call.name().toString(), call.arguments(), a -> ValueKind.UNKNOWN)
                            .map(r -> r.signature().name());
            return function.filter(f -> STEADY.matcher(f).matches()).isPresent();
        }
        return e instanceof Expr.Literal
                || e instanceof Expr.Column && (own.contains(root(e)) || isPrepared(e))
                || SessionVariables.isOne(e)
                || e instanceof Expr.Concat
                || e instanceof Expr.Cast
                || e instanceof Expr.Binary
                || e instanceof Expr.Case
                || e instanceof Expr.Is;
    }

    /** Nothing is known any more of variables, nor of texts that were made of them. */
    private void forget(Set<String> changed) {
        held.keySet().removeAll(changed);
        held.values().removeIf(v -> names(v).stream().anyMatch(changed::contains));
    }

    /** A text with what is known of its parts. */
    private Expr known(Expr text) {
        Expr joined = TextParts.joined(text, from);
        boolean nullIsEmpty = joined instanceof Expr.Concat c && c.nullIsEmpty();
        List<Expr> all = new ArrayList<>();
        for (Expr part : TextParts.of(joined, from)) {
            Expr known = held.get(key(part));
            boolean says = known != null
                    && (isPrepared(part) || TextParts.of(known, from).stream().anyMatch(TextParts::isText));
            if (says) {
                boolean alone = !(joined instanceof Expr.Concat);
                nullIsEmpty |=
                        alone && TextParts.joined(known, from) instanceof Expr.Concat inner && inner.nullIsEmpty();
                followed.add(key(part));
                all.addAll(TextParts.within(known, nullIsEmpty, from));
            } else {
                all.add(part);
            }
        }
        return all.size() == 1 ? all.get(0) : new Expr.Concat(all, nullIsEmpty, text.span());
    }

    /** What a variable is known by; nothing for a part of one. */
    private static String key(Expr e) {
        return e instanceof Expr.Column c && c.name().parts().size() > 1 ? "" : root(e);
    }

    /** What a variable is known by, that of the whole where a part of it is named. */
    private static String root(Expr e) {
        if (e instanceof Expr.Column c) {
            return c.name().parts().get(0).key();
        }
        return SessionVariables.isOne(e) ? ((Expr.Parameter) e).text().toLowerCase(Locale.ROOT) : "";
    }

    private static Set<String> names(Expr value) {
        Set<String> names = new HashSet<>();
        ExprSearch.any(value, e -> {
            names.add(root(e));
            return false;
        });
        names.remove("");
        return names;
    }

    /** The variables that a statement, or one within it, may change; what is called may change all of the session. */
    private Set<String> changed(Statement statement) {
        Set<String> changed = new HashSet<>();
        boolean calls = StatementSearch.anyStatement(List.of(statement), s -> s instanceof Statement.CallProcedure)
                || StatementSearch.anyExpression(List.of(statement), this::isRoutine);
        if (calls) {
            Stream.concat(held.keySet().stream(), held.values().stream().flatMap(v -> names(v).stream()))
                    .filter(k -> !own.contains(k))
                    .forEach(changed::add);
        }
        StatementSearch.anyStatement(List.of(statement), s -> {
            targets(s).forEach(t -> changed.add(root(t)));
            counts(s).ifPresent(changed::add);
            return false;
        });
        changed.remove("");
        return changed;
    }

    private boolean isRoutine(Expr e) {
        return e instanceof Expr.Call call
                && !call.canonical()
                && !from.functions().knows(call.name().toString());
    }

    private static List<Expr> targets(Statement s) {
        if (s instanceof Assign a) {
            return List.of(a.target());
        }
        if (s instanceof CodeStatement.SelectInto i) {
            return i.targets();
        }
        if (s instanceof CodeStatement.Fetch f) {
            return f.targets();
        }
        if (s instanceof CodeStatement.ChangeInto c) {
            return c.targets();
        }
        if (s instanceof Dynamic d) {
            return d.targets();
        }
        if (s instanceof CodeStatement.Diagnosis d) {
            return d.targets();
        }
        if (s instanceof CodeStatement.RowCount c) {
            return List.of(c.target());
        }
        return s instanceof Statement.CallProcedure call ? call.arguments() : List.of();
    }

    /** Without the texts of prepared statements, and without what gave a variable a text that is read nowhere else. */
    private Statement withoutIdle(Statement code) {
        Set<String> read = new HashSet<>();
        new StatementMapper() {
            @Override
            public Statement statement(Statement s) {
                if (s instanceof Assign a) {
                    Set<String> names = names(a.value());
                    names.remove(root(a.target()));
                    read.addAll(isPrepared(a.target()) ? Set.of() : names);
                    return a;
                }
                return super.statement(s);
            }

            @Override
            public Expr expr(Expr e) {
                read.add(root(e));
                return super.expr(e);
            }
        }.statement(code);
        return new StatementMapper() {
            @Override
            public List<Statement> statements(List<Statement> all) {
                return super.statements(
                        all.stream().filter(s -> !isIdle(s, read)).toList());
            }
        }.statement(code);
    }

    private boolean isIdle(Statement s, Set<String> read) {
        if (!(s instanceof Assign assign)) {
            return false;
        }
        String key = key(assign.target());
        boolean own = SessionVariables.isOne(assign.target()) || declared.contains(key);
        return isPrepared(assign.target()) || own && followed.contains(key) && !read.contains(key);
    }
}
