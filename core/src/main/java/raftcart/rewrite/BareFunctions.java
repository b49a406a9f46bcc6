package raftcart.rewrite;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import raftcart.dialect.Language;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.tree.Expr;

/** Functions that look like columns, as they are written without parentheses. */
final class BareFunctions {
    private static final Set<String> PSEUDO_COLUMNS =
            Set.of("rownum", "level", "connect_by_isleaf", "connect_by_iscycle");
    private static final Set<String> HIDDEN = Set.of("tableoid", "xmin", "xmax", "cmin", "cmax");
    private static final String ZONE = "sessiontimezone";
    private static final Set<String> BARE = Set.of(
            ZONE,
            "user",
            "current_user",
            "session_user",
            "system_user",
            "current_schema",
            "current_catalog",
            "current_role");

    private final ExprAdapter adapter;
    private final FunctionAdapter functions;
    private final Language from;
    private final Language to;

    BareFunctions(ExprAdapter adapter, FunctionAdapter functions) {
        this.adapter = adapter;
        this.functions = functions;
        this.from = adapter.from;
        this.to = adapter.to;
    }

    /** A function that is written without parentheses, such as USER. */
    Expr bare(Expr.Column column) {
        String word = column.name().last().key();
        boolean pseudo = from.has(SqlFeature.ROW_NUMBERS)
                && !to.has(SqlFeature.ROW_NUMBERS)
                && PSEUDO_COLUMNS.contains(word)
                && adapter.scope.column(column.name()).isEmpty();
        if (pseudo) {
            throw new Untranslatable("the column " + word.toUpperCase(Locale.ROOT) + " in this place");
        }
        if (isCounter(word, column)) {
            // In its own dialect the word is no name of a column, which would need quotes.
            return Expr.Call.of(word.equals("level") ? "hierarchy_level" : word).at(column.span());
        }
        if (column.name().parts().size() > 1
                && adapter.scope.column(column.name()).isEmpty()) {
            Optional<Expr> packaged = from.functions()
                    .recognise(column.name().toString(), List.of(), adapter::kind)
                    .map(r -> functions.known(
                            Expr.Call.of(r.signature().name()).at(column.span()), Expr.Call.of("value")));
            if (packaged.isPresent()) {
                return packaged.get();
            }
        }
        if (!isFunction(word, column)) {
            refuseRows(word, column);
            sayUnknown(word, column);
            return column;
        }
        String canonical =
                switch (word) {
                    case "user", "current_role" -> "current_user";
                    case "current_user" -> // MySQL's has the host behind the name
                        from.functions()
                                .recognise("CURRENT_USER", List.of(), adapter::kind)
                                .map(r -> r.signature().name())
                                .orElse(word);
                    case "current_catalog" -> "current_database";
                    case ZONE -> "session_zone";
                    default -> word;
                };
        Expr.Call call = Expr.Call.of(canonical).at(column.span());
        if (from.name().equals(to.name())) {
            return adapter.writes(canonical) ? call : column;
        }
        return functions.known(call, call);
    }

    /** Columns that every table has, and tables that stand for their rows ("System Columns", PostgreSQL). */
    private void refuseRows(String word, Expr.Column column) {
        if (from.name().equals(to.name()) || adapter.scope.column(column.name()).isPresent()) {
            return;
        }
        if (adapter.lost(SqlFeature.HIDDEN_ROW_COLUMNS) && HIDDEN.contains(word)) {
            throw new Untranslatable("the column " + word + " of every row");
        }
        boolean row = adapter.lost(SqlFeature.ROWS_BY_TABLE_NAME)
                && column.name().parts().size() == 1
                && adapter.scope
                        .relation(column.name().last().text())
                        .filter(r -> r.complete() && !r.columns().isEmpty())
                        .isPresent();
        if (row) {
            throw new Untranslatable("a whole row as a value");
        }
    }

    /** Refuses {@code t.*} where one value is wanted, which is how PostgreSQL prints a table that stands for its rows. */
    static void refuseRow(Expr value, ExprAdapter adapter) {
        if (value instanceof Expr.Star && adapter.lost(SqlFeature.ROWS_BY_TABLE_NAME)) {
            throw new Untranslatable("a whole row as a value");
        }
    }

    private boolean isFunction(String word, Expr.Column column) {
        return isBareWord(column)
                && BARE.contains(word)
                && (from.reserved().contains(word)
                        || word.startsWith("current_")
                        || word.equals(ZONE) && from.has(SqlFeature.ROW_NUMBERS));
    }

    /** A reserved word that is no known column is a function of the source that is not in its dictionary. */
    private void sayUnknown(String word, Expr.Column column) {
        if (isBareWord(column)
                && !from.name().equals(to.name())
                && !word.equals("value") // of a domain
                && from.reserved().contains(word)) {
            adapter.note(
                    FindingCode.FUNCTION_UNKNOWN, column.span(), column.name().toString());
        }
    }

    private boolean isBareWord(Expr.Column column) {
        return column.name().parts().size() == 1
                && !column.name().last().exact()
                && adapter.scope.column(column.name()).isEmpty();
    }

    private boolean isCounter(String word, Expr.Column column) {
        return from.has(SqlFeature.ROW_NUMBERS)
                && to.has(SqlFeature.ROW_NUMBERS)
                && !column.name().last().exact()
                && word.matches("rownum|level")
                && adapter.scope.column(column.name()).isEmpty();
    }
}
