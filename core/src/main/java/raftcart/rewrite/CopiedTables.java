package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.parse.GrammarFeature;
import raftcart.sql.tree.DdlStatement.CreateTable;
import raftcart.sql.tree.DdlStatement.TableCopy;
import raftcart.sql.tree.TableParts.ColumnDefinition;

/** Tables that are made LIKE others, of which engines copy more or less ("CREATE TABLE", PostgreSQL; "CREATE TABLE LIKE", MariaDB). */
final class CopiedTables {
    private static final Pattern DEFAULTS = Pattern.compile("(?i)including (column )?defaults");

    private final QueryAdapter adapter;

    CopiedTables(QueryAdapter adapter) {
        this.adapter = adapter;
    }

    /** The same table with the columns themselves, where the source copies no more and they are known. */
    CreateTable spelled(CreateTable table) {
        if (table.like().isEmpty() || adapter.same()) {
            return table;
        }
        TableCopy copy = table.like().get();
        if (copy.inherits()) {
            return adapter.to.has(SqlFeature.TABLE_INHERITANCE) ? table : inheriting(table, copy);
        }
        boolean asWhole = adapter.to.grammar().has(GrammarFeature.LIKE_COPIES_ALL);
        if (copy.whole() || adapter.to.has(SqlFeature.CREATE_TABLE_LIKE) && !asWhole) {
            return table;
        }
        List<String> options =
                table.leftOut().stream().filter(CopiedTables::isOption).toList();
        Optional<List<ColumnDefinition>> columns =
                options.stream().allMatch(o -> DEFAULTS.matcher(o).matches())
                        ? columns(copy, !options.isEmpty())
                        : Optional.empty();
        if (columns.isPresent()) {
            adapter.note(FindingCode.SYNTAX_ADAPTED, table.span(), "the columns of the table that is copied");
            return table.copied(
                    columns.get(),
                    table.leftOut().stream().filter(c -> !isOption(c)).toList());
        }
        if (!asWhole) {
            throw new Untranslatable("CREATE TABLE ... LIKE");
        }
        adapter.note(
                FindingCode.SYNTAX_CHECK, table.span(), "the copy gets all keys, defaults, checks and indexes too");
        return table;
    }

    private CreateTable inheriting(CreateTable table, TableCopy parent) {
        List<ColumnDefinition> columns = new ArrayList<>(columns(parent, true)
                .orElseThrow(() -> new Untranslatable("a table that inherits from an unknown one")));
        columns.addAll(table.columns());
        adapter.note(
                FindingCode.SYNTAX_CHECK,
                table.span(),
                "it has the columns of " + parent.table() + ", of which queries do not read its rows any more, but not"
                        + " its further checks and numbers");
        return table.copied(columns, table.leftOut());
    }

    private static boolean isOption(String clause) {
        return clause.startsWith("INCLUDING ") || clause.startsWith("EXCLUDING ");
    }

    /** The columns of a table by name and type, in order, if a script made it. */
    private Optional<List<ColumnDefinition>> columns(TableCopy copy, boolean defaults) {
        Optional<Knowledge.KnownTable> known = adapter.knowledge.table(copy.table());
        List<ColumnDefinition> columns = known.stream()
                .flatMap(t -> t.columns().values().stream())
                .flatMap(c -> adapter.knowledge.definitions().of(copy.table(), c.name()).stream())
                .map(c -> plain(c, defaults))
                .toList();
        boolean all = known.filter(t -> t.columns().size() == columns.size()).isPresent() && !columns.isEmpty();
        return all ? Optional.of(columns) : Optional.empty();
    }

    private static ColumnDefinition plain(ColumnDefinition column, boolean defaults) {
        boolean notNull = column.notNull().orElse(false) || column.identity().isPresent();
        return new ColumnDefinition(
                column.name(),
                column.type(),
                notNull ? Optional.of(true) : Optional.empty(),
                column.defaultValue().filter(d -> defaults),
                Optional.empty(),
                false,
                Optional.empty(),
                Optional.empty(),
                column.collation(),
                Optional.empty(),
                List.of(),
                List.of(),
                List.of(),
                column.span());
    }

    /** What is known of the columns that a table gets from another. */
    Stream<Knowledge.KnownColumn> known(CreateTable table) {
        return table.like().flatMap(l -> adapter.knowledge.table(l.table())).stream()
                .flatMap(t -> t.columns().values().stream());
    }
}
