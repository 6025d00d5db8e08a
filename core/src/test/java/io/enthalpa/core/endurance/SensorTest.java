package io.enthalpa.core.endurance;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.Systems;
import io.enthalpa.core.chargepath.OperatingPoint;
import io.enthalpa.core.duty.Duty;
import io.enthalpa.core.duty.DutyPoint;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a sensor at the plenum shows of the charge. */
class SensorTest {

    /** First-order lag against a step: exponential, whatever the step. */
    @ParameterizedTest
    @CsvSource({"0.01", "0.5", "4"})
    void sensorFollowsItsExponential(double dt) {
        Sensor sensor = new Sensor(6);
        double shown = 300;
        for (int i = 0; i < Math.round(8 / dt); i++) {
            shown = sensor.after(shown, 330, 12, dt);
        }
        assertThat(shown).isCloseTo(330 - 30 * Math.exp(-8 / 6.0), within(1e-9));
    }

    @Test
    void sensorIsSlowerInSlowAirAndRunsBehindAPull() {
        assertThat(new Sensor(6).after(300, 330, 3, 1)).isLessThan(new Sensor(6).after(300, 330, 30, 1));
        assertThat(new Sensor(0).after(300, 330, 3, 1)).isEqualTo(330);
        Systems s = Systems.standard();
        s.core = false;
        Trace trace = EnduranceRun.run(s.system(), hold(Systems.point(4000, 90, 20), 5, 20), new Sensor(10), 0.1);
        assertThat(trace.shown()[30]).isLessThanOrEqualTo(trace.intake()[30] + 1e-9);
        Systems cooled = Systems.standard();
        Duty pull = new Duty(
                "pull",
                true,
                5,
                1,
                0,
                List.of(
                        new DutyPoint(0, 200, 0, 20),
                        new DutyPoint(1, 420, 100e3, 20),
                        new DutyPoint(12, 430, 100e3, 25)));
        Trace pulled = EnduranceRun.run(cooled.system(), pull, new Sensor(10), 0.05);
        assertThat(last(pulled.shown())).isLessThan(last(pulled.intake()) - 1);
    }

    private static Duty hold(OperatingPoint point, double above, double seconds) {
        return new Duty(
                "hold",
                true,
                above,
                1,
                0,
                List.of(
                        new DutyPoint(0, point.speed(), point.boost(), point.roadSpeed()),
                        new DutyPoint(seconds, point.speed(), point.boost(), point.roadSpeed())));
    }

    private static double last(double[] values) {
        return values[values.length - 1];
    }
}
