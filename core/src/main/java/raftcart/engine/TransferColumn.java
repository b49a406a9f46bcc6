package raftcart.engine;

import java.util.Objects;
import raftcart.catalog.Column;
import raftcart.type.ValueForm;

/**
 * A column as rows are moved: the column on this side, and the form in which its values travel.
 *
 * @param nullIfImpossible true where dates that do not exist become NULL
 */
public record TransferColumn(Column column, ValueForm form, boolean nullIfImpossible) {
    public TransferColumn {
        Objects.requireNonNull(column, "column");
        Objects.requireNonNull(form, "form");
    }
}
