package raftcart.move;

/** Is told how a load goes on. Calls come from one thread. */
public interface LoadListener {
    /** A table is about to be loaded; the number of rows is an estimate, 0 if there is none. */
    void tableStarted(String table, long estimatedRows);

    /** So many more rows and bytes have been committed. */
    void rowsCommitted(long rows, long bytes);

    /** The table is done. */
    void tableFinished(TableResult result);
}
