package io.enthalpa.core.exchanger;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import io.enthalpa.core.Cases;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fluid.GlycolWater;
import io.enthalpa.core.fluid.HumidAir;
import io.enthalpa.core.fluid.Water;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Cards made from a core of known resistances must give those resistances back. */
class CardFitTest {
    private static final CoreSize SIZE = new CoreSize(0.5, 0.25, 0.064);

    static LongStream seeds() {
        return Cases.seeds();
    }

    /** Outlet of a core with films 1/hot, 1/cold at 0.2 kg/s and 8 m/s and a thin wall. */
    private static RatingCard.Point measured(double flow, double airSpeed, double hot, double cold) {
        double in = 413.15;
        double air = 298.15;
        double coldFlow = airSpeed * SIZE.face() * HumidAir.DRY.density(101325, air);
        double coldRate = coldFlow * HumidAir.DRY.heatCapacity(air);
        double overall = 1 / (Math.pow(flow / 0.2, -0.55) / hot + 0.03 / 1000 + Math.pow(airSpeed / 8, -0.55) / cold);
        double out = 320;
        for (int i = 0; i < 50; i++) {
            double rate = flow * HumidAir.DRY.heatCapacity((in + out) / 2);
            double effectiveness = Effectiveness.CROSSFLOW_UNMIXED.between(overall, rate, coldRate);
            out = in - effectiveness * Math.min(rate, coldRate) * (in - air) / rate;
        }
        double density = HumidAir.DRY.density(218e3, (in + out) / 2);
        return new RatingCard.Point(flow, 220e3, in, out, 8000 * Math.pow(flow / 0.2, 1.6) / density, airSpeed, 0, air);
    }

