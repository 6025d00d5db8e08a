package io.enthalpa.core.exchanger;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import io.enthalpa.core.Cases;
import io.enthalpa.core.ReferenceTable;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fluid.HumidAir;
import io.enthalpa.core.fluid.Transport;
import java.util.List;
import java.util.stream.LongStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

class FinTest {
    private static final Transport AIR = Transport.ofAir(HumidAir.DRY, 2e5, 340);

    static List<ReferenceTable.Row> ducts() {
        return ReferenceTable.rows("rectangular-duct-laminar.csv");
    }

    static LongStream seeds() {
        return Cases.seeds();
    }

    static Stream<FinSpec> fins() {
        return Stream.of(
                FinSpec.plain(6e-3, 2.5e-3, 0.2e-3),
                FinSpec.offset(6e-3, 2e-3, 0.15e-3, 3e-3),
                FinSpec.louvred(8e-3, 1.6e-3, 0.1e-3, 1.2e-3, Math.toRadians(27)));
    }

    /** Shah &amp; London (1978). */
    @ParameterizedTest
    @MethodSource("ducts")
    void laminarDuctsAgreeWithThePublishedTable(ReferenceTable.Row row) {
        double a = row.get("aspect_ratio");
        assertThat(PlainPassage.laminarFriction(a)).isCloseTo(row.get("f_re"), withinPercentage(0.3));
        assertThat(PlainPassage.laminarNusselt(a)).isCloseTo(row.get("nu_T"), withinPercentage(0.5));
        assertThat(PlainPassage.laminarNusseltAtConstantFlux(a)).isCloseTo(row.get("nu_H1"), withinPercentage(0.5));
    }

    private static FinFlow flow(FinSpec fin, double massFlux) {
        return switch (fin.type()) {
            case PLAIN -> PlainPassage.flow(fin.passageWidth(), fin.passageHeight(), 0.064, massFlux, AIR);
            case OFFSET -> ManglikBergles1995.flow(fin, massFlux, AIR);
            case LOUVRED -> ChangWang1997.flow(fin, 0.032, 2e-3, massFlux, AIR);
        };
    }

    @ParameterizedTest
    @MethodSource("fins")
    void filmAndLossRiseWithFlow(FinSpec fin) {
        double film = 0;
        double loss = 0;
        for (double flux = 1; flux < 60; flux *= 1.05) {
            FinFlow flow = flow(fin, flux);
            assertThat(flow.film()).isGreaterThan(film);
            assertThat(flow.friction() * flux * flux)
                    .as("at %.1f kg/(m2 s)", flux)
                    .isGreaterThan(loss);
            film = flow.film();
            loss = flow.friction() * flux * flux;
        }
    }

    /**
     * Fins between plates, where the other stream's layer stands for the tube (9 mm high, 7.5 mm between; 12 and 6 mm too), against Davenport (1983), from memory, mm and the
     * louvre's height Lp tan / 2: j = 0.249 Re^-0.42 Lh^0.33 (Ll/H)^1.1 H^0.26, f = 5.47 Re^-0.72 Lh^0.37 (Ll/H)^0.89 Lp^0.2 H^0.23 below Re 1000 on the hydraulic
     * diameter. It knows no tube; its f stands a tenth above to a quarter below for tubes and plates alike. With the layer's whole height for the tube f would be twice that.
     */
    @ParameterizedTest
    @CsvSource({"9, 2.4, 1.4, 24, 7.5", "12, 2.2, 1.4, 27, 7.5", "6, 2.0, 1.2, 25, 8.0", "8, 1.5, 1.2, 27, 2.0"})
    void louvresBetweenPlatesLoseWhatLouvresLose(double gap, double pitch, double lp, double angle, double wall) {
        FinSpec fin = FinSpec.louvred(gap * 1e-3, pitch * 1e-3, 0.11e-3, lp * 1e-3, Math.toRadians(angle));
        for (double re : new double[] {200, 300}) {
            double flux = re * AIR.viscosity() / (lp * 1e-3);
            FinFlow flow = ChangWang1997.flow(fin, 0.055, wall * 1e-3, flux, AIR);
            double j = flow.film() * Math.pow(AIR.prandtl(), 2.0 / 3) / (flux * AIR.heatCapacity());
            double lh = lp * Math.tan(Math.toRadians(angle)) / 2;
            assertThat(flow.friction()
                            / (5.47
                                    * Math.pow(re, -0.72)
                                    * Math.pow(lh, 0.37)
                                    * Math.pow(0.85, 0.89)
                                    * Math.pow(lp, 0.2)
                                    * Math.pow(gap, 0.23)))
                    .isBetween(0.85, 1.35);
            assertThat(j
                            / (0.249
                                    * Math.pow(re, -0.42)
                                    * Math.pow(lh, 0.33)
                                    * Math.pow(0.85, 1.1)
                                    * Math.pow(gap, 0.26)))
                    .isBetween(0.75, 1.15);
        }
    }

