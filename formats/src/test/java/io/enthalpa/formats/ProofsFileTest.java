package io.enthalpa.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.build.Build;
import io.enthalpa.core.build.MadeChange;
import io.enthalpa.core.build.OptionMonteCarlo;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.leak.LeakRecord;
import io.enthalpa.core.uncertainty.Calibration;
import io.enthalpa.core.uncertainty.Doubt;
import io.enthalpa.core.uncertainty.UncertainInput;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** What was tried on the car, in the file. */
class ProofsFileTest {
    private static ObjectNode juniper() throws IOException {
        return demo("juniper");
    }

    private static ObjectNode demo(String name) throws IOException {
        return (ObjectNode)
                BuildFile.parse(Files.readString(Path.of("../server/src/main/resources/demo/" + name + ".json")));
    }

    private static Build with(String key, String json) throws IOException {
        ObjectNode tree = juniper();
        tree.set(key, BuildFile.parse(json));
        return BuildFile.read(tree);
    }

    private static final String FITTED = """
            {"option": "A", "log": "Saturday", "on": "2026-05-02",
             "knowns": [{"unknown": "core", "by_pct": -12, "within_pct": 4}, {"unknown": "water flow", "by_pct": -30, "within_pct": 6}],
             "together": [{"one": "core", "other": "water flow", "alike": -0.6}]}""";

    /** -12 % and 4 % as shares. */
    @Test
    void aFitIsReadAndWritten() throws IOException {
        Build build = with("fitted", FITTED);
        Calibration told = build.calibration(build.option("A")).orElseThrow();
        assertThat(told.knowns().get(0)).isEqualTo(new Calibration.Known(UncertainInput.CORE_CONDUCTANCE, -0.12, 0.04));
        assertThat(told.together().get(0).correlation()).isEqualTo(-0.6);
        Build again = BuildFile.read(BuildFile.normal(BuildFile.tree(build)));
        assertThat(again.calibration(again.option("A"))).contains(told);
    }

    /** Of a core by its geometry. */
    @Test
    void formulasOfTheFinsAreNotDoubtedBesideTheCoreThatWasFitted() throws IOException {
        ObjectNode tree = demo("pass-van");
        assertThat(OptionMonteCarlo.doubted(BuildFile.read(tree), "C"))
                .extracting(Doubt::unknown)
                .contains(UncertainInput.CORE_CONDUCTANCE, UncertainInput.CHARGE_FINS, UncertainInput.COLD_FINS);
        tree.set("fitted", BuildFile.parse(FITTED.replace("\"A\"", "\"C\"")));
        assertThat(OptionMonteCarlo.doubted(BuildFile.read(tree), "C"))
                .extracting(Doubt::unknown)
                .contains(UncertainInput.CORE_CONDUCTANCE)
                .doesNotContain(UncertainInput.CHARGE_FINS, UncertainInput.COLD_FINS);
    }

    /** Read from the file twice, the parts are still the same parts. */
    @Test
    void aCopyOfTheOptionStandsOnTheSameFit() throws IOException {
        ObjectNode tree = juniper();
        tree.set("fitted", BuildFile.parse(FITTED));
        ObjectNode copy = ((ObjectNode) tree.at("/options/0")).deepCopy();
        copy.put("letter", "Q").put("name", "copy");
        ((ArrayNode) tree.get("options")).add(copy);
        Build build = BuildFile.read(tree);
        assertThat(build.calibration(build.option("Q"))).isEqualTo(build.calibration(build.option("A")));
        assertThat(build.calibration(build.option("B")).orElseThrow().knowns())
                .as("the same core on another loop")
                .extracting(Calibration.Known::unknown)
                .containsExactly(UncertainInput.CORE_CONDUCTANCE);
    }

    @Test
    void aFitThatCannotBeIsRefusedByPlace() throws IOException {
        assertRefused(FITTED.replace("\"A\"", "\"Q\""), "/fitted/option", "one of A, B, C");
        assertRefused(
                FITTED.replace("{\"unknown\": \"water flow\"", "{\"unknown\": \"core\""),
                "/fitted/knowns",
                "given once");
        assertRefused(
                FITTED.replace("\"unknown\": \"core\"", "\"unknown\": \"start\""),
                "/fitted/knowns",
                "does not change with the day");
        assertRefused(FITTED.replace("-12", "-99"), "/fitted/knowns/0/by_pct", "-95 and 500");
    }

    private static void assertRefused(String json, String place, String says) {
        assertThatThrownBy(() -> with("fitted", json)).isInstanceOfSatisfying(EnthalpaFault.class, f -> {
            assertThat(f.field()).isEqualTo(place);
            assertThat(f.sentence()).contains(says);
        });
    }

    /** 95 kPa are 95 000 Pa, 21 °C 294.15 K, 8 L 0.008 m3. */
    @Test
    void aLeakTestIsReadInSiAndWrittenAsItWas() throws IOException {
        Build build = with("leakTests", """
                [{"side": "charge", "option": "A", "by": "R. Fern", "on": "2026-05-02", "volume_L": 8, "rated_kPa": 200, "gaugeError_kPa": 0.5, "soaped": "nothing",
                  "readings": [{"time_s": 0, "gauge_kPa": 95, "air_C": 21}, {"time_s": 60, "gauge_kPa": 94.5, "air_C": 21}], "id": "l1"}]""");
        LeakRecord record = build.proofs().leakTests().get(0);
        assertThat(record.side()).isEqualTo(LeakRecord.Side.CHARGE);
        assertThat(record.volume().orElseThrow()).isCloseTo(0.008, within(1e-12));
        assertThat(record.gaugeError()).isEqualTo(500);
        assertThat(record.readings().get(1).gauge()).isCloseTo(94_500, within(1e-6));
        assertThat(record.readings().get(0).temperature()).isCloseTo(294.15, within(1e-9));
        assertThat(BuildFile.read(BuildFile.normal(BuildFile.tree(build))).proofs())
                .isEqualTo(build.proofs());
    }

    @Test
    void aChangeThatWasMade() throws IOException {
        Build build = with("changes", """
                [{"what": "duct", "on": "", "cost": 80, "hours": 6, "predicted_K": 5, "before": "stock", "after": "", "gain_K": 6.2, "within_K": 1.1}]""");
        MadeChange change = build.proofs().changes().get(0);
        assertThat(change.gain().orElseThrow()).isEqualTo(6.2);
        assertThat(change.hours().orElseThrow()).isEqualTo(6);
        assertThat(BuildFile.read(BuildFile.normal(BuildFile.tree(build))).proofs())
                .isEqualTo(build.proofs());
    }
}
