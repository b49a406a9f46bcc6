package raftcart.rewrite;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import raftcart.catalog.ObjectName;
import raftcart.dialect.ColumnUse;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.Span;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.ExprSearch;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.QueryBody.Item;
import raftcart.sql.tree.QueryBody.Select;
import raftcart.sql.tree.TableRef;
import raftcart.sql.tree.TableRef.JsonColumn;
import raftcart.sql.tree.TypeName;
import raftcart.type.LogicalType;

/** The parts of a JSON document as rows: by the standard's JSON_TABLE, by OPENJSON, or by a query on the parts. */
final class JsonTables {
    private static final Name PART = Name.of("part_");
    private static final Name PLACE = Name.of("place_");
    private static final String MEMBERS = "[*]";

    private final QueryAdapter adapter;

    JsonTables(QueryAdapter adapter) {
        this.adapter = adapter;
    }

    /** What such a table gives a query, with the kinds of its columns. */
    static Scope.Relation relation(TableRef.JsonTable json, KindFinder finder) {
        Map<String, Scope.ColumnFacts> columns = new LinkedHashMap<>();
        for (JsonColumn column : json.columns()) {
            Optional<LogicalType> type = column.kind() == JsonColumn.Kind.PLACE
                    ? Optional.of(new LogicalType.Int(64, false))
                    : column.type().map(finder::type);
            columns.put(
                    column.name().text().toLowerCase(Locale.ROOT),
                    Scope.ColumnFacts.of(new Knowledge.KnownColumn(column.name(), type, false, false)));
        }
        return new Scope.Relation(json.alias().map(a -> a.name().text()).orElse(""), columns, true);
    }

    /** Refuses a query that asks for more of the members than their values, such as OPENJSON's keys and types. */
    static void refuseKeys(Query query) {
        List<TableRef> tables = query.body() instanceof Select select ? select.from() : List.of();
        tables.stream()
                .flatMap(t -> t.leaves().stream())
                .filter(t -> t instanceof TableRef.JsonTable json && json.more())
                .map(t -> ((TableRef.JsonTable) t)
                        .alias()
                        .map(TableRef.Alias::name)
                        .orElse(Name.of("")))
                .filter(alias -> ExprSearch.any(
                        new Expr.Subquery(query, query.span()),
                        e -> e instanceof Expr.Column column && isKey(column.name(), alias)))
                .findFirst()
                .ifPresent(alias -> {
                    throw new Untranslatable("the keys or types of a document's members");
                });
    }

    private static boolean isKey(QualifiedName column, Name table) {
        boolean said = column.parts().size() == 2 && column.parts().get(0).matches(table);
        return said
                ? !column.last().is("value")
                : column.parts().size() == 1 && column.last().is("key");
    }

