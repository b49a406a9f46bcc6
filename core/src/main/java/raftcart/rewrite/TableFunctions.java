package raftcart.rewrite;

import java.util.List;
import java.util.Optional;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.Span;
import raftcart.sql.function.FunctionDictionary.Recognised;
import raftcart.sql.function.Signatures;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.ExprSearch;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.Query.CommonTable;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.QueryBody.Item;
import raftcart.sql.tree.QueryBody.Select;
import raftcart.sql.tree.TableRef;
import raftcart.sql.tree.TypeName;
import raftcart.type.LogicalType;

/** Adapts functions in FROM: their columns get the names that they have on the source, and series become recursive. */
final class TableFunctions {
    private static final Name VALUE = Name.of("value");
    private static final Name STEP = Name.of("n_");

    private final QueryAdapter adapter;
    private final Optional<List<CommonTable>> tables;

    /** @param tables the common tables of the query around, to which those that a function becomes are added */
    TableFunctions(QueryAdapter adapter, Optional<List<CommonTable>> tables) {
        this.adapter = adapter;
        this.tables = tables;
    }

    /** The function in the target's terms; empty for one without a meaning of its own. */
    Optional<TableRef> adapt(TableRef.Function function) {
        if (!(function.call() instanceof Expr.Call given) || function.ordinality()) {
            return Optional.empty();
        }
        Expr.Call call = LocalMoments.series(given, adapter);
        Optional<Recognised> known = call.canonical()
                ? Signatures.find(call.function()).map(s -> new Recognised(s, call.arguments(), ""))
                : adapter.from.functions().recognise(call.name().toString(), call.arguments(), adapter::kind);
        if (known.isEmpty()) {
            return Optional.empty();
        }
        String name = known.get().signature().name();
        boolean writes = adapter.to
                .functions()
                .write(name, known.get().arguments(), adapter::kind)
                .isPresent();
        return switch (name) {
            case "rows_of_list" ->
                writes
                        ? Optional.empty()
                        : Optional.of(list(function, known.get().arguments()));
            case "rows_of_text" -> Optional.of(writes ? named(function, VALUE) : refused("texts split into rows"));
            case "series" ->
                !writes && !adapter.to.has(SqlFeature.RECURSION)
                        ? Optional.empty()
                        : Optional.of(
                                writes
                                        ? named(function, column(function))
                                        : series(function, known.get().arguments()));
            default -> Optional.empty();
        };
    }

    /** Values as the rows of a query, with the name that Oracle has for the column of a collection ("TABLE Collection Expression"). */
    private TableRef list(TableRef.Function function, List<Expr> values) {
        List<List<Expr>> rows = values.stream().map(List::of).toList();
        Name name = function.alias().map(TableRef.Alias::name).orElse(Name.of("list_"));
        TableRef.Alias alias = new TableRef.Alias(name, List.of(Name.of("column_value")), List.of());
        return adapter.table(new TableRef.Derived(
                Query.of(new QueryBody.Values(rows, function.span())), false, Optional.of(alias), function.span()));
    }

    private static TableRef refused(String what) {
        throw new Untranslatable(what);
    }

    /** The name of the column of a series: where the alias gives none, the one that the source has for it. */
    private Name column(TableRef.Function function) {
        List<Name> columns = function.alias().map(TableRef.Alias::columns).orElse(List.of());
        if (!columns.isEmpty()) {
            return columns.get(0);
        }
        if (adapter.from.has(SqlFeature.SERIES_COLUMN_IS_X)) {
            return Name.of("X");
        }
        if (adapter.from.has(SqlFeature.SERIES_COLUMN_IS_VALUE)) {
            return Name.of("value");
        }
        return adapter.from.has(SqlFeature.FUNCTION_ALIAS_NAMES_COLUMN)
                ? name(function)
                : ((Expr.Call) function.call()).name().last();
    }

    private static Name name(TableRef.Function function) {
        return function.alias()
                .map(TableRef.Alias::name)
                .orElse(((Expr.Call) function.call()).name().last());
    }

    /** The function with a name for its column. */
    private TableRef named(TableRef.Function function, Name column) {
        TableRef.Alias alias =
                function.alias().orElse(TableRef.Alias.of(name(function).text()));
        List<Name> columns = alias.columns().isEmpty() ? List.of(column) : alias.columns();
        return new TableRef.Function(
                adapter.expr(function.call()),
                function.lateral(),
                false,
                Optional.of(new TableRef.Alias(alias.name(), columns, alias.types())),
                function.span());
    }

