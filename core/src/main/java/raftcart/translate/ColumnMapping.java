package raftcart.translate;

import java.util.Objects;
import raftcart.catalog.Column;
import raftcart.type.ValueForm;

/**
 * A column of the source and the column that it becomes.
 *
 * @param form the form in which values travel and are compared
 * @param nullIfImpossible true where dates that do not exist become NULL
 * @param loaded false where the target computes the column itself
 */
public record ColumnMapping(Column source, Column target, ValueForm form, boolean nullIfImpossible, boolean loaded) {
    public ColumnMapping {
        Objects.requireNonNull(source, "source");
        Objects.requireNonNull(target, "target");
        Objects.requireNonNull(form, "form");
    }
}
