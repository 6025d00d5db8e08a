package io.enthalpa.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.build.Build;
import io.enthalpa.core.chargepath.CoolingSide;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.coolingair.AirWaySpec;
import io.enthalpa.core.coolingair.Layer;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.loss.FittingLoss;
import io.enthalpa.core.waterloop.CorePorts;
import io.enthalpa.core.waterloop.IceSpec;
import io.enthalpa.core.waterloop.LoopPiece;
import io.enthalpa.core.waterloop.RadiatorBasis;
import io.enthalpa.core.waterloop.WaterLoopSpec;
import java.util.function.Consumer;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Water loops and ways of the air in a build file: there and back, and refused by place, value and range. */
class ColdSideFileTest {
    static final String SAMPLE = """
            {"format": "enthalpa-build", "version": 2, "name": "Bench", "summary": "",
             "engine": {"displacement_L": 2, "cylinders": 4, "volumetricEfficiency_pct": 92, "maxSpeed_rpm": 7000},
             "climate": {"airTemperature_C": 30, "altitude_m": 0, "humidity_pct": 40},
             "targets": {"intake_C": 50, "timingPull_C": 65}, "fullLoad": {"engineSpeed_rpm": 6000, "roadSpeed_km_h": 120},
             "duty": {"name": "d", "boostFollowsBrief": true, "startAbove_K": 5, "repeats": 1, "wait_s": 0, "rows": [
               {"time_s": 0, "engineSpeed_rpm": 2000, "boost_kPa": 0, "roadSpeed_km_h": 0}, {"time_s": 10, "engineSpeed_rpm": 6000, "boost_kPa": 90, "roadSpeed_km_h": 120}]},
             "options": [{"letter": "A", "name": "first", "boost_kPa": 90, "path": [
               {"kind": "filter", "name": "filter", "bore_mm": 76, "loss_kPa": 1.5, "flow_kg_s": 0.15, "heatGain_K": 3},
               {"kind": "blower", "name": "screw", "type": "screw", "efficiency_pct": 70, "maxPressureRatio": 3, "outletBore_mm": 63},
               {"kind": "core", "name": "brick", "construction": "water brick", "cooledBy": "water", "width_mm": 250, "height_mm": 120, "depth_mm": 110, "portBore_mm": 63,
                "card": {"width_mm": 250, "height_mm": 120, "depth_mm": 110, "mass_kg": 4, "chargeFlow_kg_s": 0.2, "chargePressure_kPa": 200, "chargeIn_C": 145, "chargeOut_C": 46,
                  "loss_kPa": 4, "waterFlow_L_min": 20, "coolantIn_C": 25, "coolantLoss_Pa": 7000, "chargeShare_pct": 74, "wallShare_pct": 3},
                "water": {"glycol_pct": 30, "volume_L": 12,
                  "pumpsWhileOff": false,
                  "pieces": [
                    {"kind": "tank", "name": "ice tank", "height_mm": 650},
                    {"kind": "hose", "name": "to the pump", "height_mm": 500, "bore_mm": 19, "beside": 2, "length_mm": 700, "material": "silicone", "bends": [{"angle_deg": 90, "radius_mm": 45}]},
                    {"kind": "pump", "name": "pump", "height_mm": 200, "bore_mm": 19, "beside": 1, "speed_pct": 95, "efficiency_pct": 30,
                     "curve": [{"flow_L_min": 0, "pressure_kPa": 45}, {"flow_L_min": 20, "pressure_kPa": 33}, {"flow_L_min": 40, "pressure_kPa": 4}]},
                    {"kind": "elbow 90", "name": "elbow", "height_mm": 210, "bore_mm": 17, "beside": 1, "length_mm": 0},
                    {"kind": "core", "name": "core side", "height_mm": 480, "ports": "one end", "fedFrom": "top", "boss": true},
                    {"kind": "chiller", "name": "plate", "height_mm": 480, "loss_kPa": 8, "flow_L_min": 20},
                    {"kind": "radiator", "name": "front radiator", "height_mm": 350},
                    {"kind": "ball valve", "name": "tap", "height_mm": 600, "bore_mm": 17, "beside": 1, "length_mm": 0}],
                  "radiator": {"width_mm": 400, "height_mm": 250, "depth_mm": 32, "tubes": {"fin": {"type": "louvred", "gap_mm": 8, "pitch_mm": 1.6, "thickness_mm": 0.1,
                    "interval_mm": 1.2, "louvreAngle_deg": 27}, "tubeHeight_mm": 2, "tubeWall_mm": 0.3, "passes": 2}},
                  "tank": {"holds_L": 20, "baffled": true, "refilled": true, "start_C": 8, "ice_kg": 6, "icePiece_mm": 30, "stirred": "sprayed"},
                  "chiller": {"capacity_kW": 4, "coldest_C": 2, "dropOutBoost_kPa": 20, "whileWaiting": true}}},
               {"kind": "plenum", "name": "plenum", "bore_mm": 63}],
              "airWays": [{"name": "front", "spaceWidth_mm": 700, "spaceHeight_mm": 500,
                "opening": {"width_mm": 500, "height_mm": 180, "pressure_pct": 90, "open_pct": 75, "roundedLip": true,
                  "walls": [{"name": "plate", "width_mm": 520, "height_mm": 110, "across_mm": -20, "up_mm": 40}]},
                "seal_pct": 85, "ducted": true,
                "layers": [{"kind": "radiator", "name": "brick", "across_mm": 0, "up_mm": -30, "gap_mm": 50},
                  {"kind": "condenser", "name": "condenser", "across_mm": 10, "up_mm": 0, "gap_mm": 15, "width_mm": 560, "height_mm": 340, "depth_mm": 18, "heat_kW": 8,
                   "hotOnCard_C": 58, "airSpeed_m_s": 4, "airIn_C": 35, "airLoss_Pa": 38, "hot_C": 58}],
                "fan": {"curve": [{"flow_m3_h": 0, "pressure_Pa": 220}, {"flow_m3_h": 2600, "pressure_Pa": 0}], "backwards": true, "offAbove_km_h": 60, "whileOff": false},
                "exit": {"area_cm2": 1200, "pressure_pct": -10}, "recirculation_pct": 12}]}]}
            """;

