package raftcart.sql.parse;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.sql.Span;
import raftcart.sql.TokenCursor;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.TableRef;
import raftcart.sql.tree.TableRef.JsonColumn;
import raftcart.sql.tree.TypeName;

/**
 * Reads the parts of JSON documents as rows: the standard's JSON_TABLE, Transact-SQL's OPENJSON, and Snowflake's FLATTEN.
 */
final class JsonTableParser {
    private static final TypeName ANY_TEXT = TypeName.of("nvarchar", -1);

    private final Parsing parsing;
    private final TokenCursor cursor;
    private final TableParser tables;

    JsonTableParser(Parsing parsing, TableParser tables) {
        this.parsing = parsing;
        this.cursor = parsing.cursor;
        this.tables = tables;
    }

    boolean at() {
        return cursor.peek(1).isSymbol("(") && cursor.peek().isAnyWord("JSON_TABLE", "OPENJSON")
                || parsing.has(GrammarFeature.COLON_PATHS)
                        && cursor.peek().isWord("FLATTEN")
                        && cursor.peek(1).isSymbol("(");
    }

    TableRef read() {
        return withoutAlias().named(tables.alias());
    }

    TableRef.JsonTable withoutAlias() {
        Span span = cursor.peek().span();
        String function = parsing.word();
        cursor.take();
        cursor.expectSymbol("(");
        return switch (function) {
            case "JSON_TABLE" -> standard(span);
            case "OPENJSON" -> open(span);
            default -> flattened(span);
        };
    }

    private TableRef.JsonTable standard(Span span) {
        Expr document = parsing.expressions.expression();
        cursor.takeWords("FORMAT", "JSON");
        String path = "$";
        if (cursor.takeSymbol(",")) {
            path = path();
        }
        handling();
        cursor.expectWords("COLUMNS");
        List<JsonColumn> columns = columns();
        handling();
        cursor.expectSymbol(")");
        return new TableRef.JsonTable(document, path, columns, false, Optional.empty(), span);
    }

    private String path() {
        if (!cursor.peek().isString()) {
            throw cursor.byHand("a JSON path that is not constant");
        }
        String path = parsing.string().strip();
        if (!path.startsWith("$")) {
            throw cursor.byHand("the JSON path '" + path + "'");
        }
        return path;
    }

    private List<JsonColumn> columns() {
        cursor.expectSymbol("(");
        List<JsonColumn> columns = new ArrayList<>(parsing.list(this::column));
        cursor.expectSymbol(")");
        return columns;
    }

    private JsonColumn column() {
        if (cursor.peek().isWord("NESTED")
                && (cursor.peek(1).isWord("PATH") || cursor.peek(1).isString())) {
            throw cursor.byHand("NESTED PATH");
        }
        Name name = parsing.name();
        if (cursor.takeWords("FOR", "ORDINALITY")) {
            return new JsonColumn(name, JsonColumn.Kind.PLACE, Optional.empty(), "$");
        }
        boolean typed = !cursor.peek().isAnyWord("PATH", "FORMAT", "EXISTS")
                && !cursor.peek().isSymbol(",")
                && !cursor.peek().isSymbol(")");
        Optional<TypeName> type = typed ? Optional.of(TypeNameParser.parse(cursor)) : Optional.of(ANY_TEXT);
        while (cursor.takeWords("CHARACTER", "SET") || cursor.takeAny("CHARSET", "COLLATE")) {
            parsing.name(); // the target's own
        }
        boolean document = cursor.takeWords("FORMAT", "JSON");
        boolean exists = cursor.takeWords("EXISTS");
        String path = cursor.takeWords("PATH") ? path() : "$." + name.text();
        document |= type.get().name().matches("json|jsonb");
        handling();
        JsonColumn.Kind kind =
                exists ? JsonColumn.Kind.EXISTS : document ? JsonColumn.Kind.DOCUMENT : JsonColumn.Kind.VALUE;
        return new JsonColumn(name, kind, type, path);
    }

    /** What happens where there is nothing, or something of another type: NULL, or a person has to see to it. */
    private void handling() {
        while (cursor.peek().isAnyWord("NULL", "DEFAULT", "ERROR", "EMPTY", "TRUE", "FALSE", "WITHOUT", "WITH")) {
            boolean plain = cursor.takeWords("NULL", "ON", "EMPTY")
                    || cursor.takeWords("NULL", "ON", "ERROR")
                    || cursor.takeWords("WITHOUT", "WRAPPER")
                    || cursor.takeWords("WITHOUT", "ARRAY", "WRAPPER");
            if (!plain) {
                throw cursor.byHand(cursor.peek().text() + " in JSON_TABLE");
            }
        }
    }

    /** Members of a list, or an object as one row. */
    private TableRef.JsonTable open(Span span) {
        Expr document = parsing.expressions.expression();
        String path = cursor.takeSymbol(",") ? path() : "$";
        cursor.expectSymbol(")");
        String plain = path.replaceFirst("^(lax|strict) ", "");
        List<JsonColumn> columns = new ArrayList<>();
        boolean named = cursor.peek().isWord("WITH") && cursor.peek(1).isSymbol("(");
        if (named) {
            cursor.take();
            cursor.expectSymbol("(");
            columns.addAll(parsing.list(this::openColumn));
            cursor.expectSymbol(")");
        } else {
            columns.add(new JsonColumn(Name.of("value"), JsonColumn.Kind.VALUE, Optional.of(ANY_TEXT), "$"));
        }
        return new TableRef.JsonTable(document, plain + "[*]", columns, !named, Optional.empty(), span);
    }

    private JsonColumn openColumn() {
        Name name = parsing.name();
        TypeName type = TypeNameParser.parse(cursor);
        String path = cursor.peek().isString() ? path() : "$." + name.text();
        boolean document = cursor.takeWords("AS", "JSON");
        JsonColumn.Kind kind = document ? JsonColumn.Kind.DOCUMENT : JsonColumn.Kind.VALUE;
        return new JsonColumn(name, kind, Optional.of(type), path);
    }

    /** The members of a list; the other columns of FLATTEN have no counterpart. */
    private TableRef.JsonTable flattened(Span span) {
        cursor.takeWords("INPUT");
        cursor.takeSymbol("=>");
        Expr document = parsing.expressions.expression();
        if (!cursor.takeSymbol(")")) {
            throw cursor.byHand("FLATTEN with more than its input");
        }
        Name value = Name.of("value");
        List<JsonColumn> columns =
                List.of(new JsonColumn(value, JsonColumn.Kind.DOCUMENT, Optional.of(TypeName.of("variant")), "$"));
        return new TableRef.JsonTable(document, "$[*]", columns, true, Optional.empty(), span);
    }
}
