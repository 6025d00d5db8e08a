package io.enthalpa.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.build.Answer;
import io.enthalpa.core.build.Build;
import io.enthalpa.core.coolingair.AirWaySpec;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fit.Fit;
import io.enthalpa.core.fit.FitFinding;
import io.enthalpa.core.fit.GapRow;
import io.enthalpa.core.room.RoomSpec;
import io.enthalpa.core.room.Scroll;
import java.util.List;
import java.util.function.Consumer;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** A room in a build file: there and back, refused by place, value and range, and what it says of the bodies in it. */
class RoomFileTest {
    private static final String ROOM = """
            {"datum": "middle of the latch panel's top edge",
             "carriers": [{"name": "engine", "axis": "along", "back_mm": 600, "right_mm": 0, "up_mm": -100, "roll_deg": 3, "foreAft_mm": 4, "lift_mm": 5}],
             "obstacles": [
               {"kind": "box", "name": "crash bar", "nature": "structure", "front_mm": -120, "rear_mm": -60, "left_mm": -600, "right_mm": 600, "bottom_mm": -300, "top_mm": -200},
               {"kind": "box", "name": "battery", "nature": "body", "front_mm": 200, "rear_mm": 400, "left_mm": 300, "right_mm": 500, "bottom_mm": -200, "top_mm": 0, "turned_deg": 10,
                "move": {"hours": 2, "price": 60, "words": "boot kit"}},
               {"kind": "cylinder", "name": "damper", "nature": "turning part", "carrier": "engine", "back_mm": 300, "right_mm": 0, "up_mm": -200, "diameter_mm": 160, "toBack_mm": 340, "toRight_mm": 0, "toUp_mm": -200},
               {"kind": "cylinder", "name": "horn", "nature": "body", "back_mm": 0, "right_mm": -400, "up_mm": 0, "diameter_mm": 90, "toBack_mm": 80, "toRight_mm": -400, "toUp_mm": 0, "toDiameter_mm": 20},
               {"kind": "ball", "name": "reservoir", "nature": "body", "gap_mm": 3, "back_mm": 500, "right_mm": -500, "up_mm": 0, "diameter_mm": 120},
               {"kind": "tube", "name": "brake line", "nature": "line", "diameter_mm": 5, "points": [{"back_mm": 0, "right_mm": 500, "up_mm": -300}, {"back_mm": 800, "right_mm": 500, "up_mm": -300}]},
               {"kind": "plane", "name": "bonnet", "nature": "bonnet", "back_mm": 0, "right_mm": 0, "up_mm": 30, "falls_deg": 5, "above": true},
               {"kind": "prism", "name": "tower", "nature": "body", "seen": "above", "from_mm": -300, "to_mm": 0,
                "outline": [{"across_mm": 550, "up_mm": 500}, {"across_mm": 700, "up_mm": 500}, {"across_mm": 700, "up_mm": 700}]}]}
            """;

    private static ObjectNode document(String stands) {
        ObjectNode tree = (ObjectNode) BuildFile.parse(ColdSideFileTest.SAMPLE);
        tree.set("room", BuildFile.parse(ROOM));
        ((ObjectNode) tree.at("/options/0")).set("stands", BuildFile.parse(stands));
        return tree;
    }

    private static JsonNode obstacle(JsonNode tree, int i) {
        return tree.at("/room/obstacles/" + i);
    }

    @Test
    void everyShapeGoesThereAndBack() {
        ObjectNode tree = document(
                "[{\"of\": \"brick\", \"what\": \"core\", \"back_mm\": 100, \"right_mm\": 20, \"up_mm\": -150, \"tipped_deg\": 12},"
                        + "{\"of\": \"brick\", \"what\": \"pump\", \"back_mm\": 100, \"right_mm\": 20, \"up_mm\": -450, \"carrier\": \"engine\","
                        + " \"size\": {\"deep_mm\": 90, \"wide_mm\": 60, \"high_mm\": 50}}]");
        JsonNode again = BuildFile.parse(BuildFile.write(BuildFile.read(tree)));
        assertThat(again.get("room")).isEqualTo(tree.get("room"));
        assertThat(again.at("/options/0/stands")).isEqualTo(tree.at("/options/0/stands"));
        assertThat(BuildFile.normal(tree).at("/room/obstacles/5/points/1/id").stringValue())
                .isEqualTo("r2");
    }

