package io.enthalpa.core.endurance;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import io.enthalpa.core.Loops;
import io.enthalpa.core.Systems;
import io.enthalpa.core.Ways;
import io.enthalpa.core.chargepath.OperatingPoint;
import io.enthalpa.core.coolingair.FanSpec;
import io.enthalpa.core.coolingair.Layer;
import io.enthalpa.core.duty.Duty;
import io.enthalpa.core.duty.DutyPoint;
import io.enthalpa.core.plant.CoreResult;
import io.enthalpa.core.plant.CoreTrace;
import io.enthalpa.core.steady.AirWayResult;
import io.enthalpa.core.steady.ChargeSystem;
import io.enthalpa.core.steady.LoopResult;
import io.enthalpa.core.steady.SteadyResult;
import io.enthalpa.core.waterloop.ChillerSpec;
import io.enthalpa.core.waterloop.IceSpec;
import io.enthalpa.core.waterloop.LoopPiece;
import io.enthalpa.core.waterloop.PumpSpec;
import io.enthalpa.core.waterloop.TankSpec;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What fan, pump and chiller do while a run goes on. */
class StateTraceTest {
    private static final OperatingPoint POINT = Systems.point(4000, 120, 15);
    private static final Duty TWICE = new Duty(
            "twice",
            true,
            20,
            2,
            120,
            List.of(
                    new DutyPoint(0, POINT.speed(), POINT.boost(), 5),
                    new DutyPoint(60, POINT.speed(), POINT.boost(), 25)));

    private static int at(Trace trace, double time) {
        return IntStream.range(0, trace.length())
                .filter(i -> trace.time()[i] >= time - 1e-9)
                .findFirst()
                .orElseThrow();
    }

    private static Trace run(Loops loops) {
        return EnduranceRun.run(loops.systems().system(), TWICE, 0.25);
    }

    @Test
    void pumpWithAMotorGoesOnInTheWaitUnlessTheKeySwitchesIt() {
        Loops on = new Loops();
        Loops off = new Loops();
        off.whileOff = false;
        Trace going = run(on);
        Trace standing = run(off);
        int waiting = at(going, 100);
        assertThat(going.core().cold().pump()[waiting]).isTrue();
        assertThat(standing.core().cold().pump()[waiting]).isFalse();
        assertThat(standing.core().cold().pump()[at(going, 30)]).isTrue();
        assertThat(standing.core().cold().water()[waiting]).isLessThan(1e-6);
        assertThat(going.core().cold().water()[waiting]).isGreaterThan(1e-4);
        int again = at(going, 178);
        assertThat(going.core().cold().rejected()[waiting])
                .as("the radiator works on")
                .isGreaterThan(50);
        assertThat(going.core().coldIn()[again])
                .as("and the next run begins cooler")
                .isLessThan(standing.core().coldIn()[again] - 1);
        assertThat(standing.audit().error()).isLessThan(0.005);
    }

    /**
     * Two runs and the wait between them, as repeats or as one table with rows at rest: what happens is the same. The wait is walked in steps forty times
     * as long as the run, so that heat that comes or goes with the length of a step shows.
     */
    @ParameterizedTest
    @ValueSource(booleans = {false, true})
    void sameDutyWrittenTwoWaysEndsTheSame(boolean baffled) {
        Loops l = new Loops();
        l.tank = Optional.of(new TankSpec(8e-3, baffled, OptionalDouble.empty(), IceSpec.NONE, false));
        Duty spelled = new Duty(
                "spelled",
                true,
                20,
                1,
                0,
                List.of(
                        new DutyPoint(0, POINT.speed(), POINT.boost(), 5),
                        new DutyPoint(60, POINT.speed(), POINT.boost(), 25),
                        new DutyPoint(60.001, 0, 0, 0),
                        new DutyPoint(180, 0, 0, 0),
                        new DutyPoint(180.001, POINT.speed(), POINT.boost(), 5),
                        new DutyPoint(240, POINT.speed(), POINT.boost(), 25)));
        ChargeSystem system = l.systems().system();
        Trace twice = EnduranceRun.run(system, TWICE, 0.05);
        Trace once = EnduranceRun.run(system, spelled, 0.05);
        EnergyAudit a = twice.audit();
        EnergyAudit b = once.audit();
        assertThat(a.stored()).isCloseTo(b.stored(), within(2e3));
        assertThat(a.rejected()).isCloseTo(b.rejected(), withinPercentage(0.3));
        assertThat(a.error()).isLessThan(5e-4);
        assertThat(b.error()).isLessThan(5e-4);
        for (double time : new double[] {70, 120, 178, 190, 239}) {
            assertThat(twice.core().cold().tank()[at(twice, time)])
                    .as("tank at %.0f s", time)
                    .isCloseTo(once.core().cold().tank()[at(once, time)], within(0.2));
        }
    }

