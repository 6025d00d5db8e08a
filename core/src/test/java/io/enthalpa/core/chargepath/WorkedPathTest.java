package io.enthalpa.core.chargepath;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import io.enthalpa.core.Maps;
import io.enthalpa.core.Paths;
import io.enthalpa.core.Systems;
import io.enthalpa.core.engine.BlowerSpec;
import io.enthalpa.core.engine.BlowerType;
import io.enthalpa.core.engine.EngineSpec;
import io.enthalpa.core.engine.InjectionSpec;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fluid.HumidAir;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A whole line beside a reckoning made from the equations alone: dry air of Incropera's table A.4, pipes walked in a hundred slices, static states by isentropic flow. */
class WorkedPathTest {
    private static final double OUTSIDE = 101325;
    private static final OperatingPoint POINT = Systems.point(5000, 100, 0);
    private static final List<String> NAMES =
            List.of("filter", "blower", "pipe", "throttle", "cone", "joint", "plenum");

    private static PathElement[] line(double mostRatio) {
        return new PathElement[] {
            new PathElement.Filter("filter", 0.076, 1500, 0.2, 3, 3000, 0),
            new PathElement.Blower("blower", new BlowerSpec(BlowerType.TURBO, 0.72, mostRatio, 0.063)),
            Paths.pipe("pipe", 0.063, 1, 2),
            new PathElement.Throttle("throttle", 0.060, 0.009),
            new PathElement.Reducer("cone", 0.060, 0.051, 0.06),
            new PathElement.Joint("joint", 0.051, 0.057, 0.01),
            new PathElement.Plenum("plenum", 0.051, 0.003)
        };
    }

    private static ChargePathSolver solver(PathElement... elements) {
        return solver(Optional.empty(), 1, elements);
    }

    private static ChargePathSolver solver(Optional<BaySpec> bay, double losses, PathElement... elements) {
        return new ChargePathSolver(new ChargePath(
                Ambient.of(300, OUTSIDE, 0),
                new EngineSpec(0.0024, 4, 0.92, 7000 * Systems.RPM),
                List.of(elements),
                bay,
                losses));
    }

    private static PieceResult piece(PathResult result, String name) {
        return result.pieces().get(NAMES.indexOf(name));
    }

    /**
     * 2.4 L at 5000 turns and 0.92 on 201325 Pa. Filter 1500 (m/0.2)^2 1.2/rho; blower 303 K to 370.86 without loss, by 0.72; the pipe's K
     * 0.01684 (1/0.063) + 2 x 0.21545 = 0.6982; step 63 to 60 0.03279; throttle 0.24662; cone 8.6 degrees 0.016603; joint 0.066792; Borda.
     */
    @Test
    void lineFromFilterToPlenum() {
        ChargePathSolver solver = solver(line(4));
        PathResult result = solver.solve(POINT, ChargeCooling.NONE);
        assertThat(result.flow()).isCloseTo(0.162471, withinPercentage(0.05));
        assertThat(result.pressureRatio()).isCloseTo(2.03410, withinPercentage(0.01));
        assertThat(result.intakeTemperature()).isCloseTo(397.147, within(0.15));
        assertThat(result.shaftPower()).isCloseTo(15445, withinPercentage(0.2));
        assertThat(piece(result, "filter").loss()).isCloseTo(1009.55, withinPercentage(0.1));
        assertThat(piece(result, "pipe").loss()).isCloseTo(531.96, withinPercentage(0.3));
        assertThat(piece(result, "throttle").stepLoss()).isCloseTo(30.427, withinPercentage(0.3));
        assertThat(piece(result, "throttle").loss()).isCloseTo(30.427 + 228.98, withinPercentage(0.3));
        assertThat(piece(result, "cone").loss()).isCloseTo(29.64, withinPercentage(0.3));
        assertThat(piece(result, "joint").loss()).isCloseTo(119.29, withinPercentage(0.3));
        assertThat(piece(result, "plenum").loss()).isCloseTo(1786.5, withinPercentage(0.3));
        assertThat(piece(result, "joint").mach()).isCloseTo(0.11279, withinPercentage(0.3));
        assertThat(result.stations().get(2).totalPressure()).isCloseTo(204052, withinPercentage(0.01));
    }

