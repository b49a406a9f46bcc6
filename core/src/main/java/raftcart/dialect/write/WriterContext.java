package raftcart.dialect.write;

import java.util.function.UnaryOperator;
import raftcart.dialect.Language;
import raftcart.finding.FindingCode;
import raftcart.sql.Span;
import raftcart.sql.function.FunctionDictionary.Kinds;
import raftcart.sql.tree.QualifiedName;

/**
 * What writers need to know of the statement that they write.
 *
 * @param kinds the kinds of the expressions in it
 * @param names the names of objects as they are on the target
 * @param notes takes what is to be said about a piece of it
 */
public record WriterContext(Language language, Kinds kinds, UnaryOperator<QualifiedName> names, Notes notes) {
    /** Takes findings. */
    @FunctionalInterface
    public interface Notes {
        /** Something to say about a place. */
        void add(FindingCode code, Span span, String detail);
    }

    /** A context in which nothing is known and nothing is noted. */
    public static WriterContext plain(Language language) {
        return new WriterContext(language, e -> raftcart.sql.function.ValueKind.UNKNOWN, n -> n, (c, s, d) -> {});
    }
}