    private static void refused(Consumer<ObjectNode> change, String pointer, String... says) {
        ObjectNode tree =
                document("[{\"of\": \"brick\", \"what\": \"core\", \"back_mm\": 0, \"right_mm\": 0, \"up_mm\": 0}]");
        change.accept(tree);
        assertThatThrownBy(() -> BuildFile.read(tree)).isInstanceOfSatisfying(EnthalpaFault.class, fault -> {
            assertThat(fault.field()).isEqualTo(pointer);
            assertThat(fault.sentence()).contains(says);
        });
    }

    @Test
    void whatIsWrongIsNamedByItsPlace() {
        refused(
                t -> ((ObjectNode) obstacle(t, 0)).put("rear_mm", -120.5),
                "/room/obstacles/0/rear_mm",
                "crash bar",
                "-120.5 mm",
                "front face at -120.0 mm");
        refused(
                t -> ((ObjectNode) obstacle(t, 0)).put("top_mm", 1e6),
                "/room/obstacles/0/top_mm",
                "crash bar",
                "10000");
        refused(
                t -> ((ObjectNode) obstacle(t, 2)).put("carrier", "moon"),
                "/room/obstacles/2/carrier",
                "\"moon\"",
                "body, engine");
        refused(
                t -> ((ObjectNode) obstacle(t, 6)).put("carrier", "engine"),
                "/room/obstacles/6/carrier",
                "Give a plane that moves as a box");
        refused(
                t -> ((ObjectNode) obstacle(t, 0)).set("move", BuildFile.parse("{\"hours\": 1}")),
                "/room/obstacles/0/move",
                "never cut or moved");
        refused(
                t -> ((ObjectNode) obstacle(t, 3)).put("toBack_mm", 0),
                "/room/obstacles/3/toBack_mm",
                "where the first one is");
        refused(
                t -> ((ArrayNode) obstacle(t, 5).get("points")).remove(0),
                "/room/obstacles/5/points",
                "brake line",
                "at least two");
        refused(
                t -> ((ArrayNode) obstacle(t, 7).get("outline")).remove(0),
                "/room/obstacles/7/outline",
                "tower",
                "2 corners");
        refused(
                t -> ((ObjectNode) t.at("/room/carriers/0")).put("name", "body"),
                "/room/carriers/0/name",
                "a name that no other carrier has");
        refused(
                t -> ((ObjectNode) t.at("/options/0/stands/0")).put("carrier", "wheel"),
                "/options/0/stands/0/carrier",
                "\"wheel\"");
        refused(
                t -> ((ObjectNode) t.at("/options/0/stands/0"))
                        .set("size", BuildFile.parse("{\"deep_mm\": 9, \"wide_mm\": 9, \"high_mm\": 9}")),
                "/options/0/stands/0/size",
                "its size is told where it is described");
        refused(
                t -> {
                    ArrayNode all = (ArrayNode) t.at("/room/obstacles");
                    while (all.size() <= 500) {
                        all.add(all.get(0));
                    }
                },
                "/room/obstacles",
                "501",
                "at most 500");
    }

    private static Fit fit(String stands) {
        Build build = BuildFile.read(document(stands));
        return Fit.of(build.option("A"), build.room().orElseThrow());
    }

    private static GapRow gap(Fit fit, String to) {
        return fit.gaps().stream().filter(r -> r.name().equals(to)).findFirst().orElseThrow();
    }

