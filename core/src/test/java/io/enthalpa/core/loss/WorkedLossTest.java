package io.enthalpa.core.loss;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import io.enthalpa.core.loss.PipeSpec.Bend;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Each loss once with the figures of its published equation put in beside the program. */
class WorkedLossTest {
    /** Crane TP-410: f_T = 0.25 / log10(45e-6 / (3.7 d))^2; 19 mm 0.02451, so 30 of it 0.7353; 38 mm 0.02047, 3 of it; 25 mm 0.02278, 60 of it. */
    @ParameterizedTest
    @CsvSource({
        "ELBOW_90, 0.019, 0.735295",
        "BALL_VALVE, 0.038, 0.0614078",
        "TEE_BRANCH, 0.025, 1.366680",
        "KINK, 0.019, 0"
    })
    void fittings(FittingLoss fitting, double bore, double k) {
        assertThat(fitting.coefficient(bore)).isCloseTo(k, within(1e-5));
    }

    /** Colebrook by iteration, Darcy's factor; between Reynolds 2040 and 4000 straight: at 3000 0.5102 of 64/2040 and 0.4898 of 0.039907. */
    @ParameterizedTest
    @CsvSource({
        "1e5, 0, 0.0179898",
        "1e5, 1e-3, 0.0221745",
        "2e4, 2e-3, 0.0297883",
        "1e6, 1e-4, 0.0134414",
        "3000, 0, 0.0355527",
        "1000, 1e-3, 0.064"
    })
    void friction(double reynolds, double roughness, double f) {
        assertThat(FrictionFactor.darcy(reynolds, roughness)).isCloseTo(f, withinPercentage(1e-3));
    }

    /** Haaland: (0.001 / 3.7)^1.11. */
    @Test
    void roughness() {
        assertThat(FrictionFactor.roughnessTerm(1e-3)).isCloseTo(1.0947e-4, withinPercentage(0.01));
    }

    /**
     * 50 mm to 63 and back: b 0.7937. Step 0.1370 opening, 0.2388 closing; 75 mm of cone are 9.9065 degrees: 0.03075 and 0.02557; 10 mm are 66 degrees, steep: 0.1370 and 0.1366.
     */
    @Test
    void changesOfBore() {
        assertThat(DiameterChange.includedAngle(0.05, 0.063, 0)).isEqualTo(Math.PI);
        double gentle = DiameterChange.includedAngle(0.05, 0.063, 0.075);
        double steep = DiameterChange.includedAngle(0.063, 0.05, 0.01);
        assertThat(Math.toDegrees(gentle)).isCloseTo(9.9065, within(1e-3));
        assertThat(Math.toDegrees(steep)).isCloseTo(66.048, within(1e-2));
        assertThat(DiameterChange.coefficient(0.05, 0.063, Math.PI)).isCloseTo(0.136988, within(1e-5));
        assertThat(DiameterChange.coefficient(0.063, 0.05, Math.PI)).isCloseTo(0.238810, within(1e-5));
        assertThat(DiameterChange.coefficient(0.05, 0.063, gentle)).isCloseTo(0.0307526, within(1e-6));
        assertThat(DiameterChange.coefficient(0.063, 0.05, gentle)).isCloseTo(0.0255657, within(1e-6));
        assertThat(DiameterChange.coefficient(0.05, 0.063, steep)).isCloseTo(0.136988, within(1e-5));
        assertThat(DiameterChange.coefficient(0.063, 0.05, steep)).isCloseTo(0.136617, within(1e-5));
    }

    /** 63 mm pipe in a 69 mm hose: both steps together 0.10462; a gap of 10 mm is 10 / 21 of seven steps of 3 mm: 0.04982. */
    @Test
    void joint() {
        assertThat(JointLoss.coefficient(0.063, 0.069, 0.04)).isCloseTo(0.104620, within(1e-5));
        assertThat(JointLoss.coefficient(0.063, 0.069, 0.010)).isCloseTo(0.049819, within(1e-5));
        assertThat(JointLoss.coefficient(0.063, 0.063, 0.010)).isZero();
        assertThat(JointLoss.coefficient(0.063, 0.069, 0)).isZero();
    }

    /** 9 mm in 62: open 0.81518, contraction 0.63 + 0.37 (0.5417) = 0.83043: (1 / 0.67695 - 1)^2 = 0.22775. */
    @Test
    void throttle() {
        assertThat(ThrottleLoss.coefficient(0.062, 0.009)).isCloseTo(0.227749, within(1e-5));
    }

    /** Rennels &amp; Hudson, friction factor 0.02: radius 1.5 bores, 90 degrees 0.2426, 45 degrees 0.1683, 180 degrees 0.2944; radius one bore, 90 degrees 0.3404. */
    @ParameterizedTest
    @CsvSource({"90, 1.5, 0.242592", "45, 1.5, 0.168313", "180, 1.5, 0.294396", "90, 1, 0.340404"})
    void bends(double degrees, double radius, double k) {
        assertThat(BendLoss.coefficient(radius, Math.toRadians(degrees), 0.02)).isCloseTo(k, within(1e-5));
    }

