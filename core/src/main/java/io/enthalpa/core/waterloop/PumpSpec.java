package io.enthalpa.core.waterloop;

import io.enthalpa.core.loss.PerformanceCurve;
import java.util.OptionalDouble;

/**
 * A circulating pump.
 *
 * @param curve      pressure against flow at the speed it was taken at
 * @param speedShare speed over that of the curve, for a pump with its own motor
 * @param drivenAt   rad/s of the engine at which the curve was taken, for a pump that the engine drives; empty for a motor
 * @param efficiency hydraulic power over power taken, above 0 to 1; small electric pumps 0.2 to 0.4 (common practice, no source)
 */
public record PumpSpec(PerformanceCurve curve, double speedShare, OptionalDouble drivenAt, double efficiency) {

    /** @param engineSpeed rad/s @return speed over that of the curve */
    public double speed(double engineSpeed) {
        return drivenAt.isPresent() ? Math.max(engineSpeed, 0) / drivenAt.getAsDouble() : speedShare;
    }

    /** @param flow m3/s through it @param engineSpeed rad/s @return Pa */
    public double rise(double flow, double engineSpeed) {
        double n = speed(engineSpeed);
        return n <= 0 ? 0 : curve.at(flow, n);
    }

    /** @return W taken from battery or belt */
    public double power(double flow, double rise) {
        return flow * Math.max(rise, 0) / efficiency;
    }
}