    /** What the solver says without building the answer is the answer. */
    @Test
    void whatIsReadWithoutTheAnswer() {
        ChargePathSolver solver = solver(line(4));
        PathResult result = solver.solve(POINT, ChargeCooling.NONE);
        assertThat(solver.flow()).isEqualTo(result.flow());
        assertThat(solver.blowerFlow()).as("kg/s, without a map").isCloseTo(0.162471, withinPercentage(0.05));
        assertThat(solver.blowerRatio()).isEqualTo(result.pressureRatio()).isEqualTo(solver.pressureRatio());
        assertThat(solver.blowerLimited()).isFalse();
        assertThat(solver.intakeTemperature()).isEqualTo(result.intakeTemperature());
        assertThat(solver.manifoldPressure()).isCloseTo(201325, within(0.01));
        assertThat(solver.sprayFlow()).isZero();
        assertThat(solver.loss())
                .isCloseTo(1009.55 + 531.96 + 30.43 + 228.98 + 29.64 + 119.29 + 1786.5, withinPercentage(0.3));
        assertThat(solver.stationNames())
                .containsExactly(
                        "filter out", "blower out", "pipe out", "throttle out", "cone out", "joint out", "plenum");
        for (int i = 0; i < NAMES.size(); i++) {
            Station behind = result.stations().get(i + 1);
            assertThat(solver.pressureBehind(i)).isEqualTo(behind.totalPressure());
            assertThat(solver.temperatureBehind(i)).isEqualTo(behind.temperature());
        }
    }

    /** The blower's own limit of 1.8: pressure and flow meet at 178296 Pa and 0.15054 kg/s. */
    @Test
    void blowerAtItsLimit() {
        PathResult result = solver(line(1.8)).solve(POINT, ChargeCooling.NONE);
        assertThat(result.blowerLimited()).isTrue();
        assertThat(result.pressureRatio()).isEqualTo(1.8);
        assertThat(result.manifoldPressure()).isCloseTo(178296, withinPercentage(0.01));
        assertThat(result.flow()).isCloseTo(0.150536, withinPercentage(0.05));
        assertThat(result.intakeTemperature()).isCloseTo(379.605, within(0.15));
    }

    /** 61325 Pa at the filter's 303 K: 0.92 x 0.0024 x 5000/120 x 61325 / (287.05 x 303) = 0.064867; the throttle takes what is left of 101325. */
    @Test
    void closedThrottle() {
        ChargePathSolver solver = solver(line(4));
        PathResult result = solver.solve(Systems.point(5000, -40, 0), ChargeCooling.NONE);
        assertThat(result.flow()).isCloseTo(0.0648672, withinPercentage(0.02));
        assertThat(result.pressureRatio()).isEqualTo(1);
        double lost = result.pieces().stream().mapToDouble(PieceResult::loss).sum();
        assertThat(result.throttleLoss()).isCloseTo(OUTSIDE - 61325 - lost, within(0.1));
        assertThat(solver.loss()).isCloseTo(40000, within(0.1));
        assertThat(solver.pressureBehind(6)).isCloseTo(61325, within(0.1));
        assertThat(solver.pressureBehind(5)).isGreaterThan(95e3);
    }

    /** The pipe free of loss: 2.028858 and 396.771 K with 15397 W instead of 15445. */
    @Test
    void priceOfAPipe() {
        ChargePathSolver solver = solver(line(4));
        solver.advance(POINT, ChargeCooling.NONE);
        Price pipe = solver.prices().get(2);
        assertThat(pipe.loss()).isCloseTo(531.96, withinPercentage(0.3));
        assertThat(pipe.intake()).isCloseTo(0.3763, withinPercentage(1));
        assertThat(pipe.power()).isCloseTo(47.4, withinPercentage(1));
        assertThat(pipe.air()).isCloseTo(531.96 / 201325, withinPercentage(0.3));
        assertThat(solver.prices().get(0).air())
                .as("in front of the blower")
                .isCloseTo(1009.55 * 2.0341 / 201325, withinPercentage(0.3));
        assertThat(solver.intakeTemperature()).as("as it was").isCloseTo(397.147, within(0.15));
    }

