package io.enthalpa.core.chargepath;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import io.enthalpa.core.Paths;
import io.enthalpa.core.Systems;
import io.enthalpa.core.engine.EngineSpec;
import io.enthalpa.core.fluid.HumidAir;
import io.enthalpa.core.loss.PipeMaterial;
import io.enthalpa.core.loss.PipeSpec;
import io.enthalpa.core.place.Spot;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** One metre of 63 mm alloy tube of 1.6 mm wall, and a plenum: what they hold and meet, with the figures put in beside the program (air of Incropera's table A.4). */
class WorkedWallTest {
    private static final Ambient OUTSIDE = Ambient.of(300, 101325, 0);
    private static final HotNeighbour TURBINE = new HotNeighbour(900, 0.15, 0.06, 0.3, false);

    private static PathWall pipe(boolean inBay, double wrap, HotNeighbour neighbour) {
        return PathWall.of(
                new PathElement.Pipe(
                        "tube",
                        new PipeSpec(PipeMaterial.ALUMINIUM, 0.063, 1, List.of()),
                        new PipeWallSpec(0.0016, inBay, wrap, Optional.ofNullable(neighbour))),
                Spot.of(2));
    }

    private static PathWall plenum() {
        return PathWall.of(
                new PathElement.Plenum("plenum", 0.06, 0.003, Optional.of(new PlenumWallSpec(4, 0.12, 363, 8))),
                Spot.of(3));
    }

    /** pi x 64.6 mm x 1.6 mm x 2700 x 900 = 789.06 J/K; 4 kg of 900 = 3600. */
    @Test
    void whatTheyHold() {
        assertThat(pipe(true, 0, null).capacity()).isCloseTo(789.06, within(0.01));
        assertThat(plenum().capacity()).isCloseTo(3600, within(1e-9));
        assertThat(pipe(true, 0, null).name()).isEqualTo("tube");
        assertThat(plenum().spot()).isEqualTo(Spot.of(3));
    }

    /**
     * 0.15 kg/s at 400 K: Re 131748, Filonenko f/2 0.0021231, Nu 254.58 with (1 + 0.063^(2/3)), 136.58 W/(m2 K), NTU 0.17773: 0.16283 of the way. The plenum
     * as 60 mm of 0.637 m: 0.11532.
     */
    @Test
    void howFarTheChargeComes() {
        assertThat(pipe(true, 0, null).reach(HumidAir.DRY, 0.15, 400)).isCloseTo(0.16283, withinPercentage(0.7));
        assertThat(plenum().reach(HumidAir.DRY, 0.15, 400)).isCloseTo(0.11532, withinPercentage(0.7));
        assertThat(pipe(true, 0, null).reach(HumidAir.DRY, 0, 400)).isZero();
    }

    /** 10 W/(m2 K) on pi x 66.2 mm: 2.0797 W/K; 5 of 30 m/s in the bay, Re 20825, 0.193 Re^0.618 k/D = 35.77 on top: 9.519; 10 mm of wrap of 0.09: 1.5642. */
    @ParameterizedTest
    @CsvSource({"0, 0, 2.07973", "30, 0, 9.51924", "30, 0.01, 1.564195", "0, 0.01, 0.985137"})
    void inTheBay(double road, double wrap, double conductance) {
        PathWall.Meeting met = pipe(true, wrap, null).meets(320, 300, OUTSIDE, 1, road);
        assertThat(met.conductance()).isCloseTo(conductance, withinPercentage(0.5));
        assertThat(met.level()).isEqualTo(300);
    }

    /** In the outside air all of 30 m/s, Re 124948: 108.25 on top of 10, 24.593 W/K; the bay's 330 K are not met. */
    @Test
    void inTheWind() {
        PathWall.Meeting met = pipe(false, 0, null).meets(320, 330, OUTSIDE, 1, 30);
        assertThat(met.conductance()).isCloseTo(24.5932, withinPercentage(0.5));
        assertThat(met.level()).isEqualTo(300);
    }

    /**
     * 900 K, 150 mm wide, 60 off, along 0.3 m: seen atan(75/60)/pi = 0.28522, surfaces 1/0.2 + 1/0.85 - 1 = 5.1765, 19 more behind a sheet; against a wall at
     * 350 K 0.22722 and 0.04865 W/K. Nearer than the tube's own half it is seen as from there: 0.29293.
     */
    @ParameterizedTest
    @CsvSource({"0.06, false, 0.227222", "0.06, true, 0.0486510", "0.02, false, 0.292929"})
    void somethingHotBeside(double distance, boolean shielded, double conductance) {
        HotNeighbour hot = new HotNeighbour(900, 0.15, distance, 0.3, shielded);
        assertThat(hot.conductance(350, 900, 0.0662, 0.2)).isCloseTo(conductance, withinPercentage(0.01));
    }

    /** Between 330 K of bay by 2.0797 and 900 K by 0.22722: 386.14 K; half warm 600 K by 0.089354: 341.12. */
    @ParameterizedTest
    @CsvSource({"1, 2.306957, 386.142", "0.5, 2.169088, 341.122"})
    void betweenBayAndTurbine(double warm, double conductance, double level) {
        PathWall.Meeting met = pipe(true, 0, TURBINE).meets(350, 330, OUTSIDE, warm, 0);
        assertThat(met.conductance()).isCloseTo(conductance, withinPercentage(0.01));
        assertThat(met.level()).isCloseTo(level, within(0.01));
    }

    /** Wrapped, the outside is 86.2 mm and dull, 1.18949 W/K there, through the wrap 0.38145; the air 0.98514: 489.10 K. */
    @Test
    void wrappedBesideTheTurbine() {
        PathWall.Meeting met = pipe(true, 0.01, TURBINE).meets(350, 330, OUTSIDE, 1, 0);
        assertThat(met.conductance()).isCloseTo(1.366590, withinPercentage(0.01));
        assertThat(met.level()).isCloseTo(489.103, within(0.02));
    }

    /** 10 x 0.12 = 1.2 W/K to the bay's 330 K and 8 to the head's 363: 358.70; half warm 331.5: 331.30. */
    @ParameterizedTest
    @CsvSource({"1, 358.6957", "0.5, 331.3043"})
    void plenumOnTheEngine(double warm, double level) {
        PathWall.Meeting met = plenum().meets(350, 330, OUTSIDE, warm, 30);
        assertThat(met.conductance()).isCloseTo(9.2, within(1e-9));
        assertThat(met.level()).isCloseTo(level, within(1e-3));
    }

    /** 45 K standing and 15 at 60 km/h, 240 s: 1 / (1/45 + (1/15 - 1/45) v / 60): 22.5 K at 30 km/h in 120 s, 9 at 120 in 48. */
    @ParameterizedTest
    @CsvSource({"0, 45, 240", "30, 22.5, 120", "60, 15, 80", "120, 9, 48"})
    void bay(double road, double rise, double settles) {
        BaySpec bay = new BaySpec(45, 15, 240);
        assertThat(bay.rise(road / 3.6)).isCloseTo(rise, within(1e-9));
        assertThat(bay.timeConstant(road / 3.6)).isCloseTo(settles, within(1e-9));
    }

    /** Which pieces have walls, and in which order the legs' come; each is asked for by its number. */
    @Test
    void wallsOfAPath() {
        ChargePath path = new ChargePath(
                OUTSIDE,
                new EngineSpec(0.0024, 4, 0.92, 7000 * Systems.RPM),
                List.of(
                        Paths.filter(),
                        Paths.blower(),
                        Paths.pipe("one", 0.063, 1, 0),
                        Paths.pair(Paths.pipe("two", 0.051, 1, 0), Paths.pipe("three", 0.051, 1, 0)),
                        new PathElement.Joint("joint", 0.063, 0.068, 0.01),
                        Paths.plenum().withWall(new PlenumWallSpec(4, 0.12, 363, 8))),
                Optional.of(new BaySpec(45, 15, 240)));
        assertThat(path.walls()).extracting(PathWall::name).containsExactly("one", "two", "three", "plenum");
        assertThat(path.hasCore()).isFalse();
        assertThat(path.bay()).isPresent();
        ChargeCooling byNumber = new ChargeCooling() {
            @Override
            public double outletTemperature(int core, HumidAir air, double flow, double inlet) {
                return inlet;
            }

            @Override
            public double behindWall(int wall, HumidAir air, double flow, double inlet) {
                return inlet - new double[] {8, 4, 2, 1}[wall];
            }
        };
        PathResult result = new ChargePathSolver(path).solve(Systems.point(4000, 80, 0), byNumber);
        double blown = result.stations().get(2).temperature();
        PieceResult pair = result.pieces().get(3);
        assertThat(result.stations().get(3).temperature()).isCloseTo(blown - 8, within(1e-9));
        assertThat(pair.legs().get(0).stations().get(1).temperature()).isCloseTo(blown - 12, within(1e-9));
        assertThat(pair.legs().get(1).stations().get(1).temperature()).isCloseTo(blown - 10, within(1e-9));
        assertThat(result.intakeTemperature())
                .isCloseTo(
                        blown
                                - 8
                                - 4 * pair.legs().get(0).share()
                                - 2 * pair.legs().get(1).share()
                                - 1,
                        within(1e-3));
    }
}