    private static ObjectNode sample() {
        return (ObjectNode) BuildFile.parse(SAMPLE);
    }

    @Test
    void everythingSurvivesTheRoundTrip() {
        String written = BuildFile.write(BuildFile.read(SAMPLE));
        assertThat(BuildFile.write(BuildFile.read(written))).isEqualTo(written);
        ObjectNode tree = BuildFile.tree(BuildFile.read(SAMPLE));
        ObjectNode option = (ObjectNode) sample().at("/options/0");
        assertThat(tree.at("/options/0/path/2/water/pieces"))
                .hasToString(BuildFile.parse(written)
                        .at("/options/0/path/2/water/pieces")
                        .toString());
        assertThat(tree.at("/options/0/airWays/0/layers/1/hot_C").asDouble()).isEqualTo(58);
        assertThat(tree.at("/options/0/airWays/0/fan"))
                .hasToString(option.at("/airWays/0/fan").toString());
        assertThat(tree.at("/options/0/airWays/0/opening/walls/0"))
                .hasToString(option.at("/airWays/0/opening/walls/0").toString());
    }

    @Test
    void whatIsReadIsWhatIsWritten() {
        Build build = BuildFile.read(SAMPLE);
        WaterLoopSpec loop = ((CoolingSide.Water)
                        ((PathElement.Core) build.options().get(0).path().get(2)).cooling())
                .loop();
        assertThat(loop.coolant().share()).isEqualTo(0.3);
        assertThat(loop.measured()).isEmpty();
        assertThat(loop.whileOff()).isFalse();
        assertThat(loop.ports()).isEqualTo(new CorePorts(CorePorts.Layout.ONE_END, CorePorts.Feed.TOP, true));
        assertThat(((LoopPiece.Fitting) loop.pieces().get(7)).type()).isEqualTo(FittingLoss.BALL_VALVE);
        assertThat(loop.pieces().get(1).beside()).isEqualTo(2);
        assertThat(((RadiatorBasis.Geometry) loop.radiator().orElseThrow().basis()).passes())
                .isEqualTo(2);
        assertThat(loop.tank().orElseThrow().ice()).isEqualTo(new IceSpec(6, 0.03, IceSpec.Stir.SPRAYED));
        AirWaySpec way = build.options().get(0).airWays().get(0);
        assertThat(way.layers()).extracting(Layer::kind).containsExactly(Layer.Kind.RADIATOR, Layer.Kind.CONDENSER);
        assertThat(way.fan().orElseThrow().backwards()).isTrue();
        assertThat(way.fan().orElseThrow().whileOff()).isFalse();
        assertThat(way.exitArea()).isCloseTo(0.12, within(1e-12));
    }

