package io.enthalpa.core.exchanger;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import io.enthalpa.core.Blocks;
import io.enthalpa.core.Cases;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fluid.GlycolWater;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;

class FinnedCoreTest {
    private static final CoreSize SIZE = new CoreSize(0.5, 0.25, 0.064);

    static LongStream seeds() {
        return Cases.seeds();
    }

    private static FinnedCore core(CoreSize size, EndTankSpec tanks, Effectiveness arrangement) {
        return (FinnedCore) new ChargeCooler(
                        new CoreSpec("bar-and-plate", size, Blocks.barAndPlate(), arrangement, tanks, PortSide.RIGHT))
                .model();
    }

    private static FinnedCore core(CoreSize size) {
        return core(size, EndTankSpec.usual(0.063), Effectiveness.CROSSFLOW_UNMIXED);
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void largerCoreMovesMoreHeatAndAWiderOneLosesMore(long seed) {
        Cases cases = Cases.of(seed);
        double flow = cases.between(0.05, 0.3);
        double air = cases.between(0.3, 2.0);
        CoreSize size = new CoreSize(cases.between(0.3, 0.6), cases.between(0.15, 0.3), cases.between(0.05, 0.1));
        FinnedCore core = core(size);
        FinnedCore deeper = core(new CoreSize(size.width(), size.height(), size.depth() * 1.2));
        FinnedCore wider = core(new CoreSize(size.width() * 1.2, size.height(), size.depth()));
        FinnedCore higher = core(new CoreSize(size.width(), size.height() + 0.03, size.depth()));
        double base = core.conductances(flow, 360, air, 310).overall();
        assertThat(deeper.conductances(flow, 360, air, 310).overall()).isGreaterThan(base);
        assertThat(wider.conductances(flow, 360, air, 310).overall()).isGreaterThan(0.98 * base);
        assertThat(wider.loss(flow, 2, 2.3, 360)).isGreaterThan(core.loss(flow, 2, 2.3, 360));
        assertThat(higher.loss(flow, 2, 2.3, 360)).isLessThan(core.loss(flow, 2, 2.3, 360));
        assertThat(core.loss(flow * 1.1, 2, 2.3, 360)).isGreaterThan(core.loss(flow, 2, 2.3, 360));
    }

    @Test
    void layersAreCountedFromTheHeight() {
        FinnedBlock block = Blocks.barAndPlate();
        double step = block.step();
        assertThat(block.layers(new CoreSize(0.5, 10 * step + block.cold().gap() + 2 * block.plate() + 1e-6, 0.06)))
                .isEqualTo(10);
        assertThat(block.layers(new CoreSize(0.5, 11 * step + block.cold().gap() + 2 * block.plate() - 1e-4, 0.06)))
                .isEqualTo(10);
        assertThatThrownBy(() -> block.layers(new CoreSize(0.5, 0.02, 0.06)))
                .isInstanceOf(EnthalpaFault.class)
                .hasMessageContaining("core height is 20.0 mm")
                .hasMessageContaining("at least one charge layer");
        assertThatThrownBy(() -> block.layers(new CoreSize(0.5, 0.2, 0.012)))
                .isInstanceOf(EnthalpaFault.class)
                .hasMessageContaining("bar width");
    }

    @Test
    void twoPassesCostMoreAndFilmMore() {
        FinnedCore once = core(SIZE);
        FinnedCore twice = core(SIZE, EndTankSpec.usual(0.063), Effectiveness.U_FLOW_CROSS_COUNTER);
        assertThat(twice.loss(0.15, 2, 2.3, 360)).isGreaterThan(4 * once.loss(0.15, 2, 2.3, 360));
        assertThat(twice.conductances(0.15, 360, 1.2, 310).hot())
                .isGreaterThan(1.2 * once.conductances(0.15, 360, 1.2, 310).hot());
    }

    @Test
    void foulingCostsConductanceAndBlockedPassagesBoth() {
        FinnedBlock clean = Blocks.barAndPlate();
        FinnedBlock dirty = new FinnedBlock(
                clean.construction(),
                clean.coolant(),
                clean.charge(),
                clean.cold(),
                clean.plate(),
                clean.bar(),
                clean.conductivity(),
                2e-3,
                1e-3);
        FinnedCore one = new FinnedCore(
                new CoreSpec(
                        "", SIZE, clean, Effectiveness.CROSSFLOW_UNMIXED, EndTankSpec.usual(0.063), PortSide.RIGHT),
                clean,
                GlycolWater.WATER);
        FinnedCore two = new FinnedCore(
                new CoreSpec(
                        "", SIZE, dirty, Effectiveness.CROSSFLOW_UNMIXED, EndTankSpec.usual(0.063), PortSide.RIGHT),
                dirty,
                GlycolWater.WATER);
        assertThat(two.conductances(0.2, 360, 1.2, 310).overall())
                .isLessThan(0.97 * one.conductances(0.2, 360, 1.2, 310).overall());
        FinnedCore blocked = core(
                SIZE,
                EndTankSpec.alike(0.063, 0.063, EndTankSpec.PortPlace.MIDDLE, false, 0.3, 1),
                Effectiveness.CROSSFLOW_UNMIXED);
        assertThat(blocked.loss(0.2, 2, 2.3, 360)).isGreaterThan(1.4 * one.loss(0.2, 2, 2.3, 360));
        assertThat(blocked.conductances(0.2, 360, 1.2, 310).overall())
                .isLessThan(one.conductances(0.2, 360, 1.2, 310).overall());
    }

    /** TF-02, common practice, no source: a core rated 1.35 times the power loses far less and cools further at the power itself. */
    @Test
    void headroomRuleBuysLossAndTemperature() {
        FinnedCore core = core(new CoreSize(0.6, 0.3, 0.09), EndTankSpec.usual(0.076), Effectiveness.CROSSFLOW_UNMIXED);
        double rated = 0.45;
        double used = rated / 1.35;
        double air = 1.6;
        assertThat(core.loss(used, 2, 2.4, 360) / core.loss(rated, 2, 2.4, 360)).isBetween(0.5, 0.68);
        double atRating = Effectiveness.CROSSFLOW_UNMIXED.between(
                core.conductances(rated, 360, air, 310).overall(), rated * 1012, air * 1006);
        double inUse = Effectiveness.CROSSFLOW_UNMIXED.between(
                core.conductances(used, 360, air, 310).overall(), used * 1012, air * 1006);
        assertThat(inUse - atRating).isBetween(0.02, 0.12);
    }

    /** TF-27, common practice, no source: cores seen on engines carry those engines' air for a few kPa. */
    @Test
    void coresSeenOnEnginesSuitThem() {
        FinnedCore bigV8 =
                core(new CoreSize(0.610, 0.445, 0.114), EndTankSpec.usual(0.102), Effectiveness.CROSSFLOW_UNMIXED);
        FinnedCore truckV8 =
                core(new CoreSize(0.559, 0.318, 0.089), EndTankSpec.usual(0.076), Effectiveness.CROSSFLOW_UNMIXED);
        assertThat(bigV8.loss(0.8, 2.6, 3.2, 370)).as("about 1000 hp").isLessThan(15e3);
        assertThat(truckV8.loss(0.42, 2.0, 2.5, 370)).as("about 500 hp").isLessThan(12e3);
        FinnedCore overkill =
                core(new CoreSize(0.650, 0.300, 0.076), EndTankSpec.usual(0.070), Effectiveness.CROSSFLOW_UNMIXED);
        double at450 = overkill.loss(0.36, 2.2, 2.7, 365);
        double at270 = overkill.loss(0.22, 2.2, 2.7, 365);
        assertThat(at270).as("far below what it is rated for").isLessThan(0.5 * at450);
    }

    @ParameterizedTest
    @EnumSource(EndTankSpec.PortPlace.class)
    void tanksNeverHelp(EndTankSpec.PortPlace place) {
        FinnedCore core =
                core(SIZE, EndTankSpec.alike(0.063, 0.05, place, false, 0, 1), Effectiveness.CROSSFLOW_UNMIXED);
        TankEffect effect = core.tankEffect(0.2, 360);
        TankEffect divided = core(
                        SIZE, EndTankSpec.alike(0.063, 0.05, place, true, 0, 1), Effectiveness.CROSSFLOW_UNMIXED)
                .tankEffect(0.2, 360);
        assertThat(divided.spread()).as("a divided inlet never feeds worse").isLessThanOrEqualTo(effect.spread());
        TankEffect small = core(
                        SIZE, EndTankSpec.alike(0.040, 0.05, place, false, 0, 1), Effectiveness.CROSSFLOW_UNMIXED)
                .tankEffect(0.2, 360);
        assertThat(small.jetSpread()).as("a smaller port blows harder").isGreaterThanOrEqualTo(effect.jetSpread());
    }

    @Test
    void portLargerThanItsTankIsRefused() {
        assertThatThrownBy(() -> core(SIZE, EndTankSpec.usual(0.127), Effectiveness.CROSSFLOW_UNMIXED))
                .isInstanceOf(EnthalpaFault.class)
                .hasMessageContaining("core port bore is 127 mm")
                .hasMessageContaining("at most 102 mm");
    }

    /** Halves with 1.2 and 0.8 of the flow, counted by hand for NTU 1.5: mean outlet 0.2334 of the inlet difference against 0.2231. */
    @Test
    void unevenFeedByHand() {
        TankEffect effect = new TankEffect(0, 0, 0, 0.2, 0.2);
        double rich = 1.2 * Math.exp(-1.5 * Math.pow(1.2, -0.4));
        double poor = 0.8 * Math.exp(-1.5 * Math.pow(0.8, -0.4));
        assertThat(effect.conductanceFactor(1.5)).isCloseTo(-Math.log((rich + poor) / 2) / 1.5, within(1e-12));
        assertThat(effect.conductanceFactor(1.5)).isLessThan(1);
    }

    /** Kays &amp; London eq. 2-26a by hand: G 20, densities 2 and 2.5, s 0.4, f 0.03, 4L/D 100 (from memory of the form). */
    @Test
    void coreLossByHand() {
        double expected = 400 / 4.0 * (0.42 * 0.84 + 0.84 + 2 * (0.8 - 1) + 0.03 * 400 * 4 / 4.5 - (0.84 - 0.36) * 0.8);
        assertThat(CoreLoss.of(20, 2, 2.5, 0.4, 0.03, 100)).isCloseTo(expected, withinPercentage(1e-6));
    }
}
