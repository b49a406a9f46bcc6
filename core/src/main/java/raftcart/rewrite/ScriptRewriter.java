package raftcart.rewrite;

import java.io.IOException;
import java.io.Reader;
import java.io.Writer;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import raftcart.dialect.Language;
import raftcart.finding.FindingCode;
import raftcart.finding.Outcome;
import raftcart.sql.script.ClientLines;
import raftcart.sql.script.Piece;
import raftcart.sql.script.ScriptFeature;
import raftcart.sql.script.ScriptReader;

/** Translates a whole script, piece by piece, from a reader to a writer. */
public final class ScriptRewriter {
    private final Language from;
    private final Language to;
    private final StatementRewriter statements;
    private final Knowledge knowledge;
    private boolean tooLong;

    public ScriptRewriter(Language from, Language to, Knowledge knowledge, TokenRules rules) {
        this.from = from;
        this.to = to;
        this.knowledge = knowledge;
        this.statements = new StatementRewriter(from, to, knowledge, rules);
    }

    /**
     * Translates a script.
     *
     * @param listener takes each statement's result in order
     * @throws IOException if the text cannot be read or written
     */
    public void rewrite(Reader in, Writer out, Consumer<StatementResult> listener) throws IOException {
        ScriptReader reader = new ScriptReader(in, from.grammar().lexical(), from.scripts());
        Output output = new Output(out);
        CopyData copy = new CopyData(from, to, knowledge);
        for (Optional<Piece> next = reader.next(); next.isPresent(); next = reader.next()) {
            Piece piece = next.get();
            switch (piece.kind()) {
                case BLANK -> output.blank(blank(piece.text()));
                case CLIENT -> client(piece, output, listener);
                case DATA -> copy.data(piece, output, listener);
                case TOO_LONG -> tooLong(piece, output, listener);
                default -> {
                    if (copy.begins(piece)) {
                        copy.begin(piece, output);
                    } else {
                        statement(piece, output, listener);
                    }
                }
            }
        }
        counters(reader, output, listener);
        output.finish();
    }

    /** Sets the counters of numbered columns behind the numbers that the script's rows brought with them. */
    private void counters(ScriptReader reader, Output output, Consumer<StatementResult> listener) throws IOException {
        for (StatementResult result : statements.counters(reader.line())) {
            listener.accept(result);
            output.blank("\n");
            output.statement(result, ";");
        }
    }

    private String blank(String text) {
        return from.name().equals(to.name())
                ? text
                : Comments.portableBlank(text, from.grammar().lexical());
    }

    private void statement(Piece piece, Output output, Consumer<StatementResult> listener) throws IOException {
        List<StatementResult> results = statements.rewrite(piece.text(), piece.line(), piece.column());
        boolean same = from.name().equals(to.name());
        boolean separated = !piece.separator().isEmpty() || from.scripts().contains(ScriptFeature.GO_LINES);
        String end = same && !piece.separator().isEmpty() ? piece.separator() : separated ? ";" : "";
        for (int i = 0; i < results.size(); i++) {
            StatementResult result = results.get(i);
            if (piece.kind() == Piece.Kind.ROWS && i == 0) {
                result = cut(result);
            }
            listener.accept(result);
            boolean last = i == results.size() - 1;
            output.statement(result, last ? end : ";");
            if (piece.kind() == Piece.Kind.ROWS) {
                output.blank("\n");
            }
        }
    }

    private static StatementResult cut(StatementResult result) {
        List<PlacedFinding> findings = new java.util.ArrayList<>(result.findings());
        findings.add(new PlacedFinding(FindingCode.ROWS_SPLIT, result.line(), result.column(), ""));
        return new StatementResult(
                result.line(),
                result.column(),
                result.outcome().worse(Outcome.ADAPTED),
                result.source(),
                result.text(),
                findings);
    }

    private void client(Piece piece, Output output, Consumer<StatementResult> listener) throws IOException {
        String text = piece.text().strip();
        boolean same = from.name().equals(to.name());
        boolean separator =
                text.equals("/") || text.matches("(?i)go(\\s.*)?") || text.matches("(?i)(delimiter|set\\s+term)\\b.*");
        if (same) {
            output.verbatim(piece.text());
            return;
        }
        if (separator) {
            output.end();
            output.dropLine();
            return;
        }
        Optional<String> effect = ClientLines.effect(text);
        if (effect.isPresent()) {
            PlacedFinding left =
                    new PlacedFinding(FindingCode.NO_COUNTERPART, piece.line(), piece.column(), effect.get());
            String commented = StatementRewriter.byHand(left, text);
            StatementResult result =
                    new StatementResult(piece.line(), piece.column(), Outcome.BY_HAND, text, commented, List.of(left));
            listener.accept(result);
            output.statement(result, "");
            return;
        }
        PlacedFinding finding = new PlacedFinding(FindingCode.CLIENT_COMMAND, piece.line(), piece.column(), text);
        listener.accept(new StatementResult(piece.line(), piece.column(), Outcome.ADAPTED, text, "", List.of(finding)));
        output.dropLine();
    }

    private void tooLong(Piece piece, Output output, Consumer<StatementResult> listener) throws IOException {
        boolean goesOn = tooLong;
        tooLong = piece.separator().isEmpty();
        if (goesOn) {
            output.verbatim(StatementRewriter.commented(piece.text()) + "\n");
            return;
        }
        PlacedFinding finding = new PlacedFinding(
                FindingCode.NOT_UNDERSTOOD,
                piece.line(),
                piece.column(),
                "a statement of more than " + ScriptReader.LONGEST
                        + " characters, or a text or comment that is not closed");
        String start = piece.text().length() > 200 ? piece.text().substring(0, 200) + "..." : piece.text();
        listener.accept(
                new StatementResult(piece.line(), piece.column(), Outcome.BY_HAND, start, "", List.of(finding)));
        output.verbatim(StatementRewriter.byHand(finding, piece.text()) + "\n");
    }
}
