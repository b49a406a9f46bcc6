package raftcart.dialect;

/** The language in which a dialect says how dates look as texts. */
public enum MaskStyle {
    /** YYYY-MM-DD HH24:MI:SS. */
    WORDS,
    /** %Y-%m-%d %H:%i:%s. */
    PERCENT_I,
    /** %Y-%m-%d %H:%M:%S. */
    PERCENT_M,
    /** The same, where %f is the second with its fraction. */
    PERCENT_F,
    /** yyyy-MM-dd HH:mm:ss. */
    LETTERS
}
