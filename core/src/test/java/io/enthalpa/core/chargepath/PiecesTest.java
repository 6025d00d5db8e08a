package io.enthalpa.core.chargepath;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import io.enthalpa.core.Cases;
import io.enthalpa.core.Maps;
import io.enthalpa.core.Paths;
import io.enthalpa.core.Systems;
import io.enthalpa.core.chargepath.PathElement.Leg;
import io.enthalpa.core.chargepath.PathElement.Parallel;
import io.enthalpa.core.engine.BlowerSpec;
import io.enthalpa.core.engine.BlowerType;
import io.enthalpa.core.engine.InjectionSpec;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.loss.JointLoss;
import io.enthalpa.core.loss.PipeMaterial;
import io.enthalpa.core.loss.PipeSpec;
import io.enthalpa.core.notes.Note;
import io.enthalpa.core.notes.Notes;
import io.enthalpa.core.place.Spot;
import io.enthalpa.core.steady.ChargeSystem;
import io.enthalpa.core.steady.SteadyResult;
import java.util.List;
import java.util.Optional;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;

/** Every kind of piece in a path: cones, joints, throttles, pairs, two blowers, two banks, several cores, injection, maps. */
class PiecesTest {
    private static final OperatingPoint POINT = Systems.point(5000, 100, 25);

    static LongStream seeds() {
        return Cases.seeds();
    }

    private static SteadyResult solve(PathElement... elements) {
        return new ChargeSystem(Paths.of(elements)).steady(POINT);
    }

    private static void reaches(SteadyResult result) {
        assertThat(result.path().blowerLimited()).isFalse();
        assertThat(result.path().manifoldPressure()).isCloseTo(201325, withinPercentage(1e-5));
        assertThat(result.path().residual()).isLessThan(1e-8);
    }

    @Test
    void jointCostsItsCoefficientTimesTheHead() {
        SteadyResult result = solve(
                Paths.filter(),
                Paths.blower(),
                Paths.pipe("hot", 0.063, 1, 2),
                new PathElement.Joint("joint", 0.063, 0.068, 0.01),
                Paths.plenum());
        reaches(result);
        Station before = result.path().stations().get(3);
        double head = before.density() * before.velocity() * before.velocity() / 2;
        assertThat(result.path().pieces().get(3).loss())
                .isCloseTo(JointLoss.coefficient(0.063, 0.068, 0.01) * head, withinPercentage(0.5));
    }

    /** The same bores without and with a cone between them. */
    @Test
    void coneCostsLessThanTheStepItReplaces() {
        SteadyResult step = solve(
                Paths.filter(),
                Paths.blower(),
                Paths.pipe("narrow", 0.051, 0.5, 1),
                Paths.pipe("wide", 0.076, 0.5, 1),
                Paths.plenum());
        SteadyResult cone = solve(
                Paths.filter(),
                Paths.blower(),
                Paths.pipe("narrow", 0.051, 0.5, 1),
                new PathElement.Reducer("cone", 0.051, 0.076, 0.1),
                Paths.pipe("wide", 0.076, 0.5, 1),
                Paths.plenum());
        assertThat(cone.path().totalLoss()).isLessThan(step.path().totalLoss() - 200);
        assertThat(step.path().pieces().get(3).stepLoss()).isGreaterThan(200);
        assertThat(cone.path().pieces().get(4).stepLoss()).isZero();
    }

    @Test
    void dirtyFilterCostsPressureAndThePriceSaysSo() {
        PathElement.Filter dirty = new PathElement.Filter("filter", 0.076, 1500, 0.2, 3, 3000, 1);
        SteadyResult clean = solve(Paths.filter(), Paths.blower(), Paths.pipe("hot", 0.063, 1, 2), Paths.plenum());
        SteadyResult soiled = solve(dirty, Paths.blower(), Paths.pipe("hot", 0.063, 1, 2), Paths.plenum());
        assertThat(soiled.path().pieces().get(0).loss())
                .isCloseTo(2 * clean.path().pieces().get(0).loss(), withinPercentage(3));
        assertThat(soiled.path().pressureRatio()).isGreaterThan(clean.path().pressureRatio());
    }

    /** Draw-through: the throttle stands in front of the blower, and its loss counts times the pressure ratio. */
    @Test
    void throttleInFrontOfTheBlowerCostsMoreRatioThanBehind() {
        PathElement.Throttle throttle = new PathElement.Throttle("throttle", 0.06, 0.009);
        SteadyResult drawn =
                solve(Paths.filter(), throttle, Paths.blower(), Paths.pipe("hot", 0.063, 1, 2), Paths.plenum());
        SteadyResult blown =
                solve(Paths.filter(), Paths.blower(), Paths.pipe("hot", 0.063, 1, 2), throttle, Paths.plenum());
        assertThat(drawn.path().pressureRatio()).isGreaterThan(blown.path().pressureRatio());
        reaches(drawn);
        reaches(blown);
    }

