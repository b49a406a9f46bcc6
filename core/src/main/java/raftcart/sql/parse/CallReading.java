package raftcart.sql.parse;

import java.util.List;
import java.util.Optional;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Statement;

/** What calls of a dialect mean where that hangs on constants among their arguments, so that a dictionary cannot say it. */
@FunctionalInterface
public interface CallReading {
    /** A dialect all of whose functions stand in its dictionary. */
    CallReading NONE = call -> Optional.empty();

    /**
     * The same in terms that do not depend on the constants; empty for a call that the dictionary reads.
     *
     * @throws raftcart.dialect.Untranslatable for constants without a counterpart
     */
    Optional<Meaning> meaning(Expr.Call call);

    /** A change of rows as what it is for, where the engine keeps tables of its own that dumps fill. */
    default Statement change(Statement change) {
        return change;
    }

    /** The mode in which statements are read where the engine is set to all of these; empty for the usual one. */
    default String mode(List<String> settings) {
        return "";
    }

    /** One of these settings by which statements mean what we cannot read; empty where there is none. */
    default Optional<String> unreadable(List<String> settings) {
        return Optional.empty();
    }

    /**
     * What a call means.
     *
     * @param check what other engines do otherwise; empty if nothing
     */
    record Meaning(Expr value, String check) {
        public static Meaning of(Expr value) {
            return new Meaning(value, "");
        }
    }
}