    @Test
    void cardOfARadiatorMaySpeakOfAnotherSize() {
        ObjectNode tree = sample();
        ObjectNode radiator = (ObjectNode) tree.at("/options/0/path/2/water/radiator");
        radiator.remove("tubes");
        radiator.put("heat_kW", 12)
                .put("waterFlow_L_min", 20)
                .put("waterIn_C", 60)
                .put("airSpeed_m_s", 5)
                .put("airIn_C", 25);
        assertThat(card(BuildFile.read(tree)).size().height())
                .as("its own where the file is silent")
                .isCloseTo(0.25, within(1e-12));
        assertThat(BuildFile.tree(BuildFile.read(tree))
                        .at("/options/0/path/2/water/radiator")
                        .has("cardHeight_mm"))
                .isFalse();
        radiator.put("cardHeight_mm", 300);
        Build build = BuildFile.read(tree);
        assertThat(card(build).size().height()).isCloseTo(0.3, within(1e-12));
        assertThat(card(build).size().width()).isCloseTo(0.4, within(1e-12));
        assertThat(card(BuildFile.read(BuildFile.write(build)))).isEqualTo(card(build));
    }

    private static RadiatorBasis.Card card(Build build) {
        WaterLoopSpec loop = ((CoolingSide.Water)
                        ((PathElement.Core) build.options().get(0).path().get(2)).cooling())
                .loop();
        return (RadiatorBasis.Card) loop.radiator().orElseThrow().basis();
    }

    private static void refuses(Consumer<ObjectNode> spoil, String field, String... words) {
        ObjectNode tree = sample();
        spoil.accept(tree);
        assertThatThrownBy(() -> BuildFile.read(tree))
                .isInstanceOf(EnthalpaFault.class)
                .satisfies(e -> {
                    assertThat(((EnthalpaFault) e).field()).isEqualTo(field);
                    assertThat(((EnthalpaFault) e).sentence()).contains(words);
                });
    }

    private static ObjectNode water(ObjectNode tree) {
        return (ObjectNode) tree.at("/options/0/path/2/water");
    }

    private static ObjectNode way(ObjectNode tree) {
        return (ObjectNode) tree.at("/options/0/airWays/0");
    }

    private static ArrayNode pieces(ObjectNode tree) {
        return (ArrayNode) water(tree).get("pieces");
    }

