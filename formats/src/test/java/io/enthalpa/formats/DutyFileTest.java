package io.enthalpa.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.build.Build;
import io.enthalpa.core.chargepath.Intake;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.duty.Duty;
import io.enthalpa.core.duty.DutyLibrary;
import io.enthalpa.core.duty.DutyPiece;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.formats.document.DutyDocument;
import java.util.function.Consumer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Duties of pieces, gearing, engine bay and walls in a build file: there and back, and refused by place, value and range. */
class DutyFileTest {
    private static final String SAMPLE = """
            {"format": "enthalpa-build", "version": 3, "name": "Bench", "summary": "",
             "engine": {"displacement_L": 2, "cylinders": 4, "volumetricEfficiency_pct": 92, "maxSpeed_rpm": 7000},
             "climate": {"airTemperature_C": 30, "altitude_m": 0, "humidity_pct": 40},
             "targets": {"intake_C": 50, "timingPull_C": 65, "sensorLag_s": 12}, "fullLoad": {"engineSpeed_rpm": 6000, "roadSpeed_km_h": 120},
             "gearing": {"tyre_mm": 1950, "finalDrive": 3.9, "ratios": [3.4, 2.1, 1.4, 1, 0.8], "changeUp_rpm": 6500, "idle_rpm": 900},
             "bay": {"standing_K": 45, "rolling_K": 14, "settles_s": 240},
             "duty": {"name": "d", "boostFollowsBrief": true, "startAbove_K": 5, "repeats": 2, "wait_s": 600, "pieces": [
               {"kind": "wait", "time_s": 60, "idling": true},
               {"kind": "pull", "time_s": 12, "roadSpeed_km_h": 160, "boost_kPa": 90},
               {"kind": "brake", "time_s": 6, "roadSpeed_km_h": 50},
               {"kind": "repeat", "times": 3, "pieces": [
                 {"kind": "hold", "time_s": 10, "roadSpeed_km_h": 60, "engineSpeed_rpm": 3000, "boost_kPa": 20},
                 {"kind": "ramp", "time_s": 5, "roadSpeed_km_h": 90, "boost_kPa": 60}]},
               {"kind": "climb", "length_m": 3000, "roadSpeed_km_h": 60, "boost_kPa": 70},
               {"kind": "wait", "time_s": 30, "idling": false}]},
             "options": [{"letter": "A", "name": "first", "boost_kPa": 90, "path": [
               {"kind": "filter", "name": "filter", "bore_mm": 76, "loss_kPa": 1.5, "flow_kg_s": 0.15, "heatGain_K": 3, "bayShare_pct": 40},
               {"kind": "blower", "name": "screw", "type": "screw", "efficiency_pct": 70, "maxPressureRatio": 3, "outletBore_mm": 63},
               {"kind": "pipe", "name": "hot pipe", "material": "steel", "bore_mm": 63, "length_mm": 800, "bends": []},
               {"kind": "pipe", "name": "cold pipe", "material": "aluminium", "bore_mm": 63, "length_mm": 800, "bends": [], "wall": {"thickness_mm": 2, "outside": true, "wrap_mm": 3,
                 "hot": {"temperature_C": 600, "width_mm": 120, "distance_mm": 90, "along_mm": 250, "shielded": true}}},
               {"kind": "plenum", "name": "plenum", "bore_mm": 63, "wall": {"mass_kg": 4, "area_cm2": 1500, "head_C": 92, "toHead_W_K": 12}}]}]}""";

    private static ObjectNode sample() {
        return (ObjectNode) BuildFile.parse(SAMPLE);
    }

    private static void refuses(Consumer<ObjectNode> change, String field, String... words) {
        ObjectNode tree = sample();
        change.accept(tree);
        assertThatThrownBy(() -> BuildFile.read(tree)).isInstanceOfSatisfying(EnthalpaFault.class, fault -> {
            assertThat(fault.field()).isEqualTo(field);
            assertThat(fault.sentence()).contains(words);
        });
    }

    @Test
    void readsWhatIsWritten() {
        Build build = BuildFile.read(SAMPLE);
        assertThat(BuildFile.read(BuildFile.write(build)))
                .usingRecursiveComparison()
                .withComparatorForType((a, b) -> Math.abs(a - b) <= 1e-9 * Math.abs(a) ? 0 : 1, Double.class)
                .isEqualTo(build);
        Duty duty = build.duty();
        assertThat(duty.pieces()).hasSize(6).element(3).isInstanceOf(DutyPiece.Repeat.class);
        assertThat(duty.runLength()).isCloseTo(60 + 12 + 6 + 3 * 15 + 180 + 30, within(1e-6));
        assertThat(build.targets().sensor().lag()).isEqualTo(12);
        PathElement.Pipe cold = (PathElement.Pipe) build.option("A").path().get(3);
        assertThat(cold.wall().inBay()).isFalse();
        assertThat(cold.wall().neighbour())
                .hasValueSatisfying(hot -> assertThat(hot.temperature()).isCloseTo(873.15, within(1e-9)));
        assertThat(((PathElement.Pipe) build.option("A").path().get(2)).wall().thickness())
                .as("stock steel")
                .isEqualTo(0.0015);
    }

