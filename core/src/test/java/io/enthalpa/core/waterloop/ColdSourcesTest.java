package io.enthalpa.core.waterloop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import io.enthalpa.core.Cases;
import io.enthalpa.core.Loops;
import io.enthalpa.core.Systems;
import io.enthalpa.core.chargepath.OperatingPoint;
import io.enthalpa.core.coolingair.FaceAirSpec;
import io.enthalpa.core.exchanger.CoreSize;
import io.enthalpa.core.exchanger.FaceAir;
import io.enthalpa.core.exchanger.FinSpec;
import io.enthalpa.core.fluid.GlycolWater;
import io.enthalpa.core.fluid.HumidAir;
import io.enthalpa.core.fluid.Water;
import io.enthalpa.core.steady.LoopResult;
import io.enthalpa.core.steady.SteadyResult;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;

/** Radiator, ice, chiller and raw water: each alone against its closed form, and round a core held steady. */
class ColdSourcesTest {
    private static final OperatingPoint POINT = Systems.point(4000, 120, 20);

    static LongStream seeds() {
        return Cases.seeds();
    }

    private static LoopResult loop(Loops loops) {
        return loops.systems().system().steady(POINT).loops().get(0);
    }

    private static TankSpec ice(double kg) {
        return new TankSpec(40e-3, false, OptionalDouble.empty(), new IceSpec(kg, 0.03, IceSpec.Stir.RETURNED), false);
    }

    /** Whatever takes it, the charge's heat goes somewhere: radiator, ice, chiller, or into warming the water. */
    @ParameterizedTest
    @MethodSource("seeds")
    void heatOfTheChargeGoesSomewhere(long seed) {
        Cases c = Cases.of(seed);
        Loops loops = new Loops();
        loops.coolant = new GlycolWater(c.between(0.0, 0.5));
        loops.hose = c.between(0.012, 0.025);
        boolean radiator = c.between(0, 3) > 0;
        loops.radiator = radiator ? Optional.of(Systems.radiator()) : Optional.empty();
        boolean ice = c.between(0, 1) > 0;
        loops.tank = Optional.of(ice ? ice(c.between(2.0, 30.0)) : TankSpec.PLAIN);
        loops.chiller = c.between(0, 1) > 0
                ? Optional.of(new ChillerSpec(c.between(2e3, 8e3), 278.15, c.between(0, 1) > 0 ? 20e3 : 500e3, false))
                : Optional.empty();
        LoopResult r = loop(loops);
        double capacity = loops.volume * loops.coolant.density(r.waterIn()) * loops.coolant.heatCapacity(r.waterIn());
        assertThat(r.radiator() + r.ice() + r.chiller() + r.rise() * capacity)
                .isCloseTo(r.heat(), withinPercentage(0.5));
        assertThat(r.waterOut()).isGreaterThan(r.waterIn());
        assertThat(r.heat()).isPositive();
    }

    @Test
    void iceHoldsTheWaterNearZeroAndSaysHowLong() {
        Loops loops = new Loops();
        loops.radiator = Optional.empty();
        loops.tank = Optional.of(ice(30));
        LoopResult cold = loop(loops);
        assertThat(cold.waterIn() - 273.15).isBetween(0.5, 12.0);
        // Each kilogram takes its latent heat and what warms it afterwards.
        double each = 334e3 + 4210 * (cold.waterIn() - 273.15);
        assertThat(cold.iceLasts()).isCloseTo(30 * each / cold.heat(), withinPercentage(0.5));
        loops.tank = Optional.of(
                new TankSpec(40e-3, false, OptionalDouble.empty(), new IceSpec(30, 0.09, IceSpec.Stir.STILL), false));
        assertThat(loop(loops).waterIn()).as("big still blocks melt slower").isGreaterThan(cold.waterIn() + 2);
    }

    @ParameterizedTest
    @EnumSource(IceSpec.Stir.class)
    void iceTakesLessAsItShrinks(IceSpec.Stir stir) {
        IceSpec ice = new IceSpec(8, 0.04, stir);
        assertThat(ice.conductance(1) / ice.conductance(8))
                .as("surface as mass to two thirds")
                .isCloseTo(0.25, within(1e-9));
        assertThat(ice.conductance(0)).isZero();
    }

    /** Closed form of the pull-down against the same law stepped finely. */
    @Test
    void chillerPullsTheTankDownInTheTimeItSays() {
        ChillerSpec chiller = new ChillerSpec(5000, 277.15, 20e3, false);
        double capacity = 38e-3 * Water.density(290) * Water.heatCapacity(290);
        double t = 308.15;
        double seconds = 0;
        while (t > 277.15 + 1e-6 && seconds < 1e5) {
            t -= chiller.heat(t, 308.15) / capacity * 0.05;
            seconds += 0.05;
        }
        assertThat(chiller.pullDown(capacity, 308.15, 308.15)).isCloseTo(seconds, withinPercentage(0.1));
        assertThat(chiller.pullDown(capacity, 308.15, 308.15) / 60)
                .as("minutes, for a tank of 38 L")
                .isBetween(10.0, 45.0);
        assertThat(chiller.pullDown(capacity, 276, 300)).isZero();
        assertThat(chiller.heat(293.15, 298.15)).isCloseTo(5000, within(1e-6));
    }

