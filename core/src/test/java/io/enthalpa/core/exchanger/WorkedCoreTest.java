package io.enthalpa.core.exchanger;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import io.enthalpa.core.fluid.GlycolWater;
import io.enthalpa.core.fluid.Transport;
import org.junit.jupiter.api.Test;

/**
 * A core of 500 x 250 x 64 mm worked out beside the program from the published equations, step by step, with the air of the table (Incropera &amp; DeWitt A.4: 350 K 1009 J/(kg K),
 * 20.82 uPa s, 0.0300 W/(m K); 300 K 1007, 18.46, 0.0263). Charge between offset strips 6 mm high, pitch 2, sheet 0.15, strips 4 mm; cooling air between louvres 8 mm high,
 * pitch 1.8, sheet 0.1, louvres 1.2 mm at 27 degrees; plates 0.5, bars 5 mm, 180 W/(m K); fouling 0.05 and 0.1 m2 K/kW. Fed over its face.
 */
class WorkedCoreTest {
    private static final CoreSize SIZE = new CoreSize(0.5, 0.25, 0.064);
    private static final FinnedBlock BLOCK = new FinnedBlock(
            FinnedBlock.Construction.BAR_AND_PLATE,
            Coolant.AIR,
            FinSpec.offset(6e-3, 2e-3, 0.15e-3, 4e-3),
            FinSpec.louvred(8e-3, 1.8e-3, 0.1e-3, 1.2e-3, Math.toRadians(27)),
            0.5e-3,
            5e-3,
            180,
            5e-5,
            1e-4);
    private static final Transport HOT = new Transport(2, 1009, 20.82e-6, 0.0300);
    private static final Transport COLD = new Transport(1.1614, 1007, 18.46e-6, 0.0263);

    private static FinnedCore core(Effectiveness arrangement) {
        return core(arrangement, new EndTankSpec(0.063, 0, EndTankSpec.PortPlace.MIDDLE, false, 0, 1, 0.063, 0.04));
    }

    private static FinnedCore core(Effectiveness arrangement, EndTankSpec tanks) {
        return new FinnedCore(
                new CoreSpec("bar-and-plate", SIZE, BLOCK, arrangement, tanks, PortSide.RIGHT),
                BLOCK,
                GlycolWater.WATER);
    }

    /**
     * A layer of each and two plates are 6 + 8 + 1 = 15 mm; (250 - 8 - 1) / 15 = 16.07: 16 charge layers, 17 of air. Charge: s 1.85, h 5.85, open 0.90188, D 2.7213 mm;
     * surface 16 (4) 0.90188 (6 / 2.7213) 0.5 (0.054) = 3.4362 m2, section 16 (6) 0.90188 (54) = 4675.3 mm2. Air: s 1.7, h 7.9, open 0.93264, D 2.7979 mm; surface
     * 17 (4) 0.93264 (8 / 2.7979) 0.49 (0.064) = 5.6866 m2, section 17 (8) 0.93264 (490) = 62 151 mm2. Mass: fins, 34 plates, bars and two tank plates 4.864 kg.
     */
    @Test
    void layersSurfacesAndSections() {
        FinnedCore core = core(Effectiveness.CROSSFLOW_UNMIXED);
        assertThat(core.layers()).isEqualTo(16);
        assertThat(BLOCK.charge().hydraulicDiameter()).isCloseTo(2.7213e-3, within(1e-7));
        assertThat(BLOCK.cold().hydraulicDiameter()).isCloseTo(2.7979e-3, within(1e-7));
        assertThat(core.chargeArea()).isCloseTo(3.4362, withinPercentage(0.01));
        assertThat(core.coldArea()).isCloseTo(5.6866, withinPercentage(0.01));
        assertThat(core.metalMass()).isCloseTo(4.8644, withinPercentage(0.01));
        assertThat(core.chargeVolume())
                .as("half a metre of that section")
                .isCloseTo(0.5 * 4675.3e-6, withinPercentage(0.01));
    }

    /** 0.2 kg/s: G 42.78, Re 5591; a 0.31624, d 0.0375, g 0.08108: j 0.00677, f 0.03082; film j G cp / Pr^(2/3) = 370.3 W/(m2 K). */
    @Test
    void offsetStrips() {
        FinFlow flow = ManglikBergles1995.flow(BLOCK.charge(), 42.778, HOT);
        assertThat(flow.reynolds()).isCloseTo(5591, withinPercentage(0.1));
        assertThat(flow.film()).isCloseTo(370.33, withinPercentage(0.2));
        assertThat(flow.friction()).isCloseTo(0.03082, withinPercentage(0.2));
    }

    /** 1 kg/s: G 16.09, Re on the louvre pitch 1045.9; depth held at 57.4 mm, tube at 2.8 mm: j 0.01068, f 0.05863; film 218.0 W/(m2 K). */
    @Test
    void louvres() {
        FinFlow flow = ChangWang1997.flow(BLOCK.cold(), 0.064, 7e-3, 16.09, COLD);
        assertThat(flow.reynolds()).isCloseTo(1045.9, withinPercentage(0.1));
        assertThat(flow.film()).isCloseTo(217.98, withinPercentage(0.2));
        assertThat(flow.friction()).isCloseTo(0.05863, withinPercentage(0.2));
    }

