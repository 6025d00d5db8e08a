package io.enthalpa.core.chargepath;

import static org.assertj.core.api.Assertions.assertThat;
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
import io.enthalpa.core.notes.Note;
import io.enthalpa.core.notes.Notes;
import io.enthalpa.core.steady.ChargeSystem;
import io.enthalpa.core.steady.SteadyResult;
import java.util.List;
import java.util.Optional;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Pipes, blowers and banks side by side. */
class PairsTest {
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
}
