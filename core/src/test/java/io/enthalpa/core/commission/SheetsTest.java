package io.enthalpa.core.commission;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.Benches;
import io.enthalpa.core.Systems;
import io.enthalpa.core.build.Answer;
import io.enthalpa.core.build.Build;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.build.MadeChange;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.chargepath.PathResult;
import io.enthalpa.core.commission.Step.Kind;
import io.enthalpa.core.commission.Step.Part;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fluid.GlycolWater;
import io.enthalpa.core.joint.Joints;
import io.enthalpa.core.leak.LeakRecord;
import io.enthalpa.core.leak.LeakRecord.Side;
import io.enthalpa.core.leak.LeakTest.Reading;
import io.enthalpa.core.quantity.Figure;
import io.enthalpa.core.route.Clamp;
import io.enthalpa.core.route.Coupling;
import io.enthalpa.core.route.Joining;
import io.enthalpa.core.route.JointsSpec;
import io.enthalpa.core.waterloop.LoopPiece;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class SheetsTest {
    private static final Build AIR = Benches.build(Systems.standard());
    private static final Build WATER = Benches.build(Systems.water());

    private static LeakRecord record(Side side, OptionalDouble rated, Reading... readings) {
        return new LeakRecord(
                side,
                "A",
                Optional.empty(),
                "",
                "",
                OptionalDouble.of(0.012),
                OptionalDouble.of(100e3),
                rated,
                100,
                Optional.empty(),
                "",
                Arrays.asList(readings));
    }

    private static double figure(Step step, String name) {
        return step.figures().stream()
                .filter(f -> f.name().equals(name))
                .mapToDouble(Figure::value)
                .findFirst()
                .orElseThrow();
    }

    private static Step only(List<Step> steps, Kind kind) {
        List<Step> found = steps.stream().filter(s -> s.kind() == kind).toList();
        assertThat(found).as(kind.name()).hasSize(1);
        return found.get(0);
    }

    /** Rated to 50 kPa: 150 kPa x 12 L x ln 1.5 = 729.84 J, a kilogram from 74.42 m; a cap over the outlet's 63 mm is pushed with 50 kPa x pi/4 x size^2. */
    @Test
    void theWeakestPartSaysHowHard() {
        LeakPlan plan = LeakPlan.of(AIR, record(Side.CHARGE, OptionalDouble.of(50e3)));
        assertThat(plan.test()).isEqualTo(50e3);
        assertThat(plan.energy()).isCloseTo(729.84, within(0.01));
        assertThat(plan.hammer()).isCloseTo(74.42, within(0.01));
        List<Step> caps =
                plan.steps().stream().filter(s -> s.kind() == Kind.LEAK_CAP).toList();
        assertThat(caps).hasSize(2);
        for (Step cap : caps) {
            double size = figure(cap, "size");
            assertThat(figure(cap, "force")).isCloseTo(39269.9 * size * size, within(0.1));
        }
        assertThat(plan.steps())
                .extracting(Step::kind)
                .contains(Kind.LEAK_GUARD)
                .doesNotContain(Kind.LEAK_NO_RATING);
    }

    /** Without a rating it is tried at the boost at the blower and no harder. */
    @Test
    void whatNobodyRatedSeesNoMoreThanItsBoost() {
        PathResult full = new Answer(AIR, "A").steady().path();
        double boost = full.stations().stream()
                        .mapToDouble(s -> s.totalPressure())
                        .max()
                        .orElseThrow()
                - AIR.climate().ambient().pressure();
        LeakPlan plan = LeakPlan.of(AIR, record(Side.CHARGE, OptionalDouble.empty()));
        assertThat(plan.test()).isCloseTo(boost, within(1e-6));
        assertThat(plan.limit()).isCloseTo(boost, within(1e-6));
        assertThat(plan.steps()).extracting(Step::kind).contains(Kind.LEAK_NO_RATING);
        assertThat(LeakPlan.of(AIR, record(Side.CHARGE, OptionalDouble.of(300e3)))
                        .test())
                .as("rated to more than it sees")
                .isCloseTo(boost, within(1e-6));
    }

    /** A worm drive on a plain end holds 0.4 x 0.2 x 2500 = 200 N: with half as much again to spare 133.3 N, over the largest pipe. */
    @Test
    void theJointThatHoldsLeastSaysHowHardToo() {
        BuildOption weak = AIR.option("A")
                .withJoints(new JointsSpec(
                        new Joining(Coupling.HOSE, Clamp.WORM, false, 2500, Optional.empty(), OptionalDouble.empty()),
                        List.of()));
        LeakPlan plan = LeakPlan.of(AIR.withOptions(List.of(weak)), record(Side.CHARGE, OptionalDouble.of(90e3)));
        double largest = Joints.of(AIR, "A").all().stream()
                .mapToDouble(j -> j.seam().pipe().size())
                .max()
                .orElseThrow();
        assertThat(plan.test())
                .isCloseTo(133.333 / (Math.PI / 4 * largest * largest), within(1.0))
                .isLessThan(90e3);
        assertThat(plan.steps())
                .extracting(Step::kind)
                .contains(Kind.LEAK_LIMIT_OF_JOINT)
                .doesNotContain(Kind.LEAK_LIMIT);
    }

    /** The fall told as good is what is judged good: just under it and just over it. */
    @Test
    void theFallToldIsTheFallJudged() {
        Step told = only(
                LeakPlan.of(AIR, record(Side.CHARGE, OptionalDouble.of(50e3))).steps(), Kind.LEAK_FALLS);
        double good = figure(told, "good");
        assertThat(figure(told, "most")).isCloseTo(5 * good, within(1e-6 * good));
        double warm = AIR.climate().temperature();
        for (double times : new double[] {0.93, 1.07}) {
            // In 0.3 s, so that the pressure hardly changes meanwhile.
            double fall = times * good / 60 * 0.3;
            List<Step> steps = LeakPlan.of(
                            AIR,
                            new LeakRecord(
                                    Side.CHARGE,
                                    "A",
                                    Optional.empty(),
                                    "",
                                    "",
                                    OptionalDouble.of(0.012),
                                    OptionalDouble.of(100e3),
                                    OptionalDouble.of(50e3),
                                    1e-3,
                                    Optional.empty(),
                                    "",
                                    List.of(
                                            new Reading(0, 50e3 + fall / 2, warm),
                                            new Reading(0.3, 50e3 - fall / 2, warm))))
                    .steps();
            assertThat(steps).extracting(Step::kind).contains(times < 1 ? Kind.LEAK_GOOD : Kind.LEAK_ACCEPTABLE);
            assertThat(steps).extracting(Step::kind).contains(Kind.LEAK_OVER);
        }
    }

    @Test
    void soapGoesToTheOutletOfTheBlowerFirst() {
        List<Step> soap = LeakPlan.of(AIR, record(Side.CHARGE, OptionalDouble.of(50e3))).steps().stream()
                .filter(s -> s.kind().part() == Part.SOAP)
                .toList();
        assertThat(soap.get(0).of()).isEqualTo("blower");
        assertThat(figure(soap.get(0), "outlet")).isEqualTo(1);
        List<Double> forces = soap.stream()
                .skip(1)
                .filter(s -> s.kind() == Kind.LEAK_SOAP_JOINT)
                .map(s -> figure(s, "force"))
                .toList();
        assertThat(forces).isSortedAccordingTo((a, b) -> Double.compare(b, a));
        assertThat(soap.get(soap.size() - 1).kind()).isEqualTo(Kind.LEAK_SOAP_SEAMS);
    }

    /** 293.15 to 290.15 K: 150 kPa absolute become 148.465, 1.535 kPa of the fall of 1.6. */
    @Test
    void whatTheGaugeMovedByCoolingIsTold() {
        Step cooled = only(
                LeakPlan.of(
                                AIR,
                                record(
                                        Side.CHARGE,
                                        OptionalDouble.of(60e3),
                                        new Reading(0, 50e3, 293.15),
                                        new Reading(300, 48.4e3, 290.15)))
                        .steps(),
                Kind.LEAK_COOLED);
        assertThat(figure(cooled, "shown")).isCloseTo(1600, within(1e-6));
        assertThat(figure(cooled, "cooled")).isCloseTo(1535, within(2.0));
        assertThat(figure(cooled, "warmer")).isZero();
    }

    @Test
    void aSideThatIsNotThereIsRefused() {
        assertThatThrownBy(() -> LeakPlan.of(AIR, record(Side.WATER, OptionalDouble.empty())))
                .isInstanceOf(EnthalpaFault.class)
                .hasMessageContaining("closed loop");
        LeakPlan open = LeakPlan.of(WATER, record(Side.WATER, OptionalDouble.empty()));
        assertThat(open.test()).as("an open tank, plugged").isEqualTo(50e3);
    }

    @Test
    void eachOfTwoLoopsIsTriedByTheNameOfItsCore() {
        Systems s = Systems.water();
        List<PathElement> path = new ArrayList<>(s.path().elements());
        path.add(path.size() - 1, new PathElement.Core("second core", s.core(), Systems.waterLoop(15e-3 / 60, 3e-3)));
        Build two = Benches.build(path);
        assertThat(LeakPlan.of(two, waterOf(Optional.empty())).volume()).isCloseTo(6e-3, within(1e-12));
        assertThat(LeakPlan.of(two, waterOf(Optional.of("core"))).volume()).isCloseTo(6e-3, within(1e-12));
        LeakPlan second = LeakPlan.of(two, waterOf(Optional.of("second core")));
        assertThat(second.volume()).isCloseTo(3e-3, within(1e-12));
        assertThat(only(second.steps(), Kind.LEAK_CAP_LOOP).of()).isEqualTo("second core");
        assertThatThrownBy(() -> LeakPlan.of(two, waterOf(Optional.of("third core"))))
                .isInstanceOf(EnthalpaFault.class)
                .hasMessageContaining("that of third core")
                .hasMessageContaining("that of core or second core");
    }

    private static LeakRecord waterOf(Optional<String> loop) {
        return new LeakRecord(
                Side.WATER,
                "A",
                loop,
                "",
                "",
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                100,
                Optional.empty(),
                "",
                List.of());
    }

    /** 6 L from 15 to at least 80 °C: 999.1 over 971.8 kg/m3 is 1.0281, 0.169 L (IAPWS densities). */
    @Test
    void aLoopGrowsAsItWarms() {
        List<FillSheet.Loop> loops = FillSheet.of(WATER, "A");
        assertThat(loops).hasSize(1);
        Step grows = only(loops.get(0).steps(), Kind.FILL_GROWS);
        assertThat(figure(grows, "hot")).isEqualTo(353.15);
        assertThat(figure(grows, "grows")).isCloseTo(0.169e-3, within(0.003e-3));
        assertThat(FillSheet.of(AIR, "A")).isEmpty();
        assertThat(GlycolWater.WATER.density(288.15) / GlycolWater.WATER.density(353.15))
                .isCloseTo(1.0281, within(5e-4));
    }

    /** Air stays where it is higher than on both sides, round the end of the list too; a level stretch is told once, the tank never. */
    @Test
    void pocketsLowestFirst() {
        assertThat(pockets(0, 300, 100, 200, 100)).containsExactly("p3", "p1");
        assertThat(pockets(300, 100, 200, 200, 100)).containsExactly("p2", "p0");
        assertThat(pockets(100, 100, 100)).isEmpty();
        List<LoopPiece> withTank = List.of(at("a", 100), new LoopPiece.Tank("tank", 0.5), at("b", 200), at("c", 50));
        assertThat(FillSheet.pockets(withTank))
                .extracting(LoopPiece::name)
                .doesNotContain("tank")
                .isEmpty();
    }

    private static List<String> pockets(double... heights) {
        List<LoopPiece> pieces = Stream.iterate(0, i -> i < heights.length, i -> i + 1)
                .map(i -> at("p" + i, heights[i]))
                .toList();
        return FillSheet.pockets(pieces).stream().map(LoopPiece::name).toList();
    }

    private static LoopPiece at(String name, double mm) {
        return new LoopPiece.RadiatorSide(name, mm / 1000);
    }

    @Test
    void everyJointIsListedAndHosesAreTightenedAgain() {
        List<Step> joints = JointSheet.of(AIR, "A");
        long listed =
                joints.stream().filter(s -> s.kind().part() == Part.JOINTS).count();
        long again =
                joints.stream().filter(s -> s.kind() == Kind.JOINT_RETIGHTEN).count();
        assertThat(listed).isEqualTo(again).isPositive();
        Step outlet = only(joints, Kind.JOINT_OUTLET);
        Step held = joints.stream()
                .filter(s -> s.kind() == Kind.JOINT_HELD && s.of().equals("blower"))
                .findFirst()
                .orElseThrow();
        double size = figure(held, "size");
        double boost =
                LeakPlan.of(AIR, record(Side.CHARGE, OptionalDouble.empty())).test();
        assertThat(figure(outlet, "force")).isCloseTo(boost * Math.PI / 4 * size * size, within(0.5));
        assertThat(figure(held, "asked")).isCloseTo(1.5 * figure(held, "force"), within(1e-9));
    }

    @Test
    void theFirstDriveIsToldWhatWasBuilt() {
        List<Step> air = StartSheet.of(AIR, "A");
        List<Step> water = StartSheet.of(WATER, "A");
        assertThat(air).extracting(Step::kind).doesNotContain(Kind.START_PUMP, Kind.START_DRIP, Kind.START_LEVEL);
        assertThat(figure(only(water, Kind.START_PUMP), "flow")).isCloseTo(20e-3 / 60, within(1e-9));
        assertThat(figure(only(air, Kind.START_STOP), "stop")).isEqualTo(340 - 10);
        Answer answer = new Answer(AIR, "A");
        assertThat(figure(only(air, Kind.START_PULL), "worst"))
                .isEqualTo(answer.verdict(answer.soak()).worst());
    }

    /** 6 K for 90 and 3 h: 15 and half an hour each; two standard deviations are sure. */
    @Test
    void whatAChangeCameTo() {
        Step gains = ChangeSheet.of(made(6, 1, OptionalDouble.of(5)));
        assertThat(gains.kind()).isEqualTo(Kind.MADE_COLDER);
        assertThat(figure(gains, "each")).isCloseTo(15, within(1e-12));
        assertThat(figure(gains, "hours")).isCloseTo(0.5, within(1e-12));
        assertThat(figure(gains, "as")).as("1 K off, 2 K sure").isEqualTo(1);
        assertThat(figure(ChangeSheet.of(made(6, 1, OptionalDouble.of(8.5))), "as"))
                .isEqualTo(2);
        assertThat(figure(ChangeSheet.of(made(6, 0.2, OptionalDouble.of(4.5))), "as"))
                .isEqualTo(3);
        assertThat(figure(ChangeSheet.of(made(6, 1, OptionalDouble.empty())), "as"))
                .isZero();
        assertThat(ChangeSheet.of(made(1.9, 1, OptionalDouble.empty())).kind()).isEqualTo(Kind.MADE_NOTHING);
        assertThat(ChangeSheet.of(made(-2.1, 1, OptionalDouble.empty())).kind()).isEqualTo(Kind.MADE_WARMER);
        assertThat(figure(ChangeSheet.of(made(-2.1, 1, OptionalDouble.empty())), "gain"))
                .isEqualTo(2.1);
    }

    private static MadeChange made(double gain, double within, OptionalDouble predicted) {
        return new MadeChange(
                "duct",
                "",
                OptionalDouble.of(90),
                OptionalDouble.of(3),
                predicted,
                "before",
                "after",
                OptionalDouble.of(gain),
                OptionalDouble.of(within));
    }
}
