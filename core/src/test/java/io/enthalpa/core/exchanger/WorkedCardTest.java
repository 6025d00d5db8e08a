package io.enthalpa.core.exchanger;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.withinPercentage;

import io.enthalpa.core.fluid.GlycolWater;
import io.enthalpa.core.fluid.HumidAir;
import java.util.List;
import org.junit.jupiter.api.Test;

/** A core known by its card, carried to another size and other flows by hand: 500 x 250 x 64 mm measured, 600 x 250 x 80 mm built. */
class WorkedCardTest {
    private static final CoreSize MEASURED = new CoreSize(0.5, 0.25, 0.064);
    private static final CoreSize BUILT = new CoreSize(0.6, 0.25, 0.08);
    private static final RatingCard.Point POINT =
            new RatingCard.Point(0.2, 220e3, 413.15, 320.15, 3500, 8, 20e-3 / 60, 298.15);

    private static RatedCore core(
            CoreSize size, Coolant coolant, EndTankSpec tanks, double growth, RatingCard.Point... points) {
        RatingCard card = new RatingCard(MEASURED, 6, coolant, List.of(points), 0.35, 0.03);
        return new RatedCore(
                new CoreSpec("", size, card, Effectiveness.CROSSFLOW_UNMIXED, tanks, PortSide.RIGHT),
                card,
                GlycolWater.WATER,
                growth);
    }

    private static EndTankSpec tanks(int outlets, double outletBore) {
        return new EndTankSpec(0.063, 0.06, EndTankSpec.PortPlace.MIDDLE, false, 0, outlets, outletBore, 0.04);
    }

    /**
     * The card's 3.5 kPa were measured at 218.25 kPa and 366.65 K, 2.0737 kg/m3. Built, the passages' section is 1.25 times as large and they are 1.2 times as long: 0.25 kg/s flow as fast in them as 0.2 did; from 2.0 to 2.4 kg/m3
     * 3500 (2.0737 / 2.2) 1.2 = 3959 Pa; 0.15 kg/s 0.6^1.7 of that, 1661. Two outlets of 50 mm for one of 63: 0.5 (1 - a) (port / outlets)^2 heads each, -81 Pa at 0.15 kg/s.
     */
    @Test
    void lossOfAnotherSizeAndFlow() {
        RatedCore one = core(BUILT, Coolant.AIR, tanks(1, 0.063), 0, POINT);
        assertThat(one.loss(0.25, 2.0, 2.4, 366)).isCloseTo(3958.9, withinPercentage(0.1));
        assertThat(one.loss(0.15, 2.0, 2.4, 366)).isCloseTo(1661.2, withinPercentage(0.1));
        RatedCore two = core(BUILT, Coolant.AIR, tanks(2, 0.05), 0, POINT);
        assertThat(two.loss(0.15, 2.0, 2.4, 366) - one.loss(0.15, 2.0, 2.4, 366))
                .isCloseTo(-81.46, withinPercentage(0.2));
    }

    /** Volume 0.012 over 0.008 m3; mass 6 kg times that. Charge in 0.35 of an air core, 0.6 of a water one, and two tanks of 60 mm over 250 x 80. */
    @Test
    void massAndVolume() {
        RatedCore air = core(BUILT, Coolant.AIR, tanks(1, 0.063), 0, POINT);
        assertThat(air.volumeRatio()).isCloseTo(1.5, withinPercentage(1e-6));
        assertThat(air.metalMass()).isCloseTo(9.0, withinPercentage(1e-6));
        assertThat(air.chargeVolume()).isCloseTo(0.35 * 0.012 + 0.0024, withinPercentage(1e-6));
        assertThat(core(BUILT, Coolant.WATER, tanks(1, 0.063), 0, POINT).chargeVolume())
                .isCloseTo(0.6 * 0.012 + 0.0024, withinPercentage(1e-6));
        assertThat(air.hotFlowRatio(0.25)).isCloseTo(1, withinPercentage(1e-6));
        double card = 8 * 0.5 * 0.25 * 101325 / (287.05 * 298.15);
        assertThat(air.coldFlowRatio(1.2 * card)).as("a face 1.2 times as wide").isCloseTo(1, withinPercentage(0.05));
    }

