package io.enthalpa.core.waterloop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import io.enthalpa.core.Systems;
import io.enthalpa.core.exchanger.ChargeCooler;
import io.enthalpa.core.exchanger.Coolant;
import io.enthalpa.core.exchanger.RatingCard;
import io.enthalpa.core.exchanger.WaterSpread;
import io.enthalpa.core.fluid.GlycolWater;
import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

/** How the water parts between cores side by side. */
class CoresOnLoopTest {
    private static final double T = 298.15;

    /** Known by one reading: so many kPa at so many litres a minute. */
    private static ChargeCooler core(double litres, double loss) {
        Systems s = Systems.water();
        s.basis = new RatingCard(
                Systems.SIZE,
                4,
                Coolant.WATER,
                List.of(new RatingCard.Point(0.2, 220e3, 413.15, 318.15, 3500, 0, litres / 60e3, T)),
                0.75,
                0.03,
                OptionalDouble.of(loss));
        return new ChargeCooler(s.core(), GlycolWater.WATER, WaterSpread.EVEN, 0);
    }

    /** By hand: both at 8 kPa, one passes 30, the other 10 L/min, so the parting is 3 to 1 at any flow, for both go with the power 1.75. */
    @Test
    void unlikeCoresPartTheWaterSoThatBothLoseTheSame() {
        CoresOnLoop cores = new CoresOnLoop(List.of(core(30, 8e3), core(10, 8e3)), List.of(0, 0));
        double flow = 20.0 / 60e3 * GlycolWater.WATER.density(T);
        assertThat(cores.shares(flow, T)).containsExactly(new double[] {0.75, 0.25}, within(1e-5));
        // 15 of 30 L/min: 8 kPa (1/2)^1.75
        assertThat(cores.loss(flow, T)).isCloseTo(8e3 * 0.29730, withinPercentage(0.05));
    }

    @Test
    void behindEachOtherTheLossesAddUp() {
        CoresOnLoop cores = new CoresOnLoop(List.of(core(30, 8e3), core(10, 2e3)), List.of(0, 1));
        double flow = 10.0 / 60e3 * GlycolWater.WATER.density(T);
        assertThat(cores.shares(flow, T)).containsExactly(1, 1);
        // 8 kPa (1/3)^1.75 + 2 kPa
        assertThat(cores.loss(flow, T)).isCloseTo(8e3 * 0.14623 + 2e3, withinPercentage(0.05));
    }
}
