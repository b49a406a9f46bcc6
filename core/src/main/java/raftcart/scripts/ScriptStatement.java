package raftcart.scripts;

import java.util.List;
import java.util.Optional;
import raftcart.sql.tree.Statement;

/**
 * A statement of the scripts, as the tables are in the end.
 *
 * @param place the file and the line
 * @param refusal why it cannot be run, though it may be right; empty for most
 * @param draws the counters from which the target is to draw numbers for it; empty where they stand in its rows
 */
public record ScriptStatement(Statement statement, String place, Optional<String> refusal, List<DrawnNumber> draws) {
    public ScriptStatement {
        draws = List.copyOf(draws);
    }

    static ScriptStatement of(Statement statement, String place) {
        return new ScriptStatement(statement, place, Optional.empty(), List.of());
    }

    ScriptStatement drawing(List<DrawnNumber> numbers) {
        return new ScriptStatement(statement, place, refusal, numbers);
    }
}
