package raftcart.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import raftcart.catalog.ObjectName;
import raftcart.error.PlanException;
import raftcart.type.ValueChoices;

class PlanFileTest {
    private static final String ENDPOINTS =
            "source:\n  url: jdbc:mariadb://a/k\ntarget:\n  url: jdbc:postgresql://b/k\n  user: nim\n";

    private static Plan plan(String more) {
        return PlanFile.parse(ENDPOINTS + more, "raftcart.yaml");
    }

    @Test
    void readsAShortPlanWithAllDefaults() {
        Plan plan = plan("");
        assertThat(plan.target().user()).contains("nim");
        assertThat(plan.values()).isEqualTo(ValueChoices.defaults());
        assertThat(plan.load()).isEqualTo(LoadSettings.defaults());
        assertThat(plan.tables().takes(new ObjectName("k", "anything"))).isTrue();
    }

    @Test
    void reportsAllFaultsTogetherWithLinesAndTheNearestKey() {
        String faulty = "tabels:\n  include: ['*']\nload:\n  rows-per-batch: 0\n  stop-after: 3\n"
                + "values:\n  time: interva\nschemas: x\n";
        assertThatThrownBy(() -> plan(faulty))
                .isInstanceOf(PlanException.class)
                .hasMessageContaining("raftcart.yaml:6: unknown key 'tabels'; did you mean 'tables'?")
                .hasMessageContaining(
                        "raftcart.yaml:9: 'load.rows-per-batch' is 0 but must be a whole number from 1 to 1000000")
                .hasMessageContaining("raftcart.yaml:10: unknown key 'stop-after' in 'load'")
                .hasMessageContaining(
                        "raftcart.yaml:12: 'values.time' is 'interva' but must be one of: interval, time-of-day")
                .hasMessageContaining("raftcart.yaml:13: 'schemas' must hold keys of its own");
    }

    @Test
    void saysWhereTheFileIsNotYaml() {
        assertThatThrownBy(() -> PlanFile.parse("source:\n  url: 'open\n", "raftcart.yaml"))
                .isInstanceOf(PlanException.class)
                .hasMessageStartingWith("raftcart.yaml:");
        assertThatThrownBy(() -> PlanFile.parse("target:\n  url: x\n", "raftcart.yaml"))
                .hasMessageContaining("'source' needs the key 'url'");
    }

    @Test
    void selectsByPatternsWithoutRegardToCase() {
        Selection selection = plan("tables:\n  include: ['obs*', 'k.Night?']\n  exclude: ['*_old']\n")
                .tables();
        assertThat(selection.takes(new ObjectName("k", "Observations"))).isTrue();
        assertThat(selection.takes(new ObjectName("k", "nights"))).isTrue();
        assertThat(selection.takes(new ObjectName("j", "nights"))).isFalse();
        assertThat(selection.takes(new ObjectName("k", "observations_old"))).isFalse();
        assertThat(Selection.matches("a.b", new ObjectName("s", "axb"))).isFalse();
    }

    @Test
    void looksUpSecretsAndNeverShowsThem() {
        assertThat(Secrets.resolve("x${env:A}y", name -> "secret-of-" + name)).isEqualTo("xsecret-of-Ay");
        assertThatThrownBy(() -> Secrets.resolve("${env:NOT_SET}", name -> null))
                .isInstanceOf(PlanException.class)
                .hasMessageContaining("NOT_SET is not set");
        assertThatThrownBy(() -> Secrets.resolve("${file:/nowhere}", name -> null))
                .hasMessageContaining("/nowhere");
        assertThatThrownBy(() -> Secrets.resolve("${vault:x}", name -> null)).hasMessageContaining("vault");
        assertThat(Secrets.mask("jdbc:x://h/d?user=u&password=s3cret&ssl=true"))
                .isEqualTo("jdbc:x://h/d?user=u&password=***&ssl=true");
        assertThat(Secrets.mask("jdbc:x://nim:s3cret@h/d")).isEqualTo("jdbc:x://nim:***@h/d");
        assertThat(Secrets.mask("jdbc:x://h/d?password=${env:P}")).contains("${env:P}");
        assertThat(Secrets.withoutPassword("jdbc:x://h/d?password=s&user=u")).isEqualTo("jdbc:x://h/d?user=u");
        assertThat(Secrets.withoutPassword("jdbc:x://h/d?password=s")).isEqualTo("jdbc:x://h/d");
    }
}
