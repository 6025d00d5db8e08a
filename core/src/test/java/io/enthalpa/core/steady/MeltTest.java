package io.enthalpa.core.steady;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.withinPercentage;

import io.enthalpa.core.Loops;
import io.enthalpa.core.Systems;
import io.enthalpa.core.chargepath.OperatingPoint;
import io.enthalpa.core.duty.Duty;
import io.enthalpa.core.endurance.EnduranceRun;
import io.enthalpa.core.endurance.Trace;
import io.enthalpa.core.plant.CoreTrace;
import io.enthalpa.core.waterloop.IceSpec;
import io.enthalpa.core.waterloop.TankSpec;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

/** What has melted of the ice, held steady and through a run. */
class MeltTest {
    private static final OperatingPoint POINT = Systems.point(4000, 120, 20);

    private static Duty hold(double seconds) {
        return Systems.hold(POINT, 5, seconds);
    }

    /**
     * By hand: 20 kg in pieces of 20 mm have 6 (20) / (917 (0.02)) = 6.543 m2; in still water, 981.5 W/K. Each watt that melts warms 1/334,000 kg/s
     * from 0 °C besides, 12.5 % more at 10 °C. In a run all that the charge gives goes there or into the water.
     */
    @Test
    void iceTakesItsMeltWatersWarmingToo() {
        Loops l = new Loops();
        l.radiator = Optional.empty();
        l.tank = Optional.of(
                new TankSpec(90e-3, false, OptionalDouble.empty(), new IceSpec(20, 0.02, IceSpec.Stir.STILL), false));
        Systems s = l.systems();
        LoopResult loop = s.system().steady(POINT).loops().get(0);
        double above = loop.waterIn() - 273.15;
        assertThat(loop.heat()).isCloseTo(981.5 * above * (1 + 4.21 * above / 334), withinPercentage(0.3));
        assertThat(loop.ice()).isCloseTo(loop.heat(), withinPercentage(0.1));
        assertThat(loop.rise()).isZero();
        Trace trace = EnduranceRun.run(s.system(), hold(120), 0.1);
        CoreTrace core = trace.core();
        int end = trace.length() - 1;
        int middle = end - 50;
        double warm = core.cold().tank()[middle] - 273.15;
        double left = core.ice()[middle];
        double given = core.flow()[middle] * 1012 * (core.in()[middle] - core.out()[middle]);
        double stored =
                (6 + 20 - left) * 4190 * (core.cold().tank()[end] - core.cold().tank()[end - 100]) / 10;
        assertThat(981.5 * Math.pow(left / 20, 2.0 / 3) * warm * (1 + 4.21 * warm / 334) + stored)
                .isCloseTo(given, withinPercentage(2));
    }
}
