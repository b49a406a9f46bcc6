package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.finding.FindingCode;
import raftcart.sql.function.FunctionDictionary.Recognised;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.ExprSearch;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.TableRef;
import raftcart.sql.tree.TableRef.JsonColumn;
import raftcart.type.LogicalType;

/**
 * Functions in FROM that give the parts of a document or a list as rows ("Set Returning Functions", "JSON Functions and
 * Operators", PostgreSQL), as the standard's JSON_TABLE where the target does not have them. A list that is a column is a
 * document there.
 */
final class DocumentRows {
    private final ExprAdapter adapter;
    private final Scope scope;
    private final QueryBody.Select select;

    private DocumentRows(ExprAdapter adapter, QueryBody.Select select) {
        this.adapter = adapter;
        this.select = select;
        this.scope = new Scope(Optional.of(adapter.scope));
        // A function does not read its own columns.
        adapter.finder.addTables(
                select.withFrom(select.from().stream()
                        .flatMap(t -> withoutFunctions(t).stream())
                        .toList()),
                scope);
    }

    private static Optional<TableRef> withoutFunctions(TableRef table) {
        if (!(table instanceof TableRef.Join join)) {
            return Optional.of(table).filter(t -> !(t instanceof TableRef.Function));
        }
        Optional<TableRef> left = withoutFunctions(join.left());
        Optional<TableRef> right = withoutFunctions(join.right());
        return left.isPresent() && right.isPresent()
                ? Optional.of(
                        new TableRef.Join(join.kind(), left.get(), right.get(), join.on(), join.using(), join.span()))
                : left.or(() -> right);
    }

    static Query rewrite(Query query, ExprAdapter adapter) {
        boolean concerns =
                query.body() instanceof QueryBody.Select s && s.from().stream().anyMatch(DocumentRows::reads);
        if (!concerns) {
            return query;
        }
        QueryBody.Select select = (QueryBody.Select) query.body();
        DocumentRows rows = new DocumentRows(adapter, select);
        return query.withBody(
                select.withFrom(select.from().stream().map(rows::table).toList()));
    }

    private static boolean reads(TableRef table) {
        return table instanceof TableRef.Join join
                ? reads(join.left()) || reads(join.right())
                : table instanceof TableRef.Function f && f.call() instanceof Expr.Call;
    }

    private TableRef table(TableRef table) {
        if (table instanceof TableRef.Join join) {
            return new TableRef.Join(
                    join.kind(), table(join.left()), table(join.right()), join.on(), join.using(), join.span());
        }
        return table instanceof TableRef.Function f && f.call() instanceof Expr.Call call ? function(f, call) : table;
    }

    private TableRef function(TableRef.Function function, Expr.Call call) {
        Optional<Recognised> known = adapter.from
                .functions()
                .recognise(call.name().toString(), call.arguments(), adapter::kind)
                .filter(r -> !adapter.writes(r.signature().name()));
        if (known.isEmpty()) {
            return function;
        }
        Expr argument = known.get().arguments().get(0);
        return switch (known.get().signature().name()) {
            case "rows_of_document" ->
                rows(function, argument, JsonColumn.Kind.DOCUMENT, new LogicalType.Json(true), "value");
            case "rows_of_document_texts" -> {
                adapter.note(
                        FindingCode.SYNTAX_CHECK,
                        function.span(),
                        "an object or a list within the list gives NULL, on the source its text");
                yield rows(function, argument, JsonColumn.Kind.VALUE, new LogicalType.Text(0), "value");
            }
            case "names_of_document" -> {
                Expr names = Expr.Call.of("json_keys", argument).at(function.span());
                yield rows(function, names, JsonColumn.Kind.VALUE, new LogicalType.Text(0), alias(function));
            }
            case "rows_of_array" -> array(function, argument);
            default -> function;
        };
    }

    private TableRef array(TableRef.Function function, Expr list) {
        Expr plain = list instanceof Expr.Cast cast && cast.value() instanceof Expr.ArrayItems items ? items : list;
        if (plain instanceof Expr.ArrayItems items && !items.items().isEmpty() && !function.ordinality()) {
            return values(function, items);
        }
        Optional<LogicalType> element = new ItemTypes(adapter.finder, scope).of(list);
        return element.map(e -> rows(function, list, JsonColumn.Kind.VALUE, e, alias(function)))
                .orElse(function);
    }

    /** A list of constants as rows of its own. */
    private TableRef values(TableRef.Function function, Expr.ArrayItems items) {
        List<List<Expr>> rows = items.items().stream().map(List::of).toList();
        Name column = columns(function, alias(function)).get(0);
        TableRef.Alias alias = new TableRef.Alias(Name.of(alias(function)), List.of(column), List.of());
        return new TableRef.Derived(
                Query.of(new QueryBody.Values(rows, function.span())), false, Optional.of(alias), function.span());
    }

    private TableRef rows(
            TableRef.Function function, Expr document, JsonColumn.Kind kind, LogicalType type, String column) {
        List<Name> names = columns(function, column);
        List<JsonColumn> columns = new ArrayList<>();
        Name alone = Name.of(alias(function));
        boolean byAlias = !alone.matches(names.get(0)) && ExprSearch.any(select, e -> isNamed(e, alone));
        boolean byName = !byAlias || ExprSearch.any(select, e -> e instanceof Expr.Star || isColumn(e, names.get(0)));
        if (byName) {
            columns.add(new JsonColumn(names.get(0), kind, Optional.of(adapter.sourceType(type)), "$"));
        }
        if (byAlias) {
            columns.add(new JsonColumn(alone, kind, Optional.of(adapter.sourceType(type)), "$"));
        }
        if (function.ordinality()) {
            columns.add(new JsonColumn(names.get(1), JsonColumn.Kind.PLACE, Optional.empty(), "$"));
        }
        TableRef.Alias alias = new TableRef.Alias(Name.of(alias(function)), List.of(), List.of());
        return new TableRef.JsonTable(document, "$[*]", columns, false, Optional.of(alias), function.span());
    }

    /** True for the name of the function's rows as a value: they have one column, whose value that is. */
    private static boolean isNamed(Expr e, Name alias) {
        return isColumn(e, alias) && ((Expr.Column) e).name().parts().size() == 1;
    }

    private static boolean isColumn(Expr e, Name name) {
        return e instanceof Expr.Column c && c.name().last().matches(name);
    }

    private static String alias(TableRef.Function function) {
        return function.alias()
                .map(a -> a.name().text())
                .orElse(((Expr.Call) function.call()).name().last().text());
    }

    private static List<Name> columns(TableRef.Function function, String own) {
        List<Name> given = function.alias().map(TableRef.Alias::columns).orElse(List.of());
        List<Name> names = new ArrayList<>(given);
        if (names.isEmpty()) {
            names.add(Name.of(own));
        }
        if (names.size() == 1) {
            names.add(Name.of("ordinality"));
        }
        return names;
    }
}
