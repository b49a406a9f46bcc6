package raftcart.sql.parse;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import raftcart.sql.TokenCursor;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query.Locking;

/** Reads the locks that a query takes. */
final class LockingParser {
    private final Parsing parsing;
    private final TokenCursor cursor;

    LockingParser(Parsing parsing) {
        this.parsing = parsing;
        this.cursor = parsing.cursor;
    }

    Optional<Locking> locking() {
        if (cursor.takeWords("LOCK", "IN", "SHARE", "MODE")) {
            return Optional.of(new Locking("SHARE", List.of(), ""));
        }
        if (cursor.takeWords("WITH", "LOCK")) {
            return Optional.of(new Locking("UPDATE", List.of(), ""));
        }
        if (cursor.takeWords("FOR", "READ", "ONLY") || cursor.takeWords("FOR", "FETCH", "ONLY")) {
            return Optional.empty();
        }
        if (cursor.peek().isWord("FOR") && cursor.peek(1).isAnyWord("XML", "JSON", "BROWSE")) {
            throw cursor.byHand("FOR " + cursor.peek(1).text());
        }
        if (!cursor.peek().isWord("FOR") || !cursor.peek(1).isAnyWord("UPDATE", "SHARE", "NO", "KEY")) {
            return Optional.empty();
        }
        cursor.take();
        String strength = cursor.takeWords("NO", "KEY", "UPDATE") || cursor.takeWords("UPDATE") ? "UPDATE" : "SHARE";
        if (strength.equals("SHARE") && !cursor.takeWords("SHARE")) {
            cursor.expectWords("KEY", "SHARE");
        }
        List<QualifiedName> of = cursor.takeWords("OF") ? parsing.list(parsing::qualifiedName) : List.of();
        return Optional.of(new Locking(strength, of, waiting()));
    }

    /** The lock that is asked for among hints ("Table Hints" of Transact-SQL), which hold on to the transaction's end. */
    static Optional<Locking> ofHints(String hints) {
        if (hints.isBlank()) {
            return Optional.empty();
        }
        Set<String> words = Set.copyOf(List.of(hints.toUpperCase(Locale.ROOT).split("\\W+")));
        boolean update = words.contains("UPDLOCK") || words.contains("XLOCK");
        boolean share =
                words.contains("HOLDLOCK") || words.contains("SERIALIZABLE") || words.contains("REPEATABLEREAD");
        String waiting = words.contains("READPAST") ? "SKIP LOCKED" : words.contains("NOWAIT") ? "NOWAIT" : "";
        return update || share
                ? Optional.of(new Locking(update ? "UPDATE" : "SHARE", List.of(), waiting))
                : Optional.empty();
    }

    private String waiting() {
        if (cursor.takeWords("NOWAIT")) {
            return "NOWAIT";
        }
        if (cursor.takeWords("SKIP", "LOCKED") || cursor.takeWords("SKIP", "LOCKED", "DATA")) {
            return "SKIP LOCKED";
        }
        return cursor.takeWords("WAIT") ? "WAIT " + parsing.wholeNumber() : "";
    }
}
