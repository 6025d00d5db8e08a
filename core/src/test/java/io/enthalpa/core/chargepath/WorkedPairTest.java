package io.enthalpa.core.chargepath;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import io.enthalpa.core.Paths;
import io.enthalpa.core.Systems;
import io.enthalpa.core.chargepath.PathElement.Balance;
import io.enthalpa.core.chargepath.PathElement.Leg;
import io.enthalpa.core.chargepath.PathElement.Parallel;
import io.enthalpa.core.engine.BlowerSpec;
import io.enthalpa.core.engine.BlowerType;
import io.enthalpa.core.engine.EngineSpec;
import io.enthalpa.core.engine.InjectionSpec;
import io.enthalpa.core.fluid.HumidAir;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Legs side by side beside a reckoning made from the equations alone, as in {@link WorkedPathTest}: 51 mm by 0.8 m with two bends, and 45 mm by 0.5 m. */
class WorkedPairTest {
    private static final OperatingPoint POINT = Systems.point(5000, 100, 0);
    private static final double R = 287.05;
    private static final PathElement A = Paths.pipe("a", 0.051, 0.8, 2);
    private static final PathElement B = Paths.pipe("b", 0.045, 0.5, 0);

    private static PathResult solve(PathElement... elements) {
        return solve(ChargeCooling.NONE, elements);
    }

    private static PathResult solve(ChargeCooling cooling, PathElement... elements) {
        return new ChargePathSolver(new ChargePath(
                        Ambient.of(300, 101325, 0),
                        new EngineSpec(0.0024, 4, 0.92, 7000 * Systems.RPM),
                        List.of(elements)))
                .solve(POINT, cooling);
    }

    private static PathElement.Filter filter() {
        return new PathElement.Filter("filter", 0.076, 1500, 0.2, 3, 3000, 0);
    }

    private static Parallel pair(List<PathElement> first, List<PathElement> second, Optional<Balance> balance) {
        return new Parallel(
                "pair",
                Math.toRadians(25),
                List.of(new Leg("first", first), new Leg("second", second)),
                Math.toRadians(20),
                0.063,
                balance);
    }

    /**
     * Share of the first v/vc = s (63/51)^2 and (1 - s)(63/45)^2; split 1 + v^2 - 2 v cos 25 on the head of the 63 mm pipe; each leg its own friction and
     * bends; merge 1 + v^2 - 2 (sum of share times v) cos 20. Both meet at one pressure with 0.51441 in the first, which is drawn along by 8.7 Pa.
     */
    @Test
    void splitAndMerge() {
        PathResult result =
                solve(filter(), Paths.blower(), pair(List.of(A), List.of(B), Optional.empty()), Paths.plenum());
        assertThat(result.flow()).isCloseTo(0.162898, withinPercentage(0.05));
        assertThat(result.pressureRatio()).isCloseTo(2.019631, withinPercentage(0.01));
        PieceResult pair = result.pieces().get(2);
        LegResult first = pair.legs().get(0);
        LegResult second = pair.legs().get(1);
        assertThat(first.share()).isCloseTo(0.514414, within(5e-4));
        assertThat(second.share()).isCloseTo(0.485586, within(5e-4));
        assertThat(first.splitLoss()).isCloseTo(148.56, withinPercentage(0.5));
        assertThat(second.splitLoss()).isCloseTo(138.83, withinPercentage(0.5));
        assertThat(first.mergeLoss()).isCloseTo(-8.69, within(1.2));
        assertThat(second.mergeLoss()).isCloseTo(214.31, withinPercentage(0.6));
        assertThat(pair.loss()).isCloseTo(494.15, withinPercentage(0.3));
        assertThat(second.flow()).isCloseTo(0.485586 * 0.162898, withinPercentage(0.1));
    }

