package raftcart.move;

/** What to do with a table of the target that holds rows before its load begins. */
public enum TargetRows {
    /** Stop with an error; nothing has been changed. */
    STOP,
    /** Keep the rows and add those of the source. */
    APPEND,
    /** Remove the rows first. */
    REPLACE,
    /** Change the rows whose primary key is there, and add the others. */
    UPDATE,
    /** Leave the table as it is. */
    SKIP
}
