package raftcart.scripts;

import java.util.Optional;
import raftcart.sql.tree.Statement;

/**
 * A statement of the scripts, as the tables are in the end.
 *
 * @param place the file and the line
 * @param refusal why it cannot be run, though it may be right; empty for most
 */
public record ScriptStatement(Statement statement, String place, Optional<String> refusal) {
    static ScriptStatement of(Statement statement, String place) {
        return new ScriptStatement(statement, place, Optional.empty());
    }
}
