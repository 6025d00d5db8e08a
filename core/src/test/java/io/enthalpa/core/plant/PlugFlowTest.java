package io.enthalpa.core.plant;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Water under way in a hose. */
class PlugFlowTest {

    /** What goes into a hose comes out after its volume over the flow, unchanged. */
    @ParameterizedTest
    @CsvSource({"0.05", "0.25", "1", "3.7"})
    void hoseDelaysByVolumeOverFlow(double dt) {
        double capacity = 4000;
        double rate = 1000;
        PlugFlow hose = new PlugFlow(capacity, 290);
        double out = 0;
        double time = 0;
        while (time < 12) {
            double was = time;
            out = hose.push(rate * dt, 310);
            time += dt;
            if (time <= 4 - 1e-9) {
                assertThat(out).isCloseTo(290, within(1e-9));
            } else if (was >= 4 + 1e-9) {
                assertThat(out).isCloseTo(310, within(1e-9));
            }
        }
        assertThat(hose.stored()).isCloseTo(capacity * (310 - 273.15), within(1e-3));
    }

    @Test
    void hoseKeepsItsWaterWhileThePumpStands() {
        PlugFlow hose = new PlugFlow(4000, 290);
        hose.push(1000, 320);
        assertThat(hose.stored()).isCloseTo(3000 * (290 - 273.15) + 1000 * (320 - 273.15), within(1e-6));
    }

    @Test
    void noHoseDelaysNothing() {
        PlugFlow none = new PlugFlow(0, 290);
        assertThat(none.push(50, 333)).isEqualTo(333);
        assertThat(none.stored()).isZero();
    }
}
