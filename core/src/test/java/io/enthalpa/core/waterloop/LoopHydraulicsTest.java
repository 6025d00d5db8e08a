package io.enthalpa.core.waterloop;

import static io.enthalpa.core.Loops.LITRES;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import io.enthalpa.core.Cases;
import io.enthalpa.core.Loops;
import io.enthalpa.core.Systems;
import io.enthalpa.core.exchanger.ChargeCooler;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fluid.GlycolWater;
import io.enthalpa.core.fluid.Water;
import io.enthalpa.core.loss.FittingLoss;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

class LoopHydraulicsTest {
    private static final double WARM = 313.15;
    private static final double BORE = 0.02;

    static LongStream seeds() {
        return Cases.seeds();
    }

    private static LoopPiece.Pump pump(double shutOff, double freeFlow, int beside, OptionalDouble drivenAt) {
        return new LoopPiece.Pump(
                "pump", new PumpSpec(Loops.curve(shutOff, freeFlow), 1, drivenAt, 0.3), BORE, beside, 0);
    }

    /** An open line of one globe valve, whose loss is a fixed K; its core loses nothing worth counting at these flows. */
    private static LoopHydraulics valveLine(double outfall, LoopPiece... pumps) {
        List<LoopPiece> pieces = new ArrayList<>(List.of(new LoopPiece.Source("source", 0)));
        pieces.addAll(List.of(pumps));
        pieces.add(new LoopPiece.Fitting("valve", FittingLoss.GLOBE_VALVE, BORE, 0, 1, 0));
        pieces.add(new LoopPiece.CoreSide("core", CorePorts.BEST, 0));
        pieces.add(new LoopPiece.Outfall("outfall", outfall));
        WaterLoopSpec spec = new WaterLoopSpec(
                GlycolWater.WATER,
                OptionalDouble.empty(),
                5e-3,
                pieces,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.of(new RawWaterSpec(WARM, 0)));
        return new LoopHydraulics(spec, new ChargeCooler(Systems.water().core()), null);
    }

    /** Pa for each (m3/s)^2 of that line: half a head in, the valve, one head out into the core. */
    private static double perSquare() {
        double k = 0.5 + FittingLoss.GLOBE_VALVE.coefficient(BORE) + 1;
        return k * Water.density(WARM) / 2 / Math.pow(Math.PI / 4 * BORE * BORE, 2);
    }

    /** The core's card is silent: 8 kPa at 20 L/min, as flow^1.75 and viscosity^0.25. */
    private static double coreLoss(double q) {
        return 8000
                * Math.pow(q / (20 * LITRES) * Water.density(WARM) / Water.density(298.15), 1.75)
                * Math.pow(Water.viscosity(WARM) / Water.viscosity(298.15), 0.25);
    }

    /** Worked by hand: p0 (1 - (Q/Q0)^2) = a Q^2 + core, solved on paper by putting the answer back in. */
    @Test
    void pumpAndLineMeetWhereTheHandWorkedExampleSays() {
        double p0 = 50e3;
        double q0 = 45 * LITRES;
        LoopFlow flow = valveLine(0, pump(p0, q0, 1, OptionalDouble.empty())).at(WARM, 0);
        double q = flow.flow();
        assertThat(p0 * (1 - q * q / q0 / q0)).isCloseTo(perSquare() * q * q + coreLoss(q), withinPercentage(0.01));
        assertThat(q / LITRES).isBetween(20.0, 40.0);
        assertThat(flow.head()).isCloseTo(-flow.pieces().get(1).loss(), withinPercentage(0.01));
        assertThat(flow.power()).isCloseTo(q * p0 * (1 - q * q / q0 / q0) / 0.3, withinPercentage(0.01));
    }

    /** Pumps behind each other add pressure, side by side they share the flow; both against the same equation. */
    @ParameterizedTest
    @CsvSource({"2, 1", "1, 2", "3, 1", "2, 2"})
    void seriesAddsPressureAndParallelSharesFlow(int behind, int beside) {
        double p0 = 50e3;
        double q0 = 45 * LITRES;
        LoopPiece[] pumps = new LoopPiece[behind];
        java.util.Arrays.fill(pumps, pump(p0, q0, beside, OptionalDouble.empty()));
        double q = valveLine(0, pumps).flow(WARM, 0);
        double each = q / beside;
        // Side by side, the pumps' ports together are wider than the valve: a step of bore at its inlet instead of
        // none.
        double step = beside == 1
                ? 0
                : io.enthalpa.core.loss.DiameterChange.coefficient(BORE * Math.sqrt(beside), BORE, Math.PI);
        double intake = beside == 1 ? 0 : 0.5 / beside / beside - 0.5;
        double a = perSquare() + (step + intake) * Water.density(WARM) / 2 / Math.pow(Math.PI / 4 * BORE * BORE, 2);
        assertThat(behind * p0 * (1 - each * each / q0 / q0))
                .isCloseTo(a * q * q + coreLoss(q), withinPercentage(0.02));
        assertThat(q)
                .isGreaterThan(
                        valveLine(0, pump(p0, q0, 1, OptionalDouble.empty())).flow(WARM, 0));
    }

