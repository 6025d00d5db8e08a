package io.enthalpa.core.exchanger;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import io.enthalpa.core.exchanger.EndTankSpec.PortPlace;
import io.enthalpa.core.fluid.HumidAir;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * End tanks with the figures put in beside the program: port of 57 mm, 2.5518e-3 m2, on a tank 57 deep of a core 250 high and 64 deep, a = 0.15949; block 20 heads of 0.005 m2, 8e5 heads of one m2.
 * All the flow through the tank's section of 3.648e-3 m2 has 75144 heads of one m2.
 */
class WorkedTankTest {
    private static final CoreSize SIZE = new CoreSize(0.5, 0.25, 0.064);

    /** A core that lies level, its inlet to the right. */
    private static TankStream stream(EndTankSpec tanks) {
        return CoreOutlineTest.stream(tanks, SIZE);
    }

    /**
     * Inlet (1 - a)^2 and at the end one head of the tank's speed, 0.48929 or a quarter; outlet 0.5 (1 - a'), by (port / outlet)^2; jet sqrt(a (1 - a)) / port^2 / (1.8 block), divided half.
     * Along: rms of 2 w^2 - v^2 over 200,000 strips by another program. In closed form with 4/45 the variance of x^2 over 0 to 1 and 1/30 - 1/9 its covariance with (1 - x)^2:
     * middle a quarter of sqrt(4/45), 0.0745356; both at the upper end sqrt(4/45), 0.298142; across sqrt(5 4/45 + 4 7/90), 0.869227; times 75144 / (1.8 8e5).
     */
    @ParameterizedTest
    @CsvSource({
        "MIDDLE, MIDDLE,     , false, 1, 0.057, 0.706466, 0.420258, 0.0390473, 0.00388948",
        "OFFSET, OFFSET,     , false, 1, 0.057, 0.706466, 0.420258, 0.0390473, 0.02528162",
        "OFFSET, OFFSET, UP  , false, 1, 0.057, 0.706466, 0.420258, 0.0390473, 0.02030368",
        "END,    END,        , false, 1, 0.057, 1.195759, 0.909551, 0,         0.04535875",
        "END,    END,    DOWN, false, 1, 0.057, 1.195759, 0.909551, 0,         0.04535875",
        "END,    END,    UP  , false, 1, 0.057, 1.195759, 0.909551, 0,         0.01555792",
        "MIDDLE, MIDDLE,     , true,  1, 0.057, 0.706466, 0.420258, 0.0195236, 0.00388948",
        "END,    END,        , true,  1, 0.057, 0.828789, 0.909551, 0,         0.03219118",
        "END,    END,        , false, 2, 0.045, 1.195759, 0.380132, 0,         0.01555792",
        "MIDDLE, MIDDLE,     , false, 2, 0.045, 0.706466, 0.257809, 0.0390473, 0.00471374",
    })
    void tanks(
            PortPlace inlet,
            PortPlace outlet,
            PortSide outletEnd,
            boolean divided,
            int outlets,
            double outletBore,
            double inletK,
            double outletK,
            double jet,
            double header) {
        EndTankSpec spec = new EndTankSpec(0.057, 0.057, inlet, divided, 0, outlets, outletBore, 0.04)
                .withSeats(PortSeat.usual(inlet), new PortSeat(outlet, Optional.ofNullable(outletEnd)));
        TankEffect effect = TankEffect.of(stream(spec), 20, 0.005);
        assertThat(effect.inletK()).isCloseTo(inletK, within(2e-6));
        assertThat(effect.outletK()).isCloseTo(outletK, within(2e-6));
        assertThat(effect.jetSpread()).isCloseTo(jet, within(1e-7));
        assertThat(effect.headerSpread()).isCloseTo(header, within(1e-6));
        assertThat(effect.spread()).isCloseTo(Math.hypot(jet, header), within(1e-6));
    }

    /** Inlet on the end of its tank, outlet in the middle of the other: -(1 - x)^2 + 2 (x or 1 - x)^2 strays by 0.361325 from its mean, by 200,000 strips. */
    @Test
    void outletElsewhereThanTheInlet() {
        EndTankSpec spec = new EndTankSpec(0.057, 0.057, PortPlace.END, false, 0, 1, 0.057, 0.04)
                .withSeats(PortSeat.usual(PortPlace.END), PortSeat.usual(PortPlace.MIDDLE));
        TankEffect effect = TankEffect.of(stream(spec), 20, 0.005);
        assertThat(effect.inletK()).isCloseTo(1.195759, within(2e-6));
        assertThat(effect.outletK()).as("no turn into its port").isCloseTo(0.420258, within(2e-6));
        assertThat(effect.headerSpread()).isCloseTo(0.361325 * 75144 / 1.44e6, within(2e-6));
    }

    /** Half of the passages 1.2 of the flow, half 0.8: (1.2 exp(-2 x 1.2^-0.4) + 0.8 exp(-2 x 0.8^-0.4)) / 2 leaves what 0.98888 of the NTU would. */
    @ParameterizedTest
    @CsvSource({"0.2, 2, 0.988878", "0.5, 3, 0.920039", "0.8, 1, 0.859989", "0, 2, 1"})
    void unevenPassages(double spread, double ntu, double factor) {
        assertThat(new TankEffect(0, 0, 0, 0, spread).conductanceFactor(ntu)).isCloseTo(factor, within(1e-6));
    }

    /** A slack block before a small port would be fed anyhow: no more than 0.8 is believed. */
    @ParameterizedTest
    @CsvSource({"0.1, 0.8", "20, 0.0392405"})
    void spreadHasAnEnd(double block, double spread) {
        EndTankSpec spec = EndTankSpec.usual(0.057);
        assertThat(TankEffect.of(stream(spec), block, 0.005).spread()).isCloseTo(spread, within(1e-6));
    }

    /**
     * Damp charge beside the program, by Buck's vapour pressure and 2500.8 - 2.361 t kJ/kg in 600 strips: 0.15 kg/s of 303.15 K and 80 %, at 2 bar and 380 K, films to the middle of the metal 291.26 and 1304.3 W/K, coolant 1200
     * W/K of 278 K: dew point 311.35 K, 1.6375 g/s come out with 4002 W, the charge leaves 3.729 K warmer.
     */
    @ParameterizedTest
    @CsvSource({"1.63748e-3, 4002.3, 3.7285, 288.9, 311.353"})
    void dampCharge(double flow, double latent, double warmer, double metal, double dewPoint) {
        Condensate c = Condensate.of(
                HumidAir.at(303.15, 101325, 0.8), 0.15, 2e5, 380, 278, 1200, new Conductances(300, 5000, 1500));
        assertThat(c.flow()).isCloseTo(flow, withinPercentage(0.5));
        assertThat(c.latentHeat()).isCloseTo(latent, withinPercentage(0.5));
        assertThat(c.warmer()).isCloseTo(warmer, withinPercentage(1));
        assertThat(c.metal()).isCloseTo(metal, within(0.4));
        assertThat(c.dewPoint()).isCloseTo(dewPoint, within(0.1));
    }
}
