package raftcart.migration;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.json.JsonMapper;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import raftcart.catalog.Catalog;
import raftcart.catalog.Column;
import raftcart.catalog.Observation;
import raftcart.catalog.Observation.Kind;
import raftcart.catalog.Table;
import raftcart.dialect.Dialect;
import raftcart.engine.EngineSession;
import raftcart.error.CatalogException;
import raftcart.plan.Selection;
import raftcart.type.LogicalType;

/**
 * Looks at rows where they decide on a type: all rows for numbers that could be truth values and for numbers without a
 * precision, in one query a table, and the first {@value #SAMPLE} rows for texts that could be JSON.
 */
final class DataLook {
    private static final int SAMPLE = 500;
    /** The fewest texts that are taken for a habit. */
    private static final int HABIT = 3;

    private static final ObjectMapper JSON = JsonMapper.builder()
            .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
            .build();

    private final EngineSession source;
    private final Dialect dialect;
    private final List<Observation> seen = new ArrayList<>();

    private DataLook(EngineSession source) {
        this.source = source;
        this.dialect = source.engine().dialect();
    }

    /** What the rows of the tables that go tell. */
    static List<Observation> of(EngineSession source, Catalog catalog, Selection tables) {
        DataLook look = new DataLook(source);
        List<Table> selected =
                catalog.tables().filter(t -> tables.takes(t.name())).toList();
        for (Table table : selected) {
            try {
                look.numbers(table);
                look.texts(table);
            } catch (SQLException e) {
                throw new CatalogException(
                        "the rows of " + table.name() + " cannot be looked at: " + e.getMessage(),
                        "Survey without --look-at-data, or exclude the table.",
                        e);
            }
        }
        return List.copyOf(look.seen);
    }

    private void numbers(Table table) throws SQLException {
        List<String> select = new ArrayList<>(List.of("COUNT(*)"));
        List<Column> flags = new ArrayList<>();
        List<Column> numbers = new ArrayList<>();
        for (Column column : table.columns()) {
            String more = dialect.values().moreThanTruth(column);
            if (!more.isEmpty()) {
                flags.add(column);
                select.add("SUM(CASE WHEN " + more + " THEN 1 ELSE 0 END)");
            }
        }
        for (Column column : table.columns()) {
            List<String> digits = dialect.values().digits(column);
            if (!digits.isEmpty()) {
                numbers.add(column);
                digits.forEach(d -> select.add("MAX(" + d + ")"));
            }
        }
        if (select.size() == 1) {
            return;
        }
        String sql = "SELECT " + String.join(", ", select) + " FROM "
                + dialect.values().rowsOf(table);
        try (Statement statement = source.connection().createStatement();
                ResultSet row = statement.executeQuery(sql)) {
            row.next();
            long rows = row.getLong(1);
            int at = 2;
            for (Column column : flags) {
                if (row.getLong(at++) > 0) {
                    seen.add(new Observation(table.name(), column.name(), Kind.MORE_THAN_TRUTH, rows, 0, 0));
                }
            }
            for (Column column : numbers) {
                int before = row.getInt(at++);
                boolean none = row.wasNull();
                int after = row.getInt(at++);
                if (!none) {
                    seen.add(new Observation(table.name(), column.name(), Kind.DIGITS, rows, before, after));
                }
            }
        }
    }

    private void texts(Table table) throws SQLException {
        List<Column> texts = table.columns().stream()
                .filter(c -> c.type() instanceof LogicalType.Text
                        || c.type() instanceof LogicalType.Varchar v && v.length() >= 100)
                .toList();
        if (texts.isEmpty()) {
            return;
        }
        int[] documents = new int[texts.size()];
        boolean[] others = new boolean[texts.size()];
        String names =
                texts.stream().map(c -> dialect.identifiers().quote(c.name())).collect(Collectors.joining(", "));
        long rows = 0;
        try (Statement statement = source.connection().createStatement()) {
            statement.setMaxRows(SAMPLE);
            try (ResultSet row = statement.executeQuery(
                    "SELECT " + names + " FROM " + dialect.values().rowsOf(table))) {
                for (; row.next(); rows++) {
                    for (int i = 0; i < documents.length; i++) {
                        String text = row.getString(i + 1);
                        documents[i] += text == null ? 0 : 1;
                        others[i] |= text != null && !isDocument(text);
                    }
                }
            }
        }
        for (int i = 0; i < documents.length; i++) {
            if (documents[i] >= HABIT && !others[i]) {
                seen.add(new Observation(table.name(), texts.get(i).name(), Kind.JSON, rows, 0, 0));
            }
        }
    }

    private static boolean isDocument(String text) {
        String bare = text.strip();
        if (!bare.startsWith("{") && !bare.startsWith("[")) {
            return false;
        }
        try {
            JSON.readTree(bare);
            return true;
        } catch (JsonProcessingException e) {
            return false; // no JSON, which is what was to be found out
        }
    }
}