    /** A series between constants, where the engine has a table for it. */
    private Optional<TableRef> counted(List<Expr> arguments, Expr step, TableRef.Function function) {
        if (!adapter.to.has(SqlFeature.SERIES_TABLES)) {
            return Optional.empty();
        }
        Span span = function.span();
        // The engine's numbers have no sign, with which sums of them go wrong.
        Expr number =
                new Expr.Cast(Expr.Column.of("seq"), adapter.sourceType(new LogicalType.Int(64, false)), false, span);
        return ConstantSeries.of(arguments.get(0), arguments.get(1), step).map(table -> {
            adapter.note(FindingCode.SYNTAX_ADAPTED, span, "a series as a table of the engine");
            return derived(number, column(function), table, name(function), span);
        });
    }

    /** Numbers or moments one after the other, by a recursive common table. */
    private TableRef series(TableRef.Function function, List<Expr> arguments) {
        Span span = function.span();
        Name alias = name(function);
        Name column = column(function);
        Expr step = arguments.size() > 2 ? arguments.get(2) : Expr.Literal.number(1);
        boolean moments = step instanceof Expr.Interval;
        boolean down = step instanceof Expr.Literal l && l.text().startsWith("-");
        boolean fits = moments
                || step instanceof Expr.Literal l
                        && l.kind() == LiteralKind.NUMBER
                        && !l.text().matches("-?0*[.]?0*");
        Optional<TableRef> counted = counted(arguments, step, function);
        if (counted.isPresent()) {
            return counted.get();
        }
        if (!fits || tables.isEmpty() || arguments.stream().anyMatch(TableFunctions::reads)) {
            throw new Untranslatable("a series of this form");
        }
        adapter.note(FindingCode.SYNTAX_ADAPTED, span, "a series as a recursive query");
        Expr first = moments ? moment(arguments.get(0), span) : arguments.get(0);
        Name name = Name.of("series_" + (tables.get().size() + 1) + "_");
        Expr next = new Expr.Binary(BinaryOperator.ADD, new Expr.Column(of(STEP), false, span), step, span);
        BinaryOperator order = down ? BinaryOperator.GREATER_OR_EQUAL : BinaryOperator.LESS_OR_EQUAL;
        Expr end = moments ? moment(arguments.get(1), span) : arguments.get(1);
        Select start = Select.of(
                List.of(new Item(first, Optional.of(STEP))),
                List.of(),
                Optional.of(new Expr.Binary(order, first, end, span)));
        Select more = Select.of(
                List.of(Item.of(next)),
                List.of(TableRef.Table.of(of(name))),
                Optional.of(new Expr.Binary(order, next, end, span)));
        adapter.scope.addCommonTable(
                name, adapter.finder.relation(name.text(), Query.of(start), List.of(STEP), adapter.scope));
        QueryBody union = new QueryBody.SetOperation(QueryBody.SetOperation.Kind.UNION, true, start, more, span);
        CommonTable made = new CommonTable(name, List.of(STEP), Query.of(union), "");
        if (!moments || !ConstantSeries.isShort(arguments)) {
            new RecursiveColumns(adapter, made).rounds();
        }
        tables.get().add(new CommonTable(name, List.of(STEP), adapter.query(made.query()), ""));
        return derived(new Expr.Column(of(STEP), false, span), column, TableRef.Table.of(of(name)), alias, span);
    }

    private TableRef derived(Expr value, Name column, TableRef table, Name alias, Span span) {
        Select rows = Select.of(List.of(new Item(value, Optional.of(column))), List.of(table), Optional.empty());
        return new TableRef.Derived(
                adapter.query(Query.of(rows)),
                false,
                Optional.of(new TableRef.Alias(alias, List.of(), List.of())),
                span);
    }

    private static QualifiedName of(Name name) {
        return new QualifiedName(List.of(name));
    }

    private Expr moment(Expr e, Span span) {
        boolean typed = adapter.kind(e) == ValueKind.TIMESTAMP;
        return typed ? e : new Expr.Cast(e, TypeName.of("timestamp"), false, span);
    }

    private static boolean reads(Expr argument) {
        return ExprSearch.any(argument, e -> e instanceof Expr.Column || e instanceof Expr.Subquery);
    }
}
