package raftcart.sql.parse;

import java.util.Locale;

/** The states for errors that PL/SQL numbers or declares, which has no states of the standard for them. */
final class PlSqlErrors {
    /** RAISE_APPLICATION_ERROR takes numbers from -20999 to -20000. */
    private static final String OWN_NUMBERS = "-20\\d{3}";

    private static final int DIGITS = 36;
    private static final int STATES = DIGITS * DIGITS * DIGITS * DIGITS;

    private PlSqlErrors() {}

    /** The state that stands for a number; the number itself where it is one of the server's. */
    static String state(String number) {
        return number.matches(OWN_NUMBERS) ? "U0" + number.substring(3) : number;
    }

    /**
     * The state of an exception that a routine declares. It follows from the names of both, as another routine that declares
     * one of the same name does not mean the same.
     */
    static String declared(String routine, String exception) {
        int hash = Math.floorMod(
                (routine + "." + exception).toLowerCase(Locale.ROOT).hashCode(), STATES);
        String digits = Integer.toString(hash, DIGITS).toUpperCase(Locale.ROOT);
        return "X" + "0".repeat(4 - digits.length()) + digits;
    }
}
