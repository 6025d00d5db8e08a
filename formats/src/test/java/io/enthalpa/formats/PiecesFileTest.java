package io.enthalpa.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import io.enthalpa.core.build.Build;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.exchanger.EndTankSpec;
import io.enthalpa.core.exchanger.EndTankSpec.PortPlace;
import io.enthalpa.core.exchanger.FinType;
import io.enthalpa.core.exchanger.FinnedBlock;
import io.enthalpa.core.exchanger.PortSeat;
import io.enthalpa.core.exchanger.PortSide;
import io.enthalpa.core.exchanger.RatingCard;
import io.enthalpa.core.fault.EnthalpaFault;
import java.util.Optional;
import java.util.function.Consumer;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Every kind of piece through a file and back, and every way to get one wrong. */
class PiecesFileTest {
    private static final String SAMPLE = """
            {"format": "enthalpa-build", "version": 2, "name": "Bench", "summary": "",
             "engine": {"displacement_L": 4.0, "cylinders": 8, "volumetricEfficiency_pct": 92, "maxSpeed_rpm": 7000, "power_kW": 400},
             "climate": {"airTemperature_C": 25, "altitude_m": 200, "humidity_pct": 40},
             "targets": {"intake_C": 50, "timingPull_C": 65},
             "fullLoad": {"engineSpeed_rpm": 6000, "roadSpeed_km_h": 120},
             "duty": {"name": "pull", "boostFollowsBrief": true, "startAbove_K": 5, "repeats": 1, "wait_s": 0, "rows": [
               {"time_s": 0, "engineSpeed_rpm": 2000, "boost_kPa": -40, "roadSpeed_km_h": 0},
               {"time_s": 12.5, "engineSpeed_rpm": 6500, "boost_kPa": 90, "roadSpeed_km_h": 150}]},
             "options": [{"letter": "A", "name": "first", "boost_kPa": 90, "path": [
               {"kind": "pair", "name": "turbos", "mergeAngle_deg": 20, "mergedBore_mm": 76, "legs": [
                 {"name": "left", "path": [
                   {"kind": "filter", "name": "left filter", "bore_mm": 76, "loss_kPa": 1.5, "flow_kg_s": 0.15, "heatGain_K": 3, "dirtyLoss_kPa": 4, "soiling_pct": 25},
                   {"kind": "blower", "name": "left turbo", "type": "turbo", "efficiency_pct": 70, "maxPressureRatio": 3, "outletBore_mm": 51,
                    "map": {"name": "bench map", "referenceTemperature_C": 25, "referencePressure_kPa": 100, "lines": [
                      {"speed_rpm": 80000, "points": [{"flow_kg_s": 0.05, "pressureRatio": 1.6, "efficiency_pct": 68}, {"flow_kg_s": 0.15, "pressureRatio": 1.3, "efficiency_pct": 66}]},
                      {"speed_rpm": 120000, "points": [{"flow_kg_s": 0.1, "pressureRatio": 2.6, "efficiency_pct": 72}, {"flow_kg_s": 0.28, "pressureRatio": 2.0, "efficiency_pct": 64}]}]}}]},
                 {"name": "right", "path": [
                   {"kind": "filter", "name": "right filter", "bore_mm": 76, "loss_kPa": 1.5, "flow_kg_s": 0.15, "heatGain_K": 3},
                   {"kind": "blower", "name": "right turbo", "type": "turbo", "efficiency_pct": 70, "maxPressureRatio": 3, "outletBore_mm": 51}]}]},
               {"kind": "reducer", "name": "cone", "inletBore_mm": 76, "bore_mm": 70, "length_mm": 60},
               {"kind": "joint", "name": "coupler", "bore_mm": 70, "hoseBore_mm": 75, "gap_mm": 8},
               {"kind": "core", "name": "core", "construction": "bar-and-plate", "cooledBy": "air", "width_mm": 600, "height_mm": 300, "depth_mm": 90,
                "arrangement": "u-flow, passes stacked", "inletTowards": "up", "portBore_mm": 70, "tankDepth_mm": 60, "portPlace": "offset", "dividedInlet": true,
                "blocked_pct": 4, "outlets": 2,
                "block": {"layers": "bar-and-plate", "plate_mm": 0.5, "bar_mm": 5, "conductivity_W_mK": 180, "chargeFouling_m2K_kW": 0.1, "coldFouling_m2K_kW": 0,
                  "chargeFin": {"type": "offset strip", "gap_mm": 7.5, "pitch_mm": 4, "thickness_mm": 0.2, "interval_mm": 8},
                  "coldFin": {"type": "louvred", "gap_mm": 9, "pitch_mm": 2.1, "thickness_mm": 0.12, "interval_mm": 1.4, "louvreAngle_deg": 24}},
                "air": {"faceShare_pct": 25, "standstill_m_s": 0.4}},
               {"kind": "throttle", "name": "throttle", "bore_mm": 70, "shaft_mm": 9},
               {"kind": "injection", "name": "nozzle", "bore_mm": 70, "alcohol_pct": 50, "nozzleFlow_L_min": 0.6, "ratedPressure_kPa": 700, "pumpPressure_kPa": 1000,
                "startBoost_kPa": 40, "fullBoost_kPa": 80, "tank_L": 6, "evaporated_pct": 50},
               {"kind": "pair", "name": "banks", "splitAngle_deg": 30, "balance": {"bore_mm": 38, "length_mm": 300}, "legs": [
                 {"name": "left bank", "path": [
                   {"kind": "pipe", "name": "left pipe", "material": "steel", "bore_mm": 51, "length_mm": 300, "bends": [{"angle_deg": 45, "mitre": true}, {"angle_deg": 90, "radius_mm": 76}]},
                   {"kind": "plenum", "name": "left plenum", "bore_mm": 51, "volume_L": 2}]},
                 {"name": "right bank", "path": [{"kind": "plenum", "name": "right plenum", "bore_mm": 51}]}]}]}]}
            """;

