package raftcart.cli.command;

import raftcart.cli.ExitCode;
import raftcart.cli.terminal.Console;
import raftcart.dialect.Languages;
import raftcart.rewrite.RulesFolder;
import raftcart.rewrite.TokenRules;
import raftcart.sql.LexicalRules;

/** Runs the examples that stand in rules. */
final class RuleExamples {
    private RuleExamples() {}

    static int check(RulesFolder folder, String dialect, Console console) {
        int failed = 0;
        int missing = 0;
        TokenRules rules = folder.tokenRules(dialect);
        String name = dialect.isEmpty() ? Languages.names().get(0) : dialect;
        LexicalRules lexical = folder.language(name).orElseThrow().grammar().lexical();
        Languages.names().forEach(n -> folder.language(n).orElseThrow().functions());
        for (TokenRules.Rule rule : rules.rules()) {
            if (rule.before().isEmpty()) {
                console.line(rule.name() + ": has no example");
                missing++;
                continue;
            }
            String result = TokenRules.apply(rule, rule.before(), lexical);
            if (result.equals(rule.after())) {
                console.line(rule.name() + ": ok");
            } else {
                console.line(rule.name() + ": FAILED");
                console.line("  before:   " + rule.before());
                console.line("  expected: " + rule.after());
                console.line("  found:    " + result);
                failed++;
            }
        }
        console.line(rules.rules().size() + " rule(s), " + failed + " failed, " + missing + " without an example");
        return failed == 0 ? ExitCode.CLEAN.code() : ExitCode.NEEDS_PERSON.code();
    }
}
