package raftcart.sql.parse;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.TableParts.ColumnDefinition;
import raftcart.sql.tree.TableParts.ConstraintKind;
import raftcart.sql.tree.TableParts.IdentityOptions;
import raftcart.sql.tree.TableParts.TableConstraint;
import raftcart.sql.tree.TypeName;

/** Columns that an engine's own texts spell as what they are made of: documents, numbered columns, texts. */
final class ColumnMeanings {
    private static final String CHARACTER_SET = "CHARACTER SET";
    private static final Pattern BYTES = Pattern.compile("(?i)(default )?(charset|character set) ?=? ?binary");

    private ColumnMeanings() {}

    /** The column that is meant; the given one where that is all there is to it. */
    static ColumnDefinition of(ColumnDefinition column, Parsing parsing) {
        if (parsing.has(GrammarFeature.CHECKED_TEXTS_ARE_JSON)) {
            return document(column);
        }
        boolean numbered = parsing.has(GrammarFeature.ROW_NUMBERS_OF_THE_CLOCK)
                && column.defaultValue().filter(ColumnMeanings::isRowNumber).isPresent();
        return numbered ? numbered(column) : column;
    }

    /** What a column has by default; SQLite takes a name for a text there. */
    static Expr ofDefault(Expr value, Parsing parsing) {
        return parsing.has(GrammarFeature.DEFAULTS_NAME_NOTHING) && value instanceof Expr.Column name
                ? new Expr.Literal(LiteralKind.STRING, name.name().last().text(), value.span())
                : value;
    }

    /** MariaDB's JSON is a long text with a check ("JSON Data Type"). */
    private static ColumnDefinition document(ColumnDefinition column) {
        boolean text = column.type().filter(t -> t.name().equals("longtext")).isPresent();
        Optional<TableConstraint> check = column.constraints().stream()
                .filter(c -> c.kind() == ConstraintKind.CHECK && isValid(c, column))
                .findFirst();
        if (!text || check.isEmpty()) {
            return column;
        }
        List<TableConstraint> others =
                column.constraints().stream().filter(c -> c != check.get()).toList();
        List<String> leftOut = column.leftOut().stream()
                .filter(c -> !c.startsWith(CHARACTER_SET))
                .toList();
        return new ColumnDefinition(
                column.name(),
                Optional.of(TypeName.of("json")),
                column.notNull(),
                column.defaultValue(),
                column.generated(),
                column.stored(),
                column.identity(),
                column.onUpdate(),
                Optional.empty(),
                column.comment(),
                others,
                column.options(),
                leftOut,
                column.span());
    }

    private static boolean isValid(TableConstraint check, ColumnDefinition column) {
        return check.check().orElse(null) instanceof Expr.Call call
                && call.name().last().text().equalsIgnoreCase("json_valid")
                && call.arguments().size() == 1
                && call.arguments().get(0) instanceof Expr.Column of
                && of.name().last().matches(column.name());
    }

    /** A type in a character set: texts in that of bytes are bytes ("The binary Character Set"; Firebird's OCTETS). */
    static TypeName inCharacterSet(TypeName type, String set) {
        if (!set.matches("(?i)binary|octets")) {
            return type;
        }
        String bytes =
                switch (type.name()) {
                    case "char", "character" -> "binary";
                    case "varchar", "character varying", "char varying" -> "varbinary";
                    case "text", "clob" -> "blob";
                    case "tinytext", "mediumtext", "longtext" -> type.name().replace("text", "blob");
                    default -> type.name();
                };
        return new TypeName(bytes, type.parameters(), type.values(), type.arrays());
    }

    /** A column of a table in a character set of its own. */
    static ColumnDefinition inCharacterSetOfTable(ColumnDefinition column, List<String> ofTable) {
        boolean own =
                column.collation().isPresent() || column.leftOut().stream().anyMatch(c -> c.startsWith(CHARACTER_SET));
        boolean bytes = ofTable.stream().anyMatch(c -> BYTES.matcher(c).matches());
        return bytes && !own && column.type().isPresent()
                ? column.withType(inCharacterSet(column.type().get(), "binary"))
                : column;
    }

    /** The character set that a column says among what has no counterpart, or the usual one. */
    static String characterSet(List<String> clauses) {
        return clauses.stream()
                .filter(c -> c.startsWith(CHARACTER_SET))
                .map(c -> c.substring(CHARACTER_SET.length()).strip().toLowerCase(Locale.ROOT))
                .findFirst()
                .orElse("utf8mb4");
    }

    private static boolean isRowNumber(Expr value) {
        return value instanceof Expr.Call call && call.name().last().text().equalsIgnoreCase("unique_rowid");
    }

    /** CockroachDB's {@code SERIAL}, whose numbers are of the clock ("SERIAL", CockroachDB). */
    private static ColumnDefinition numbered(ColumnDefinition column) {
        List<String> leftOut = new ArrayList<>(column.leftOut());
        leftOut.add("numbers for it by unique_rowid(), which are of the clock");
        return new ColumnDefinition(
                column.name(),
                column.type(),
                column.notNull(),
                Optional.empty(),
                column.generated(),
                column.stored(),
                Optional.of(IdentityOptions.DEFAULT),
                column.onUpdate(),
                column.collation(),
                column.comment(),
                column.constraints(),
                column.options(),
                leftOut,
                column.span());
    }
}