    /** Affinity: against losses that grow nearly as the square, a pump turned twice as fast moves nearly twice as much for nearly eight times the power. */
    @Test
    void enginePumpFollowsTheEngine() {
        LoopHydraulics line = valveLine(0, pump(50e3, 45 * LITRES, 1, OptionalDouble.of(200)));
        LoopFlow slow = line.at(WARM, 100);
        LoopFlow fast = line.at(WARM, 200);
        assertThat(fast.flow() / slow.flow()).isCloseTo(2, withinPercentage(3));
        assertThat(fast.power() / slow.power()).isCloseTo(8, withinPercentage(5));
        assertThat(line.flow(WARM, 0)).as("a standing engine pumps nothing").isLessThan(1e-6);
    }

    @Test
    void openLineLiftsTheWaterUntilThePumpCannot() {
        LoopPiece.Pump pump = pump(50e3, 45 * LITRES, 1, OptionalDouble.empty());
        double level = valveLine(0, pump).flow(WARM, 0);
        double lifted = valveLine(2, pump).flow(WARM, 0);
        assertThat(lifted).isLessThan(0.9 * level);
        assertThat(valveLine(5.3, pump).flow(WARM, 0))
                .as("5.3 m of water is more than 50 kPa")
                .isLessThan(1e-6);
    }

    /** At equal flow the loss of a smooth bore falls with its fourth to fifth power (Blasius: 4.75). */
    @ParameterizedTest
    @CsvSource({"0.012, 0.019", "0.013, 0.017", "0.016, 0.025"})
    void boreCountsByItsFourthToFifthPower(double thin, double wide) {
        double ratio = hoseLoss(thin) / hoseLoss(wide);
        assertThat(Math.log(ratio) / Math.log(wide / thin)).isBetween(4.0, 5.0);
    }

