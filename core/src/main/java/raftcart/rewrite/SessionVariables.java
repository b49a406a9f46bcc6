package raftcart.rewrite;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import raftcart.finding.FindingCode;
import raftcart.rewrite.Knowledge.KnownColumn;
import raftcart.rewrite.Scope.ColumnFacts;
import raftcart.sql.Span;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Block;
import raftcart.sql.tree.CodeStatement.Declaration;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.StatementMapper;
import raftcart.sql.tree.StatementSearch;
import raftcart.sql.tree.TypeName;
import raftcart.type.LogicalType;

/**
 * Variables of the session in code ("User-Defined Variables", MariaDB), which have no types. What a routine puts into one says of
 * which kind it is there; on the target the session keeps it as a text.
 */
final class SessionVariables {
    private static final String SESSION = "session_";

    private final CodeAdapter code;
    private final QueryAdapter adapter;
    private final Map<String, LogicalType> types = new LinkedHashMap<>();

    /** The variables of some code, of which these are the parameters. */
    SessionVariables(CodeAdapter code, Statement whole, List<CodeStatement.Parameter> parameters) {
        this.code = code;
        this.adapter = code.adapter();
        Map<String, Span> used = new LinkedHashMap<>();
        StatementSearch.anyExpression(List.of(whole), e -> {
            if (isOne(e)) {
                used.putIfAbsent(key(e), e.span());
            }
            return false;
        });
        if (!used.isEmpty()) {
            Map<String, ValueKind> kinds = kinds(whole, parameters);
            used.forEach((name, span) -> types.put(name, type(name, kinds.get(name), span)));
        }
    }

    static boolean isOne(Expr e) {
        return e instanceof Expr.Parameter p && p.text().matches("@\\w+");
    }

    private static String key(Expr e) {
        return ((Expr.Parameter) e).text().substring(1).toLowerCase(Locale.ROOT);
    }

    private LogicalType type(String name, ValueKind kind, Span span) {
        if (kind == null) {
            throw CodeAdapter.at(span, "the session's variable @" + name + ", which is set elsewhere");
        }
        adapter.note(
                FindingCode.SYNTAX_CHECK,
                span,
                "@" + name + " is a setting of the session, which goes back where a transaction is rolled back");
        return switch (kind) {
            case INTEGER, BOOLEAN -> new LogicalType.Int(64, false);
            case DECIMAL -> new LogicalType.Decimal(0, 0, false);
            case FLOAT -> new LogicalType.Floating(64);
            case TEXT -> new LogicalType.Text(0);
            default ->
                throw CodeAdapter.at(span, "the session's variable @" + name + ", whose kind of value is not known");
        };
    }

    /** Of which kind the values are that the code puts into each variable. */
    private Map<String, ValueKind> kinds(Statement whole, List<CodeStatement.Parameter> parameters) {
        Scope before = adapter.scope;
        adapter.scope = new Scope(Optional.of(before));
        try {
            adapter.scope.add(Scope.Relation.ofVariables("", variables(whole, parameters)));
            Map<String, ValueKind> kinds = new LinkedHashMap<>();
            StatementSearch.anyStatement(List.of(whole), s -> {
                if (s instanceof CodeStatement.Assign a && isOne(a.target())) {
                    merge(kinds, key(a.target()), adapter.kind(a.value()), a.span());
                } else if (s instanceof CodeStatement.SelectInto into) {
                    filled(kinds, into.query(), into.targets(), into.span());
                } else if (s instanceof CodeStatement.Dynamic d && names(d.targets())) {
                    DynamicCode.query(d, adapter.from, Set.of())
                            .ifPresent(q -> filled(kinds, q, d.targets(), d.span()));
                } else if (s instanceof CodeStatement.Diagnosis d) {
                    d.targets().stream()
                            .filter(SessionVariables::isOne)
                            .forEach(t -> merge(kinds, key(t), ValueKind.TEXT, d.span()));
                } else if (s instanceof CodeStatement.RowCount c && isOne(c.target())) {
                    merge(kinds, key(c.target()), ValueKind.INTEGER, c.span());
                }
                return false;
            });
            return kinds;
        } finally {
            adapter.scope = before;
        }
    }

    private void filled(Map<String, ValueKind> kinds, Query query, List<Expr> targets, Span span) {
        List<ColumnFacts> columns = adapter.finder.columns(query, adapter.scope);
        for (int i = 0; i < targets.size() && i < columns.size(); i++) {
            if (isOne(targets.get(i))) {
                merge(kinds, key(targets.get(i)), columns.get(i).kind(), span);
            }
        }
    }

    private static void merge(Map<String, ValueKind> kinds, String name, ValueKind kind, Span span) {
        ValueKind known = kinds.get(name);
        boolean says = kind != ValueKind.UNKNOWN && kind != ValueKind.NULL;
        if (known == null || known == ValueKind.UNKNOWN || known == ValueKind.NULL) {
            kinds.put(name, kind);
        } else if (says && known != kind) {
            boolean exact = known.isNumber() && kind.isNumber() && known != ValueKind.FLOAT && kind != ValueKind.FLOAT;
            if (!exact) {
                throw CodeAdapter.at(span, "the session's variable @" + name + ", which holds values of several kinds");
            }
            kinds.put(name, ValueKind.DECIMAL);
        }
    }

