package raftcart.translate;

import java.util.Objects;
import java.util.Optional;
import raftcart.catalog.Column;
import raftcart.type.ValueForm;

/**
 * A column of the source and the column that it becomes.
 *
 * @param form the form in which values travel and are compared
 * @param nullIfImpossible true where dates that do not exist become NULL
 * @param loaded false where the target computes the column itself
 * @param value what is read in the place of the column, in the source's SQL; the source column has its type then
 */
public record ColumnMapping(
        Column source,
        Column target,
        ValueForm form,
        boolean nullIfImpossible,
        boolean loaded,
        Optional<String> value) {
    public ColumnMapping {
        Objects.requireNonNull(source, "source");
        Objects.requireNonNull(target, "target");
        Objects.requireNonNull(form, "form");
        Objects.requireNonNull(value, "value");
    }
}
