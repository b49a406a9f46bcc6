package raftcart.sql;

/** Ways of writing tokens that not all dialects have. */
public enum LexicalFeature {
    /** A name may begin with a digit. */
    DIGIT_NAMES,
    /** A name between backticks is folded to capitals, as one without quotes is. */
    BACKTICKS_FOLD,
    /** {@code "x"} is a string. */
    DOUBLE_QUOTED_STRINGS,
    /** A backslash in a plain string escapes the next character. */
    BACKSLASH_ESCAPES,
    /** {@code #} starts a comment. */
    HASH_COMMENTS,
    /** {@code //} starts a comment. */
    SLASH_COMMENTS,
    /** {@code $tag$...$tag$} is a string. */
    DOLLAR_QUOTES,
    /** Block comments nest. */
    NESTED_COMMENTS,
    /** A backslash may come before the digits of a character, as in {@code \x41} and {@code \101}. */
    CODED_ESCAPES,
    /** {@code E'x'} is a string with backslash escapes. */
    ESCAPE_STRINGS,
    /** {@code q'[x]'} is a string. */
    ALTERNATIVE_QUOTES,
    /** What stands in a comment that begins with an exclamation mark is read like the rest. */
    VERSION_COMMENTS,
    /** The same in a comment that begins with {@code M!}. */
    M_VERSION_COMMENTS,
    /** Names may begin with {@code #}. */
    NUMBER_SIGN_NAMES,
    /** Names may hold {@code #} behind their first character. */
    NUMBER_SIGNS_IN_NAMES,
    /** {@code --} starts a comment only before a blank. */
    DASHES_BEFORE_BLANK,
    /** Hexadecimal numbers are bytes rather than integers. */
    HEX_NUMBERS_ARE_BYTES,
    /** {@code X'1F'} is a string of bits, four for a digit. */
    HEX_STRINGS_ARE_BITS,
    /** {@code 0.5d} and {@code 1f} are floating-point numbers. */
    FLOAT_SUFFIXES,
    /** {@code G'x'} is a string, and {@code BX'0A'} are bytes. */
    GRAPHIC_STRINGS,
    /** {@code &name} stands for a text that the client asks for. */
    SUBSTITUTION_VARIABLES
}