    private Map<String, ColumnFacts> variables(Statement whole, List<CodeStatement.Parameter> parameters) {
        Map<String, ColumnFacts> facts = new LinkedHashMap<>();
        parameters.forEach(p -> facts.put(p.name().key(), ColumnFacts.of(code.known(p.name(), p.type()))));
        StatementSearch.anyStatement(List.of(whole), s -> {
            if (s instanceof Block block) {
                for (Declaration d : block.declarations()) {
                    if (d instanceof Declaration.Variable v) {
                        facts.put(v.name().key(), ColumnFacts.of(code.known(v.name(), v.type())));
                    }
                }
            }
            return false;
        });
        return facts;
    }

    /** The code with names in the places of the variables; values of queries go into others first. */
    Statement named(Statement whole) {
        return types.isEmpty()
                ? whole
                : new StatementMapper() {
                    @Override
                    public Expr expr(Expr e) {
                        return isOne(e) ? column(e) : super.expr(e);
                    }

                    @Override
                    public Statement statement(Statement statement) {
                        return fills(statement).orElseGet(() -> super.statement(statement));
                    }

                    private Optional<Statement> fills(Statement statement) {
                        if (statement instanceof CodeStatement.SelectInto s && names(s.targets())) {
                            Query query = query(s.query());
                            return Optional.of(moved(
                                    s.targets(),
                                    t -> new CodeStatement.SelectInto(query, t, s.expected(), s.span()),
                                    s.span()));
                        }
                        if (statement instanceof CodeStatement.Dynamic d && names(d.targets())) {
                            return Optional.of(moved(
                                    d.targets(),
                                    t -> new CodeStatement.Dynamic(
                                            expr(d.text()), t, exprs(d.values()), d.expected(), d.span()),
                                    d.span()));
                        }
                        if (statement instanceof CodeStatement.Diagnosis d && names(d.targets())) {
                            return Optional.of(moved(
                                    d.targets(), t -> new CodeStatement.Diagnosis(t, d.items(), d.span()), d.span()));
                        }
                        return statement instanceof CodeStatement.RowCount c && isOne(c.target())
                                ? Optional.of(moved(
                                        List.of(c.target()),
                                        t -> new CodeStatement.RowCount(t.get(0), c.span()),
                                        c.span()))
                                : Optional.empty();
                    }
                }.statement(whole);
    }

    private static Expr column(Expr e) {
        return new Expr.Column(new QualifiedName(List.of(Name.of(SESSION), Name.of(key(e)))), false, e.span());
    }

    private static boolean names(List<Expr> targets) {
        return targets.stream().anyMatch(SessionVariables::isOne);
    }

    /** A statement whose values go into variables of the code first. */
    private Statement moved(List<Expr> given, Function<List<Expr>, Statement> with, Span span) {
        List<Expr> targets = new ArrayList<>();
        List<Declaration> declared = new ArrayList<>();
        List<Statement> after = new ArrayList<>();
        for (Expr target : given) {
            if (!isOne(target)) {
                targets.add(target);
                continue;
            }
            Name name = Name.of(key(target) + "_value_");
            TypeName type = declared(types.get(key(target)));
            declared.add(new Declaration.Variable(name, type, Optional.of(column(target)), false, span));
            targets.add(Expr.Column.of(name.text()));
            after.add(new CodeStatement.Assign(column(target), Expr.Column.of(name.text()), span));
        }
        List<Statement> all = new ArrayList<>();
        all.add(with.apply(targets));
        all.addAll(after);
        return new Block(Optional.empty(), declared, List.of(), all, List.of(), span);
    }

    /** A type of the source that holds all that a variable may. */
    private static TypeName declared(LogicalType type) {
        return switch (KindFinder.kind(type)) {
            case INTEGER -> TypeName.of("bigint");
            case DECIMAL -> TypeName.of("decimal", 65, 30);
            case FLOAT -> TypeName.of("double");
            default -> TypeName.of("longtext");
        };
    }

    /** True for what has become of a variable where statements name it. */
    static boolean isNamed(Expr e) {
        return e instanceof Expr.Column c
                && c.name().parts().size() == 2
                && c.name().parts().get(0).text().equals(SESSION);
    }

    /** Lets the variables be known. */
    void see() {
        if (!types.isEmpty()) {
            Map<String, ColumnFacts> facts = new LinkedHashMap<>();
            types.forEach((name, type) ->
                    facts.put(name, ColumnFacts.of(new KnownColumn(Name.of(name), Optional.of(type), false, false))));
            adapter.scope.add(Scope.Relation.ofVariables(SESSION, facts));
        }
    }

    /** Code of the target in which the session is asked for the variables, and keeps them. */
    Statement kept(Statement adapted) {
        return types.isEmpty()
                ? adapted
                : new StatementMapper() {
                    @Override
                    public Expr expr(Expr e) {
                        return isNamed(e) ? read((Expr.Column) e) : super.expr(e);
                    }

                    @Override
                    public Statement statement(Statement statement) {
                        if (!(statement instanceof CodeStatement.Assign a) || !isNamed(a.target())) {
                            return super.statement(statement);
                        }
                        Expr text = new Expr.Cast(expr(a.value()), TypeName.of("text"), false, a.span());
                        Expr call = Expr.Call.of("keep_session_text", setting((Expr.Column) a.target()), text);
                        return new CodeStatement.Evaluate(call, a.span());
                    }
                }.statement(adapted);
    }

    private Expr read(Expr.Column column) {
        LogicalType type = types.get(column.name().last().text());
        Expr text = Expr.Call.of("session_text", setting(column));
        return new Expr.Cast(text, code.written(column.name().last(), type), false, column.span());
    }

    private static Expr setting(Expr.Column column) {
        return Expr.Literal.string("session." + column.name().last().text());
    }
}
