package raftcart.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.fasterxml.jackson.dataformat.yaml.YAMLMapper;
import org.junit.jupiter.api.Test;
import raftcart.catalog.ObjectName;
import raftcart.error.PlanException;
import raftcart.finding.FindingCode;
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
    void whatIsUnderstoodReadsBackAsTheSamePlan() throws Exception {
        Plan plan = plan("names: {case: keep, table-prefix: kr_, rename: {A.B: c}}\nschemas: {k: hill}\n"
                + "columns:\n  - {column: 'a.*', from: 'number(1*', type: boolean, nullable: false, default: ''}\n"
                + "effort: {minutes-per-line: 3, repeat: 0.5, minutes: {RC0501: 90}}\n");
        assertThat(plan.names().named(new ObjectName("s", "a"), "b")).contains("c");
        assertThat(plan.columns().get(0).fits(new ObjectName("s", "A"), "x", "NUMBER(1)"))
                .isTrue();
        assertThat(plan.effort().minutesFor(FindingCode.NOT_TRANSLATED, 2)).isEqualTo(180);
        assertThat(plan.effort().minutesFor(FindingCode.IMPOSSIBLE_DATES, 3)).isEqualTo(20);
        String text = new YAMLMapper().writeValueAsString(PlanFile.tree(plan));
        assertThat(PlanFile.parse(text, "again")).isEqualTo(plan);
    }

    @Test
    void faultsOfListsAndRatesHaveTheirPlaces() {
        assertThatThrownBy(() -> plan("columns: {}\nnames: {case: camel}\neffort: {least: -1, minutes: {RC9: 1}}\n"))
                .hasMessageContaining("'columns' must be a list")
                .hasMessageContaining("'names.case' is 'camel' but must be one of: fold, keep, lower, upper")
                .hasMessageContaining("'effort.least' is -1 but must be a number that is not below 0")
                .hasMessageContaining("'RC9' is not the code of a finding");
        assertThatThrownBy(() -> plan("columns:\n  - {colum: x, nullable: perhaps}\n"))
                .hasMessageContaining("unknown key 'colum' in 'columns.0'; did you mean 'column'?")
                .hasMessageContaining("'columns.0.nullable' must be true or false");
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

    @Test
    void aKeyThatStandsTwiceIsRefusedAtItsPlace() {
        assertThatThrownBy(() ->
                        PlanFile.parse("version: 1\ntables:\n  - match: a\nnames: {}\ntables: []\n", "raftcart.yaml"))
                .isInstanceOf(PlanException.class)
                .hasMessageContaining("raftcart.yaml:5:7: `tables` stands here a second time");
    }
}
