package raftcart.dialect;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import raftcart.catalog.Column;
import raftcart.sql.tree.TypeName;
import raftcart.type.LogicalType;
import raftcart.type.ValueChoices;

/** What a dialect's type names mean, and how it writes a logical type. */
public interface TypeTable {
    /** The meaning of a type name; an unknown name is {@link LogicalType.Opaque}. */
    LogicalType read(TypeName name);

    /** The type for a column of this logical type in this use. */
    TypeChoice choose(LogicalType type, ColumnUse use);

    /** What a column's type is taken for under the choices of a plan. */
    default LogicalType interpret(Column column, ValueChoices choices) {
        return column.type();
    }

    /** What is to be said about this reading of a column where its rows go to another engine. */
    default List<TypeChoice.Note> remarks(Column column, ValueChoices choices) {
        return List.of();
    }

    /**
     * The clause behind a text type that has its values compare letter by letter, where they would not without it; empty
     * where they always do, or nothing is known.
     *
     * @param padded true where blanks at the end do not count
     */
    default Optional<String> exactTexts(boolean padded) {
        return Optional.empty();
    }

    /**
     * For engines whose floating-point types are decimal ones in disguise: the names of types, each with the decimal digits
     * that it holds where its precision is not said. Empty elsewhere.
     */
    default Map<String, Integer> decimalFloats() {
        return Map.of();
    }

    /**
     * For engines whose whole numbers are decimal ones: the names of types, each with the number of digits up to which a
     * column of it without a fraction holds whole numbers for all that is known. Empty elsewhere.
     */
    default Map<String, Integer> wholeColumns() {
        return Map.of();
    }

    /** True for a type whose values the engine renews at every change of a row, and which nobody else gives. */
    default boolean renews(TypeName type) {
        return false;
    }

    /** True for a collation that sorts texts by the rules of one language. */
    default boolean sortsByLanguage(String collation) {
        return false;
    }

    /** The type to name in a CAST of a text that grows from row to row. */
    default String growingText() {
        return castName(new LogicalType.Text(0));
    }

    /** The type to name in a CAST; may be wider than that of a column. */
    String castName(LogicalType type);
}
