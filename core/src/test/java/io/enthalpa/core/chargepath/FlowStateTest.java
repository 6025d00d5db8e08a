package io.enthalpa.core.chargepath;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import io.enthalpa.core.fluid.HumidAir;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FlowStateTest {
    private static final double AREA = 2e-3;
    private final FlowState state = new FlowState();

    private boolean set(double share) {
        double flow = share * AREA * 200e3 / Math.sqrt(287.05 * 300);
        return state.set(HumidAir.DRY, 200e3, 300, flow, AREA);
    }

    /**
     * Isentropic flow of 1.4: m sqrt(R T0) / (A p0) = M sqrt(1.4) (1 + 0.2 M^2)^-3; Anderson, Modern Compressible Flow, table A.1: M 0.3 has T/T0 0.9823
     * and p/p0 0.9395, M 0.5 0.9524 and 0.8430.
     */
    @ParameterizedTest
    @CsvSource({
        "0.1, 0.1176145, 0.998004, 0.993031",
        "0.2, 0.2310534, 0.992063, 0.972497",
        "0.3, 0.3364666, 0.982318, 0.939470",
        "0.5, 0.5110532, 0.952381, 0.843019"
    })
    void isentropicTable(double mach, double share, double temperature, double pressure) {
        assertThat(set(share)).isTrue();
        assertThat(state.mach()).isCloseTo(mach, withinPercentage(0.1));
        assertThat(state.temperature / 300).isCloseTo(temperature, within(1e-4));
        assertThat(state.pressure / 200e3).isCloseTo(pressure, within(2e-4));
        double density = pressure / temperature * 200e3 / (287.05 * 300);
        assertThat(state.density).isCloseTo(density, withinPercentage(0.03));
        double velocity = mach * Math.sqrt(1.4 * 287.05 * 300 * temperature);
        assertThat(state.velocity).isCloseTo(velocity, withinPercentage(0.05));
        assertThat(state.head()).isCloseTo(density * velocity * velocity / 2, withinPercentage(0.1));
    }

    /** What goes in comes out: density, speed and area are the flow, to the end of what passes. */
    @ParameterizedTest
    @CsvSource({"0.01", "0.05", "0.15", "0.34", "0.4", "0.55", "0.62", "0.65"})
    void carriesItsFlow(double share) {
        assertThat(set(share)).isTrue();
        double flow = share * AREA * 200e3 / Math.sqrt(287.05 * 300);
        assertThat(state.density * state.velocity * AREA).isCloseTo(flow, withinPercentage(1e-7));
        double cp = HumidAir.DRY.heatCapacity(300);
        assertThat(cp * (300 - state.temperature))
                .as("motion is taken from the heat")
                .isCloseTo(state.velocity * state.velocity / 2, withinPercentage(1e-5));
        double gamma = cp / (cp - HumidAir.DRY.gasConstant());
        assertThat(state.density)
                .as("isentropic")
                .isCloseTo(
                        HumidAir.DRY.density(200e3, 300) * Math.pow(state.temperature / 300, 1 / (gamma - 1)),
                        withinPercentage(1e-6));
    }

    /** Mach 0.8 is the end: 0.8 sqrt(1.4) 1.128^-3 = 0.65952 passes, more does not. */
    @Test
    void chokes() {
        assertThat(set(0.6590)).isTrue();
        assertThat(state.mach()).isCloseTo(0.8, within(0.005));
        assertThat(set(0.6605)).isFalse();
        assertThat(set(3)).isFalse();
    }
}
