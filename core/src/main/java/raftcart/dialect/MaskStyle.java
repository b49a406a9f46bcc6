package raftcart.dialect;

/** The language in which a dialect says how dates look as texts. */
public enum MaskStyle {
    /** YYYY-MM-DD HH24:MI:SS.FF3, where FM holds until the next FM. */
    WORDS,
    /** YYYY-MM-DD HH24:MI:SS.MS, where FM holds for the next field. */
    WORDS_M,
    /** %Y-%m-%d %H:%i:%s. */
    PERCENT_I,
    /** %Y-%m-%d %H:%M:%S. */
    PERCENT_M,
    /** The same, where %f is the second with its fraction. */
    PERCENT_F,
    /** yyyy-MM-dd HH:mm:ss. */
    LETTERS,
    /** The same, where d and t stand for names of days and halves of a day, and f for fractions. */
    LETTERS_D
}
