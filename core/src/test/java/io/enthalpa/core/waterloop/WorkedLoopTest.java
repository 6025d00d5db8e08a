package io.enthalpa.core.waterloop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import io.enthalpa.core.Loops;
import io.enthalpa.core.fluid.Water;
import io.enthalpa.core.loss.FittingLoss;
import io.enthalpa.core.waterloop.LoopFlow.Head;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

/** What a loop holds, how its pump works and what its curves say, by hand on the loop of {@link Loops}: hoses of 19 mm, spigots of 17.5. */
class WorkedLoopTest {
    private static final double WARM = 313.15;
    private static final double HOSE = Math.PI / 4 * 0.019 * 0.019;
    private static final double BEND = Math.PI / 2 * 3 * 0.019;
    private static final double SPIGOT = Math.PI / 4 * 0.0175 * 0.0175 * 0.03;

    /** From the tank 0.8 and 1.2 m of hose with a bend each and a spigot; behind the core a spigot, 1.2 m, a spigot to the radiator, and no further. */
    @Test
    void volumesBeforeAndBehindTheCore() {
        WaterLoopSpec loop = new Loops().spec();
        assertThat(loop.feedVolume()).isCloseTo(HOSE * (0.8 + 1.2 + 2 * BEND) + SPIGOT, within(1e-9));
        assertThat(loop.returnVolume()).isCloseTo(HOSE * (1.2 + BEND) + 2 * SPIGOT, within(1e-9));
        Loops none = new Loops();
        none.radiator = Optional.empty();
        assertThat(none.spec().returnVolume()).as("to the tank").isCloseTo(HOSE * (1.2 + BEND) + SPIGOT, within(1e-9));
    }

    @Test
    void whoMovesTheWaterWhen() {
        Loops l = new Loops();
        assertThat(l.spec().isPumped(0)).as("a motor, told to go on").isTrue();
        assertThat(l.spec().followsEngine()).isFalse();
        l.whileOff = false;
        assertThat(l.spec().isPumped(0)).isFalse();
        assertThat(l.spec().isPumped(100)).isTrue();
        l.whileOff = true;
        l.pumps = List.of(new LoopPiece.Pump(
                "pump",
                new PumpSpec(Loops.curve(42e3, 40 * Loops.LITRES), 1, OptionalDouble.of(400), 0.3),
                0.019,
                1,
                0.2));
        assertThat(l.spec().isPumped(0)).as("the engine stands").isFalse();
        assertThat(l.spec().isPumped(1)).isTrue();
        assertThat(l.spec().followsEngine()).isTrue();
        PumpSpec driven = ((LoopPiece.Pump) l.pumps.get(0)).spec();
        assertThat(driven.speed(200)).isEqualTo(0.5);
        assertThat(driven.rise(0, 200)).as("a quarter at half speed").isCloseTo(42e3 / 4, within(1e-6));
        assertThat(driven.rise(0, 0)).isZero();
        assertThat(driven.power(2e-4, 30e3)).as("6 W of water at 30 %").isCloseTo(20, within(1e-9));
        assertThat(driven.power(2e-4, -5e3)).isZero();
        WaterLoopSpec told = WaterLoopSpec.measured(3e-4, 6e-3, io.enthalpa.core.Systems.radiator());
        assertThat(told.isPumped(0)).as("a flow that was told").isTrue();
    }