    /** A run is f L / d and its bends; its developed length, volume, and what lies between bends. */
    @Test
    void run() {
        PipeSpec pipe = new PipeSpec(
                PipeMaterial.ALUMINIUM,
                0.057,
                1.2,
                List.of(Bend.stock(Math.PI / 2, 0.06), new Bend(Math.PI / 4, 0.1), Bend.mitre(Math.PI / 6)));
        double area = Math.PI * 0.057 * 0.057 / 4;
        assertThat(pipe.area()).isCloseTo(area, within(1e-12));
        assertThat(pipe.loss().area()).isCloseTo(area, within(1e-12));
        assertThat(pipe.developed()).isCloseTo(1.2 + Math.PI / 2 * 0.09 + Math.PI / 4 * 0.1, within(1e-12));
        assertThat(pipe.volume()).isCloseTo(area * pipe.developed(), within(1e-12));
        assertThat(pipe.apart()).as("1.2 m in four stretches, in bores").isCloseTo(0.3 / 0.057, within(1e-9));
        double f = FrictionFactor.darcy(1e5, 1.5e-6 / 0.057);
        double k = f * 1.2 / 0.057
                + BendLoss.coefficient(0.09 / 0.057, Math.PI / 2, f)
                + BendLoss.coefficient(0.1 / 0.057, Math.PI / 4, f)
                + MitreLoss.coefficient(Math.PI / 6);
        assertThat(pipe.loss().coefficient(1e5)).isCloseTo(k, withinPercentage(1e-4));
        PipeSpec tube = pipe.asTube(0.07, 0.0016);
        assertThat(tube.bore()).isCloseTo(0.0668, within(1e-12));
        assertThat(tube.bends().get(0).radius()).as("stock of the tube").isCloseTo(0.105, within(1e-12));
        assertThat(tube.bends().get(1).radius()).as("its own stays").isEqualTo(0.1);
        assertThat(pipe.withBore(0.045).bends().get(0).radius()).isCloseTo(0.0675, within(1e-12));
        assertThat(new PipeSpec(PipeMaterial.STEEL, 0.05, 1, List.of(Bend.mitre(1))).apart())
                .isInfinite();
    }

    /** Pump of two points, a parabola from 40 kPa to nothing at 0.8 L/s: 30 kPa at half; straight between three; what is left at the end is carried on. */
    @Test
    void curves() {
        PerformanceCurve two = curve(0, 40e3, 8e-4, 0);
        assertThat(two.at(4e-4)).isCloseTo(30e3, within(1e-6));
        assertThat(two.at(-1)).isEqualTo(40e3);
        assertThat(two.freeFlow()).isCloseTo(8e-4, within(1e-12));
        PerformanceCurve under = curve(0, 40e3, 8e-4, -10e3);
        assertThat(under.freeFlow()).as("sqrt(40 / 50) of it").isCloseTo(8e-4 * Math.sqrt(0.8), within(1e-12));
        PerformanceCurve open = curve(0, 40e3, 8e-4, 30e3);
        assertThat(open.freeFlow())
                .as("twice as far, where the parabola has lost 40")
                .isCloseTo(16e-4, within(1e-12));
        PerformanceCurve three = curve(0, 40e3, 4e-4, 30e3, 8e-4, 10e3);
        assertThat(three.at(5e-4)).isCloseTo(25e3, within(1e-6));
        assertThat(three.freeFlow()).as("10 kPa more at 50 kPa for each L/s").isCloseTo(10e-4, within(1e-12));
        assertThat(curve(0, 40e3, 4e-4, 30e3, 8e-4, -10e3).freeFlow()).isCloseTo(7e-4, within(1e-12));
        assertThat(three.at(10e-4, 2))
                .as("four times the rise at twice the speed")
                .isCloseTo(4 * 25e3, within(1e-6));
        assertThat(three.shutOff()).isEqualTo(40e3);
        assertThat(three.lastFlow()).isEqualTo(8e-4);
        assertThat(three.points()).hasSize(3).contains(new PerformanceCurve.Point(4e-4, 30e3));
    }

    private static PerformanceCurve curve(double... flowsAndRises) {
        List<PerformanceCurve.Point> points = new java.util.ArrayList<>();
        for (int i = 0; i < flowsAndRises.length; i += 2) {
            points.add(new PerformanceCurve.Point(flowsAndRises[i], flowsAndRises[i + 1]));
        }
        return new PerformanceCurve(points, PerformanceCurve.Machine.PUMP, "pump");
    }

    @Test
    void sizesThatAreSold() {
        assertThat(StandardSizes.CHARGE_HOSES.all().get(0)).isEqualTo(0.038);
        assertThat(StandardSizes.CHARGE_HOSES.above(0.057).orElseThrow()).isEqualTo(0.063);
        assertThat(StandardSizes.CHARGE_HOSES.above(0.0569).orElseThrow()).isEqualTo(0.057);
        assertThat(StandardSizes.CHARGE_HOSES.above(0.127)).isEmpty();
        assertThat(StandardSizes.CHARGE_HOSES.nearest(0.0605)).isEqualTo(0.063);
        assertThat(StandardSizes.CHARGE_HOSES.nearest(0.0595)).isEqualTo(0.057);
        assertThat(StandardSizes.upTo(0.0301, 0.005)).isCloseTo(0.035, within(1e-12));
        assertThat(StandardSizes.upTo(0.03, 0.005)).isCloseTo(0.03, within(1e-12));
        assertThat(StandardSizes.round(0.0324, 0.005)).isCloseTo(0.03, within(1e-12));
        assertThat(PipeMaterial.ALUMINIUM.isTube()).isTrue();
        assertThat(PipeMaterial.SILICONE.isTube()).isFalse();
    }
}