    /** At the limit nothing is made up for: the price is air alone. */
    @Test
    void priceAtTheLimit() {
        ChargePathSolver solver = solver(line(1.8));
        solver.advance(POINT, ChargeCooling.NONE);
        Price filter = solver.prices().get(0);
        assertThat(filter.intake()).isZero();
        assertThat(filter.air()).isCloseTo(filter.loss() * 1.8 / 178296, withinPercentage(0.1));
    }

    /** Pipe 31.172 cm2 by 1 m and two quarter bends of 94.5 mm; cone 145.47, joint 25.52, plenum 3000 cm3; their air over what they hold of outside air. */
    @Test
    void whatStandsBehindTheBlower() {
        PathResult result = solver(line(4)).solve(POINT, ChargeCooling.NONE);
        assertThat(piece(result, "pipe").volume()).isCloseTo(4.0427e-3, withinPercentage(0.01));
        assertThat(piece(result, "cone").volume()).isCloseTo(1.45471e-4, withinPercentage(0.01));
        assertThat(piece(result, "joint").volume()).isCloseTo(2.55176e-5, withinPercentage(0.01));
        assertThat(result.filling().volume()).isCloseTo(7.21368e-3, withinPercentage(0.01));
        double there = 203e3 / (287.05 * 397.15);
        assertThat(result.filling().mass())
                .isCloseTo(7.21368e-3 * (there - OUTSIDE / (287.05 * 300)), withinPercentage(1.5));
        assertThat(result.filling().time()).isCloseTo(result.filling().mass() / 0.162471, withinPercentage(0.1));
    }

    /** Half dirty: (1500 + 3000) / 2; a third of 30 K of the bay on top of its own 3 K. */
    @Test
    void filterInTheBay() {
        PathElement[] line = line(4);
        line[0] = new PathElement.Filter("filter", 0.076, 1500, 0.2, 3, 3000, 0.5).withBayShare(1 / 3.0);
        ChargePathSolver solver = solver(line);
        solver.bayAir(330);
        PathResult result = solver.solve(POINT, ChargeCooling.NONE);
        assertThat(result.stations().get(1).temperature()).isCloseTo(313, within(1e-9));
        double share = result.flow() / 0.2;
        assertThat(result.pieces().get(0).loss())
                .isCloseTo(2250 * share * share * 1.2 * 287.05 * 300 / OUTSIDE, withinPercentage(0.05));
        line[0] = ((PathElement.Filter) line[0]).withHeatGain(8);
        solver = solver(line);
        solver.bayAir(330);
        assertThat(solver.solve(POINT, ChargeCooling.NONE).stations().get(1).temperature())
                .isCloseTo(318, within(1e-9));
    }

