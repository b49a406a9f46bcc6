package raftcart.cli;

/** The exit codes that scripts may rely on. */
public enum ExitCode {
    /** Done, and nothing is left to a person. */
    CLEAN(0),
    /** Done, but something needs a person. */
    NEEDS_PERSON(1),
    /** Wrong usage, or a plan that cannot be followed; nothing was done. */
    USAGE(2),
    /** A database could not be reached, or refused us. */
    DATABASE(3),
    /** Stopped part-way; running the command again goes on. */
    STOPPED(4),
    /** A defect of ours. */
    DEFECT(70);

    private final int code;

    ExitCode(int code) {
        this.code = code;
    }

    /** The number that the process ends with. */
    public int code() {
        return code;
    }

    /** {@link #NEEDS_PERSON} if something does, otherwise {@link #CLEAN}. */
    public static int of(boolean needsPerson) {
        return (needsPerson ? NEEDS_PERSON : CLEAN).code;
    }
}
