package io.enthalpa.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import io.enthalpa.core.build.Build;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import io.enthalpa.formats.document.DocumentField;
import java.util.Random;
import java.util.function.Consumer;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

class BuildFileTest {
    private static final String SAMPLE = """
            {"format": "enthalpa-build", "version": 1, "name": "Bench", "summary": "",
             "engine": {"displacement_L": 2.0, "cylinders": 4, "volumetricEfficiency_pct": 92, "maxSpeed_rpm": 7000},
             "climate": {"airTemperature_C": 25, "altitude_m": 200, "humidity_pct": 40, "barometer_kPa": 99.5},
             "targets": {"intake_C": 50, "timingPull_C": 65},
             "fullLoad": {"engineSpeed_rpm": 6000, "roadSpeed_km_h": 120},
             "duty": {"name": "pull", "boostFollowsBrief": true, "startAbove_K": 5, "repeats": 2, "wait_s": 60, "rows": [
               {"time_s": 0, "engineSpeed_rpm": 2000, "boost_kPa": -40, "roadSpeed_km_h": 0},
               {"time_s": 12.5, "engineSpeed_rpm": 6500, "boost_kPa": 90, "roadSpeed_km_h": 150}]},
             "options": [{"letter": "A", "name": "first", "boost_kPa": 90, "path": [
               {"kind": "filter", "name": "filter", "bore_mm": 76, "loss_kPa": 1.5, "flow_kg_s": 0.15, "heatGain_K": 3},
               {"kind": "blower", "name": "blower", "type": "roots-type", "efficiency_pct": 55, "maxPressureRatio": 2.2, "outletBore_mm": 63},
               {"kind": "pipe", "name": "hot pipe", "material": "silicone", "bore_mm": 63, "length_mm": 700, "bends": [{"angle_deg": 90, "radius_mm": 95}]},
               {"kind": "core", "name": "core", "construction": "water brick", "cooledBy": "water", "width_mm": 240, "height_mm": 110, "depth_mm": 110,
                "portBore_mm": 63,
                "card": {"width_mm": 240, "height_mm": 110, "depth_mm": 110, "mass_kg": 3.4, "chargeFlow_kg_s": 0.2, "chargePressure_kPa": 200,
                  "chargeIn_C": 145, "chargeOut_C": 46, "loss_kPa": 4.8, "waterFlow_L_min": 20, "coolantIn_C": 25, "chargeShare_pct": 74, "wallShare_pct": 3},
                "water": {"flow_L_min": 18, "volume_L": 5, "radiator": {"width_mm": 320, "height_mm": 240, "depth_mm": 42, "heat_kW": 11,
                  "waterFlow_L_min": 20, "waterIn_C": 60, "airSpeed_m_s": 6, "airIn_C": 25, "air": {"faceShare_pct": 24, "standstill_m_s": 0.4}}}},
               {"kind": "plenum", "name": "plenum", "bore_mm": 64}]}]}
            """;

    static LongStream seeds() {
        return LongStream.rangeClosed(1, 200);
    }

    private static ObjectNode sample() {
        return (ObjectNode) BuildFile.parse(SAMPLE);
    }

    private static JsonNode at(JsonNode tree, String pointer) {
        return tree.at(pointer);
    }

    @Test
    void writesWhatItReads() {
        assertThat(BuildFile.tree(BuildFile.read(SAMPLE)))
                .isEqualTo(BuildFile.tree(BuildFile.read(BuildFile.write(BuildFile.read(SAMPLE)))));
        assertThat(BuildFile.tree(BuildFile.read(SAMPLE))
                        .at("/options/0/path/3/card/chargeFlow_kg_s")
                        .asDouble())
                .isEqualTo(0.2);
    }

