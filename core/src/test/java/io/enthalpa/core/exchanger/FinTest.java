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

    /** Ranges of measured surfaces in Kays &amp; London's charts, from memory: offset strips at Re 1000. */
    @Test
    void offsetStripLiesAmongMeasuredSurfaces() {
        double j = ManglikBergles1995.factorJ(1000, 0.3, 0.04, 0.08);
        double f = ManglikBergles1995.factorF(1000, 0.3, 0.04, 0.08);
        assertThat(j).isBetween(0.010, 0.020);
        assertThat(f).isBetween(0.035, 0.080);
        assertThat(j / f).as("the area goodness of interrupted fins").isBetween(0.2, 0.33);
    }

    /** Chang &amp; Wang's own data band, from memory: j 0.015 to 0.04 and f 0.06 to 0.2 at Re 300 on the louvre pitch. */
    @Test
    void louvredFinLiesAmongMeasuredSurfaces() {
        FinSpec fin = FinSpec.louvred(8e-3, 1.5e-3, 0.1e-3, 1.2e-3, Math.toRadians(28));
        double flux = 300 * AIR.viscosity() / 1.2e-3;
        FinFlow flow = ChangWang1997.flow(fin, 0.032, 2e-3, flux, AIR);
        assertThat(flow.film() * Math.pow(AIR.prandtl(), 2.0 / 3) / (flux * AIR.heatCapacity()))
                .isBetween(0.015, 0.04);
        assertThat(flow.friction()).isBetween(0.06, 0.2);
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
