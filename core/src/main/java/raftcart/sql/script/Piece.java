package raftcart.sql.script;

/**
 * A piece of a script.
 *
 * @param text without separator; for {@code BLANK} everything between statements, comments too
 * @param line the line of its first character, from 1
 * @param column the column of its first character, from 1
 * @param separator what ended it, as written; empty at the end of the script
 */
public record Piece(Kind kind, String text, int line, int column, String separator) {
    /** Kinds of piece. */
    public enum Kind {
        /** One statement, or several that nothing separates. */
        STATEMENT,
        /** A line for the client. */
        CLIENT,
        /** White space and comments. */
        BLANK,
        /** Lines of data after the statement before. */
        DATA,
        /** A part of an INSERT that was cut between two rows. */
        ROWS,
        /** A part of a statement that is too long to be read. */
        TOO_LONG
    }
}
