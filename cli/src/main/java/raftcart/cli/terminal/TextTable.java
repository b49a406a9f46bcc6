package raftcart.cli.terminal;

import com.github.freva.asciitable.AsciiTable;
import com.github.freva.asciitable.Column;
import com.github.freva.asciitable.HorizontalAlign;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;

/** A table without rules: a heading and aligned columns. */
public final class TextTable {
    private final List<Column> columns = new ArrayList<>();
    private final List<String[]> rows = new ArrayList<>();

    /** Adds a column of texts. */
    public TextTable text(String heading) {
        return column(heading, HorizontalAlign.LEFT);
    }

    /** Adds a column of numbers. */
    public TextTable number(String heading) {
        return column(heading, HorizontalAlign.RIGHT);
    }

    private TextTable column(String heading, HorizontalAlign align) {
        columns.add(
                new Column().header(heading).headerAlign(align).dataAlign(align).maxWidth(90));
        return this;
    }

    /** Adds a row; as many cells as there are columns. */
    public TextTable row(String... cells) {
        rows.add(cells);
        return this;
    }

    /** The table as lines without blanks at their ends. */
    public String render() {
        String table = AsciiTable.getTable(
                AsciiTable.NO_BORDERS, columns.toArray(Column[]::new), rows.toArray(String[][]::new));
        return Arrays.stream(table.split("\\R")).map(String::stripTrailing).collect(Collectors.joining("\n"));
    }
}