    private static ObjectNode sample() {
        return (ObjectNode) BuildFile.parse(SAMPLE);
    }

    private static ObjectNode at(ObjectNode tree, String pointer) {
        return (ObjectNode) tree.at(pointer);
    }

    @Test
    void everyKindSurvivesTheRoundTrip() {
        Build build = BuildFile.read(SAMPLE);
        String written = BuildFile.write(build);
        assertThat(BuildFile.write(BuildFile.read(written))).isEqualTo(written);
        ObjectNode tree = BuildFile.tree(build);
        assertThat(tree.at("/options/0/path/0/legs/0/path/1/map/lines/1/points/1/flow_kg_s")
                        .doubleValue())
                .isEqualTo(0.28);
        assertThat(tree.at("/options/0/path/0/legs/0/path/1/map/name").asString())
                .isEqualTo("bench map");
        assertThat(tree.at("/options/0/path/6/legs/0/path/0/bends/0/mitre").booleanValue())
                .isTrue();
        assertThat(tree.at("/options/0/path/3/block/chargeFouling_m2K_kW").doubleValue())
                .isEqualTo(0.1);
        assertThat(tree.at("/engine/fuelRate_g_kWh").doubleValue())
                .as("the usual figure where only power is given")
                .isEqualTo(320);
    }

    @Test
    void whatIsReadIsWhatIsWritten() {
        Build build = BuildFile.read(SAMPLE);
        PathElement.Core core = (PathElement.Core) build.options().get(0).path().get(3);
        FinnedBlock block = (FinnedBlock) core.spec().basis();
        assertThat(block.cold().type()).isEqualTo(FinType.LOUVRED);
        assertThat(core.spec().tanks().outlets()).isEqualTo(2);
        PathElement.Parallel banks =
                (PathElement.Parallel) build.options().get(0).path().get(6);
        assertThat(banks.endsInBanks()).isTrue();
        assertThat(((PathElement.Filter) ((PathElement.Parallel)
                                        build.options().get(0).path().get(0))
                                .legs()
                                .get(0)
                                .path()
                                .get(0))
                        .lossNow())
                .isEqualTo(2125.0);
    }

    private static ObjectNode card() {
        return (ObjectNode) BuildFile.parse("""
                {"width_mm": 500, "height_mm": 250, "depth_mm": 76, "mass_kg": 6, "chargeFlow_kg_s": 0.2, "chargePressure_kPa": 200, "chargeIn_C": 140,
                 "chargeOut_C": 45, "loss_kPa": 3.5, "airSpeed_m_s": 8, "coolantIn_C": 25, "chargeShare_pct": 35, "wallShare_pct": 3}""");
    }

    private static void refuses(Consumer<ObjectNode> spoil, String... words) {
        ObjectNode tree = sample();
        spoil.accept(tree);
        assertThatThrownBy(() -> BuildFile.read(tree)).isInstanceOfSatisfying(EnthalpaFault.class, fault -> {
            assertThat(fault.sentence()).contains(words);
            assertThat(fault.field()).as("a place on the screen").startsWith("/options/0/path");
        });
    }