    /** A core in one leg only: 330 K and what comes through the other mix by what they carry. */
    @Test
    void coldAndHotLegMix() {
        PathResult result = solve(
                (core, air, flow, inlet) -> 330,
                filter(),
                Paths.blower(),
                pair(List.of(Paths.core("core")), List.of(B), Optional.empty()),
                Paths.plenum());
        PieceResult pair = result.pieces().get(2);
        LegResult cold = pair.legs().get(0);
        LegResult hot = pair.legs().get(1);
        double warm = hot.stations().get(1).temperature();
        assertThat(cold.stations().get(1).temperature()).isEqualTo(330);
        assertThat(warm).isGreaterThan(390);
        // cp 1008 at 330 K and 1013 at 395, from 300 K.
        double enthalpy = cold.share() * 1007.5 * 30 + hot.share() * 1010 * (warm - 300);
        assertThat(result.intakeTemperature()).isCloseTo(300 + enthalpy / 1008.8, within(0.15));
    }

    /** Water sprayed in one leg: x mol for each of dry air make it lighter by (1 + 0.62197 x) / (1 + x); behind the merge as much for all of it. */
    @Test
    void vapourOfOneLegIsInTheWhole() {
        InjectionSpec spec = new InjectionSpec(0, 0.5 / 60e3, 700e3, 1000e3, 40e3, 90e3, 5e-3, 0.6);
        PathResult result = solve(
                filter(),
                Paths.blower(),
                pair(
                        List.of(Paths.pipe("a", 0.051, 0.8, 1), new PathElement.Injection("nozzle", 0.051, spec)),
                        List.of(B),
                        Optional.empty()),
                Paths.plenum());
        LegResult wet = result.pieces().get(2).legs().get(0);
        double light = lightness(wet.stations().get(2));
        double x = (1 - light) / (light - 0.62197);
        assertThat(x).isGreaterThan(0.01);
        double spread = wet.share() * x;
        assertThat(lightness(result.stations().get(4))).isCloseTo((1 + 0.62197 * spread) / (1 + spread), within(2e-5));
    }

    /** @return its density over that of dry air as warm and as pressed */
    private static double lightness(Station at) {
        return at.density() * 287.055 * at.staticTemperature() / at.staticPressure();
    }

    /** Each bank its 51 and 45 mm; the wider one fills a little denser: 0.50011 of the air, 91.3 Pa apart. */
    @Test
    void twoBanks() {
        PathResult result = solve(filter(), Paths.blower(), banks(Optional.empty()));
        PieceResult banks = result.pieces().get(2);
        assertThat(result.flow()).isCloseTo(0.162980, withinPercentage(0.05));
        assertThat(result.pressureRatio()).isCloseTo(2.016864, withinPercentage(0.01));
        assertThat(banks.legs().get(0).share()).isCloseTo(0.500113, within(1e-5));
        assertThat(pressure(banks, 0) - pressure(banks, 1)).isCloseTo(91.336, withinPercentage(2));
        assertThat(banks.legs().get(0).mergeLoss()).isZero();
        // 0.500113 / 0.499887
        Banks told = Banks.of(banks);
        assertThat(told.more()).isEqualTo("first");
        assertThat(told.less()).isEqualTo("second");
        assertThat(told.off()).isCloseTo(4.52e-4, withinPercentage(2));
        assertThat(told.apart()).isCloseTo(91.336, withinPercentage(2));
        assertThat(told.uneven()).isFalse();
    }

    /** 202 kPa and 320 K beside 200 kPa and 325 K: 1.01 x 325 / 320 = 1.0258 of the air. */
    @Test
    void aBankGetsByPressureAndCold() {
        Banks told = Banks.of(new PieceResult(
                banks(Optional.empty()),
                0,
                0,
                0,
                0,
                0,
                0,
                0,
                Optional.empty(),
                List.of(leg("warm", 200e3, 325), leg("cold", 202e3, 320))));
        assertThat(told.more()).isEqualTo("cold");
        assertThat(told.off()).isCloseTo(0.025781, within(1e-6));
        assertThat(told.apart()).isCloseTo(2000, within(1e-6));
        assertThat(told.warmer()).isCloseTo(5, within(1e-9));
        assertThat(told.uneven()).isTrue();
    }