    TableRef adapt(TableRef.JsonTable json) {
        TableRef.Alias alias = json.alias().orElse(TableRef.Alias.of("document_"));
        if (!alias.columns().isEmpty()) {
            throw new Untranslatable("other names for the columns of a document");
        }
        sayObjects(json);
        if (json.more()) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK,
                    json.span(),
                    "of the function's columns only the values, and those of an array alone");
        }
        List<JsonColumn> columns = json.columns().stream().map(this::typed).toList();
        Expr document = adapter.expr(json.document());
        boolean members = json.path().endsWith(MEMBERS);
        boolean plain = columns.stream()
                .noneMatch(c -> c.kind() == JsonColumn.Kind.PLACE
                        || c.kind() == JsonColumn.Kind.EXISTS
                        || c.kind() == JsonColumn.Kind.DOCUMENT && c.path().equals("$"));
        if (adapter.to.has(SqlFeature.JSON_TABLE) || adapter.to.has(SqlFeature.OPENJSON) && plain) {
            adapter.note(FindingCode.SYNTAX_ADAPTED, json.span(), "the parts of a document as rows");
            if (!members && !adapter.to.has(SqlFeature.JSON_TABLE)) {
                adapter.note(
                        FindingCode.SYNTAX_CHECK,
                        json.span(),
                        "a list at " + json.path() + " gives a row for each of its members, on the source one row");
            }
            return new TableRef.JsonTable(document, json.path(), columns, false, Optional.of(alias), json.span());
        }
        if (adapter.to.has(SqlFeature.OPENJSON) && members) {
            adapter.note(FindingCode.SYNTAX_ADAPTED, json.span(), "the members of a list as a query");
            Query parts = members(document, json.path(), columns, json.span());
            return new TableRef.Derived(parts, true, Optional.of(alias), json.span());
        }
        if (!adapter.to.has(SqlFeature.JSON_PATH_ROWS)) {
            throw new Untranslatable("the parts of a JSON document as rows");
        }
        adapter.note(FindingCode.SYNTAX_ADAPTED, json.span(), "the parts of a document as a query");
        return new TableRef.Derived(
                parts(document, json.path(), columns, json.span()), true, Optional.of(alias), json.span());
    }

    /** A path to the members of a list gives an object as it is, or nothing, where there is no list. */
    private void sayObjects(TableRef.JsonTable json) {
        boolean lost = json.path().endsWith(MEMBERS)
                && adapter.from.has(SqlFeature.OPENJSON)
                && !adapter.to.has(SqlFeature.JSON_PATHS_TAKE_ONE_FOR_MANY);
        if (lost) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK,
                    json.span(),
                    "an object in the place of a list gives no row, on the source it gives one");
        }
    }

    private JsonColumn typed(JsonColumn column) {
        Optional<TypeName> type = column.type().map(t -> {
            LogicalType read = adapter.finder.type(t);
            ColumnUse use =
                    new ColumnUse(new ObjectName("", ""), column.name().text(), false, false, 0, 0, false, false);
            return adapter.written(adapter.to.types().choose(read, use).sql() + exact(read));
        });
        return new JsonColumn(column.name(), column.kind(), type, column.path());
    }

    /** The collation of a text that a part becomes, which is that of no column, where only the target ignores case. */
    private String exact(LogicalType type) {
        boolean exact = KindFinder.kind(type) == ValueKind.TEXT
                && !adapter.from.has(SqlFeature.IGNORES_CASE)
                && adapter.to.has(SqlFeature.IGNORES_CASE)
                && adapter.to.has(SqlFeature.JSON_TABLE);
        return exact ? adapter.to.types().exactTexts(false).map(c -> " " + c).orElse("") : "";
    }

    /** The members of a list by OPENJSON without columns of its own, which gives each its place and its text. */
    private Query members(Expr document, String path, List<JsonColumn> columns, Span span) {
        String list = path.substring(0, path.length() - MEMBERS.length());
        Expr rows = Expr.Call.of("json_members", document, Expr.Literal.string(list))
                .at(span);
        TableRef parts = new TableRef.Function(rows, false, false, Optional.of(TableRef.Alias.of("parts_")), span);
        TypeName number = adapter.written(adapter.to.types().castName(new LogicalType.Int(32, false)));
        List<Item> items = new ArrayList<>();
        for (JsonColumn column : columns) {
            Expr value;
            if (column.kind() == JsonColumn.Kind.PLACE) {
                Expr place = new Expr.Cast(Expr.Column.of("key"), number, false, span);
                value = new Expr.Binary(BinaryOperator.ADD, place, Expr.Literal.number(1), span);
            } else if (!column.path().equals("$") || column.kind() == JsonColumn.Kind.EXISTS) {
                value = value(column, Expr.Column.of("value"), span);
            } else {
                value = column.kind() == JsonColumn.Kind.DOCUMENT
                        ? Expr.Column.of("value")
                        : new Expr.Cast(Expr.Column.of("value"), column.type().orElseThrow(), false, span);
            }
            items.add(new Item(value, Optional.of(column.name())));
        }
        return Query.of(QueryBody.Select.of(items, List.of(parts), Optional.empty()));
    }

    private static Query parts(Expr document, String path, List<JsonColumn> columns, Span span) {
        Expr rows = Expr.Call.of("json_path_rows", document, Expr.Literal.string(path))
                .at(span);
        TableRef parts = new TableRef.Function(
                rows,
                false,
                true,
                Optional.of(new TableRef.Alias(Name.of("parts_"), List.of(PART, PLACE), List.of())),
                span);
        List<Item> items = new ArrayList<>();
        columns.forEach(c -> items.add(new Item(value(c, Expr.Column.of(PART.text()), span), Optional.of(c.name()))));
        return Query.of(QueryBody.Select.of(items, List.of(parts), Optional.empty()));
    }

    private static Expr value(JsonColumn column, Expr part, Span span) {
        Expr path = Expr.Literal.string(column.path());
        return switch (column.kind()) {
            case PLACE -> Expr.Column.of(PLACE.text());
            case DOCUMENT -> Expr.Call.of("json_get", part, path).at(span);
            case EXISTS ->
                new Expr.Case(
                        Optional.empty(),
                        List.of(new Expr.When(
                                Expr.Call.of("json_exists", part, path).at(span), Expr.Literal.number(1))),
                        Optional.of(Expr.Literal.number(0)),
                        span);
            case VALUE ->
                new Expr.Cast(
                        Expr.Call.of("json_scalar_text", part, path).at(span),
                        column.type().orElseThrow(),
                        false,
                        span);
        };
    }
}