    /** 50 m/s in air of 300 K meet OUTSIDE / (287.05 x 300) x 1250 Pa; a scoop keeps half of it, a filter beside it nothing. */
    @Test
    void aScoopKeepsSomeOfWhatItMeets() {
        OperatingPoint fast = new OperatingPoint(POINT.speed(), POINT.boost(), 50);
        double met = OUTSIDE / (287.05 * 300) * 1250;
        PathElement[] line = line(4);
        PathResult beside = solver(line).solve(fast, ChargeCooling.NONE);
        PathElement.Filter filter = (PathElement.Filter) line[0];
        line[0] = filter.withIntake(Intake.of(Intake.From.SCOOP, OptionalDouble.empty()));
        PathResult scooped = solver(line).solve(fast, ChargeCooling.NONE);
        assertThat(gained(scooped)).isCloseTo(met / 2, withinPercentage(0.1));
        assertThat(gained(beside)).isCloseTo(0, within(1.0));
        assertThat(scooped.pressureRatio()).isLessThan(beside.pressureRatio());
        // Standing there is nothing to meet.
        OperatingPoint still = new OperatingPoint(POINT.speed(), POINT.boost(), 0);
        assertThat(solver(line)
                        .solve(still, ChargeCooling.NONE)
                        .stations()
                        .get(1)
                        .totalPressure())
                .isCloseTo(beside.stations().get(1).totalPressure(), within(1e-6));
        line[0] = filter.withIntake(Intake.of(Intake.From.SCOOP, OptionalDouble.of(0.9)));
        assertThat(gained(solver(line).solve(fast, ChargeCooling.NONE))).isCloseTo(0.9 * met, withinPercentage(0.1));
    }

    /** @return Pa behind the filter more than the outside less the filter's own loss of 1500 Pa at 0.2 kg/s */
    private static double gained(PathResult result) {
        double share = result.flow() / 0.2;
        double loss = 1500 * share * share * 1.2 * 287.05 * 300 / OUTSIDE;
        return result.stations().get(1).totalPressure() + loss - OUTSIDE;
    }

    /** A tenth more of every loss that is a formula's: not the filter, whose loss was read, and not the jet into the plenum. */
    @Test
    void lossesAsTheBandMovesThem() {
        PathResult plain = solver(line(4)).solve(POINT, ChargeCooling.NONE);
        PathResult more = solver(Optional.empty(), 1.1, line(4)).solve(POINT, ChargeCooling.NONE);
        for (String name : List.of("pipe", "cone", "joint")) {
            assertThat(piece(more, name).loss())
                    .isCloseTo(1.1 * piece(plain, name).loss(), withinPercentage(0.2));
        }
        for (String name : List.of("filter", "plenum")) {
            assertThat(piece(more, name).loss()).isCloseTo(piece(plain, name).loss(), withinPercentage(0.2));
        }
    }

    /** 340 K behind a core, 0.4 g/s of water out of the charge there: less vapour behind it, and its loss by its own model with the thinning on the way. */
    @Test
    void coreInALine() {
        PathElement.Core core = Paths.core("core");
        ChargePath path = new ChargePath(
                Ambient.of(300, OUTSIDE, 0.9),
                new EngineSpec(0.0024, 4, 0.92, 7000 * Systems.RPM),
                List.of(Paths.filter(), Paths.blower(), core, Paths.plenum()),
                Optional.empty(),
                1.2);
        ChargeCooling cooling = new ChargeCooling() {
            @Override
            public double outletTemperature(int number, HumidAir air, double flow, double inlet) {
                return 340;
            }

            @Override
            public double condensed(int number) {
                return 0.4e-3;
            }
        };
        PathResult result = new ChargePathSolver(path).solve(POINT, cooling);
        HumidAir air = path.ambient().air();
        double m = result.flow();
        Station in = result.stations().get(2);
        assertThat(result.intakeTemperature()).isEqualTo(340);
        double loss = 1.2
                * path.cores()
                        .get(0)
                        .cooler()
                        .model()
                        .loss(
                                m,
                                air.density(in.totalPressure(), in.temperature()),
                                air.density(in.totalPressure(), 340),
                                (in.temperature() + 340) / 2);
        assertThat(result.pieces().get(2).loss() - result.pieces().get(2).stepLoss())
                .isCloseTo(loss * (1 + loss / in.totalPressure() / 2), withinPercentage(0.01));
        double dry = m / air.massPerDryMole();
        double left = air.water() - 0.4e-3 / 18.01528e-3 / dry;
        HumidAir behind = air.carrying(left, 0);
        double breathed = path.engine().airDemand(behind, 201325, 340, POINT.speed());
        assertThat(m)
                .as("dry air in what the cylinders hold, with the vapour it had outside")
                .isCloseTo(breathed * air.massPerDryMole() / behind.massPerDryMole(), withinPercentage(1e-4));
        assertThat(result.stations().get(4).density()).isCloseTo(behind.density(201325, 340), withinPercentage(1e-6));
    }

