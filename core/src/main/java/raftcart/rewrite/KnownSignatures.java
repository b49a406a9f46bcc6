package raftcart.rewrite;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import raftcart.dialect.SqlFeature;
import raftcart.rewrite.Knowledge.KnownColumn;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.CodeStatement.Mode;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.TableRef;
import raftcart.sql.tree.TypeName;
import raftcart.type.LogicalType;

/** What routines take and give, so that a value of another kind can be passed where only the source makes it one by itself. */
final class KnownSignatures {
    private static final int WHOLE = 32;

    private final Map<String, List<Taken>> taken = new HashMap<>();
    private final Map<String, Optional<LogicalType>> results = new HashMap<>();
    private final Set<String> ofRows = new HashSet<>();
    private final Map<String, Boolean> procedures = new HashMap<>();
    private final Map<String, RowFunctions.OfQuery> queries = new HashMap<>();
    private final Set<String> ofCursors = new HashSet<>();

    /** What a parameter takes; what it is where a call leaves it out. */
    record Taken(Name name, Mode mode, TypeName written, LogicalType type, Optional<Expr> initial) {}

    private static String key(QualifiedName name) {
        return name.last().text().toLowerCase(Locale.ROOT);
    }

    /** A routine; of several with one name no more is known. */
    void add(QualifiedName name, List<Taken> parameters) {
        taken.merge(key(name), parameters, (a, b) -> a.equals(b) ? a : List.of());
    }

    /** What a function gives; of several with one name and other results no more is known. */
    void addResult(QualifiedName name, LogicalType result) {
        results.merge(key(name), Optional.of(result), (a, b) -> a.equals(b) ? a : Optional.empty());
    }

    /** Remembers a procedure that gives rows to its caller. */
    void addRows(QualifiedName name) {
        ofRows.add(key(name));
    }

    /** True for a procedure that gives rows to its caller. */
    boolean givesRows(QualifiedName name) {
        return ofRows.contains(key(name));
    }

    /** Remembers a procedure whose rows the caller has to fetch from cursors on the target. */
    void addCursors(QualifiedName name) {
        ofCursors.add(key(name));
    }

    /** True for a procedure whose rows the caller has to fetch from cursors on the target. */
    boolean givesCursors(QualifiedName name) {
        return ofCursors.contains(key(name));
    }

    /**
     * Remembers a function that is a procedure on the target, as it gives rows.
     *
     * @param ofValues true where each row is one value
     */
    void addProcedure(QualifiedName name, boolean ofValues) {
        procedures.put(key(name), ofValues);
    }

    /** Remembers a function of one query. */
    void addQuery(QualifiedName name, RowFunctions.OfQuery query) {
        queries.put(key(name), query);
    }

    boolean hasQueries() {
        return !queries.isEmpty();
    }

    /** The one query of a function. */
    Optional<RowFunctions.OfQuery> query(QualifiedName name) {
        return Optional.ofNullable(queries.get(key(name)));
    }

    /**
     * The call of a procedure in the place of a query that has all rows of the function that it was on the source.
     *
     * @return empty for any other query
     */
    Optional<Statement.CallProcedure> called(Query query) {
        boolean plain = query.with().isEmpty()
                && query.order().isEmpty()
                && query.paging().isEmpty()
                && query.body() instanceof QueryBody.Select;
        if (procedures.isEmpty() || !plain) {
            return Optional.empty();
        }
        QueryBody.Select select = (QueryBody.Select) query.body();
        boolean bare = !select.distinct()
                && select.items().size() == 1
                && select.where().isEmpty()
                && select.groupBy().isEmpty()
                && select.having().isEmpty();
        if (!bare) {
            return Optional.empty();
        }
        Expr item = select.items().get(0).value();
        boolean all = item instanceof Expr.Star star
                && star.table().isEmpty()
                && select.from().size() == 1
                && select.from().get(0) instanceof TableRef.Function f
                && !f.ordinality();
        Expr read = all
                ? ((TableRef.Function) select.from().get(0)).call()
                : select.from().isEmpty() ? item : Expr.Literal.ofNull();
        return read instanceof Expr.Call call
                        && procedures.containsKey(key(call.name()))
                        && (all || procedures.get(key(call.name())))
                ? Optional.of(new Statement.CallProcedure(call.name(), call.arguments(), call.span()))
                : Optional.empty();
    }

    /** The kind of value that a function of this name gives. */
    ValueKind kind(QualifiedName name) {
        return result(name).map(KindFinder::kind).orElse(ValueKind.UNKNOWN);
    }

    /** The type of what a function of this name gives, where it is known. */
    Optional<LogicalType> result(QualifiedName name) {
        return results.getOrDefault(key(name), Optional.empty());
    }

    /** What a routine of this name takes; nothing where it is not known, or takes fewer values. */
    List<Taken> of(QualifiedName name, int count) {
        List<Taken> wanted = taken.getOrDefault(key(name), List.of());
        return wanted.size() >= count ? wanted : List.of();
    }

    /** What the place of an argument takes, or the name that it says. */
    static Taken taken(List<Taken> wanted, int place, Expr argument) {
        return argument instanceof Expr.NamedArgument named
                ? wanted.stream()
                        .filter(t -> t.name().matches(named.name()))
                        .findFirst()
                        .orElse(wanted.get(place))
                : wanted.get(place);
    }