    /**
     * The brick is 110 deep, 250 wide, 120 high, its inlet to the viewer's right, so at the car's left; tanks as deep as its port of 63.
     * Its middle 100 behind the datum and 150 below: face at 45, underside at -210, 10 below the crash bar's top; bar's rear at -60: 105.
     */
    @Test
    void gapsAreThoseOfTheTape() {
        Fit fit = fit("[{\"of\": \"brick\", \"what\": \"core\", \"back_mm\": 100, \"right_mm\": 0, \"up_mm\": -150}]");
        GapRow bar = gap(fit, "crash bar");
        assertThat(bar.still()).isCloseTo(0.105, within(1e-5));
        assertThat(bar.moved()).as("both on the body").isEmpty();
        assertThat(bar.missing()).isCloseTo(0.008 - 0.105, within(1e-5));
        // The bonnet is 30 up at the datum and rises tan 5 to the rear; over the front top edge at 45 back and -90: (30
        // + 45 tan 5 + 90) cos 5.
        assertThat(gap(fit, "bonnet").still()).isCloseTo(0.123465, within(1e-5));
        // The damper's front face at 300, radius 80 about -200; the block's rear at 155.
        GapRow damper = gap(fit, "damper");
        assertThat(damper.still()).isCloseTo(0.145, within(1e-5));
        assertThat(damper.asked().still()).isEqualTo(0.02);
        // Fore and aft 4; it rolls about an axis along.
        assertThat(damper.moved().orElseThrow()).isCloseTo(0.141, within(1e-5));
        assertThat(fit.fits()).isTrue();
        assertThat(FitFinding.of(fit, 30).get(0).kind()).isEqualTo(FitFinding.Kind.FIT_FITS);
        assertThat(fit.decides(Fit.Trial.ENGINE_ROCKING, room()).orElseThrow().name())
                .isEqualTo("damper");
        assertThat(fit.decides(Fit.Trial.BONNET_SHUT, room()).orElseThrow().isShort())
                .isFalse();
        assertThat(fit.decides(Fit.Trial.FULL_LOCK, room())).isEmpty();
        assertThat(fit.unplaced())
                .extracting(s -> s.what().name())
                .containsExactly("FILTER", "BLOWER", "RADIATOR", "TANK", "PUMP", "PLENUM");
    }

    private static RoomSpec room() {
        return BuildFile.read(document("[]")).room().orElseThrow();
    }

    /** Face at -75: 15 mm into the bar, whose rear is at -60; the underside at -210, 10 mm below the bar's top: up is the shorter way out. */
    @Test
    void whatStandsInsideSaysHowFarAndInWhat() {
        Fit fit = fit("[{\"of\": \"brick\", \"what\": \"core\", \"back_mm\": -20, \"right_mm\": 0, \"up_mm\": -150}]");
        GapRow bar = fit.gaps().get(0);
        assertThat(bar.still()).isCloseTo(-0.010, within(1e-5));
        assertThat(fit.fits()).isFalse();
        assertThat(Sentences.of(FitFinding.of(fit, 30).get(0)))
                .isEqualTo("Does not fit: the block of brick stands 10.0 mm inside crash bar.");
    }

    @Test
    void whatStrikesOnlyAsTheEngineRocksIsSaid() {
        // The pump hangs on the engine, its top 6 mm under the tower's flat underside at -300; 400 mm and more off the
        // crank's axis.
        Fit fit = fit(
                "[{\"of\": \"brick\", \"what\": \"pump\", \"back_mm\": 560, \"right_mm\": 660, \"up_mm\": -331, \"carrier\": \"engine\","
                        + " \"size\": {\"deep_mm\": 60, \"wide_mm\": 40, \"high_mm\": 50}}]");
        GapRow tower = gap(fit, "tower");
        assertThat(tower.still()).isCloseTo(0.006, within(1e-5));
        assertThat(tower.moved().orElseThrow()).isLessThan(-0.02);
        assertThat(FitFinding.of(fit, 30).get(0).kind()).isEqualTo(FitFinding.Kind.FIT_STRIKES);
    }

