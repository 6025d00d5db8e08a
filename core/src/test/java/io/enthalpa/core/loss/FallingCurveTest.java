package io.enthalpa.core.loss;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import io.enthalpa.core.Cases;
import io.enthalpa.core.fault.EnthalpaFault;
import java.util.List;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class FallingCurveTest {
    private static PerformanceCurve curve(double... flowsAndRises) {
        List<PerformanceCurve.Point> points = new java.util.ArrayList<>();
        for (int i = 0; i < flowsAndRises.length; i += 2) {
            points.add(new PerformanceCurve.Point(flowsAndRises[i], flowsAndRises[i + 1]));
        }
        return new PerformanceCurve(points, PerformanceCurve.Machine.PUMP, "pump");
    }

    static LongStream seeds() {
        return Cases.seeds();
    }

    @Test
    void twoPointsMakeAParabolaAndMoreStraightLines() {
        PerformanceCurve two = curve(0, 40e3, 1e-3, 0);
        assertThat(two.at(0.5e-3)).isCloseTo(30e3, within(1e-6));
        assertThat(two.freeFlow()).isCloseTo(1e-3, within(1e-12));
        assertThat(curve(0, 40e3, 0.8e-3, 14.4e3).freeFlow())
                .as("the same parabola from other points")
                .isCloseTo(1e-3, within(1e-9));
        PerformanceCurve three = curve(0, 40e3, 0.5e-3, 30e3, 1e-3, 10e3);
        assertThat(three.at(0.25e-3)).isCloseTo(35e3, within(1e-6));
        assertThat(three.at(1.5e-3)).as("goes on falling").isCloseTo(-10e3, within(1e-6));
        assertThat(three.freeFlow()).isCloseTo(1.25e-3, within(1e-12));
        assertThat(three.at(-1)).isEqualTo(three.shutOff());
    }

    /** Affinity laws (Karassik et al., Pump Handbook, from memory). */
    @ParameterizedTest
    @MethodSource("seeds")
    void flowGoesWithSpeedAndPressureWithItsSquare(long seed) {
        Cases c = Cases.of(seed);
        PerformanceCurve curve = curve(0, c.between(20e3, 80e3), 0.4e-3, 15e3, 1e-3, 2e3);
        double n = c.between(0.3, 2.0);
        double q = c.between(0.0, 1e-3);
        assertThat(curve.at(n * q, n)).isCloseTo(n * n * curve.at(q), withinPercentage(1e-6));
        assertThat(curve.at(q + 1e-4)).as("never rises").isLessThan(curve.at(q));
    }

    @Test
    void curveThatRisesOrRunsBackIsRefusedByPoint() {
        assertThatThrownBy(() -> curve(0, 30e3, 0.5e-3, 32e3))
                .isInstanceOf(EnthalpaFault.class)
                .hasMessageContaining("pressure of point 2")
                .hasMessageContaining("32.00 kPa")
                .hasMessageContaining("30.00 kPa");
        assertThatThrownBy(() -> curve(0, 30e3, 0, 20e3))
                .isInstanceOf(EnthalpaFault.class)
                .hasMessageContaining("flow of point 2");
        assertThatThrownBy(() -> curve(0, 30e3))
                .isInstanceOf(EnthalpaFault.class)
                .hasMessageContaining("at least two");
    }
}
