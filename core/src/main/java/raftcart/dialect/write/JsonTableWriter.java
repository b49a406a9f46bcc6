package raftcart.dialect.write;

import java.util.function.Function;
import java.util.stream.Collectors;
import raftcart.dialect.Language;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.TableRef;
import raftcart.sql.tree.TableRef.JsonColumn;

/** Writes the parts of a JSON document as rows: JSON_TABLE of the standard, or OPENJSON of Transact-SQL. */
final class JsonTableWriter {
    private final Language language;
    private final Function<Expr, String> text;

    JsonTableWriter(Language language, Function<Expr, String> text) {
        this.language = language;
        this.text = text;
    }

    String text(TableRef.JsonTable json) {
        if (language.has(SqlFeature.JSON_TABLE)) {
            return "JSON_TABLE(" + text.apply(json.document()) + ", " + string(json.path()) + " COLUMNS ("
                    + json.columns().stream().map(this::column).collect(Collectors.joining(", ")) + "))";
        }
        if (!language.has(SqlFeature.OPENJSON)) {
            throw new Untranslatable("the parts of a JSON document as rows cannot be said in " + language.name());
        }
        String path = json.path().replaceFirst("\\[\\*\\]$", "");
        return "OPENJSON(" + text.apply(json.document()) + (path.equals("$") ? "" : ", " + string(path)) + ") WITH ("
                + json.columns().stream().map(this::opened).collect(Collectors.joining(", ")) + ")";
    }

    private String column(JsonColumn column) {
        String name = language.write(column.name());
        if (column.kind() == JsonColumn.Kind.PLACE) {
            return name + " FOR ORDINALITY";
        }
        String how =
                switch (column.kind()) {
                    case EXISTS -> " EXISTS";
                    case DOCUMENT -> language.has(SqlFeature.JSON_COLUMNS_SAY_FORMAT) ? " FORMAT JSON" : "";
                    default -> "";
                };
        return name + " " + type(column) + how + " PATH " + string(column.path());
    }

    private String opened(JsonColumn column) {
        return language.write(column.name()) + " " + type(column) + " " + string(column.path())
                + (column.kind() == JsonColumn.Kind.DOCUMENT ? " AS JSON" : "");
    }

    private static String type(JsonColumn column) {
        return column.type().orElseThrow().name();
    }

    private String string(String value) {
        return text.apply(Expr.Literal.string(value));
    }
}
