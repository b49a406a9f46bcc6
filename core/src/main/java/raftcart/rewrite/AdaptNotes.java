package raftcart.rewrite;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import raftcart.finding.FindingCode;
import raftcart.sql.Span;

/** Collects what is to be said about one statement; the same thing at the same place only once. */
final class AdaptNotes {
    private final Set<Note> notes = new LinkedHashSet<>();

    /** A finding at a place. */
    record Note(FindingCode code, int line, int column, String detail) {}

    void add(FindingCode code, Span span, String detail) {
        notes.add(new Note(code, span.line(), span.column(), detail));
    }

    List<Note> all() {
        return new ArrayList<>(notes);
    }
}
