package raftcart.rewrite;

import java.util.List;
import raftcart.finding.Outcome;

/**
 * What became of one statement.
 *
 * @param line where it begins, from 1
 * @param source as it was read
 * @param text as it was written, without a separator; empty for one that was left out
 */
public record StatementResult(
        int line, int column, Outcome outcome, String source, String text, List<PlacedFinding> findings) {
    public StatementResult {
        findings = List.copyOf(findings);
    }

    /** The same with another text. */
    StatementResult withText(String other) {
        return new StatementResult(line, column, outcome, source, other, findings);
    }
}