    /** TF-10, common practice, no source: not for lap after lap, the compressor drops out at full throttle. */
    @Test
    void chillerDropsOutAtFullThrottle() {
        Loops loops = new Loops();
        loops.radiator = Optional.empty();
        loops.tank = Optional.of(new TankSpec(20e-3, false, OptionalDouble.of(276.15), IceSpec.NONE, false));
        loops.chiller = Optional.of(new ChillerSpec(5000, 276.15, 20e3, false));
        LoopResult full = loop(loops);
        assertThat(full.chillerOut()).isTrue();
        assertThat(full.chiller()).isZero();
        assertThat(full.rise()).isPositive();
        assertThat(full.waterIn()).isCloseTo(276.15, within(1e-6));
        assertThat(full.sweats()).as("3 °C hoses on a 27 °C day").isTrue();
        LoopResult light = loops.systems()
                .system()
                .steady(Systems.point(2500, 5, 20))
                .loops()
                .get(0);
        assertThat(light.chillerOut()).isFalse();
        assertThat(light.chiller()).isCloseTo(light.heat(), withinPercentage(0.5));
        assertThat(light.waterIn()).as("never below the coldest set").isGreaterThanOrEqualTo(276.15 - 1e-6);
    }

    @Test
    void rawWaterIsTheSinkAndGrowthCostsCooling() {
        Loops loops = new Loops();
        loops.radiator = Optional.empty();
        loops.raw = Optional.of(new RawWaterSpec(291.15, 0));
        SteadyResult clean = loops.systems().system().steady(POINT);
        assertThat(clean.loops().get(0).waterIn()).isCloseTo(291.15, within(1e-9));
        assertThat(clean.loops().get(0).rise()).isZero();
        assertThat(clean.core().out()).isGreaterThan(291.15);
        loops.raw = Optional.of(new RawWaterSpec(291.15, 1.5e-4));
        assertThat(loops.systems().system().steady(POINT).core().out())
                .isGreaterThan(clean.core().out() + 0.3);
    }

    /** TF-06 and TF-07, common practice, no source. */
    @Test
    void portsOnTheMiddleAndFeedFromTheTopCostCooling() {
        Loops loops = new Loops();
        double best = loops.systems().system().steady(POINT).core().out();
        loops.ports = new CorePorts(CorePorts.Layout.MIDDLE, CorePorts.Feed.BOTTOM, false);
        double middle = loops.systems().system().steady(POINT).core().out();
        loops.ports = new CorePorts(CorePorts.Layout.MIDDLE, CorePorts.Feed.TOP, true);
        double worst = loops.systems().system().steady(POINT).core().out();
        assertThat(middle).isGreaterThan(best + 0.5);
        assertThat(worst).isGreaterThan(middle + 0.5);
    }

    @Test
    void glycolCarriesLessHeat() {
        Loops loops = new Loops();
        double water = loops.systems().system().steady(POINT).core().out();
        loops.coolant = new GlycolWater(0.5);
        assertThat(loops.systems().system().steady(POINT).core().out()).isGreaterThan(water + 0.2);
    }

    private static Radiator tubes(double depth, int passes) {
        CoreSize size = new CoreSize(0.4, 0.25, depth);
        return Radiator.of(
                new RadiatorSpec(
                        size,
                        new RadiatorBasis.Geometry(
                                FinSpec.louvred(8e-3, 1.6e-3, 0.1e-3, 1.2e-3, Math.toRadians(27)),
                                2e-3,
                                0.3e-3,
                                passes),
                        new FaceAirSpec(0.25, 0.5)),
                GlycolWater.WATER);
    }

    /**
     * TF-03, common practice, no source: a radiator of usual size moves 8 to 15 kW from 60 °C water to 25 °C air at 5 m/s. By geometry it must
     * come near what such cards say.
     */
    @Test
    void radiatorByGeometryComesNearACard() {
        Radiator radiator = tubes(0.032, 1);
        double water = 20e-3 / 60 * Water.density(333.15);
        double air = 5 * 0.4 * 0.25 * HumidAir.DRY.density(101325, 298.15);
        double heat = radiator.transfer(
                                water,
                                water * Water.heatCapacity(333.15),
                                333.15,
                                air,
                                air * HumidAir.DRY.heatCapacity(298.15),
                                298.15)
                        .conductancePerKelvin()
                * 35;
        assertThat(heat).isBetween(8e3, 16e3);
        assertThat(tubes(0.05, 1).airLoss(5, FaceAir.atSeaLevel(300)))
                .isGreaterThan(1.3 * radiator.airLoss(5, FaceAir.atSeaLevel(300)));
        assertThat(tubes(0.032, 2).waterLoss(water, 333.15))
                .as("half the tubes, twice the way")
                .isGreaterThan(4 * radiator.waterLoss(water, 333.15));
        assertThat(tubes(0.032, 2).conductances(water, 333.15, air, 298.15).hot())
                .isGreaterThan(radiator.conductances(water, 333.15, air, 298.15).hot());
    }
}