    /** What lies beyond counts as the nearest measured, and is named. */
    @Test
    void finsBeyondThoseMeasuredAreNamedAndHeld() {
        FinSpec plates = FinSpec.louvred(9e-3, 2.4e-3, 0.12e-3, 1.4e-3, Math.toRadians(24));
        assertThat(ChangWang1997.beyond(plates, 0.064, 7.5e-3))
                .containsExactly(FinMeasure.DEPTH, FinMeasure.TUBE_TO_FIN);
        assertThat(ChangWang1997.beyond(plates, 0.05, 3e-3)).isEmpty();
        FinFlow held = ChangWang1997.flow(plates, 0.0574, 0.35 * 9e-3, 10, AIR);
        FinFlow beyond = ChangWang1997.flow(plates, 0.2, 20e-3, 10, AIR);
        assertThat(beyond.film()).isEqualTo(held.film());
        assertThat(beyond.friction()).isEqualTo(held.friction());
        FinSpec coarse = FinSpec.louvred(30e-3, 5e-3, 0.3e-3, 4e-3, Math.toRadians(40));
        assertThat(ChangWang1997.beyond(coarse, 0.05, 6e-3))
                .containsExactly(
                        FinMeasure.FIN_PITCH,
                        FinMeasure.FIN_HEIGHT,
                        FinMeasure.FIN_THICKNESS,
                        FinMeasure.LOUVRE_PITCH,
                        FinMeasure.LOUVRE_ANGLE);
        FinSpec wide = FinSpec.offset(2e-3, 4e-3, 0.3e-3, 3e-3);
        assertThat(ManglikBergles1995.beyond(wide))
                .containsExactly(FinMeasure.WIDTH_TO_HEIGHT, FinMeasure.THICKNESS_TO_STRIP);
        assertThat(ManglikBergles1995.beyond(FinSpec.offset(6e-3, 2e-3, 0.15e-3, 4e-3)))
                .isEmpty();
    }

    /**
     * Offset strips thicker for their length and width than those measured, against Wieting (1975), from memory, below Re 1000: j = 0.483 (l/D)^-0.162 (s/h)^-0.184 Re^-0.536,
     * f = 7.661 (l/D)^-0.384 (s/h)^-0.092 Re^-0.712.
     */
    @ParameterizedTest
    @CsvSource({"6, 2.0, 0.15, 3.0", "6, 1.6, 0.25, 3.0", "4, 3.6, 0.2, 3.0", "8, 1.5, 0.1, 12"})
    void offsetStripsBeyondThoseMeasured(double gap, double pitch, double sheet, double strip) {
        FinSpec fin = FinSpec.offset(gap * 1e-3, pitch * 1e-3, sheet * 1e-3, strip * 1e-3);
        double re = 600;
        double flux = re * AIR.viscosity() / fin.hydraulicDiameter();
        FinFlow flow = ManglikBergles1995.flow(fin, flux, AIR);
        double d = strip * 1e-3 / fin.hydraulicDiameter();
        double a = fin.passageWidth() / fin.passageHeight();
        double j = flow.film() * Math.pow(AIR.prandtl(), 2.0 / 3) / (flux * AIR.heatCapacity());
        assertThat(j)
                .isCloseTo(
                        0.483 * Math.pow(d, -0.162) * Math.pow(a, -0.184) * Math.pow(re, -0.536), withinPercentage(20));
        assertThat(flow.friction())
                .isCloseTo(
                        7.661 * Math.pow(d, -0.384) * Math.pow(a, -0.092) * Math.pow(re, -0.712), withinPercentage(35));
    }

    /** Interrupted fins beat plain ones at equal flow; that is what they are cut for. */
    @ParameterizedTest
    @MethodSource("seeds")
    void interruptedFinsMoveMoreAndCostMore(long seed) {
        double flux = Cases.of(seed).between(4.0, 30.0);
        FinSpec plain = FinSpec.plain(6e-3, 2e-3, 0.15e-3);
        FinSpec offset = FinSpec.offset(6e-3, 2e-3, 0.15e-3, 3e-3);
        assertThat(flow(offset, flux).film()).isGreaterThan(flow(plain, flux).film());
        assertThat(flow(offset, flux).friction())
                .isGreaterThan(flow(plain, flux).friction());
    }

    /** Incropera &amp; DeWitt: tanh(mL)/(mL); mL 1 gives 0.7616. */
    @Test
    void finEfficiencyOfTheTextbook() {
        double film = 180 * 0.2e-3 / 2 / (5e-3 * 5e-3);
        assertThat(FinEfficiency.straight(film, 180, 0.2e-3, 5e-3)).isCloseTo(0.7616, within(1e-4));
        assertThat(FinEfficiency.straight(1e-9, 180, 0.2e-3, 5e-3)).isCloseTo(1, within(1e-6));
    }

    @ParameterizedTest
    @MethodSource("fins")
    void surfaceAndSectionAddUp(FinSpec fin) {
        assertThat(fin.openShare()).isBetween(0.5, 1.0);
        double perimeterArea = 2 * (fin.passageWidth() + fin.passageHeight()) / fin.pitch();
        assertThat(fin.areaPerPlan())
                .as("two plates and the fins, the strips' edges on top")
                .isBetween(0.99 * perimeterArea, 1.15 * perimeterArea);
        assertThat(fin.metalPerPlan()).isLessThan(0.3 * fin.gap());
    }

    @Test
    void finThickerThanItsPitchIsRefused() {
        assertThatThrownBy(() -> new FinnedBlock(
                        FinnedBlock.Construction.BAR_AND_PLATE,
                        Coolant.AIR,
                        FinSpec.plain(6e-3, 1e-3, 1.2e-3),
                        FinSpec.plain(8e-3, 2e-3, 0.1e-3),
                        0.5e-3,
                        5e-3,
                        180,
                        0,
                        0))
                .isInstanceOf(EnthalpaFault.class)
                .hasMessageContaining("charge fin thickness is 1.20 mm")
                .hasMessageContaining("below 0.60 mm");
    }
}
