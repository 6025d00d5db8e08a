package io.enthalpa.core.chargepath;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import io.enthalpa.core.Cases;
import io.enthalpa.core.Maps;
import io.enthalpa.core.Paths;
import io.enthalpa.core.Systems;
import io.enthalpa.core.chargepath.PathElement.Balance;
import io.enthalpa.core.chargepath.PathElement.Leg;
import io.enthalpa.core.chargepath.PathElement.Parallel;
import io.enthalpa.core.engine.BlowerSpec;
import io.enthalpa.core.engine.BlowerType;
import io.enthalpa.core.engine.InjectionSpec;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.loss.JointLoss;
import io.enthalpa.core.notes.Note;
import io.enthalpa.core.notes.Notes;
import io.enthalpa.core.place.Spot;
import io.enthalpa.core.steady.ChargeSystem;
import io.enthalpa.core.steady.SteadyResult;
import java.util.List;
import java.util.Optional;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

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
    void equalLegsShareEqually() {
        SteadyResult result = solve(
                Paths.filter(),
                Paths.blower(),
                Paths.pair(Paths.pipe("a", 0.051, 0.8, 2), Paths.pipe("b", 0.051, 0.8, 2)),
                Paths.plenum());
        reaches(result);
        List<LegResult> legs = result.path().pieces().get(2).legs();
        assertThat(legs.get(0).share()).isEqualTo(0.5);
        assertThat(legs.get(0).flow() + legs.get(1).flow())
                .isCloseTo(result.path().flow(), withinPercentage(1e-9));
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void unequalLegsMeetAtOnePressure(long seed) {
        Cases cases = Cases.of(seed);
        PathElement one = Paths.pipe("a", cases.between(0.038, 0.063), cases.between(0.2, 1.5), cases.between(0, 4));
        PathElement two = Paths.pipe("b", cases.between(0.038, 0.063), cases.between(0.2, 1.5), cases.between(0, 4));
        SteadyResult result = solve(Paths.filter(), Paths.blower(), Paths.pair(one, two), Paths.plenum());
        reaches(result);
        List<LegResult> legs = result.path().pieces().get(2).legs();
        double before = result.path().stations().get(2).totalPressure();
        double after = result.path().stations().get(3).totalPressure();
        for (LegResult leg : legs) {
            assertThat(before - leg.loss()).isCloseTo(after, withinPercentage(1e-5));
            assertThat(leg.share()).isBetween(0.0, 1.0);
        }
        assertThat(result.path().pieces().get(2).lossWithoutBlower())
                .isCloseTo(before - after, withinPercentage(0.01))
                .isPositive();
    }

    /** TF-14, common practice, no source: two 38 mm tubes have half the area of one 76 mm; two 76 mm have 1.125 times that of one 102 mm. */
    @Test
    void twoSmallTubesForOneBigOne() {
        assertThat(2 * Math.pow(38.1 / 76.2, 2)).isCloseTo(0.5, within(1e-9));
        assertThat(2 * Math.pow(76.2 / 101.6, 2)).isCloseTo(1.125, within(1e-9));
        SteadyResult one = solve(Paths.filter(), Paths.blower(), Paths.pipe("one", 0.076, 0.6, 0), Paths.plenum());
        ChargeSystem system = new ChargeSystem(Paths.of(
                Paths.filter(),
                Paths.blower(),
                Paths.pipe("in", 0.076, 0.1, 0),
                new Parallel(
                        "pair",
                        0.4,
                        List.of(
                                new Leg("upper", List.of(Paths.pipe("a", 0.038, 0.6, 0))),
                                new Leg("lower", List.of(Paths.pipe("b", 0.038, 0.6, 0)))),
                        0.3,
                        0.076,
                        Optional.empty()),
                Paths.plenum()));
        SteadyResult two = system.steady(POINT);
        assertThat(two.path().pieces().get(3).lossWithoutBlower())
                .isGreaterThan(3
                        * (one.path().pieces().get(2).loss()
                                - one.path().pieces().get(2).stepLoss()));
        assertThat(Notes.about(system, two)).extracting(Note::kind).contains(Note.Kind.PAIR_TOO_SMALL);
    }

    /** Two turbos, each with its own filter, into one core. */
    @Test
    void twoBlowersEachDrawHalf() {
        Parallel turbos = new Parallel(
                "turbos",
                0,
                List.of(
                        new Leg("left", List.of(Paths.filter(), Paths.blower(), Paths.pipe("a", 0.051, 0.5, 1))),
                        new Leg("right", List.of(Paths.filter(), Paths.blower(), Paths.pipe("b", 0.051, 0.5, 2)))),
                0.3,
                0.063,
                Optional.empty());
        SteadyResult result = solve(turbos, Paths.core("core"), Paths.pipe("cold", 0.063, 0.5, 1), Paths.plenum());
        reaches(result);
        List<LegResult> sides = result.path().pieces().get(0).legs();
        assertThat(sides.get(0).share()).isEqualTo(0.5);
        assertThat(-sides.get(1).pieces().get(1).loss())
                .as("one bend more: its blower makes a little more")
                .isGreaterThan(-sides.get(0).pieces().get(1).loss());
        for (LegResult side : sides) {
            Station end = side.stations().get(side.stations().size() - 1);
            assertThat(end.totalPressure() - side.mergeLoss())
                    .isCloseTo(result.path().stations().get(1).totalPressure(), withinPercentage(1e-6));
        }
        double power = result.path().pieces().get(0).legs().stream()
                .flatMap(l -> l.pieces().stream())
                .filter(p -> p.element() instanceof PathElement.Blower)
                .mapToDouble(PieceResult::heat)
                .sum();
        assertThat(result.path().shaftPower()).isCloseTo(power, withinPercentage(1e-9));
        SteadyResult single = solve(
                Paths.filter(),
                Paths.blower(),
                Paths.pipe("a", 0.063, 0.5, 1),
                Paths.core("core"),
                Paths.pipe("cold", 0.063, 0.5, 1),
                Paths.plenum());
        assertThat(result.path().intakeTemperature()).isCloseTo(single.path().intakeTemperature(), within(5.0));
    }

    /** Each works on its own map at half the flow; every piece's price can be looked for. */
    @Test
    void twoMappedBlowersHaveTheirPrices() {
        PathElement mapped = new PathElement.Blower(
                "turbo", new BlowerSpec(BlowerType.TURBO, 0.5, 6, 0.063, Optional.of(Maps.turbo())));
        Parallel turbos = new Parallel(
                "turbos",
                0,
                List.of(
                        new Leg("left", List.of(Paths.filter(), mapped)),
                        new Leg("right", List.of(Paths.filter(), mapped))),
                0.3,
                0.063,
                Optional.empty());
        ChargeSystem system = new ChargeSystem(Paths.of(0.0045, turbos, Paths.core("core"), Paths.plenum()));
        SteadyResult result = system.steady(POINT, true);
        reaches(result);
        assertThat(result.prices())
                .hasSize(7)
                .allSatisfy(price -> assertThat(price.air()).isGreaterThanOrEqualTo(-1e-12));
        double corrected = Maps.turbo().corrected(result.path().flow() / 2, 303, 100e3);
        assertThat(result.path()
                        .pieces()
                        .get(0)
                        .legs()
                        .get(1)
                        .pieces()
                        .get(1)
                        .map()
                        .orElseThrow()
                        .flow())
                .isCloseTo(corrected, withinPercentage(4));
    }

    private static Parallel banks(double secondBore, Optional<Balance> balance) {
        return new Parallel(
                "banks",
                0.4,
                List.of(
                        new Leg("left bank", List.of(Paths.pipe("a", 0.051, 0.6, 2), Paths.plenum())),
                        new Leg("right bank", List.of(Paths.pipe("b", secondBore, 0.9, 3), Paths.plenum()))),
                0,
                0.063,
                balance);
    }

    @Test
    void banksDrawByTheirOwnPressureAndABalanceTubeEvensThem() {
        SteadyResult alone = solve(Paths.filter(), Paths.blower(), Paths.core("core"), banks(0.045, Optional.empty()));
        SteadyResult tied = solve(
                Paths.filter(), Paths.blower(), Paths.core("core"), banks(0.045, Optional.of(new Balance(0.045, 0.3))));
        reaches(alone);
        reaches(tied);
        assertThat(difference(alone)).isGreaterThan(2 * difference(tied));
        double left = pressure(alone, 0);
        double share = alone.path().pieces().get(3).legs().get(0).share();
        assertThat(share / (1 - share))
                .as("without a tube each bank gets what its own density asks for")
                .isCloseTo(left / pressure(alone, 1), withinPercentage(0.01));
    }

    private static double pressure(SteadyResult result, int leg) {
        List<Station> stations = result.path().pieces().get(3).legs().get(leg).stations();
        return stations.get(stations.size() - 1).totalPressure();
    }

    private static double difference(SteadyResult result) {
        return Math.abs(pressure(result, 0) - pressure(result, 1));
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

    /** Two turbos into one core with two outlets, one for each bank: two pairs in one path. */
    @Test
    void twoBlowersAndTwoBanksTogether() {
        Parallel turbos = new Parallel(
                "turbos",
                0,
                List.of(
                        new Leg("left", List.of(Paths.filter(), Paths.blower())),
                        new Leg("right", List.of(Paths.filter(), Paths.blower()))),
                0.3,
                0.063,
                Optional.empty());
        SteadyResult result = solve(turbos, Paths.core("core"), banks(0.051, Optional.empty()));
        reaches(result);
        assertThat(result.path().pieces().get(0).legs().get(0).share()).isCloseTo(0.5, within(1e-6));
        assertThat(result.path().pieces().get(2).legs().get(0).share())
                .as("the shorter bank breathes a little easier")
                .isBetween(0.5, 0.52);
        assertThat(result.path().filling().volume()).isGreaterThan(2 * 0.003);
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
}
