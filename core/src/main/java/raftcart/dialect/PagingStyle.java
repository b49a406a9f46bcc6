package raftcart.dialect;

/** How a dialect says which rows of a result it wants. */
public enum PagingStyle {
    /** LIMIT n OFFSET m. */
    LIMIT,
    /** The same, where OFFSET needs a LIMIT before it. */
    LIMIT_FIRST,
    /** OFFSET m ROWS FETCH NEXT n ROWS ONLY. */
    FETCH,
    /** TOP n; with an offset, FETCH after an ORDER BY. */
    TOP_OR_FETCH,
    /** TOP n; an offset by row numbers. */
    TOP
}