    /**
     * Efficiency of a fin fed from both plates: m l = sqrt(2 (370.3) / (180 (0.15e-3))) 3e-3 = 0.4971, tanh / ml 0.9251; of the surface 1 - 0.7597 (0.0749) = 0.9431. Air: 4 mm, 0.8881, 0.9079.
     * Sides 1200.1 and 1125.5 W/K; fouling and plates 1 / (5e-5 / 3.4362 + 0.5e-3 / (180 (0.864)) + 1e-4 / 5.6866) = 28 288; whole 569.1 W/K.
     */
    @Test
    void conductance() {
        assertThat(FinEfficiency.straight(370.33, 180, 0.15e-3, 3e-3)).isCloseTo(0.9251, within(2e-4));
        assertThat(FinEfficiency.surface(BLOCK.charge(), 370.33, 180)).isCloseTo(0.9431, within(2e-4));
        assertThat(FinEfficiency.surface(BLOCK.cold(), 217.98, 180)).isCloseTo(0.9079, within(2e-4));
        Conductances c = core(Effectiveness.CROSSFLOW_UNMIXED).conductances(0.2, 350, 1.0, 300);
        assertThat(c.hot()).isCloseTo(1200.1, withinPercentage(1.5));
        assertThat(c.wall()).isCloseTo(28_288, withinPercentage(0.05));
        assertThat(c.cold()).isCloseTo(1125.5, withinPercentage(1.5));
        assertThat(c.overall()).isCloseTo(569.1, withinPercentage(1.5));
    }

    /**
     * Charge from 2.0 to 2.3 kg/m3, free 0.2922 of the section: entrance 0.384, acceleration -0.261, friction 4 (0.03082) (183.74) 2.0/2.15 = 21.07, exit -0.360 heads of 457.5 Pa:
     * 9951 Pa. Air of 1.1614 kg/m3, free 0.4974: 4 (0.05863) (22.87) = 5.36 heads of 111.5 Pa and the ends: 661.3 Pa at 6.888 m/s.
     */
    @Test
    void losses() {
        FinnedCore core = core(Effectiveness.CROSSFLOW_UNMIXED);
        assertThat(core.loss(0.2, 2.0, 2.3, 350)).isCloseTo(9951, withinPercentage(1));
        assertThat(core.airLoss(6.888, new FaceAir(1.1614, 300))).isCloseTo(661.3, withinPercentage(1));
    }

    /**
     * There and back at half the flow: the same 457.5 Pa of head, twice the way, 19 590 Pa; into and out of the turn 0.384 + 0.501 heads of 425.6 Pa, 376.7. Ports of 57 mm: 767.9 (0.7065 / 2.0 + 0.4203 / 2.3)
     * Pa = 411.5. Once through, 23.54 heads of 4675.3 mm2 stand against the jet: a spread of 0.02916.
     */
    @Test
    void twoPassesBetweenTanks() {
        FinnedCore core = core(Effectiveness.U_FLOW_CROSS_COUNTER, EndTankSpec.usual(0.057));
        assertThat(core.loss(0.1, 2.0, 2.3, 350)).isCloseTo(20_378, withinPercentage(1));
        assertThat(core(Effectiveness.CROSSFLOW_UNMIXED, EndTankSpec.usual(0.057))
                        .tankEffect(0.2, 350)
                        .spread())
                .isCloseTo(0.029156, withinPercentage(1));
    }

    /** There and back: half the section, twice the way. Counterflow: air along the 500 mm between bars of the depth. */
    @Test
    void passesAndCounterflow() {
        FinnedCore twice = core(Effectiveness.U_FLOW_CROSS_COUNTER);
        FinnedCore once = core(Effectiveness.CROSSFLOW_UNMIXED);
        assertThat(twice.chargeFlow(0.1, 350).reynolds())
                .isCloseTo(once.chargeFlow(0.2, 350).reynolds(), withinPercentage(1e-6));
        assertThat(twice.chargeFlow(0.2, 350).reynolds()).isCloseTo(2 * 5591, withinPercentage(1));
        FinnedCore counter = core(Effectiveness.COUNTERFLOW);
        assertThat(counter.coldArea())
                .as("54 mm by 500 for 490 by 64")
                .isCloseTo(5.6866 * 54 * 500 / (490 * 64.0), withinPercentage(0.01));
        assertThat(counter.coldFlow(1.0, 300).reynolds()).isCloseTo(1045.9 * 490 / 54, withinPercentage(1));
    }

    /**
     * Straight passages of 2 by 6 mm, 64 mm long, G 8: D 3 mm, Re 1153; aspect 1/3: f Re 17.09, Nu 4.11, entrance 1.615 (Re Pr D/L)^(1/3) 5.40, together 6.046: 60.46 W/(m2 K). 4 by 6 mm
     * at G 60: Re 13 833, Filonenko 0.0072002, Gnielinski with its entrance 45.42: 283.9 W/(m2 K).
     */
    @Test
    void plainPassages() {
        FinFlow laminar = PlainPassage.flow(2e-3, 6e-3, 0.064, 8, HOT);
        assertThat(laminar.reynolds()).isCloseTo(1152.7, withinPercentage(0.01));
        assertThat(laminar.film()).isCloseTo(60.458, withinPercentage(0.05));
        assertThat(laminar.friction()).isCloseTo(0.0148299, withinPercentage(0.05));
        FinFlow turbulent = PlainPassage.flow(4e-3, 6e-3, 0.064, 60, HOT);
        assertThat(turbulent.reynolds()).isCloseTo(13_833, withinPercentage(0.01));
        assertThat(turbulent.film()).isCloseTo(283.89, withinPercentage(0.05));
        assertThat(turbulent.friction()).isCloseTo(0.00720015, withinPercentage(0.05));
    }
}