    /** Two curves: what the pump gives falls as a parabola from 42 kPa to nothing at 40 L/min; what the loop takes at its own flow is what the pump gives there. */
    @Test
    void curvesOfPumpAndLoop() {
        LoopHydraulics hydraulics = new Loops().hydraulics();
        List<Head> heads = hydraulics.heads(WARM, 0);
        double most = heads.get(heads.size() - 1).flow();
        assertThat(most).isCloseTo(40 * Loops.LITRES, withinPercentage(0.01));
        for (int k = 1; k < heads.size(); k++) {
            double share = (double) k / (heads.size() - 1);
            assertThat(heads.get(k).flow()).isCloseTo(share * most, withinPercentage(0.01));
            assertThat(heads.get(k).given()).isCloseTo(42e3 * (1 - share * share), within(1.0));
        }
        LoopFlow flow = hydraulics.at(WARM, 0);
        double ratio = flow.flow() / (40 * Loops.LITRES);
        assertThat(flow.head()).isCloseTo(42e3 * (1 - ratio * ratio), withinPercentage(0.01));
        Head below = heads.stream()
                .filter(h -> h.flow() < flow.flow())
                .reduce((a, b) -> b)
                .orElseThrow();
        Head above =
                heads.stream().filter(h -> h.flow() > flow.flow()).findFirst().orElseThrow();
        assertThat(below.taken()).isLessThan(below.given());
        assertThat(above.taken()).isGreaterThan(above.given());
        assertThat(flow.pieces().stream().mapToDouble(PieceLoss::share).sum()).isCloseTo(1, within(1e-9));
        for (PieceLoss piece : flow.pieces()) {
            boolean pump = piece.piece() instanceof LoopPiece.Pump;
            assertThat(piece.share()).isCloseTo(pump ? 0 : piece.loss() / flow.head(), within(1e-9));
        }
        assertThat(flow.pastCurve()).isFalse();
        assertThat(flow.pieces().get(flow.narrowest()).piece().bore()).isEqualTo(0.0175);
    }

    /** One spigot of 17.5 mm, 30 mm long, between hoses of 19: its own friction, the step out into the core, one head, and the step down from the hose; on its own velocity head. */
    @Test
    void lossOfASpigotByHand() {
        Loops l = new Loops();
        LoopFlow flow = l.hydraulics().at(WARM, 0);
        PieceLoss spigot = flow.pieces().get(4);
        assertThat(spigot.piece().name()).isEqualTo("core spigot");
        double velocity = flow.flow() / (Math.PI / 4 * 0.0175 * 0.0175);
        assertThat(spigot.velocity()).isCloseTo(velocity, withinPercentage(1e-6));
        double re = velocity * 0.0175 * Water.density(WARM) / Water.viscosity(WARM);
        assertThat(spigot.reynolds()).isCloseTo(re, withinPercentage(1e-6));
        double b = 17.5 / 19;
        double b5 = Math.pow(b, 5);
        double jet = 1 + 0.622 * (1 - 0.215 * b * b - 0.785 * b5);
        double step = 0.0696 * (1 - b5) * jet * jet + (jet - 1) * (jet - 1);
        double friction = 0.03
                / 0.0175
                * io.enthalpa.core.loss.FrictionFactor.darcy(
                        re, io.enthalpa.core.loss.PipeMaterial.ALUMINIUM.roughness() / 0.0175);
        double head = Water.density(WARM) * velocity * velocity / 2;
        double own = spigot.loss() / head - step - 1 - FittingLoss.SPIGOT.coefficient(0.0175);
        assertThat(own).as("what is left is friction").isCloseTo(friction, within(0.02));
    }

    /** 4 kW at 20 °C water and 25 °C outside: 88 W for each kelvin of water; at 35 °C outside 12 % less; from 2 kPa of cut-out on nothing. Pull down by hand: 25 kJ/K from 20 to 5 °C. */
    @Test
    void chiller() {
        ChillerSpec chiller = new ChillerSpec(4e3, 277.15, 20e3, true);
        assertThat(chiller.slope(298.15)).isCloseTo(88, within(1e-9));
        assertThat(chiller.slope(308.15)).isCloseTo(88 * 0.88, within(1e-9));
        assertThat(chiller.slope(288.15)).isCloseTo(88 * 1.12, within(1e-9));
        assertThat(chiller.heat(293.15, 298.15)).isCloseTo(4e3, within(1e-6));
        assertThat(chiller.heat(283.15, 298.15)).isCloseTo(4e3 - 880, within(1e-6));
        assertThat(chiller.heat(277.15, 298.15)).isZero();
        assertThat(chiller.worksAt(19e3)).isTrue();
        assertThat(chiller.worksAt(20e3)).isFalse();
        double zero = 293.15 - 1 / 0.022;
        assertThat(chiller.pullDown(25e3, 293.15, 298.15))
                .isCloseTo(25e3 / 88 * Math.log((293.15 - zero) / (277.15 - zero)), within(1e-6));
        assertThat(chiller.pullDown(25e3, 277.15, 298.15)).isZero();
        assertThat(new ChillerSpec(4e3, 240, 20e3, true).pullDown(25e3, 293.15, 298.15))
                .isInfinite();
    }
}