    /** Any number inside its range survives a round trip to twelve digits. */
    @ParameterizedTest
    @MethodSource("seeds")
    void roundTripKeepsEveryNumber(long seed) {
        Random random = new Random(seed);
        ObjectNode tree = sample();
        for (DocumentField field : new DocumentField[] {
            DocumentField.of("core", "width_mm"),
            DocumentField.of("core", "height_mm"),
            DocumentField.of("core", "depth_mm")
        }) {
            put(tree, "/options/0/path/3", field, random);
        }
        ((ObjectNode) tree.at("/options/0/path/3")).put("portBore_mm", 15 + random.nextDouble());
        put(tree, "/engine", DocumentField.of("engine", "displacement_L"), random);
        put(tree, "/climate", DocumentField.of("climate", "barometer_kPa"), random);
        put(tree, "/options/0", DocumentField.of("option", "boost_kPa"), random);
        put(tree, "/options/0/path/3/water/radiator/air", DocumentField.of("core/air", "standstill_m_s"), random);
        Build build = BuildFile.read(tree);
        String text = BuildFile.write(build);
        Build again = BuildFile.read(text);
        assertThat(BuildFile.write(again)).isEqualTo(text);
        for (String pointer : new String[] {
            "/options/0/path/3/width_mm", "/engine/displacement_L", "/climate/barometer_kPa", "/options/0/boost_kPa"
        }) {
            assertThat(BuildFile.parse(text).at(pointer).doubleValue())
                    .as(pointer)
                    .isCloseTo(at(tree, pointer).doubleValue(), org.assertj.core.api.Assertions.withinPercentage(1e-9));
        }
    }

    private static void put(ObjectNode tree, String pointer, DocumentField field, Random random) {
        double value = field.min() + random.nextDouble() * (field.max() - field.min());
        ((ObjectNode) at(tree, pointer)).put(field.key(), value);
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void fileCutAnywhereIsRefusedPlainly(long seed) {
        int cut = new Random(seed).nextInt(SAMPLE.length() - 3);
        assertThatThrownBy(() -> BuildFile.read(SAMPLE.substring(0, cut)))
                .isInstanceOfSatisfying(EnthalpaFault.class, fault -> {
                    assertThat(fault.kind()).isEqualTo(FaultKind.MALFORMED);
                    assertThat(fault.sentence()).startsWith("build file:");
                });
    }

    @Test
    void saysWhereTheTextBreaksOff() {
        assertThatThrownBy(() -> BuildFile.read(SAMPLE.substring(0, SAMPLE.length() / 2)))
                .hasMessageMatching("build file: line \\d+, column \\d+: it ends in the middle; expected JSON\\.");
        assertThatThrownBy(() -> BuildFile.read("")).hasMessageContaining("build file");
        assertThatThrownBy(() -> BuildFile.read("{\"format\": \"x\"}")).hasMessageContaining("not an Enthalpa build");
        assertThatThrownBy(() -> BuildFile.read("[1, 2]")).hasMessageContaining("not an Enthalpa build");
        assertThatThrownBy(() -> BuildFile.read("{\"a\":1,\"a\":2}")).hasMessageContaining("Duplicate");
        assertThatThrownBy(() -> BuildFile.read("[".repeat(5000))).isInstanceOf(EnthalpaFault.class);
        assertThatThrownBy(() -> BuildFile.read("{}" + " ".repeat(BuildFile.LARGEST)))
                .hasMessageContaining("at most 4000000");
    }

    @Test
    void laterVersionIsNamed() {
        ObjectNode tree = sample();
        tree.put("version", BuildFile.VERSION + 1);
        assertThatThrownBy(() -> BuildFile.read(tree))
                .isInstanceOfSatisfying(
                        EnthalpaFault.class,
                        fault -> assertThat(fault.sentence())
                                .contains("version 7")
                                .contains("version 7 or earlier")
                                .contains("later Enthalpa"));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "/options/0/path/2|bore_mm|-5|hot pipe, bore is -5 mm; it must lie between 10 and 400 mm.",
                "/options/0/path/2|bore_mm|1e12|hot pipe, bore is 1000000000000 mm; it must lie between 10 and 400 mm.",
                "/options/0|boost_kPa|900|option 1, boost is 900 kPa; it must lie between 0 and 500 kPa.",
                "/engine|displacement_L|0|displacement is 0 L; it must lie between 0.05 and 60 L.",
                "/duty/rows/1|engineSpeed_rpm|30000|duty row 2, engine speed is 30000 rpm; it must lie between 0 and 20000 rpm.",
                "/climate|humidity_pct|140|humidity is 140 %; it must lie between 0 and 100 %."
            })
    void numberOutOfRangeIsNamedWithValueAndRange(String pointer, String key, double value, String sentence) {
        ObjectNode tree = sample();
        ((ObjectNode) at(tree, pointer)).put(key, value);
        assertThatThrownBy(() -> BuildFile.read(tree)).isInstanceOfSatisfying(EnthalpaFault.class, fault -> {
            assertThat(fault).hasMessage(sentence);
            assertThat(fault.field()).isEqualTo(pointer + "/" + key);
        });
    }

