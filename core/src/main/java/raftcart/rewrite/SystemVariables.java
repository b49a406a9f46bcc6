package raftcart.rewrite;

import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** What T-SQL's variables with two signs mean ("@@ROWCOUNT" and the like). */
final class SystemVariables {
    private static final Map<String, String> FUNCTIONS = Map.of(
            "@@rowcount", "row_count",
            "@@identity", "last_identity",
            "@@version", "version",
            "@@spid", "connection_id");

    private SystemVariables() {}

    /** The canonical function of a variable. */
    static Optional<String> function(String variable) {
        return Optional.ofNullable(FUNCTIONS.get(variable.toLowerCase(Locale.ROOT)));
    }
}