    @Test
    void badLoopsAreNamedByPlaceValueAndRange() {
        String water = "/options/0/path/2/water";
        refuses(
                t -> ((ObjectNode) t.at(water + "/pieces/2/curve/1")).put("pressure_kPa", 50),
                water + "/pieces/2/curve/1/pressure_kPa",
                "pressure of point 2",
                "50.00 kPa",
                "45.00 kPa");
        refuses(t -> pieces(t).remove(2), water + "/pieces", "brick, water loop", "without a pump", "Put a pump in");
        refuses(
                t -> pieces(t)
                        .addObject()
                        .put("kind", "outfall")
                        .put("name", "out")
                        .put("height_mm", 0),
                water + "/pieces",
                "open-ended");
        refuses(
                t -> ((ObjectNode) t.at(water + "/tank")).put("ice_kg", 30),
                water + "/tank/ice_kg",
                "30.0 kg",
                "18.3 kg");
        refuses(
                t -> ((ObjectNode) t.at(water + "/chiller")).put("coldest_C", -20),
                water + "/chiller/coldest_C",
                "-20.0 °C",
                "30 % glycol");
        refuses(t -> pieces(t).remove(6), water + "/pieces", "the radiator", "not among the pieces");
        refuses(
                t -> ((ObjectNode) pieces(t).get(3)).put("kind", "elbow 30"),
                water + "/pieces/3/kind",
                "\"elbow 30\"",
                "elbow 45");
        refuses(
                t -> ((ObjectNode) pieces(t).get(1)).put("bore_mm", 2),
                water + "/pieces/1/bore_mm",
                "2 mm",
                "3 and 200");
        refuses(
                t -> ((ObjectNode) t.at(water + "/radiator/tubes")).put("tubeWall_mm", 1.2),
                water + "/radiator/tubes/tubeWall_mm",
                "1.20 mm",
                "1.00 mm");
        refuses(
                t -> ((ObjectNode) t.at(water + "/radiator/tubes/fin")).put("thickness_mm", 1.2),
                water + "/radiator/tubes/fin/thickness_mm",
                "radiator fin thickness is 1.20 mm",
                "0.96 mm");
        refuses(t -> water(t).put("glycol_pct", 70), water + "/glycol_pct", "70 %", "0 and 60");
    }

    @Test
    void badWaysAreNamedByPlaceValueAndRange() {
        String way = "/options/0/airWays/0";
        refuses(t -> ((ArrayNode) way(t).get("layers")).removeAll(), way + "/layers", "at least one");
        refuses(
                t -> ((ObjectNode) t.at(way + "/fan/curve/1")).put("pressure_Pa", 300),
                way + "/fan/curve/1/pressure_Pa",
                "fan curve",
                "300 Pa",
                "less than at the smaller flow, 220 Pa");
        refuses(
                t -> ((ObjectNode) t.at(way + "/layers/1")).put("heat_kW", 900),
                way + "/layers/1/heat_kW",
                "condenser",
                "900");
        refuses(
                t -> ((ObjectNode) t.at(way + "/layers/0")).put("kind", "wing"),
                way + "/layers/0/kind",
                "\"wing\"",
                "oil cooler");
        refuses(
                t -> ((ObjectNode) t.at(way + "/opening")).put("open_pct", 0),
                way + "/opening/open_pct",
                "0 %",
                "5 and 100");
        refuses(t -> way(t).put("fann", 1), way + "/fann", "fann");
    }

    /** A file of an earlier version knows a measured flow and a radiator with its own air, nothing else. */
    @Test
    void loopOfAnEarlierFileStillOpens() {
        ObjectNode tree = sample();
        ObjectNode core = (ObjectNode) tree.at("/options/0/path/2");
        ((ObjectNode) tree.at("/options/0")).remove("airWays");
        core.set("water", BuildFile.parse("""
                {"format": "enthalpa-build", "version": 1, "w": {"flow_L_min": 15, "volume_L": 5, "radiator": {"width_mm": 320, "height_mm": 240, "depth_mm": 42, "heat_kW": 11,
                 "waterFlow_L_min": 20, "waterIn_C": 60, "airSpeed_m_s": 6, "airIn_C": 25, "air": {"faceShare_pct": 24, "standstill_m_s": 0.4}}}}""").get("w"));
        WaterLoopSpec loop = ((CoolingSide.Water) ((PathElement.Core)
                                BuildFile.read(tree).options().get(0).path().get(2))
                        .cooling())
                .loop();
        assertThat(loop.measured().orElseThrow()).isEqualTo(15e-3 / 60);
        assertThat(loop.radiator().orElseThrow().air().speedShare()).isEqualTo(0.24);
        assertThat(loop.pieces()).isEmpty();
    }
}