    /** A pump of 1.2 kg held by nothing but two straps and a bobbin on what moves, each wrong in its own way. */
    @Test
    void whatHoldsABodyIsReadSaidAndWrittenAgain() {
        String stands = """
                [{"of": "brick", "what": "pump", "back_mm": 560, "right_mm": 660, "up_mm": -431, "carrier": "engine",
                  "size": {"deep_mm": 60, "wide_mm": 40, "high_mm": 50}, "mass_kg": 2,
                  "mounts": [
                   {"kind": "strap", "name": "long", "back_mm": 560, "right_mm": 660, "up_mm": -206, "bolt_mm": 6, "existing": true,
                    "width_mm": 10, "thickness_mm": 1, "metal": "aluminium", "standing": true},
                   {"kind": "bobbin", "name": "foot", "carrier": "engine", "back_mm": 560, "right_mm": 660, "up_mm": -456, "bolt_mm": 8,
                    "axis": "up", "axial_N_mm": 60, "shear_N_mm": 12, "load_N": 5},
                   {"kind": "lug", "name": "far", "carrier": "engine", "back_mm": 660, "right_mm": 660, "up_mm": -431, "bolt_mm": 6, "slotted": true}
                  ]}]""";
        Build build = BuildFile.read(document(stands));
        Fit fit = Fit.of(build.options().get(0), build.room().orElseThrow());
        List<String> said = FitFinding.of(fit, 30).stream().map(Sentences::of).toList();
        assertThat(said)
                .anyMatch(s -> s.startsWith("The bolt of the far of pump of brick stands 70 mm off;"))
                .anyMatch(s -> s.startsWith("Too weak: the long of pump of brick bends at ")
                        && s.contains("65 MPa is what lasts")
                        && s.contains("shorter than 200 mm"))
                .anyMatch(s ->
                        s.startsWith("Held hard by body and engine, which move against one another, pump of brick"));
        assertThat(BuildFile.tree(build).at("/options/0/stands/0/mounts").toString())
                .isEqualTo(BuildFile.parse(BuildFile.write(document(stands)))
                        .at("/options/0/stands/0/mounts")
                        .toString());
    }

    private static final String BLOWER =
            "[{\"of\": \"blower\", \"what\": \"blower\", \"back_mm\": 0, \"right_mm\": 0, \"up_mm\": 900,"
                    + " \"scroll\": {\"clocked_deg\": -30, \"runs\": \"anticlockwise\"}}]";

    /** How a housing is clocked is read and written again; nothing else than a blower has one. */
    @Test
    void scrollGoesThereAndBackAndIsABlowersAlone() {
        ObjectNode tree = document(BLOWER);
        Build build = BuildFile.read(tree);
        Scroll scroll = build.options().get(0).stands().get(0).scroll().orElseThrow();
        assertThat(scroll.clocked()).isEqualTo(-Math.PI / 6, within(1e-12));
        assertThat(scroll.runs()).isEqualTo(Scroll.Runs.ANTICLOCKWISE);
        assertThat(BuildFile.parse(BuildFile.write(build)).at("/options/0/stands"))
                .isEqualTo(tree.at("/options/0/stands"));
        refused(
                t -> ((ObjectNode) t.at("/options/0/stands/0"))
                        .set("scroll", BuildFile.parse(BLOWER).at("/0/scroll")),
                "/options/0/stands/0/scroll",
                "only a blower has one");
        refused(
                t -> {
                    ObjectNode blower = ((ObjectNode) t.at("/options/0/stands/0")).put("what", "blower");
                    blower.putObject("scroll").put("clocked_deg", 400).put("runs", "clockwise");
                },
                "/options/0/stands/0/scroll/clocked_deg",
                "outlet clocked is 400 °",
                "between -360 and 360");
    }