    /** At equal passage speeds all conductances are 1.5 times the card's; its charge side is 35 % of the resistance. Half the charge 0.5^0.55, half the air too. */
    @Test
    void conductanceGoesWithVolumeAndItsFilmsWithFlow() {
        double air = 8 * 0.5 * 0.25 * 101325 / (287.05 * 298.15);
        Conductances card =
                core(MEASURED, Coolant.AIR, tanks(1, 0.063), 0, POINT).conductances(0.2, 366, air, 300);
        Conductances built =
                core(BUILT, Coolant.AIR, tanks(1, 0.063), 0, POINT).conductances(0.25, 366, 1.2 * air, 300);
        double rate = 0.2 * HumidAir.DRY.heatCapacity(366.65);
        double moved = HeatTransfer.of(card, Effectiveness.CROSSFLOW_UNMIXED, rate, air * 1006)
                .conductancePerKelvin();
        assertThat(moved / rate).as("down from 140 to 47 of 115 K").isCloseTo(93.0 / 115, withinPercentage(0.1));
        assertThat(card.overall() / card.hot()).isCloseTo(0.35, withinPercentage(0.01));
        assertThat(card.overall() / card.wall()).isCloseTo(0.03, withinPercentage(0.01));
        assertThat(built.hot()).isCloseTo(1.5 * card.hot(), withinPercentage(0.1));
        assertThat(built.cold()).isCloseTo(1.5 * card.cold(), withinPercentage(0.1));
        Conductances half =
                core(MEASURED, Coolant.AIR, tanks(1, 0.063), 0, POINT).conductances(0.1, 366, air / 2, 300);
        assertThat(half.hot()).isCloseTo(Math.pow(0.5, 0.55) * card.hot(), withinPercentage(0.01));
        assertThat(half.cold()).isCloseTo(Math.pow(0.5, 0.55) * card.cold(), withinPercentage(0.01));
    }

    /** Growth of 0.2 m2 K/kW on 250 m2 for each m3: 0.2e-3 / (250 (0.008)) K/W on the wall. Water's film with the 0.6 power; its loss, silent on the card, 8 kPa and the 1.75 power. */
    @Test
    void waterSideOfACard() {
        RatedCore clean = core(MEASURED, Coolant.WATER, tanks(1, 0.063), 0, POINT);
        RatedCore grown = core(MEASURED, Coolant.WATER, tanks(1, 0.063), 0.2e-3, POINT);
        double water = 20e-3 / 60 * 997.05;
        Conductances c = clean.conductances(0.2, 366, water, 310);
        assertThat(1 / grown.conductances(0.2, 366, water, 310).wall() - 1 / c.wall())
                .isCloseTo(0.2e-3 / 2, withinPercentage(1e-6));
        assertThat(clean.conductances(0.2, 366, water / 2, 310).cold())
                .isCloseTo(Math.pow(0.5, 0.6) * c.cold(), withinPercentage(0.01));
        assertThat(clean.waterLoss(water / 2, 298.15)).isCloseTo(8000 * Math.pow(0.5, 1.75), withinPercentage(0.1));
    }

    /** Two points: 3500 Pa at 0.2 kg/s and 2.0737 kg/m3, 1200 at 0.1 and 2.1110: the loss goes with flow to 1.5186. */
    @Test
    void pointsTellHowTheLossGoesWithFlow() {
        RatingCard.Point half = new RatingCard.Point(0.1, 220e3, 413.15, 311, 1200, 8, 0, 298.15);
        assertThat(core(MEASURED, Coolant.AIR, tanks(1, 0.063), 0, POINT, half).lossExponent())
                .isCloseTo(1.5186, withinPercentage(0.1));
    }
}
