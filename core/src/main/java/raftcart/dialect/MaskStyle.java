package raftcart.dialect;

/** The language in which a dialect says how dates look as texts. */
public enum MaskStyle {
    /** YYYY-MM-DD HH24:MI:SS. */
    WORDS,
    /** %Y-%m-%d %H:%i:%s. */
    PERCENT_I,
    /** %Y-%m-%d %H:%M:%S. */
    PERCENT_M,
    /** yyyy-MM-dd HH:mm:ss. */
    LETTERS
}
