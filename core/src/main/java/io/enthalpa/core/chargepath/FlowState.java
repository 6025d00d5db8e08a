package io.enthalpa.core.chargepath;

import io.enthalpa.core.fluid.HumidAir;

/** Static state of a stream from its total state, flow and bore: adiabatic, one-dimensional, ideal gas. */
final class FlowState {
    /**
     * Share of the total enthalpy that is motion, beyond which the one-dimensional estimate of losses is worthless and the path
     * counts as choked: Mach 0.8 in air.
     */
    static final double CHOKED = 0.1135;

    private static final int MOST_STEPS = 40;
    private static final double THIRD = 1.0 / 3;
    private static final double SIXTH = 1.0 / 6;
    /** Of x; Newton's method doubles the digits, so that what is left behind such a step is some 1e-10. */
    private static final double LAST_STEP = 1e-5;

    double velocity;
    double temperature;
    double pressure;
    double density;
    private HumidAir air;

    /**
     * Solves {@code x (1 - x)^a = s} with {@code x = v^2 / (2 cp T0)}, the share of the total enthalpy that is motion, {@code a = 2 (cp/R - 1)} and s the same
     * at stagnation density: by Lagrange's series for its start and Newton's method, which comes from below and never passes the root.
     *
     * @param flow kg/s
     * @param area m2
     * @return false when the stream chokes
     */
    boolean set(HumidAir air, double totalPressure, double totalTemperature, double flow, double area) {
        double cp = air.heatCapacity(totalTemperature);
        double exponent = cp / air.gasConstant() - 1;
        double a = 2 * exponent;
        double stagnation = air.density(totalPressure, totalTemperature);
        double atRest = flow / (area * stagnation);
        double s = atRest * atRest / (2 * cp * totalTemperature);
        double x = s < CHOKED ? start(s, a) : CHOKED;
        double thinner = power(x, exponent);
        for (int i = 0; i < MOST_STEPS && x < CHOKED; i++) {
            double p = thinner * thinner;
            double step = (s - x * p) * (1 - x) / (p * (1 - x - a * x));
            x += step;
            if (Math.abs(step) < LAST_STEP * x) {
                // So short a step needs no new power: its slope is exact to 1e-11.
                thinner *= 1 - exponent * step / (1 - x);
                break;
            }
            thinner = power(x, exponent);
        }
        this.air = air;
        if (!(x < CHOKED)) {
            return false;
        }
        density = stagnation * thinner;
        velocity = atRest / thinner;
        temperature = totalTemperature * (1 - x);
        pressure = density * air.gasConstant() * temperature;
        return true;
    }

    /** Below the root for every s; within 1e-4 of x to Mach 0.25. */
    private static double start(double s, double a) {
        double a5 = 5 * a;
        double a4 = 4 * a;
        double fourth = (a4 + 1) * (a4 + 2) * SIXTH + s * (a5 + 1) * (a5 + 2) * (a5 + 3) * (SIXTH / 4);
        return s * (1 + a * s * (1 + s * ((3 * a + 1) / 2 + s * fourth)));
    }

    /** {@code (1 - x)^e} by its binomial series for the small x of ordinary pipes: to 1e-9 below 0.02, about Mach 0.3. */
    private static double power(double x, double e) {
        if (x > 0.02) {
            return Math.pow(1 - x, e);
        }
        return 1 - e * x * (1 - (e - 1) / 2 * x * (1 - (e - 2) * THIRD * x * (1 - (e - 3) / 4 * x)));
    }

    /** @return velocity over speed of sound */
    double mach() {
        return velocity / air.soundSpeed(temperature);
    }

    /** @return velocity head, Pa */
    double head() {
        return density * velocity * velocity / 2;
    }
}
