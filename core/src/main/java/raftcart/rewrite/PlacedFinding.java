package raftcart.rewrite;

import raftcart.finding.FindingCode;
import raftcart.finding.Outcome;
import raftcart.sql.Passwords;

/** Something to know about a place of a text. Lines and columns count from 1. */
public record PlacedFinding(FindingCode code, int line, int column, String detail) {
    public PlacedFinding {
        detail = Passwords.hidden(detail);
    }

    /** The outcome as far as this finding goes. */
    public Outcome outcome() {
        return code.outcome();
    }

    /** The finding as one line without the place: code, outcome and what it is about. */
    public String message() {
        String title = raftcart.finding.FindingCatalog.get(code).title();
        return code.code() + " " + outcome().label() + ": " + title + (detail.isEmpty() ? "" : ": " + detail);
    }
}
