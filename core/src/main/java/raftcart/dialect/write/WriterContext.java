package raftcart.dialect.write;

import raftcart.dialect.Language;
import raftcart.finding.FindingCode;
import raftcart.sql.Span;
import raftcart.sql.function.FunctionDictionary.Kinds;

/**
 * What writers need to know of the statement that they write.
 *
 * @param kinds the kinds of the expressions in it
 * @param notes takes what is to be said about a piece of it
 */
public record WriterContext(Language language, Kinds kinds, Notes notes) {
    /** Takes findings. */
    @FunctionalInterface
    public interface Notes {
        /** Something to say about a place. */
        void add(FindingCode code, Span span, String detail);
    }

    /** A context in which nothing is known and nothing is noted. */
    public static WriterContext plain(Language language) {
        return new WriterContext(language, e -> raftcart.sql.function.ValueKind.UNKNOWN, (c, s, d) -> {});
    }
}