    private static double hoseLoss(double bore) {
        List<LoopPiece> pieces = List.of(
                Loops.hose("hose", bore, 3, 0),
                Loops.fitting("end", FittingLoss.SPIGOT, bore, 0),
                new LoopPiece.CoreSide("core", CorePorts.BEST, 0));
        WaterLoopSpec spec = new WaterLoopSpec(
                GlycolWater.WATER,
                OptionalDouble.of(15 * LITRES),
                5e-3,
                pieces,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
        LoopFlow flow =
                new LoopHydraulics(spec, new ChargeCooler(Systems.water().core()), null).at(WARM, 0);
        return flow.pieces().get(0).loss()
                - 0.5 * Water.density(WARM) / 2 * Math.pow(flow.pieces().get(0).velocity(), 2);
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void whatThePumpGivesThePiecesTake(long seed) {
        Cases c = Cases.of(seed);
        Loops loops = new Loops();
        loops.hose = c.between(0.012, 0.03);
        loops.spigot = c.between(0.009, 0.03);
        loops.oddSpigot = c.between(0.007, 0.03);
        loops.coolant = new GlycolWater(c.between(0.0, 0.6));
        double t = c.between(283.0, 343.0);
        LoopFlow flow = loops.hydraulics().at(t, 0);
        double sum = flow.pieces().stream().mapToDouble(PieceLoss::loss).sum();
        assertThat(sum / flow.head()).as("residual").isCloseTo(0, within(1e-3));
        assertThat(flow.pieces().stream().mapToDouble(PieceLoss::share).sum()).isCloseTo(1, within(1e-9));
        assertThat(flow.pieces())
                .allSatisfy(p -> assertThat(p.loss())
                        .as(p.piece().name())
                        .satisfiesAnyOf(
                                l -> assertThat(l).isGreaterThanOrEqualTo(0),
                                l -> assertThat(p.piece()).isInstanceOf(LoopPiece.Pump.class)));
        double least = flow.pieces().stream()
                .filter(p -> p.piece().bore() > 0 && !(p.piece() instanceof LoopPiece.Pump))
                .mapToDouble(p -> p.piece().area())
                .min()
                .orElseThrow();
        assertThat(flow.pieces().get(flow.narrowest()).piece().area()).isEqualTo(least);
        assertThat(wider(loops).hydraulics().flow(t, 0))
                .as("wider everywhere, more water")
                .isGreaterThan(flow.flow());
    }

    private static Loops wider(Loops loops) {
        Loops wide = new Loops();
        wide.hose = loops.hose * 1.3;
        wide.spigot = loops.spigot * 1.3;
        wide.oddSpigot = loops.oddSpigot * 1.3;
        wide.coolant = loops.coolant;
        return wide;
    }

    /** TF-05, common practice, no source: one 10 mm spigot in a loop whose other is 15 to 18 mm strangles the pump; matched bores cure it. */
    @Test
    void oneTenMillimetreSpigotStranglesTheLoop() {
        Loops loops = new Loops();
        loops.oddSpigot = 0.010;
        LoopFlow strangled = loops.hydraulics().at(WARM, 0);
        LoopFlow matched = new Loops().hydraulics().at(WARM, 0);
        PieceLoss odd = strangled.pieces().get(strangled.narrowest());
        assertThat(odd.piece().name()).isEqualTo("odd spigot");
        assertThat(odd.share())
                .as("takes more than any other piece")
                .isGreaterThan(0.25)
                .isEqualTo(strangled.pieces().stream()
                        .mapToDouble(PieceLoss::share)
                        .max()
                        .orElseThrow());
        assertThat(matched.flow()).isGreaterThan(1.1 * strangled.flow());
    }

    @Test
    void coldGlycolCreeps() {
        Loops loops = new Loops();
        loops.coolant = new GlycolWater(0.6);
        LoopFlow cold = loops.hydraulics().at(255, 0);
        assertThat(cold.pieces())
                .filteredOn(p -> p.piece() instanceof LoopPiece.Hose)
                .allMatch(PieceLoss::isLaminar);
        assertThat(loops.hydraulics().at(WARM, 0).pieces())
                .filteredOn(p -> p.piece() instanceof LoopPiece.Hose)
                .noneMatch(PieceLoss::isLaminar);
        assertThat(cold.flow()).isLessThan(loops.hydraulics().flow(WARM, 0));
    }

    /** TF-29, common practice, no source. */
    @Test
    void highestPlaceIsFoundAboveTheCap() {
        List<LoopPiece> pieces = new Loops().spec().pieces();
        assertThat(LoopHeights.of(pieces).over()).isLessThanOrEqualTo(0);
        List<LoopPiece> high = new ArrayList<>(pieces);
        high.set(1, Loops.hose("over the wing", 0.019, 0.8, 0.77));
        assertThat(LoopHeights.of(high).over()).isCloseTo(0.12, within(1e-9)).isGreaterThan(LoopHeights.BEARABLE);
        assertThat(high.get(LoopHeights.of(high).highest()).name()).isEqualTo("over the wing");
    }

    private static void refuses(Runnable made, String... words) {
        assertThatThrownBy(made::run)
                .isInstanceOf(EnthalpaFault.class)
                .satisfies(e -> assertThat(((EnthalpaFault) e).sentence()).contains(words));
    }

    @Test
    void loopsThatCannotBeAreRefusedByName() {
        Loops noPump = new Loops();
        noPump.pumps = List.of();
        refuses(noPump::spec, "without a pump", "Put a pump in");
        refuses(
                () -> new WaterLoopSpec(
                        GlycolWater.WATER,
                        OptionalDouble.empty(),
                        5e-3,
                        List.of(),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty()),
                "without pieces and without a measured flow");
        List<LoopPiece> open = new ArrayList<>(new Loops().spec().pieces());
        open.add(new LoopPiece.Outfall("overboard", 0));
        refuses(
                () -> new WaterLoopSpec(
                        GlycolWater.WATER,
                        OptionalDouble.empty(),
                        5e-3,
                        open,
                        Optional.of(Systems.radiator()),
                        Optional.of(TankSpec.PLAIN),
                        Optional.empty(),
                        Optional.empty()),
                "open-ended",
                "closed");
        Loops ice = new Loops();
        ice.tank = Optional.of(
                new TankSpec(10e-3, false, OptionalDouble.empty(), new IceSpec(12, 0.03, IceSpec.Stir.STILL), false));
        refuses(ice::spec, "12.0 kg", "9.2 kg");
        Loops slush = new Loops();
        slush.chiller = Optional.of(new ChillerSpec(4000, 268.15, 20e3, false));
        refuses(slush::spec, "-5.0 °C", "3.0 °C", "0 % glycol");
        Loops twice = new Loops();
        twice.pumps = List.of(Loops.pump("pump", 1), new LoopPiece.Tank("second tank", 0.3));
        refuses(twice::spec, "the tank", "2 times");
    }
}