    @Test
    void twoCoresInSeriesCoolFurtherThanOne() {
        SteadyResult one = solve(Paths.filter(), Paths.blower(), Paths.core("first"), Paths.plenum());
        SteadyResult two = solve(
                Paths.filter(),
                Paths.blower(),
                Paths.core("first"),
                Paths.pipe("between", 0.063, 0.3, 0),
                Paths.core("second"),
                Paths.plenum());
        reaches(two);
        assertThat(two.cores()).hasSize(2);
        assertThat(two.path().intakeTemperature()).isLessThan(one.path().intakeTemperature());
        assertThat(two.cores().get(1).in()).isCloseTo(two.cores().get(0).out(), within(1e-6));
        assertThat(two.core()).isSameAs(two.cores().get(1));
    }

    /** Two equal cores side by side: each with half the flow against its own air cools further than one with all of it. */
    @Test
    void twoCoresInParallelCoolFurtherAndLoseLess() {
        SteadyResult one = solve(Paths.filter(), Paths.blower(), Paths.core("core"), Paths.plenum());
        SteadyResult two = solve(
                Paths.filter(),
                Paths.blower(),
                Paths.pair(Paths.core("left core"), Paths.core("right core")),
                Paths.plenum());
        reaches(two);
        assertThat(two.cores()).hasSize(2);
        assertThat(two.cores().get(0).slot().spot()).isEqualTo(Spot.of(2).leg(0).at(0));
        assertThat(two.path().intakeTemperature()).isLessThan(one.path().intakeTemperature());
        assertThat(two.cores().get(0).flow()).isCloseTo(two.path().flow() / 2, withinPercentage(1e-6));
    }

    @Test
    void injectionCoolsAndItsVapourTakesRoom() {
        InjectionSpec spec = new InjectionSpec(0.5, 0.5 / 60e3, 700e3, 1000e3, 40e3, 90e3, 5e-3, 0.6);
        SteadyResult dry = solve(
                Paths.filter(), Paths.blower(), Paths.core("core"), Paths.pipe("cold", 0.063, 0.5, 1), Paths.plenum());
        SteadyResult wet = solve(
                Paths.filter(),
                Paths.blower(),
                Paths.core("core"),
                Paths.pipe("cold", 0.063, 0.5, 1),
                new PathElement.Injection("nozzle", 0.063, spec),
                Paths.plenum());
        reaches(wet);
        double cooler = dry.path().intakeTemperature() - wet.path().intakeTemperature();
        assertThat(cooler).isBetween(5.0, 40.0);
        double thermal = dry.path().intakeTemperature() / wet.path().intakeTemperature();
        assertThat(wet.path().flow() / dry.path().flow())
                .as("less than temperature alone would give")
                .isLessThan(thermal)
                .isGreaterThan(1);
    }

    @Test
    void mapDecidesEfficiencyAndLimit() {
        PathElement.Blower mapped = new PathElement.Blower(
                "turbo", new BlowerSpec(BlowerType.TURBO, 0.5, 6, 0.063, Optional.of(Maps.turbo())));
        SteadyResult result = solve(Paths.filter(), mapped, Paths.core("core"), Paths.plenum());
        reaches(result);
        PieceResult blower = result.path().pieces().get(1);
        assertThat(blower.map()).isPresent();
        assertThat(blower.map().get().efficiency()).isBetween(0.6, 0.8);
        double out = BlowerSpec.outletTemperature(
                Paths.of(Paths.blower(), Paths.plenum()).ambient().air(),
                result.path().stations().get(1).temperature(),
                result.path().pressureRatio(),
                blower.map().get().efficiency());
        assertThat(result.path().stations().get(2).temperature()).isCloseTo(out, within(0.01));
        ChargeSystem big =
                new ChargeSystem(Paths.of(0.0045, Paths.filter(), mapped, Paths.core("core"), Paths.plenum()));
        SteadyResult choked = big.steady(Systems.point(6500, 160, 25));
        assertThat(choked.path().blowerLimited())
                .as("more air than the map has")
                .isTrue();
        assertThat(choked.path().manifoldPressure()).isLessThan(261e3);
        assertThat(Notes.about(big, choked)).extracting(Note::kind).contains(Note.Kind.BLOWER_LIMITED);
    }

    @Test
    void smallEngineOnABigMapSurges() {
        PathElement.Blower mapped = new PathElement.Blower(
                "turbo", new BlowerSpec(BlowerType.TURBO, 0.5, 6, 0.063, Optional.of(Maps.turbo())));
        ChargeSystem system =
                new ChargeSystem(Paths.of(0.0012, Paths.filter(), mapped, Paths.core("core"), Paths.plenum()));
        SteadyResult result = system.steady(Systems.point(2500, 120, 25));
        assertThat(Notes.about(system, result))
                .extracting(Note::kind)
                .containsAnyOf(Note.Kind.SURGES, Note.Kind.NEAR_SURGE, Note.Kind.BLOWER_LIMITED);
    }

