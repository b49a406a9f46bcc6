package raftcart.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import raftcart.error.PlanException;

class CallsFileTest {
    @Test
    void readsRoutinesWithTheirArgumentsAsTexts() {
        List<CallCase> cases = CallsFile.parse(
                "version: 1\ncases:\n  - routine: dim\n    arguments: [7, ~, true, 12345678901234567890.125, '']\n"
                        + "  - {statement: SELECT 1, order: any, title: one}\n",
                "calls.yaml");
        assertThat(cases.get(0).arguments())
                .extracting(CallCase.Argument::value)
                .containsExactly(
                        Optional.of("7"),
                        Optional.empty(),
                        Optional.of("1"),
                        Optional.of("12345678901234567890.125"),
                        Optional.of(""));
        assertThat(cases.get(0).title()).isEqualTo("dim(7, NULL, 1, 12345678901234567890.125, )");
        assertThat(cases.get(0).tables()).isEmpty();
        assertThat(cases.get(1).title()).isEqualTo("one");
        assertThat(cases.get(1).anyOrder()).isTrue();
    }

    @Test
    void reportsAllFaultsTogetherWithTheirLines() {
        assertThatThrownBy(() -> CallsFile.parse(
                        "version: 1\ncases:\n  - routin: dim\n  - routine: a\n    statement: b\n    order: some\n"
                                + "  - statement: SELECT 1\n    arguments: [1]\n",
                        "calls.yaml"))
                .isInstanceOf(PlanException.class)
                .hasMessageContaining("calls.yaml:3: unknown key 'routin' in 'cases.0'; did you mean 'routine'?")
                .hasMessageContaining("'cases.0' needs either the key 'routine' or the key 'statement'")
                .hasMessageContaining("calls.yaml:4: 'cases.1' needs either")
                .hasMessageContaining("calls.yaml:6: 'cases.1.order' is 'some' but must be one of: same, any")
                .hasMessageContaining("calls.yaml:8: 'cases.2' has arguments for a statement");
    }
}