    /** 2 kg on three bobbins of 60 and 12 N/mm: root of 36000 / 2 by 2 pi is 21.35 Hz sideways; 6.54 N on each. */
    @Test
    void rubberThatIsTooHardOrCarriesTooMuchIsNamed() {
        String bobbin =
                "{\"kind\": \"bobbin\", \"name\": \"%s\", \"back_mm\": %d, \"right_mm\": %d, \"up_mm\": 0, \"bolt_mm\": 6,"
                        + " \"axis\": \"up\", \"axial_N_mm\": 60, \"shear_N_mm\": 12, \"load_N\": 6}";
        String stands =
                ("[{\"of\": \"brick\", \"what\": \"pump\", \"back_mm\": 0, \"right_mm\": 0, \"up_mm\": 0, \"mass_kg\": 2,"
                                + " \"size\": {\"deep_mm\": 200, \"wide_mm\": 200, \"high_mm\": 20}, \"mounts\": [%s, %s, %s]}]")
                        .formatted(
                                bobbin.formatted("a", 100, 0),
                                bobbin.formatted("b", -50, 87),
                                bobbin.formatted("c", -50, -87));
        Build build = BuildFile.read(document(stands));
        Fit fit = Fit.of(build.options().get(0), build.room().orElseThrow());
        assertThat(FitFinding.of(fit, 25).stream().map(Sentences::of))
                .contains(
                        "Overloaded: the a of pump of brick carries 7 N standing and is made for 6 N.",
                        "On its rubber pump of brick swings at 21 Hz, the engine shakes at 25 Hz at idle: from 18 Hz down the rubber keeps it"
                                + " away. Softer rubber, or fewer bobbins.");
        assertThat(FitFinding.of(fit, 31).stream().map(f -> f.kind().name())).doesNotContain("MOUNT_SHAKEN");
    }

    @Test
    void aMountOnACarrierThatIsNotThereIsRefusedByItsName() {
        assertThatThrownBy(() -> BuildFile.read(document("""
                [{"of": "brick", "what": "pump", "back_mm": 0, "right_mm": 0, "up_mm": 0, "mounts": [
                  {"kind": "lug", "name": "foot", "carrier": "cradle", "back_mm": 0, "right_mm": 0, "up_mm": 0, "bolt_mm": 6}]}]""")))
                .hasMessageContaining("foot, carrier: \"cradle\"; expected one of body, engine");
    }

    /** A wall from 30 behind the opening, all over the stack: nothing of the opening is free, and behind the stack only the least there is. */
    @Test
    void theWayOfTheAirMeetsTheRoomAndWhatIsTypedStays() {
        ObjectNode tree = document("[]");
        ((ObjectNode) tree.get("room")).set("obstacles", BuildFile.parse("""
                [{"kind": "box", "name": "wall", "nature": "body", "front_mm": 30, "rear_mm": 900, "left_mm": -900, "right_mm": 900,
                  "bottom_mm": -900, "top_mm": 900}]"""));
        JsonNode place =
                BuildFile.parse("{\"back_mm\": 0, \"right_mm\": 0, \"up_mm\": 0, \"walls\": true, \"exit\": true}");
        ((ObjectNode) tree.at("/options/0/airWays/0")).set("inRoom", place);
        Build build = BuildFile.read(tree);
        AirWaySpec met = new Answer(build, "A").steady().ways().get(0).spec();
        assertThat(met.exitArea()).isEqualTo(1e-4);
        assertThat(met.opening().free()).isCloseTo(0, within(1e-9));
        JsonNode way = BuildFile.tree(build).at("/options/0/airWays/0");
        assertThat(way.at("/exit/area_cm2").doubleValue()).isEqualTo(1200);
        assertThat(way.at("/opening/walls/0/name").stringValue()).isEqualTo("plate");
        assertThat(way.get("inRoom").toString()).isEqualTo(place.toString());
    }

    @Test
    void bodiesAreInOneAnothersWayAndAPlaceOfNothingIsKept() {
        Fit fit = fit("[{\"of\": \"brick\", \"what\": \"core\", \"back_mm\": 1100, \"right_mm\": 0, \"up_mm\": -150},"
                + "{\"of\": \"brick\", \"what\": \"radiator\", \"back_mm\": 1181, \"right_mm\": 0, \"up_mm\": -150},"
                + "{\"of\": \"gone\", \"what\": \"core\", \"back_mm\": 0, \"right_mm\": 0, \"up_mm\": 0}]");
        // Block's rear at 1155, radiator 32 deep: its face at 1165.
        GapRow between = gap(fit, "radiator of brick");
        assertThat(between.still()).isCloseTo(0.010, within(1e-5));
        assertThat(between.asked().still()).isEqualTo(0.006);
        assertThat(fit.gone()).extracting(s -> s.of()).containsExactly("gone");
        assertThat(fit.bodies()).hasSize(2);
    }
}
