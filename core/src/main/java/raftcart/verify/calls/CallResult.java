package raftcart.verify.calls;

import java.sql.SQLException;
import java.util.List;
import java.util.Optional;
import raftcart.engine.EngineSession;
import raftcart.engine.ResultRows;

/** What a call gave, or how it failed. */
public record CallResult(List<ResultRows> results, Optional<Failure> failure) {
    public CallResult {
        results = List.copyOf(results);
    }

    /**
     * An error by its state and text.
     *
     * @param ofCode true where it says that the code cannot work whatever it is given
     */
    public record Failure(String state, String message, boolean ofCode) {
        private static final int CLASS = 2;

        /** True for one that code raises as it likes: its text alone says what it is. */
        private boolean isRaised() {
            return state.startsWith("45") || state.startsWith("P0001") || state.startsWith("U0");
        }

        /** True where both say the same, or are the engines' own errors of one class (ISO 9075-2, "SQLSTATE"). */
        boolean isLike(Failure other) {
            boolean ofClass = state.length() >= CLASS
                    && other.state.length() >= CLASS
                    && state.substring(0, CLASS).equals(other.state.substring(0, CLASS));
            boolean own = !isRaised() && !other.isRaised() && ofCode == other.ofCode;
            return message.equals(other.message) || ofClass && own;
        }

        String shown() {
            return message.strip().lines().findFirst().orElse("") + " (" + state + ")";
        }
    }

    /** Something to do that gives rows. */
    @FunctionalInterface
    public interface Work {
        /** Does it. */
        List<ResultRows> run(EngineSession session) throws SQLException;
    }

    /** What became of some work. */
    public static CallResult of(EngineSession session, Work work) {
        try {
            return new CallResult(work.run(session), Optional.empty());
        } catch (SQLException e) {
            return new CallResult(
                    List.of(),
                    Optional.of(
                            new Failure(session.stateOf(e), session.messageOf(e).strip(), session.isCodeFault(e))));
        }
    }
}
