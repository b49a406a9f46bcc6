package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import raftcart.dialect.Languages;
import raftcart.finding.Outcome;

/**
 * A statement, or several, in one dialect with what is expected in another: {@code from > to: sql}, below it {@code =
 * text} ({@code -} for a statement by hand), and {@code !} with the codes of what a person should look at.
 */
record RuleCase(String from, String to, String source, String expected, String findings) {
    /** What came out. */
    record Result(String text, String findings) {}

    /** The cases of a text. */
    static Stream<RuleCase> of(String text) {
        return Stream.of(text.split("(?m)^(?=\\w+ > \\w+: )"))
                .filter(c -> !c.isBlank())
                .map(RuleCase::read);
    }

    private static RuleCase read(String text) {
        String[] lines = text.strip().split("\n");
        String[] head = lines[0].split(" > |: ", 3);
        String expected = lines[1].substring(1).strip();
        return new RuleCase(head[0], head[1], head[2], expected, lines.length > 2 ? lines[2].substring(2) : "");
    }

    Result run() {
        List<String> texts = new ArrayList<>();
        List<String> findings = new ArrayList<>();
        StatementRewriter rewriter = new StatementRewriter(
                Languages.named(from).orElseThrow(),
                Languages.named(to).orElseThrow(),
                new Knowledge(),
                TokenRules.NONE);
        for (StatementResult result : rewriter.rewrite(source, 1, 1)) {
            texts.add(result.outcome() == Outcome.BY_HAND ? "-" : result.text().replaceAll("\\s+", " "));
            result.findings().stream()
                    .filter(f -> f.outcome().compareTo(Outcome.CHECK) >= 0)
                    .forEach(f -> findings.add(f.code().code()));
        }
        return new Result(String.join("; ", texts).strip(), findings.stream().collect(Collectors.joining(" ")));
    }

    @Override
    public String toString() {
        return from + " > " + to + ": " + source;
    }
}