    @Test
    void fileWithoutTheNewPartsReadsAsBefore() {
        ObjectNode tree = sample();
        tree.remove("bay");
        ((ObjectNode) tree.get("targets")).remove("sensorLag_s");
        Build build = BuildFile.read(tree);
        assertThat(build.bay()).isEmpty();
        assertThat(build.targets().sensor().lag()).isEqualTo(5);
    }

    private static ObjectNode piece(JsonNode tree, int i) {
        return (ObjectNode) tree.at("/duty/pieces/" + i);
    }

    @Test
    void whatCannotBeIsNamed() {
        refuses(t -> piece(t, 1).put("time_s", -3), "/duty/pieces/1/time_s", "duty piece 2", "-3 s", "0.1 and 36000 s");
        refuses(t -> piece(t, 1).put("kind", "drift"), "/duty/pieces/1/kind", "one of hold, ramp, pull");
        refuses(t -> piece(t, 3).putArray("pieces"), "/duty/pieces/3/pieces", "at least one");
        refuses(t -> piece(t, 4).put("roadSpeed_km_h", 0), "/duty/pieces/4/roadSpeed_km_h", "above 0");
        refuses(t -> ((ObjectNode) t.get("duty")).putArray("rows"), "/duty/rows", "rows and pieces");
        refuses(t -> t.remove("gearing"), "/duty/pieces/1/engineSpeed_rpm", "gearing is not known");
        refuses(t -> ((ObjectNode) t.get("gearing")).putArray("ratios").add(1).add(2), "/gearing/ratios/1", "gear 2");
        refuses(t -> ((ObjectNode) t.get("gearing")).putArray("ratios").add("one"), "/gearing/ratios/0", "gear 1");
        refuses(t -> ((ObjectNode) t.get("gearing")).putArray("ratios").add(90), "/gearing/ratios/0", "0.2 and 20");
        refuses(
                t -> ((ObjectNode) t.get("bay")).put("rolling_K", 60),
                "/bay/rolling_K",
                "at most what it is standing, 45.0 K");
        refuses(t -> piece(t, 1).put("roadSpeed_km_h", 400), "/duty/pieces", "limiter");
        refuses(
                t -> ((ObjectNode) t.at("/options/0/path/3/wall/hot")).put("along_mm", 5000),
                "/options/0/path/3/wall/hot/along_mm",
                "at most the pipe's own length, 800 mm");
        refuses(
                t -> ((ObjectNode) t.at("/options/0/path/4/wall")).put("glue", 1),
                "/options/0/path/4/wall/glue",
                "not a known key");
    }

    @ParameterizedTest
    @CsvSource({"true", "false"})
    void libraryDutiesAreFilesOfTheirOwn(boolean geared) {
        Build build = BuildFile.read(SAMPLE);
        for (DutyLibrary.Entry entry : new DutyLibrary(
                        build.engine().maxSpeed(), 90e3, geared ? build.gearing() : java.util.Optional.empty())
                .entries()) {
            ObjectNode tree = sample();
            tree.set("duty", DutyDocument.tree(entry));
            assertThat(BuildFile.read(tree).duty().rows())
                    .hasSameSizeAs(entry.duty(build.gearing()).rows());
        }
    }

    private static PathElement.Filter filter(String more) {
        ObjectNode tree = sample();
        ObjectNode filter = (ObjectNode) tree.at("/options/0/path/0");
        filter.remove("bayShare_pct");
        filter.setAll((ObjectNode) BuildFile.parse(more));
        Build read = BuildFile.read(tree);
        PathElement.Filter is = (PathElement.Filter) read.option("A").path().get(0);
        JsonNode again = BuildFile.tree(read);
        assertThat(((PathElement.Filter)
                        BuildFile.read(again).option("A").path().get(0)))
                .isEqualTo(is);
        return is;
    }

    /** What is usual of where it draws from counts until it is said otherwise. */
    @Test
    void aFilterDrawsFromSomewhere() {
        assertThat(filter("{}").intake()).isEqualTo(Intake.OUTSIDE);
        assertThat(filter("{\"drawsFrom\": \"engine bay\"}").bayShare()).isEqualTo(0.8);
        assertThat(filter("{\"drawsFrom\": \"engine bay\", \"bayShare_pct\": 0}")
                        .bayShare())
                .isZero();
        assertThat(filter("{\"drawsFrom\": \"scoop\"}").intake().ram()).isEqualTo(0.5);
        assertThat(filter("{\"drawsFrom\": \"scoop\", \"ram_pct\": 0}").intake().ram())
                .isZero();
        assertThat(filter("{\"drawsFrom\": \"wheel arch\"}").intake()).isEqualTo(new Intake(Intake.From.WHEEL_ARCH, 0));
    }
}