    private static RatedCore core(List<RatingCard.Point> points, double chargeShare) {
        RatingCard card = new RatingCard(SIZE, 6, Coolant.AIR, points, chargeShare, 0.01);
        return (RatedCore) new ChargeCooler(new CoreSpec(
                        "", SIZE, card, Effectiveness.CROSSFLOW_UNMIXED, EndTankSpec.usual(0.063), PortSide.RIGHT))
                .model();
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void pointsWithDifferentFlowsTellTheFilmsApart(long seed) {
        Cases cases = Cases.of(seed);
        double hot = cases.between(500.0, 1500.0);
        double cold = cases.between(400.0, 1200.0);
        List<RatingCard.Point> points = List.of(
                measured(0.2, 8, hot, cold),
                measured(0.1, 8, hot, cold),
                measured(0.2, 4, hot, cold),
                measured(0.3, 12, hot, cold));
        RatedCore core = core(points, 0.5);
        assertThat(core.filmsSeparated()).isTrue();
        Conductances found = core.conductances(0.2, 366, 8 * SIZE.face() * HumidAir.DRY.density(101325, 298.15), 310);
        assertThat(found.hot()).isCloseTo(hot, withinPercentage(8));
        assertThat(found.cold()).isCloseTo(cold, withinPercentage(8));
        assertThat(core.misfit()).isLessThan(0.01);
        assertThat(core.lossExponent()).isCloseTo(1.6, within(0.08));
    }

    /** A water brick made with a film that goes as flow^0.3, as laminar passages do: its points tell, and glycol costs it as little as that says. */
    @Test
    void pointsOfSeveralWaterFlowsTellALaminarBrick() {
        double[] found = new double[2];
        for (int k = 0; k < 2; k++) {
            double n = k == 0 ? 0.3 : 0.8;
            List<RatingCard.Point> points = java.util.stream.DoubleStream.of(20, 10, 40, 30)
                    .mapToObj(litres -> brick(litres, n))
                    .toList();
            ChargeCooler mixed = new ChargeCooler(
                    new CoreSpec(
                            "",
                            SIZE,
                            new RatingCard(SIZE, 4, Coolant.WATER, points, 0.6, 0.01),
                            Effectiveness.CROSSFLOW_UNMIXED,
                            EndTankSpec.usual(0.063),
                            PortSide.RIGHT),
                    new GlycolWater(0.5),
                    WaterSpread.EVEN,
                    0);
            double water = 20e-3 / 60 * Water.density(298.15);
            Conductances glycol = mixed.model().conductances(0.2, 360, water, 333.15);
            found[k] = glycol.cold() / 900;
        }
        assertThat(found[0]).isCloseTo(new GlycolWater(0.5).filmFactor(333.15, 0.3), withinPercentage(6));
        assertThat(found[1]).isCloseTo(new GlycolWater(0.5).filmFactor(333.15, 0.8), withinPercentage(6));
    }

    /** 0.2 kg/s of charge at 140 °C against water of 25 °C; 700 W/K, wall 1 % of the whole, 900 W/K of water film at 20 L/min. */
    private static RatingCard.Point brick(double litres, double n) {
        double water = litres * 1e-3 / 60 * Water.density(298.15);
        double waterRate = water * Water.heatCapacity(298.15);
        double films = 1 / 700.0 + 1 / 900.0;
        double overall = 1 / (1 / 700.0 + films / 99 + Math.pow(litres / 20, -n) / 900);
        double out = 320;
        for (int i = 0; i < 50; i++) {
            double rate = 0.2 * HumidAir.DRY.heatCapacity((413.15 + out) / 2);
            double effectiveness = Effectiveness.CROSSFLOW_UNMIXED.between(overall, rate, waterRate);
            out = 413.15 - effectiveness * Math.min(rate, waterRate) * (413.15 - 298.15) / rate;
        }
        return new RatingCard.Point(0.2, 220e3, 413.15, out, 3500, 0, litres * 1e-3 / 60, 298.15);
    }

    @Test
    void pointsAllAlikeLeaveTheStatedShares() {
        RatedCore core = core(List.of(measured(0.2, 8, 900, 700), measured(0.201, 8.02, 900, 700)), 0.5);
        assertThat(core.filmsSeparated()).isFalse();
        Conductances c = core.conductances(0.2, 366, 8 * SIZE.face() * HumidAir.DRY.density(101325, 298.15), 310);
        assertThat(c.overall() / c.hot()).isCloseTo(0.5, within(1e-6));
        assertThat(core.lossExponent()).isEqualTo(1.7);
    }

    @Test
    void rangeGrowsWithTheMeasuredSpan() {
        RatedCore core =
                core(List.of(measured(0.2, 8, 900, 700), measured(0.1, 4, 900, 700), measured(0.4, 8, 900, 700)), 0.4);
        assertThat(core.hotFlows().min()).isCloseTo(0.15, within(1e-6));
        assertThat(core.hotFlows().max()).isCloseTo(3.6, within(1e-6));
        assertThat(core.coldFlows().max()).isCloseTo(1.8, within(1e-6));
    }

    @Test
    void pointThatDoesNotFitTheOthersShowsAsMisfit() {
        RatingCard.Point good = measured(0.2, 8, 900, 700);
        RatingCard.Point off = measured(0.1, 8, 900, 700);
        RatingCard.Point wrong = new RatingCard.Point(
                off.chargeFlow(),
                off.chargePressure(),
                off.chargeIn(),
                off.chargeOut() + 12,
                off.loss(),
                8,
                0,
                off.coolantIn());
        assertThat(core(List.of(good, wrong, measured(0.2, 4, 900, 700)), 0.4).misfit())
                .isGreaterThan(0.05);
    }

    @Test
    void impossiblePointIsNamedByItsNumber() {
        List<RatingCard.Point> points = new ArrayList<>(List.of(measured(0.2, 8, 900, 700)));
        points.add(new RatingCard.Point(0.1, 220e3, 413.15, 290, 1000, 8, 0, 298.15));
        assertThatThrownBy(() -> core(points, 0.4))
                .isInstanceOf(EnthalpaFault.class)
                .hasMessageContaining("point 2");
    }
}