    @Test
    void mistakesAreNamedByPieceValueAndRange() {
        String core = "/options/0/path/3";
        refuses(
                t -> at(t, core + "/block/chargeFin").put("thickness_mm", 3),
                "core, charge fin thickness is 3.00 mm",
                "below 2.40 mm");
        refuses(
                t -> {
                    at(t, core).put("height_mm", 30);
                    at(t, core + "/block/coldFin").put("gap_mm", 12);
                },
                "core, core height is 30.0 mm",
                "at least one charge layer");
        refuses(
                t -> {
                    at(t, core).put("depth_mm", 60);
                    at(t, core + "/block").put("bar_mm", 30);
                },
                "bar width is 30.0 mm");
        refuses(t -> at(t, core).put("portBore_mm", 160), "core, core port bore is 160 mm", "at most 144 mm");
        refuses(
                t -> at(t, core).put("inletTowards", "left").put("portTowards", "left"),
                "inlet port's end is left",
                "up or down, for the core lies level");
        refuses(
                t -> at(t, core).put("inletTowards", "up").put("outletTowards", "down"),
                "outlet port's end is down",
                "left or right, for the core stands on end");
        refuses(t -> at(t, core).put("arrangement", "sideways"), "one of crossflow, crossflow, charge mixed");
        refuses(t -> at(t, core).set("card", card()), "known by card and by geometry");
        refuses(t -> at(t, core + "/block/coldFin").remove("louvreAngle_deg"), "louvre angle is missing");
        refuses(
                t -> at(t, "/options/0/path/2").put("hoseBore_mm", 60),
                "hose bore is 60 mm",
                "at least the pipe's bore, 70 mm");
        refuses(
                t -> at(t, "/options/0/path/4").put("shaft_mm", 40),
                "shaft thickness is 40 mm",
                "at most half the bore, 35 mm");
        refuses(
                t -> at(t, "/options/0/path/5").put("fullBoost_kPa", 20),
                "full at boost is 20.0 kPa",
                "at least where it starts");
        refuses(
                t -> at(t, "/options/0/path/0/legs/0/path/0").put("dirtyLoss_kPa", 1),
                "loss when due for change is 1.0 kPa");
        refuses(
                t -> at(t, "/options/0/path/0/legs/0/path/1/map").putArray("lines"),
                "number of speed lines on the map is 0");
        refuses(
                t -> at(t, "/options/0/path/0/legs/0/path/1/map/lines/0/points/0")
                        .put("pressureRatio", 2.7),
                "lines cross");
        refuses(
                t -> at(t, "/options/0/path/6/legs/0/path/0/bends/0").put("angle_deg", 150),
                "mitre angle is 150",
                "two mitres");
        refuses(t -> at(t, "/options/0/path/6").putArray("legs"), "exactly 2");
        refuses(t -> at(t, "/options/0/path/6/legs/1").putArray("path"), "leg right bank", "at least one");
    }

    /** What is left out stays out: the outlet stands as the inlet does, across from it. */
    @Test
    void portsStandWhereTheFileSays() {
        ObjectNode tree = sample();
        ObjectNode core = at(tree, "/options/0/path/3");
        core.put("inletTowards", "left")
                .put("portPlace", "end")
                .put("portTowards", "down")
                .put("outletPlace", "offset");
        Build build = BuildFile.read(tree);
        EndTankSpec tanks =
                ((PathElement.Core) build.options().get(0).path().get(3)).spec().tanks();
        assertThat(tanks.inlet()).isEqualTo(new PortSeat(PortPlace.END, Optional.of(PortSide.DOWN)));
        assertThat(tanks.outlet()).isEqualTo(PortSeat.usual(PortPlace.OFFSET));
        JsonNode again = BuildFile.tree(build).at("/options/0/path/3");
        assertThat(again.get("portTowards").stringValue()).isEqualTo("down");
        assertThat(again.get("outletPlace").stringValue()).isEqualTo("offset");
        assertThat(again.has("outletTowards")).isFalse();
        core.remove("outletPlace");
        assertThat(BuildFile.tree(BuildFile.read(tree)).at("/options/0/path/3").has("outletPlace"))
                .isFalse();
    }

    @Test
    void cardOfSeveralPointsSurvives() {
        ObjectNode tree = sample();
        ObjectNode core = at(tree, "/options/0/path/3");
        core.remove("block");
        ObjectNode card = core.putObject("card");
        for (String field : new String[] {
            "width_mm=600",
            "height_mm=300",
            "depth_mm=90",
            "mass_kg=8",
            "chargeFlow_kg_s=0.4",
            "chargePressure_kPa=220",
            "chargeIn_C=140",
            "chargeOut_C=52",
            "loss_kPa=6",
            "airSpeed_m_s=8",
            "coolantIn_C=25",
            "chargeShare_pct=40",
            "wallShare_pct=3"
        }) {
            card.put(field.split("=")[0], Double.parseDouble(field.split("=")[1]));
        }
        ObjectNode more = card.putArray("morePoints").addObject();
        for (String field : new String[] {
            "chargeFlow_kg_s=0.2",
            "chargePressure_kPa=220",
            "chargeIn_C=140",
            "chargeOut_C=38",
            "loss_kPa=1.9",
            "airSpeed_m_s=8",
            "coolantIn_C=25"
        }) {
            more.put(field.split("=")[0], Double.parseDouble(field.split("=")[1]));
        }
        Build build = BuildFile.read(tree);
        RatingCard read = (RatingCard)
                ((PathElement.Core) build.options().get(0).path().get(3)).spec().basis();
        assertThat(read.points()).hasSize(2);
        assertThat(BuildFile.tree(build)
                        .at("/options/0/path/3/card/morePoints/0/chargeOut_C")
                        .doubleValue())
                .isEqualTo(38);
    }
}
