package io.enthalpa.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.fault.EnthalpaFault;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.node.ObjectNode;

/** Tube is known by its outside diameter, hose by its bore; a stock bend follows the size. */
class TubeFileTest {
    private static ObjectNode file(String pipe) {
        return (ObjectNode) BuildFile.parse("""
                {"format": "enthalpa-build", "version": 5, "name": "Bench", "summary": "",
                 "engine": {"displacement_L": 2.0, "cylinders": 4, "volumetricEfficiency_pct": 92, "maxSpeed_rpm": 7000},
                 "climate": {"airTemperature_C": 25, "altitude_m": 0, "humidity_pct": 40},
                 "targets": {"intake_C": 50, "timingPull_C": 65},
                 "fullLoad": {"engineSpeed_rpm": 6000, "roadSpeed_km_h": 120},
                 "duty": {"name": "pull", "boostFollowsBrief": true, "startAbove_K": 5, "repeats": 1, "wait_s": 0, "rows": [
                   {"time_s": 0, "engineSpeed_rpm": 2000, "boost_kPa": 0, "roadSpeed_km_h": 0},
                   {"time_s": 10, "engineSpeed_rpm": 6000, "boost_kPa": 90, "roadSpeed_km_h": 100}]},
                 "options": [{"letter": "A", "name": "first", "boost_kPa": 90, "path": [
                   {"kind": "filter", "name": "filter", "bore_mm": 76, "loss_kPa": 1.5, "flow_kg_s": 0.15, "heatGain_K": 3},
                   {"kind": "blower", "name": "turbo", "type": "turbo", "efficiency_pct": 70, "maxPressureRatio": 3, "outletBore_mm": 51},
                   {"kind": "pipe", "name": "hot pipe", "length_mm": 500, %s},
                   {"kind": "plenum", "name": "plenum", "bore_mm": 63}]}]}
                """.formatted(pipe));
    }

    private static PathElement.Pipe pipe(ObjectNode file) {
        return (PathElement.Pipe) BuildFile.read(file).options().get(0).path().get(2);
    }

    /** Worked by hand: outside less two walls. */
    @ParameterizedTest
    @CsvSource({
        "aluminium, 76.2, 1.6, 73.0",
        "aluminium, 38, 1.6, 34.8",
        "aluminium, 45, 2.0, 41.0",
        "steel, 63.5, 1.5, 60.5",
        "stainless, 63.5, 1.2, 61.1",
    })
    void boreIsLessByTwoWalls(String material, double outside, double wall, double bore) {
        PathElement.Pipe pipe = pipe(file(
                "\"material\": \"%s\", \"outside_mm\": %s, \"wall\": {\"thickness_mm\": %s}, \"bends\": [{\"angle_deg\": 90}]"
                        .formatted(material, outside, wall)));
        assertThat(pipe.spec().bore()).isCloseTo(bore / 1000, within(1e-9));
        assertThat(pipe.outside()).isCloseTo(outside / 1000, within(1e-9));
        assertThat(pipe.spec().bends().get(0).radius())
                .as("stock: 1.5 times the outside")
                .isCloseTo(1.5 * outside / 1000, within(1e-9));
    }

    @Test
    void stockWallIsTakenWhereNoneIsGiven() {
        assertThat(pipe(file("\"material\": \"aluminium\", \"outside_mm\": 76.2, \"bends\": []"))
                        .spec()
                        .bore())
                .isCloseTo(0.073, within(1e-9));
    }

    @Test
    void oldFilesKeepTheirBores() {
        ObjectNode old = file(
                "\"material\": \"aluminium\", \"bore_mm\": 57, \"bends\": [{\"angle_deg\": 90, \"radius_mm\": 86}]");
        old.put("version", 4);
        ObjectNode now = BuildFile.normal(old);
        assertThat(now.at("/version").intValue()).isEqualTo(7);
        assertThat(now.at("/options/0/path/2/outside_mm").doubleValue()).isEqualTo(60.2);
        assertThat(now.at("/options/0/path/2/bore_mm").isMissingNode()).isTrue();
        assertThat(now.at("/options/0/path/2/bends/0/radius_mm").doubleValue()).isEqualTo(86);
        assertThat(pipe(now).spec().bore()).isCloseTo(0.057, within(1e-9));
    }

    @Test
    void hoseIsKnownByItsBore() {
        ObjectNode hose = file("\"material\": \"silicone\", \"bore_mm\": 63, \"bends\": [{\"angle_deg\": 45}]");
        assertThat(pipe(hose).spec().bends().get(0).radius()).isCloseTo(1.5 * 0.063, within(1e-9));
        ObjectNode now = BuildFile.normal(hose);
        assertThat(now.at("/options/0/path/2/bore_mm").doubleValue()).isEqualTo(63);
        assertThat(now.at("/options/0/path/2/bends/0").has("radius_mm")).isFalse();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "'\"material\": \"silicone\", \"outside_mm\": 73, \"bends\": []' | hot pipe, outside diameter is 73 mm; it must be left out of hose, which is sold by its bore.",
                "'\"material\": \"steel\", \"outside_mm\": 60, \"bore_mm\": 57, \"bends\": []' | bore is 57 mm; it must be left out beside the outside diameter",
                "'\"material\": \"steel\", \"bends\": []' | bore is missing",
                "'\"material\": \"steel\", \"outside_mm\": 40, \"wall\": {\"thickness_mm\": 18}, \"bends\": []' | at least 46.0 mm with a wall of 18.0 mm",
            })
    void whatDoesNotFitIsRefused(String pipe, String words) {
        assertThatThrownBy(() -> BuildFile.read(file(pipe)))
                .isInstanceOf(EnthalpaFault.class)
                .hasMessageContaining(words);
    }
}
