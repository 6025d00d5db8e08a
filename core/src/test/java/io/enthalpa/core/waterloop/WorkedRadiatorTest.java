package io.enthalpa.core.waterloop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.withinPercentage;

import io.enthalpa.core.coolingair.FaceAirSpec;
import io.enthalpa.core.exchanger.Conductances;
import io.enthalpa.core.exchanger.CoreSize;
import io.enthalpa.core.exchanger.FaceAir;
import io.enthalpa.core.exchanger.FinSpec;
import io.enthalpa.core.fluid.GlycolWater;
import io.enthalpa.core.loss.JunctionLoss;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

/** A radiator of 400 x 250 x 32 mm, by its tubes and by a card, worked out beside the program. */
class WorkedRadiatorTest {
    private static final CoreSize SIZE = new CoreSize(0.4, 0.25, 0.032);
    private static final double WATER = 20e-3 / 60 * 983.2;

    private static Radiator tubes(int passes) {
        return Radiator.of(
                new RadiatorSpec(
                        SIZE,
                        new RadiatorBasis.Geometry(
                                FinSpec.louvred(8e-3, 1.8e-3, 0.1e-3, 1.2e-3, Math.toRadians(27)),
                                2e-3,
                                0.3e-3,
                                passes),
                        new FaceAirSpec(0.25, 0.5)),
                GlycolWater.WATER);
    }

    /**
     * Tubes 2 mm high with 8 mm of fins between: (250 - 8) / 10 = 24, 25 layers of fins. Water 1.4 by 31.4 mm: section 1055 mm2, surface 0.62976 m2; 20 L/min at 60 °C (983.2 kg/m3, 4185, 0.466 mPa s, 0.654): G 310.6, Re
     * 1787, laminar with its entrance Nu 7.696, 1878 W/(m2 K). Air 0.5 kg/s at 300 K: section 74 611 mm2, surface 3.4133 m2, G 6.701, Re 435.6, j 0.01916, 163.0 W/(m2 K), surface efficiency 0.9288. Sides 1182.5 and 516.7 W/K,
     * wall 180 (0.62976) / 0.3e-3.
     */
    @Test
    void conductanceByTubes() {
        Conductances c = tubes(1).conductances(WATER, 333.15, 0.5, 300);
        assertThat(c.hot()).isCloseTo(1182.5, withinPercentage(1));
        assertThat(c.wall()).isCloseTo(377_856, withinPercentage(0.01));
        assertThat(c.cold()).isCloseTo(516.7, withinPercentage(1));
        assertThat(c.overall()).isCloseTo(359.2, withinPercentage(1));
        double twice = tubes(2).conductances(WATER / 2, 333.15, 0.5, 300).hot();
        assertThat(twice / c.hot())
                .as("half the section and twice the way at half the flow: Re the same, the entrance counts half")
                .isBetween(0.75, 1.0);
    }

    /**
     * Water: f Re 22.7 over 1787, 4 f L/D = 7.58 heads and the ends 0.81, of 49.06 Pa: 413.9 Pa. Air 4.249 m/s of 1.1768 kg/m3: f 0.08119, free 0.7461 of the section: 4 f D/Dh 3.714 heads and the ends 0.25, of 19.08 Pa: 75.7 Pa.
     */
    @Test
    void lossesByTubes() {
        assertThat(tubes(1).waterLoss(WATER, 333.15)).isCloseTo(413.9, withinPercentage(1));
        assertThat(tubes(2).waterLoss(WATER / 2, 333.15))
                .as("two passes at the same speed")
                .isCloseTo(2 * 413.9, withinPercentage(1));
        assertThat(tubes(1).airLoss(4.249, new FaceAir(1.1768, 300))).isCloseTo(75.66, withinPercentage(1));
    }

    /**
     * A card of 12 kW at 20 L/min, 60 °C, 5 m/s, 25 °C: it gives 12 kW there. Its films are 15 and 83 % of the resistance, the wall 2 %, and go with the 0.6 and 0.55 power of flow: at half of both flows the resistance is 0.15 (2^0.6) +
     * 0.02 + 0.83 (2^0.55) = 1.4626 times as large. Twice the depth is twice of all at equal flow in a tube. Loss of 80 Pa at 5 m/s: half the speed 80 (0.5^1.7) = 24.62; 6 kPa of water that it does not tell: 0.5^1.75 of them.
     */
    @Test
    void byACard() {
        RadiatorBasis.Card card = new RadiatorBasis.Card(
                SIZE, 12e3, 20e-3 / 60, 333.15, 5, 298.15, OptionalDouble.empty(), OptionalDouble.of(80));
        Radiator radiator = Radiator.of(new RadiatorSpec(SIZE, card, new FaceAirSpec(0.25, 0.5)), GlycolWater.WATER);
        double air = 5 * 0.4 * 0.25 * 101325 / (287.05 * 298.15);
        double heat = 35
                * radiator.transfer(WATER, WATER * 4185, 333.15, air, air * 1006.5, 298.15)
                        .conductancePerKelvin();
        assertThat(heat).isCloseTo(12e3, withinPercentage(0.5));
        Conductances whole = radiator.conductances(WATER, 333.15, air, 298.15);
        assertThat(whole.overall() / whole.hot()).isCloseTo(0.15, withinPercentage(0.5));
        assertThat(whole.overall() / whole.cold()).isCloseTo(0.83, withinPercentage(0.5));
        Conductances half = radiator.conductances(WATER / 2, 333.15, air / 2, 298.15);
        assertThat(whole.overall() / half.overall()).isCloseTo(1.4626, withinPercentage(0.3));
        assertThat(radiator.airLoss(2.5, FaceAir.atSeaLevel(298.15))).isCloseTo(24.62, withinPercentage(0.1));
        assertThat(radiator.waterLoss(WATER / 2, 298.15)).isCloseTo(6000 * Math.pow(0.5, 1.75), withinPercentage(0.5));
        CoreSize deep = new CoreSize(0.4, 0.25, 0.064);
        Radiator deeper = Radiator.of(new RadiatorSpec(deep, card, new FaceAirSpec(0.25, 0.5)), GlycolWater.WATER);
        assertThat(deeper.conductances(2 * WATER, 333.15, air, 298.15).hot())
                .isCloseTo(2 * whole.hot(), withinPercentage(0.1));
        assertThat(deeper.conductances(2 * WATER, 333.15, air, 298.15).cold())
                .isCloseTo(2 * whole.cold(), withinPercentage(0.1));
        assertThat(deeper.airLoss(5, FaceAir.atSeaLevel(298.15))).isCloseTo(160, withinPercentage(0.1));
    }

    /** Into a leg at 0.8 of the speed and 30 degrees: 1 + 0.64 - 1.6 cos 30 = 0.2544; out of one at 1.2 beside one at 0.6, each half the flow at 20 degrees: momentum 0.9 cos 20 = 0.8457, 1 + 1.44 - 1.6915 = 0.7485. */
    @Test
    void junctions() {
        assertThat(JunctionLoss.split(0.8, Math.toRadians(30))).isCloseTo(0.254359, withinPercentage(0.01));
        double momentum = (0.5 * 1.2 + 0.5 * 0.6) * Math.cos(Math.toRadians(20));
        assertThat(JunctionLoss.merge(1.2, momentum)).isCloseTo(0.748553, withinPercentage(0.01));
        assertThat(JunctionLoss.merge(0.6, momentum)).isCloseTo(1.36 - 1.691447, withinPercentage(0.01));
    }
}