    /** A condenser before the radiator, foam all round: the air goes from one to the other, and at the end all is as the steady answer says. */
    @Test
    void airOfEveryLayerAndEffectivenessAreTold() {
        Ways w = new Ways();
        w.seal = 1;
        w.layers = List.of(Ways.condenser(0.05), new Layer("core", Layer.Kind.RADIATOR, 0, 0, 0.02, null));
        Systems s = new Loops().systems();
        s.airWays = List.of(w.spec());
        SteadyResult steady = s.system().steady(POINT);
        Trace trace = EnduranceRun.run(s.system(), Systems.hold(POINT, 20, 1800));
        int end = trace.length() - 1;
        AirWayResult way = steady.ways().get(0);
        for (int k = 0; k < 2; k++) {
            Trace.LayerAir layer = trace.layers().get(k);
            assertThat(layer.way()).isEqualTo("front");
            assertThat(layer.in()[end]).isCloseTo(way.layers().get(k).airIn(), within(0.3));
            assertThat(layer.out()[end]).isCloseTo(way.layers().get(k).airOut(), within(0.5));
        }
        assertThat(trace.layers().get(1).kind()).isEqualTo(Layer.Kind.RADIATOR);
        assertThat(trace.core().cold().airIn()[end])
                .isEqualTo(trace.layers().get(1).in()[end]);
        LoopResult loop = steady.loops().get(0);
        double airRate = loop.air().flow() * 1008;
        double waterRate = loop.heat() / (loop.waterOut() - loop.waterIn());
        assertThat(trace.core().cold().radiator()[end])
                .isCloseTo(
                        loop.radiator()
                                / (Math.min(airRate, waterRate)
                                        * (loop.waterOut() - loop.air().inlet())),
                        withinPercentage(2));
        CoreResult core = steady.core();
        assertThat(trace.core().effectiveness(end))
                .isCloseTo((core.in() - core.out()) / (core.in() - core.coldIn()), withinPercentage(1));
    }

    @Test
    void pumpOnTheEngineStandsWithIt() {
        Loops driven = new Loops();
        driven.pumps = List.of(new LoopPiece.Pump(
                "pump",
                new PumpSpec(Loops.curve(42e3, 40 * Loops.LITRES), 1, OptionalDouble.of(400), 0.3),
                0.019,
                1,
                0.2));
        Trace trace = run(driven);
        assertThat(trace.core().cold().pump()[at(trace, 30)]).isTrue();
        assertThat(trace.core().cold().pump()[at(trace, 100)]).isFalse();
    }

    @Test
    void chillerTellsWhenItWorksAndWhatItTakes() {
        Loops l = new Loops();
        l.radiator = Optional.empty();
        l.chiller = Optional.of(new ChillerSpec(4e3, 277.15, 60e3, true));
        Trace trace = run(l);
        CoreTrace.Cold cold = trace.core().cold();
        assertThat(cold.hasChiller()).isTrue();
        assertThat(run(new Loops()).core().cold().hasChiller()).isFalse();
        assertThat(cold.chills()[at(trace, 30)]).as("cut out under boost").isFalse();
        assertThat(cold.chilled()[at(trace, 30)]).isZero();
        assertThat(cold.chills()[at(trace, 100)]).isTrue();
        double slope = 4e3 * 0.022 * (1 - 0.012 * (300 - 298.15));
        double zero = 293.15 - 1 / 0.022;
        int waiting = at(trace, 100);
        assertThat(cold.chilled()[waiting]).isCloseTo(slope * (cold.tank()[waiting] - zero), withinPercentage(2));
        double taken = IntStream.range(0, trace.length())
                .mapToDouble(i -> cold.chilled()[i] * trace.duration()[i])
                .sum();
        assertThat(taken).as("all that left the loop").isCloseTo(trace.audit().rejected(), withinPercentage(0.5));
    }

    @Test
    void fanStandsWhileRollingFastAndWhereTheKeySwitchesIt() {
        Ways w = new Ways();
        w.fan = Optional.of(new FanSpec(Ways.fan(false).curve(), false, 12, false));
        Systems s = Systems.standard();
        s.airWays = List.of(w.spec());
        Trace off = EnduranceRun.run(s.system(), TWICE, 0.25);
        boolean[] on = off.fans().get(0).on();
        assertThat(off.fans().get(0).way()).isEqualTo("front");
        assertThat(on[at(off, 10)]).as("8 m/s").isTrue();
        assertThat(on[at(off, 50)]).as("22 m/s").isFalse();
        assertThat(on[at(off, 100)]).as("engine off").isFalse();
        w.fan = Optional.of(new FanSpec(Ways.fan(false).curve(), false, 12, true));
        s.airWays = List.of(w.spec());
        Trace through = EnduranceRun.run(s.system(), TWICE, 0.25);
        assertThat(through.fans().get(0).on()[at(through, 100)]).isTrue();
        assertThat(through.core().cold().air()[at(through, 100)])
                .isGreaterThan(2 * off.core().cold().air()[at(off, 100)]);
        assertThat(through.core().out()[at(through, 100)])
                .as("the core cools down in the wait")
                .isLessThan(off.core().out()[at(off, 100)] - 1);
    }

    @Test
    void lossOfARunIsThatOfItsPieces() {
        ChargeSystem system = Systems.standard().system();
        Duty hold = new Duty(
                "hold",
                true,
                0,
                1,
                0,
                List.of(
                        new DutyPoint(0, POINT.speed(), POINT.boost(), POINT.roadSpeed()),
                        new DutyPoint(200, POINT.speed(), POINT.boost(), POINT.roadSpeed())));
        Trace trace = EnduranceRun.run(system, hold, 0.25);
        assertThat(trace.columns().loss()[trace.length() - 1])
                .isCloseTo(system.steady(POINT).path().totalLoss(), withinPercentage(0.5));
        Trace twice = run(new Loops());
        assertThat(twice.columns().loss()[at(twice, 100)])
                .as("nothing passes while the engine stands")
                .isZero();
    }
}
