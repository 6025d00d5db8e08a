package io.enthalpa.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.route.Brace;
import io.enthalpa.core.route.Clamp;
import io.enthalpa.core.route.Coupling;
import io.enthalpa.core.route.Fitting;
import io.enthalpa.core.route.Joining;
import io.enthalpa.core.route.JointsSpec;
import io.enthalpa.core.route.JointsSpec.End;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** How pipes are joined and held, in a build file: there and back, and refused by place, value and range. */
class JointsFileTest {
    private static final String JOINTS = """
            {"coupling": "quick joint", "clamp": "worm drive", "plain": true, "hold_N": 1800, "across_mm": 2.5, "most_C": 210,
             "others": [{"of": "hot pipe", "end": "start", "coupling": "V-band", "clamp": "T-bolt"}]}
            """;
    private static final String RUNS = """
            [{"of": "hot pipe", "from": {"back_mm": 0, "right_mm": 0, "up_mm": 0}, "corners": [], "to": {"back_mm": 800, "right_mm": 0, "up_mm": 0},
              "braces": [{"at_mm": 300, "carrier": "engine"}, {"at_mm": 500, "hard": true}],
              "fittings": [{"kind": "temperature sensor", "at_mm": 650, "clocked_deg": -90}, {"kind": "relief valve", "at_mm": 200, "hole_mm": 30}]}]
            """;
    private static final String ROOM = """
            {"datum": "", "carriers": [{"name": "engine", "axis": "along", "back_mm": 600, "right_mm": 0, "up_mm": 0, "roll_deg": 3, "foreAft_mm": 4, "lift_mm": 5}], "obstacles": []}
            """;

    private static ObjectNode document(String joints, String runs) {
        ObjectNode tree = (ObjectNode) BuildFile.parse(ColdSideFileTest.SAMPLE);
        tree.set("room", BuildFile.parse(ROOM));
        ObjectNode option = (ObjectNode) tree.at("/options/0");
        option.set("joints", BuildFile.parse(joints));
        option.set("runs", BuildFile.parse(runs));
        return tree;
    }

    @Test
    void jointsAndBracesGoThereAndBack() {
        ObjectNode tree = document(JOINTS, RUNS);
        BuildOption option = BuildFile.read(tree).options().get(0);
        Joining usual = option.joints().usual();
        assertThat(usual.coupling()).isEqualTo(Coupling.QUICK);
        assertThat(usual.clamp()).isEqualTo(Clamp.WORM);
        assertThat(usual.beaded()).isFalse();
        assertThat(usual.hold()).isEqualTo(1800);
        // What is not said of it is as is usual of a quick joint.
        assertThat(usual.bears().offset()).isCloseTo(2.5e-3, within(1e-12));
        assertThat(usual.bears().angle()).isCloseTo(Math.toRadians(3), within(1e-12));
        assertThat(usual.most()).isCloseTo(483.15, within(1e-9));
        // A joint of another kind does not bear what was said of this one.
        Joining band = option.joints().at("hot pipe", End.START);
        assertThat(band.coupling()).isEqualTo(Coupling.V_BAND);
        assertThat(band.beaded()).isTrue();
        assertThat(band.bears().offset()).isZero();
        assertThat(option.joints().at("hot pipe", End.END)).isEqualTo(usual);
        assertThat(option.runs().get(0).braces())
                .containsExactly(new Brace(0.3, "engine", true), new Brace(0.5, "body", false));
        JsonNode again = BuildFile.parse(BuildFile.write(BuildFile.read(tree))).at("/options/0");
        JsonNode joints = again.get("joints");
        assertThat(joints.get("across_mm").doubleValue()).isCloseTo(2.5, within(1e-9));
        assertThat(joints.get("others")).isEqualTo(tree.at("/options/0/joints/others"));
        assertThat(option.runs().get(0).fittings())
                .satisfiesExactly(
                        sensor -> {
                            assertThat(sensor.kind()).isEqualTo(Fitting.Kind.SENSOR);
                            assertThat(sensor.along()).isCloseTo(0.65, within(1e-12));
                            assertThat(sensor.clock()).isCloseTo(-Math.PI / 2, within(1e-12));
                            assertThat(sensor.hole()).isEqualTo(0.012);
                        },
                        valve -> {
                            assertThat(valve.hole()).isCloseTo(0.03, within(1e-12));
                            assertThat(valve.out()).isEqualTo(0.095);
                        });
        assertThat(again.at("/runs/0/fittings")).isEqualTo(tree.at("/options/0/runs/0/fittings"));
        assertThat(again.at("/runs/0/braces")).isEqualTo(tree.at("/options/0/runs/0/braces"));
        assertThat(BuildFile.read(BuildFile.write(BuildFile.read(tree)))
                        .options()
                        .get(0)
                        .joints())
                .isEqualTo(option.joints());
    }

    /** What is as usual is not written. */
    @Test
    void usualJointsAreNotWritten() {
        ObjectNode tree = document("{\"coupling\": \"straight hose\", \"clamp\": \"T-bolt\"}", "[]");
        BuildOption option = BuildFile.read(tree).options().get(0);
        assertThat(option.joints()).isEqualTo(JointsSpec.USUAL);
        assertThat(BuildFile.tree(option).has("joints")).isFalse();
    }

    private static void refused(String joints, String runs, String pointer, String... says) {
        assertThatThrownBy(() -> BuildFile.read(document(joints, runs)))
                .isInstanceOfSatisfying(
                        EnthalpaFault.class, fault -> assertThat(fault.field()).isEqualTo(pointer))
                .hasMessageContainingAll(says);
    }

    @Test
    void whatIsWrongIsNamedByItsPlace() {
        refused(JOINTS.replace("quick joint", "string"), RUNS, "/options/0/joints/coupling", "string", "straight hose");
        refused(JOINTS.replace("1800", "50"), RUNS, "/options/0/joints/hold_N", "50", "100");
        refused(JOINTS.replace("2.5", "-1"), RUNS, "/options/0/joints/across_mm", "-1");
        refused(JOINTS, RUNS.replace("engine", "gearbox"), "/options/0/runs/0/braces/0/carrier", "gearbox", "engine");
        refused(JOINTS, RUNS.replace("650", "-5"), "/options/0/runs/0/fittings/0/at_mm", "-5");
        refused(
                JOINTS,
                RUNS.replace("relief valve", "whistle"),
                "/options/0/runs/0/fittings/1/kind",
                "whistle",
                "relief valve");
        refused(JOINTS, RUNS.replace("300", "-3"), "/options/0/runs/0/braces/0/at_mm", "-3");
    }
}
