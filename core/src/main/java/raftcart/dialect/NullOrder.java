package raftcart.dialect;

/** Where an engine puts NULLs unless told otherwise. */
public enum NullOrder {
    /** NULL counts as the greatest value: last when rising, first when falling. */
    HIGH,
    /** NULL counts as the least value. */
    LOW,
    FIRST,
    LAST;

    /** True where NULLs come first in this direction. */
    public boolean first(boolean descending) {
        return this == FIRST || (this == HIGH && descending) || (this == LOW && !descending);
    }
}
