package io.enthalpa.core.plant;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import io.enthalpa.core.Cases;
import io.enthalpa.core.Loops;
import io.enthalpa.core.Systems;
import io.enthalpa.core.chargepath.OperatingPoint;
import io.enthalpa.core.duty.Duty;
import io.enthalpa.core.endurance.EnduranceRun;
import io.enthalpa.core.endurance.Trace;
import io.enthalpa.core.exchanger.Conductances;
import io.enthalpa.core.exchanger.Effectiveness;
import io.enthalpa.core.exchanger.HeatTransfer;
import io.enthalpa.core.steady.ChargeSystem;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** The metal of the radiator and the water in the core, as stores of their own. */
class RadiatorMetalTest {
    private static final OperatingPoint POINT = Systems.point(4000, 120, 15);

    static LongStream seeds() {
        return LongStream.range(0, 40);
    }

    private static Duty hold(double seconds) {
        return Systems.hold(POINT, 0, seconds);
    }

    /** Exact: one long step is many short ones, and nothing is made or lost. */
    @ParameterizedTest
    @MethodSource("seeds")
    void coupledStoresRelaxExactly(long seed) {
        Cases c = Cases.of(seed);
        double c1 = 8000 + 6000 * c.between(-1.0, 1.0);
        double c2 = 1500 + 1000 * c.between(-1.0, 1.0);
        double pull1 = Math.max(c.between(-50.0, 400.0), 0);
        double pull2 = 5 + 200 * (1 + c.between(-1.0, 1.0));
        double between = 1 + 900 * (1 + c.between(-1.0, 1.0));
        double push1 = pull1 * 300 + 4000 * (1 + c.between(-1.0, 1.0));
        double push2 = pull2 * 295;
        CoupledStores one = new CoupledStores(310);
        one.relax(20, c1, pull1, push1, c2, pull2, push2, between);
        CoupledStores many = new CoupledStores(310);
        double mean1 = 0;
        double mean2 = 0;
        for (int i = 0; i < 2000; i++) {
            many.relax(0.01, c1, pull1, push1, c2, pull2, push2, between);
            mean1 += many.meanFirst() / 2000;
            mean2 += many.meanSecond() / 2000;
        }
        assertThat(one.first()).isCloseTo(many.first(), within(1e-6));
        assertThat(one.second()).isCloseTo(many.second(), within(1e-6));
        assertThat(one.meanFirst()).isCloseTo(mean1, within(1e-6));
        double gained = c1 * (one.first() - 310) + c2 * (one.second() - 310);
        assertThat(gained)
                .isCloseTo(
                        20 * (push1 + push2 - pull1 * one.meanFirst() - pull2 * one.meanSecond()),
                        within(1e-6 * (Math.abs(gained) + 1e5)));
        assertThat(one.meanSecond()).isCloseTo(mean2, within(1e-6));
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void bothSidesInSeriesAreTheRadiator(long seed) {
        Cases c = Cases.of(seed);
        double waterRate = 400 + 390 * c.between(-1.0, 1.0);
        double airRate = 600 + 590 * c.between(-1.0, 1.0);
        HeatTransfer transfer = HeatTransfer.of(
                new Conductances(1500 + 1200 * c.between(-1.0, 1.0), 9000, 500 + 450 * c.between(-1.0, 1.0)),
                Effectiveness.CROSSFLOW_UNMIXED,
                waterRate,
                airRate);
        RadiatorMetal.Sides sides = RadiatorMetal.Sides.of(transfer, waterRate, airRate);
        assertThat(sides.water()).isBetween(transfer.conductancePerKelvin(), waterRate);
        assertThat(1 / sides.water() + 1 / sides.air())
                .isCloseTo(1 / transfer.conductancePerKelvin(), withinPercentage(1e-6));
    }

    @Test
    void passingWaterSettlesAtWhatTheRadiatorMoves() {
        RadiatorMetal metal = new RadiatorMetal(2000, 300);
        RadiatorMetal.Sides sides = new RadiatorMetal.Sides(500, 250);
        double left = 0;
        double kept = metal.stored();
        double given = 0;
        for (int i = 0; i < 100; i++) {
            left = metal.pass(0.5, sides, 330, 300);
            kept += 0.5 * left;
            given += 0.5 * metal.toAir();
        }
        assertThat(left).isCloseTo(30 / (1 / 500.0 + 1 / 250.0), withinPercentage(0.01));
        assertThat(metal.temperature()).isCloseTo(300 + 30 * 500 / 750.0, within(0.01));
        assertThat(metal.stored()).isCloseTo(kept - given, within(1e-3));
    }

    /** Nothing but its metal takes heat while no air comes: water and metal come together, and share what the water had. */
    @Test
    void withoutAirTheMetalStillTakesItsShare() {
        WaterSide water = new WaterSide(new Loops().spec(), 340, 300, 1, 4000, 0);
        double stored = water.stored();
        for (int i = 0; i < 400; i++) {
            water.send(new WaterSide.Step(0.25, 1200, new RadiatorMetal.Sides(900, 0.1), 300, 0, 0, 0));
            water.take(0);
        }
        assertThat(water.stored()).isCloseTo(stored, within(500.0));
        assertThat(water.out()).isCloseTo(340, within(0.2));
    }

    /** A step of load reaches the water's return later by what the core holds over the flow. */
    @Test
    void waterInTheCoreDelaysItsReturn() {
        Loops l = new Loops();
        WaterSide without = new WaterSide(l.spec(), 300, 300);
        WaterSide with = new WaterSide(l.spec(), 300, 300, 1, 0, 1e-3);
        double rate = 0.3 * 4180;
        assertThat(arrives(with, rate) - arrives(without, rate)).isCloseTo(1e-3 * 995 / 0.3, within(0.2));
    }

    /** s until the tank feels a load that begins at once. */
    private static double arrives(WaterSide water, double rate) {
        for (int i = 1; ; i++) {
            water.send(
                    new WaterSide.Step(0.1, rate, new RadiatorMetal.Sides(0, Double.POSITIVE_INFINITY), 300, 0, 0, 0));
            water.take(10e3);
            if (water.out() > 300.01) {
                return 0.1 * i;
            }
        }
    }

    @Test
    void coldRadiatorTakesTheFirstHeatAndTheSteadyEndStays() {
        ChargeSystem system = Systems.water().system();
        Trace trace = EnduranceRun.run(system, hold(1500), 0.25);
        CoreTrace.Cold cold = trace.core().cold();
        int end = trace.length() - 1;
        assertThat(cold.rejected()[0]).as("it begins cold").isLessThan(0.05 * cold.rejected()[end]);
        CoreResult steady = system.steady(POINT).core();
        assertThat(cold.rejected()[end]).isCloseTo(steady.heat(), withinPercentage(1));
        assertThat(cold.in()[end]).isCloseTo(steady.coldIn(), within(0.3));
        assertThat(trace.audit().error()).isLessThan(0.005);
    }
}