    /** Two nozzles: each sprays by the boost that stands there; m3/s of both together. */
    @Test
    void spraysTogether() {
        InjectionSpec spec = new InjectionSpec(0.5, 0.5 / 60e3, 700e3, 1000e3, 40e3, 90e3, 5e-3, 0.6);
        ChargePathSolver solver = solver(
                Paths.filter(),
                Paths.blower(),
                new PathElement.Injection("one", 0.063, spec),
                new PathElement.Injection("two", 0.063, spec),
                Paths.plenum());
        PathResult result = solver.solve(POINT, ChargeCooling.NONE);
        assertThat(solver.sprayFlow()).isCloseTo(2 * spec.flow(100e3), withinPercentage(1e-4));
        assertThat(spec.flow(100e3)).isPositive();
        assertThat(result.stations().get(4).temperature())
                .isLessThan(result.stations().get(3).temperature() - 2);
    }

    /** kg/s corrected to the map's own inlet. */
    @Test
    void blowerOfAMap() {
        PathElement mapped = new PathElement.Blower(
                "turbo", new BlowerSpec(BlowerType.TURBO, 0.5, 6, 0.063, Optional.of(Maps.turbo())));
        ChargePathSolver solver = solver(Paths.filter(), mapped, Paths.plenum());
        PathResult result = solver.solve(POINT, ChargeCooling.NONE);
        double inlet = result.stations().get(1).totalPressure();
        assertThat(solver.blowerFlow())
                .isCloseTo(Maps.turbo().corrected(result.flow(), 303, inlet), withinPercentage(1e-6));
        assertThat(result.pieces().get(1).map().orElseThrow().flow()).isEqualTo(solver.blowerFlow());
    }

    /** What a duty's step finds from the answer before is what is found from nothing. */
    @Test
    void answersDoNotHangOnTheOneBefore() {
        ChargePathSolver one = solver(line(4));
        for (double boost : List.of(20.0, 60.0, 61.0, 61.5, -40.0, 62.0, 120.0, -60.0, 100.0)) {
            OperatingPoint point = Systems.point(2000 + 30 * boost, boost, 0);
            PathResult follows = one.solve(point, ChargeCooling.NONE);
            PathResult fresh = solver(line(4)).solve(point, ChargeCooling.NONE);
            assertThat(follows.flow()).isCloseTo(fresh.flow(), withinPercentage(2e-6));
            assertThat(follows.intakeTemperature()).isCloseTo(fresh.intakeTemperature(), within(1e-5));
            assertThat(follows.iterations()).isLessThan(fresh.throttleLoss() > 0 ? 200 : 12);
        }
    }

    /** What has no answer for its size names the piece in which the air chokes. */
    @ParameterizedTest
    @CsvSource({"pipe, 0.010", "joint, 0.010", "cone, 0.010", "throttle, 0.022"})
    void chokesByName(String narrow, double bore) {
        List<PathElement> line = new ArrayList<>(Arrays.asList(line(4)));
        int at = NAMES.indexOf(narrow);
        PathElement piece = switch (narrow) {
            case "pipe" -> Paths.pipe("pipe", bore, 0.5, 0);
            case "joint" -> new PathElement.Joint("joint", bore, 1.2 * bore, 0.01);
            case "cone" -> new PathElement.Reducer("cone", 0.06, bore, 0.1);
            default -> new PathElement.Throttle("throttle", bore, 0.009);
        };
        line.set(at, piece);
        ChargePathSolver solver = solver(line.toArray(new PathElement[0]));
        assertThatThrownBy(() -> solver.solve(POINT, ChargeCooling.NONE))
                .isInstanceOf(EnthalpaFault.class)
                .hasMessageContaining("get through the " + narrow);
    }
}