    @Test
    void pricesAddUpToWhatTheWholePathCosts() {
        ChargeSystem system = new ChargeSystem(Paths.of(
                Paths.filter(),
                Paths.blower(),
                Paths.pipe("hot", 0.051, 1.2, 4),
                Paths.core("core"),
                Paths.pair(Paths.pipe("a", 0.045, 0.8, 2), Paths.pipe("b", 0.045, 0.8, 2)),
                Paths.plenum()));
        SteadyResult result = system.steady(POINT, true);
        assertThat(result.prices()).hasSize(8);
        Price hot = result.prices().stream()
                .filter(p -> p.element().name().equals("hot"))
                .findFirst()
                .orElseThrow();
        assertThat(hot.loss()).isCloseTo(result.path().pieces().get(2).loss(), withinPercentage(1e-9));
        assertThat(hot.intake()).isPositive().isLessThan(5);
        assertThat(hot.power()).isPositive();
        assertThat(hot.air()).isCloseTo(hot.loss() / result.path().manifoldPressure(), within(1e-9));
        Price filter = result.prices().get(0);
        assertThat(filter.air())
                .as("in front of the blower it counts times the ratio")
                .isCloseTo(
                        filter.loss()
                                * result.path().pressureRatio()
                                / result.path().manifoldPressure(),
                        withinPercentage(1e-6));
        assertThat(new ChargeSystem(system.path()).steady(POINT).prices())
                .as("only on request")
                .isEmpty();
    }

    @Test
    void fillingCountsWhatStandsBehindTheBlower() {
        SteadyResult result = solve(
                Paths.filter(),
                Paths.pipe("intake", 0.09, 2, 0),
                Paths.blower(),
                Paths.pipe("hot", 0.063, 1, 0),
                Paths.plenum());
        Filling filling = result.path().filling();
        double pipe = Math.PI / 4 * 0.063 * 0.063;
        assertThat(filling.volume()).isCloseTo(pipe + 0.003, withinPercentage(1e-6));
        assertThat(filling.time())
                .isCloseTo(filling.mass() / result.path().flow(), withinPercentage(1e-9))
                .isBetween(0.005, 0.2);
    }

    private static void refused(String words, PathElement... elements) {
        assertThatThrownBy(() -> Paths.of(elements))
                .isInstanceOf(EnthalpaFault.class)
                .hasMessageContaining(words);
    }

    @Test
    void pathsThatCannotBeAreRefused() {
        refused("blowers is 2", Paths.filter(), Paths.blower(), Paths.blower(), Paths.plenum());
        refused("place of the core", Paths.filter(), Paths.core("core"), Paths.blower(), Paths.plenum());
        refused(
                "blowers in the two legs",
                new Parallel(
                        "pair",
                        0,
                        List.of(
                                new Leg("l", List.of(Paths.filter(), Paths.blower())),
                                new Leg("r", List.of(Paths.filter()))),
                        0.3,
                        0.063,
                        Optional.empty()),
                Paths.plenum());
        refused("last piece of the path", Paths.filter(), Paths.blower(), Paths.pipe("x", 0.06, 1, 0));
        refused(
                "none: legs do not part again",
                Paths.blower(),
                Paths.pair(
                        Paths.pair(Paths.pipe("a", 0.05, 1, 0), Paths.pipe("b", 0.05, 1, 0)),
                        Paths.pipe("c", 0.05, 1, 0)),
                Paths.plenum());
    }

    /** 57 mm tube of 1.6 mm wall is 53.8 inside; the next that is sold is 63.5 outside, 60.3 inside, its stock bend 95.25 on the centre line. */
    @Test
    void nextLargerTubeGoesByItsOutsideAndBringsItsStockBends() {
        PipeSpec spec = new PipeSpec(
                PipeMaterial.ALUMINIUM,
                0.0538,
                0.4,
                List.of(PipeSpec.Bend.stock(Math.PI / 2, 0.057), new PipeSpec.Bend(Math.PI / 4, 0.12)));
        PathElement.Pipe larger = new PathElement.Pipe("pipe", spec).larger().orElseThrow();
        assertThat(larger.outside()).isCloseTo(0.0635, within(1e-12));
        assertThat(larger.spec().bore()).isCloseTo(0.0603, within(1e-12));
        assertThat(larger.spec().bends().get(0).radius()).isCloseTo(0.09525, within(1e-12));
        assertThat(larger.spec().bends().get(1).radius())
                .as("one of its own radius keeps it")
                .isEqualTo(0.12);
    }

    @Test
    void nextLargerHoseGoesByItsBore() {
        PipeSpec spec = new PipeSpec(PipeMaterial.SILICONE, 0.063, 0.1, List.of(PipeSpec.Bend.stock(1, 0.063)));
        PathElement.Pipe larger = new PathElement.Pipe("hose", spec).larger().orElseThrow();
        assertThat(larger.spec().bore()).isEqualTo(0.070);
        assertThat(larger.spec().bends().get(0).radius()).isCloseTo(0.105, within(1e-12));
        assertThat(new PathElement.Pipe("largest", spec.withBore(0.127)).larger())
                .isEmpty();
    }
}
