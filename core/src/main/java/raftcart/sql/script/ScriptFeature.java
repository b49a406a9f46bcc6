package raftcart.sql.script;

/** What stands in scripts of an engine besides statements. */
public enum ScriptFeature {
    /** A DELIMITER line names another separator. */
    DELIMITER_COMMAND,
    /** SET TERM names another separator. */
    TERM_COMMAND,
    /** A comment of the form {@code --#SET TERMINATOR @} names another separator, or the client got one at its start. */
    TERMINATOR_COMMENTS,
    /** A slash alone on its line ends a block of code. */
    SLASH_LINES,
    /** GO alone on its line ends a batch. */
    GO_LINES,
    /** Lines that begin with a backslash are for the client. */
    BACKSLASH_COMMANDS,
    /** Lines that begin with a point are for the client. */
    DOT_COMMANDS,
    /** Lines that begin with SET, PROMPT, SPOOL and so on, without a separator, are for the client. */
    CLIENT_WORDS,
    /** A script that the engine wrote itself has a statement a line, without separators. */
    STATEMENT_LINES,
    /** COPY ... FROM stdin is followed by lines of data. */
    COPY_DATA
}