    /** The arguments of a function that is called in an expression, where it is one on the target. */
    List<Expr> ofFunction(Expr.Call call, List<Expr> given, ExprAdapter adapter) {
        if (procedures.containsKey(key(call.name()))) {
            throw CodeAdapter.at(
                    call.span(), "a call of " + call.name() + ", which gives rows and is a procedure there");
        }
        return arguments(call.name(), given, adapter);
    }

    /** The arguments of a call in the target's terms, as the routine takes them. */
    List<Expr> arguments(QualifiedName name, List<Expr> given, ExprAdapter adapter) {
        List<Taken> wanted = of(name, given.size());
        boolean strict = adapter.to.has(SqlFeature.ROUTINES_ARE_OVERLOADED)
                && !adapter.from.has(SqlFeature.ROUTINES_ARE_OVERLOADED);
        if (!strict || wanted.isEmpty()) {
            return arrays(wanted, given, adapter);
        }
        List<Expr> all = new ArrayList<>();
        for (int i = 0; i < given.size(); i++) {
            Taken place = taken(wanted, i, given.get(i));
            all.add(
                    given.get(i) instanceof Expr.NamedArgument named
                            ? new Expr.NamedArgument(
                                    named.name(), argument(named.value(), place, adapter), named.span())
                            : argument(given.get(i), place, adapter));
        }
        return all;
    }

    /** Arguments as they are, but for texts and lists that a routine takes as arrays. */
    private static List<Expr> arrays(List<Taken> wanted, List<Expr> said, ExprAdapter adapter) {
        List<Expr> given = adapter.from.has(SqlFeature.NAMED_ARGUMENTS) && !adapter.to.has(SqlFeature.NAMED_ARGUMENTS)
                ? whole(wanted, said)
                : said;
        List<Expr> all = new ArrayList<>();
        for (int i = 0; i < given.size(); i++) {
            boolean array = !wanted.isEmpty()
                    && taken(wanted, i, given.get(i)).type() instanceof LogicalType.Array
                    && ArrayTexts.isConstant(given.get(i))
                    && adapter.kind(given.get(i)) != ValueKind.NULL;
            all.add(
                    array
                            ? new ValueAdapter(adapter)
                                    .forColumn(
                                            given.get(i),
                                            Optional.of(new KnownColumn(
                                                    wanted.get(i).name(),
                                                    Optional.of(wanted.get(i).type()),
                                                    false,
                                                    false)))
                            : adapter.expr(given.get(i)));
        }
        return all;
    }

    /** Arguments in the order of the parameters, with the defaults of those that a call leaves out. */
    private static List<Expr> whole(List<Taken> wanted, List<Expr> given) {
        List<Expr> all = new ArrayList<>();
        for (int i = 0; i < wanted.size(); i++) {
            Name name = wanted.get(i).name();
            Optional<Expr> placed = i < given.size() && !(given.get(i) instanceof Expr.NamedArgument)
                    ? Optional.of(given.get(i))
                    : given.stream()
                            .filter(a -> a instanceof Expr.NamedArgument n
                                    && n.name().matches(name))
                            .map(a -> ((Expr.NamedArgument) a).value())
                            .findFirst();
            Optional<Expr> argument = placed.or(wanted.get(i)::initial);
            if (argument.isEmpty()) {
                return given; // another routine of the name
            }
            all.add(argument.get());
        }
        return wanted.isEmpty() ? given : all;
    }

    private static Expr argument(Expr given, Taken wanted, ExprAdapter adapter) {
        ValueKind kind = adapter.kind(given);
        ValueKind other = KindFinder.kind(wanted.type());
        boolean passes = wanted.mode() != Mode.IN
                || given instanceof Expr.Parameter
                || kind == ValueKind.UNKNOWN
                || kind == ValueKind.NULL
                || given instanceof Expr.Literal l && l.kind() == LiteralKind.STRING
                || kind == other && !isWider(given, wanted.type(), adapter)
                || kind == ValueKind.INTEGER && (other == ValueKind.DECIMAL || other == ValueKind.FLOAT)
                || kind == ValueKind.DECIMAL && other == ValueKind.FLOAT;
        if (passes) {
            return adapter.expr(given);
        }
        boolean digits = other == ValueKind.INTEGER && (kind == ValueKind.DECIMAL || kind == ValueKind.FLOAT);
        if (digits) {
            return adapter.expr(new Expr.Cast(given, wanted.written(), false, given.span())); // rounds or cuts
        }
        Expr adapted = adapter.expr(given);
        LogicalType plain =
                switch (other) {
                    case TEXT -> new LogicalType.Text(0);
                    case DECIMAL -> new LogicalType.Decimal(0, 0, false);
                    default -> wanted.type();
                };
        return new Expr.Cast(adapted, adapter.castType(plain), false, given.span());
    }

    /** True for a whole number of more bits than the routine takes; a constant has as many as it needs. */
    private static boolean isWider(Expr given, LogicalType wanted, ExprAdapter adapter) {
        if (!(wanted instanceof LogicalType.Int narrow) || narrow.bits() > WHOLE || given instanceof Expr.Literal) {
            return false;
        }
        Optional<LogicalType> type = adapter.facts(given).flatMap(Scope.ColumnFacts::type);
        boolean known = type.filter(t -> t instanceof LogicalType.Int i && i.bits() <= WHOLE && !i.unsigned())
                .isPresent();
        return !known && !(given instanceof Expr.Binary);
    }
}
