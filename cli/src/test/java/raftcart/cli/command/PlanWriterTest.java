package raftcart.cli.command;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Optional;
import org.junit.jupiter.api.Test;
import raftcart.error.PlanException;
import raftcart.plan.Endpoint;
import raftcart.plan.LoadSettings;
import raftcart.plan.Plan;
import raftcart.plan.PlanFile;
import raftcart.type.ValueChoices;

class PlanWriterTest {
    private static final Endpoint TARGET = Endpoint.of("jdbc:postgresql://b/k");

    private static Plan written(PlanWriter writer) {
        return PlanFile.parse(writer.text(), "raftcart.yaml");
    }

    @Test
    void theTemplateIsAValidPlanOfAllDefaults() {
        PlanWriter writer = new PlanWriter(Endpoint.of("jdbc:mariadb://a/k"), TARGET);
        assertThat(written(writer))
                .isEqualTo(Plan.between(Endpoint.of("jdbc:mariadb://a/k"), TARGET))
                .returns(ValueChoices.defaults(), Plan::values)
                .returns(LoadSettings.defaults(), Plan::load);
        assertThat(writer.warnings()).isEmpty();
    }

    @Test
    void usersAndReferencesAreWrittenAsTheyAre() {
        Endpoint source =
                new Endpoint("jdbc:mariadb://a/k?x='y'", Optional.of("o'nim"), Optional.of("${file:/run/secret}"));
        assertThat(written(new PlanWriter(source, TARGET)).source()).isEqualTo(source);
    }

    @Test
    void aPlainPasswordInAUrlBecomesAReference() {
        PlanWriter writer = new PlanWriter(Endpoint.of("jdbc:mariadb://a/k?user=nim&password=s3cret"), TARGET);
        assertThat(writer.text()).doesNotContain("s3cret");
        assertThat(written(writer).source())
                .isEqualTo(new Endpoint(
                        "jdbc:mariadb://a/k?user=nim",
                        Optional.empty(),
                        Optional.of("${env:RAFTCART_SOURCE_PASSWORD}")));
        assertThat(writer.warnings())
                .singleElement()
                .asString()
                .contains("RAFTCART_SOURCE_PASSWORD")
                .doesNotContain("s3cret");
    }

    @Test
    void aPlainPasswordAsAnOptionAndAnUnknownUrlAreRefused() {
        Endpoint plain = new Endpoint("jdbc:mariadb://a/k", Optional.empty(), Optional.of("s3cret"));
        assertThatThrownBy(() -> new PlanWriter(plain, TARGET))
                .isInstanceOf(PlanException.class)
                .hasMessageNotContaining("s3cret")
                .satisfies(
                        e -> assertThat(((PlanException) e).advice().orElse("")).contains("${env:"));
        assertThatThrownBy(() -> new PlanWriter(Endpoint.of("jdbc:other://a/k"), TARGET))
                .hasMessageContaining("no engine knows the URL");
    }
}