    private static LegResult leg(String name, double pressure, double temperature) {
        Station end = new Station("end", pressure, pressure, temperature, temperature, 2, 0, 0, 0.05);
        return new LegResult(name, 0.5, 0.1, 0, 0, List.of(end), List.of());
    }

    /** Through 30 mm by 300, K 1.5 + 0.02 x 10: 2.22 g/s cross over at 4.73 Pa, and the first leg brings 0.51363. */
    @Test
    void balanceTube() {
        PathResult result = solve(filter(), Paths.blower(), banks(Optional.of(new Balance(0.030, 0.3))));
        PieceResult banks = result.pieces().get(2);
        assertThat(banks.legs().get(0).share()).isCloseTo(0.513626, within(2e-4));
        assertThat(pressure(banks, 0) - pressure(banks, 1)).isCloseTo(4.73, withinPercentage(5));
    }

    private static PathElement banks(Optional<Balance> balance) {
        return pair(
                List.of(A, new PathElement.Plenum("left", 0.051, 0.003)),
                List.of(B, new PathElement.Plenum("right", 0.045, 0.003)),
                balance);
    }

    private static double pressure(PieceResult banks, int leg) {
        List<Station> stations = banks.legs().get(leg).stations();
        return stations.get(stations.size() - 1).totalPressure();
    }

    /** Two blowers of one size into one pipe, the second behind a narrower filter: its ratio stands above by what it loses more. */
    @Test
    void secondBlowerMakesUpForItsFilter() {
        Parallel turbos = pair(
                List.of(filter(), Paths.blower()),
                List.of(new PathElement.Filter("narrow", 0.076, 4500, 0.2, 3, 9000, 0), Paths.blower()),
                Optional.empty());
        PathResult result = solve(turbos, Paths.plenum());
        List<LegResult> legs = result.pieces().get(0).legs();
        assertThat(legs.get(0).share()).isEqualTo(0.5);
        double half = result.flow() / 2 / 0.2;
        double lost = 1500 * half * half * 1.2 * R * 300 / 101325;
        double ratio = result.pressureRatio();
        double second = legs.get(1).stations().get(2).totalPressure()
                / legs.get(1).stations().get(1).totalPressure();
        assertThat(legs.get(1).pieces().get(0).loss()).isCloseTo(3 * lost, withinPercentage(0.1));
        assertThat(second)
                .as("both blow to one pressure")
                .isCloseTo(ratio * (101325 - lost) / (101325 - 3 * lost), withinPercentage(0.01));
        assertThat(result.shaftPower())
                .isCloseTo(
                        legs.stream()
                                .mapToDouble(leg -> leg.pieces().get(1).heat())
                                .sum(),
                        withinPercentage(1e-9));
    }

    /** At their limit the weaker decides: 1.6 behind the narrow filter into one pipe. */
    @Test
    void weakerOfTwoAtItsLimit() {
        PathElement weak = new PathElement.Blower("blower", new BlowerSpec(BlowerType.TURBO, 0.72, 1.6, 0.063));
        Parallel turbos = pair(
                List.of(filter(), weak),
                List.of(new PathElement.Filter("narrow", 0.076, 4500, 0.2, 3, 9000, 0), weak),
                Optional.empty());
        PathResult result = solve(turbos, Paths.plenum());
        assertThat(result.blowerLimited()).isTrue();
        double half = result.flow() / 2 / 0.2;
        double narrow = 4500 * half * half * 1.2 * R * 300 / 101325;
        double blown = 1.6 * (101325 - narrow);
        LegResult second = result.pieces().get(0).legs().get(1);
        assertThat(second.stations().get(2).totalPressure()).isCloseTo(blown, withinPercentage(0.01));
        assertThat(result.stations().get(1).totalPressure())
                .isCloseTo(blown - second.mergeLoss(), withinPercentage(0.01));
        HumidAir dry = Ambient.of(300, 101325, 0).air();
        assertThat(result.flow())
                .isCloseTo(
                        0.92 * 0.0024 * 5000 / 120 * dry.density(result.manifoldPressure(), result.intakeTemperature()),
                        withinPercentage(1e-4));
    }
}
