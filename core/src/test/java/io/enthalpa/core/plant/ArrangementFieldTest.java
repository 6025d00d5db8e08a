package io.enthalpa.core.plant;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import io.enthalpa.core.Blocks;
import io.enthalpa.core.Paths;
import io.enthalpa.core.Systems;
import io.enthalpa.core.chargepath.ChargePath;
import io.enthalpa.core.chargepath.OperatingPoint;
import io.enthalpa.core.duty.Duty;
import io.enthalpa.core.endurance.EnduranceRun;
import io.enthalpa.core.endurance.Trace;
import io.enthalpa.core.exchanger.DampCharge;
import io.enthalpa.core.exchanger.Effectiveness;
import io.enthalpa.core.steady.ChargeSystem;
import io.enthalpa.core.steady.SteadyResult;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** The metal as cells must settle where the closed form of each arrangement says, and keep its accounts on the way. */
class ArrangementFieldTest {
    private static final OperatingPoint POINT = Systems.point(4000, 120, 15);

    private static Duty hold(double seconds) {
        return Systems.hold(POINT, 5, seconds);
    }

    private static double last(double[] values) {
        return values[values.length - 1];
    }

    @ParameterizedTest
    @EnumSource(Effectiveness.class)
    void cellsSettleAtTheClosedForm(Effectiveness arrangement) {
        double hotRate = 200;
        double coldRate = 520;
        double ua = 420;
        MetalField field = MetalField.of(arrangement, 4000, 300);
        for (int i = 0; i < 3000; i++) {
            field.step(0.3, hotRate, 400, 2 * ua, coldRate, 300, 2 * ua, DampCharge.DRY);
        }
        double closed = arrangement.between(ua, hotRate, coldRate);
        assertThat((400 - field.hotOut()) / 100).isCloseTo(closed, withinPercentage(1.2));
        assertThat(field.heatOut() / 0.3).isCloseTo(hotRate * (400 - field.hotOut()), withinPercentage(0.01));
    }

    @ParameterizedTest
    @EnumSource(Effectiveness.class)
    void heatIsNeitherMadeNorLost(Effectiveness arrangement) {
        MetalField field = MetalField.of(arrangement, 4000, 320);
        double stored = field.stored();
        double balance = 0;
        for (int i = 0; i < 400; i++) {
            double inlet = 380 + 30 * Math.sin(i / 7.0);
            field.step(0.3, 180, inlet, 800, 500, 300, 900, DampCharge.DRY);
            balance += 180 * (inlet - field.hotOut()) * 0.3 - field.heatOut();
        }
        assertThat(balance)
                .isCloseTo(
                        field.stored() - stored,
                        within(0.005 * Math.abs(field.stored() - stored) + 0.002 * 180 * 80 * 120));
        assertThat(field.snapshot()).hasSize(field.along() * field.across());
    }

    @ParameterizedTest
    @EnumSource(Effectiveness.class)
    void steadyLimitOfAGeometryCoreIsTheSteadySolver(Effectiveness arrangement) {
        Systems s = Systems.standard().evenBore(0.06);
        s.basis = Blocks.barAndPlate();
        s.arrangement = arrangement;
        Trace trace = EnduranceRun.run(s.system(), hold(1200));
        SteadyResult steady = s.system().steady(POINT);
        double fall = steady.core().in() - steady.core().out();
        assertThat(last(trace.coreIn()) - last(trace.intake())).isCloseTo(fall, withinPercentage(1));
        assertThat(trace.audit().error()).isLessThan(0.005);
    }

    @Test
    void waterBrickOfGeometryOnItsLoop() {
        Systems s = Systems.water().evenBore(0.06);
        s.basis = Blocks.waterBrick();
        Trace trace = EnduranceRun.run(s.system(), hold(1800));
        SteadyResult steady = s.system().steady(POINT);
        assertThat(last(trace.intake())).isCloseTo(steady.path().intakeTemperature(), within(1.0));
        assertThat(trace.audit().error()).isLessThan(0.005);
        assertThat(steady.core().shares().charge())
                .as("gas is the poorer side")
                .isGreaterThan(steady.core().shares().coldFilm());
    }

    @Test
    void severalCoresRunThroughADuty() {
        ChargePath side = Paths.of(
                Paths.filter(), Paths.blower(), Paths.pair(Paths.core("left"), Paths.core("right")), Paths.plenum());
        ChargePath row =
                Paths.of(Paths.filter(), Paths.blower(), Paths.core("first"), Paths.core("second"), Paths.plenum());
        for (ChargePath path : List.of(side, row)) {
            ChargeSystem system = new ChargeSystem(path);
            Trace trace = EnduranceRun.run(system, hold(900));
            assertThat(trace.cores()).hasSize(2);
            assertThat(last(trace.intake()))
                    .isCloseTo(system.steady(POINT).path().intakeTemperature(), within(0.7));
            assertThat(trace.audit().error()).isLessThan(0.005);
        }
    }

    @Test
    void wholeSystemReportsItsCondensate() {
        Systems dry = Systems.water();
        dry.humidity = 0.1;
        CoreResult core = dry.system().steady(POINT).core();
        assertThat(core.condensate().flow()).isZero();
        assertThat(core.condensate().metal()).isGreaterThan(core.coldIn());
    }
}