    private static void refuses(Consumer<ObjectNode> spoil, String words) {
        ObjectNode tree = sample();
        spoil.accept(tree);
        assertThatThrownBy(() -> BuildFile.read(tree))
                .isInstanceOf(EnthalpaFault.class)
                .hasMessageContaining(words);
    }

    @Test
    void everyOtherMistakeIsNamedToo() {
        refuses(t -> t.remove("name"), "name: missing");
        refuses(t -> t.put("name", "  "), "name: empty");
        refuses(t -> t.put("summary", "x".repeat(500)), "at most 200");
        refuses(t -> t.put("colour", "red"), "colour: not a known key here");
        refuses(t -> t.put("engine", 4), "the number 4");
        refuses(t -> ((ObjectNode) t.get("engine")).put("displacement_L", "two"), "displacement: the text \"two\"");
        refuses(t -> ((ObjectNode) t.get("engine")).putNull("displacement_L"), "displacement is missing");
        refuses(t -> ((ObjectNode) t.get("engine")).put("cylinders", 3.5), "a whole number");
        refuses(t -> ((ObjectNode) t.get("targets")).put("timingPull_C", 45), "timing line is 45 °C");
        refuses(t -> ((ObjectNode) t.get("fullLoad")).put("engineSpeed_rpm", 8000), "at most the limiter, 7000 rpm");
        refuses(t -> ((ObjectNode) at(t, "/duty/rows/1")).put("engineSpeed_rpm", 9000), "engine speed in duty row 2");
        refuses(t -> ((ObjectNode) at(t, "/duty")).put("boostFollowsBrief", 1), "true or false");
        refuses(t -> ((ObjectNode) t.get("duty")).putArray("rows"), "2 or more");
        refuses(t -> t.putArray("options"), "an empty list");
        refuses(t -> t.put("options", "A"), "a list [ ... ]");
        refuses(t -> ((ArrayNode) t.get("options")).add(t.at("/options/0").deepCopy()), "option letters");
        refuses(t -> ((ObjectNode) at(t, "/options/0")).put("letter", "ab"), "one capital letter");
        refuses(
                t -> ((ObjectNode) at(t, "/options/0/path/0")).put("kind", "wing"),
                "one of filter, blower, pipe, reducer, joint");
        refuses(
                t -> ((ObjectNode) at(t, "/options/0/path/1")).put("type", "hamster"),
                "one of roots-type, screw, centrifugal, turbo");
        refuses(
                t -> ((ObjectNode) at(t, "/options/0/path/2/bends/0")).put("radius_mm", 20),
                "at least 0.7 times the bore");
        refuses(t -> ((ObjectNode) at(t, "/options/0/path/3/card")).put("wallShare_pct", 40), "at most 97 %");
    }

    @Test
    void optionThatIsNotThereIsNamed() {
        assertThatThrownBy(() -> BuildFile.read(SAMPLE).option("F")).hasMessage("option is F; it must be one of A.");
    }
}
