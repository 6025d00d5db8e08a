package io.enthalpa.core.chargepath;

import io.enthalpa.core.fluid.HumidAir;

/** Static state of a stream from its total state, flow and bore: adiabatic, one-dimensional, ideal gas. */
final class FlowState {
    /**
     * Share of the total enthalpy that is motion, beyond which the one-dimensional estimate of losses is worthless and the path
     * counts as choked: Mach 0.8 in air.
     */
    static final double CHOKED = 0.1135;
    double velocity;
    double temperature;
    double pressure;
    double density;
    private HumidAir air;

    /**
     * Newton's method on density: {@code rho = rho0 (1 - x)^(cp/R - 1)} with {@code x = v^2 / (2 cp T0)}.
     *
     * @param flow kg/s
     * @param area m2
     * @return false when the stream chokes
     */
    boolean set(HumidAir air, double totalPressure, double totalTemperature, double flow, double area) {
        double cp = air.heatCapacity(totalTemperature);
        double exponent = cp / air.gasConstant() - 1;
        double flux = flow / area;
        double stagnation = air.density(totalPressure, totalTemperature);
        double share = flux * flux / (2 * cp * totalTemperature);
        double rho = stagnation;
        double x = share / (rho * rho);
        for (int i = 0; i < 30 && x < CHOKED; i++) {
            double next = stagnation * power(x, exponent);
            double step = (rho - next) / (1 - 2 * exponent * x / (1 - x) * next / rho);
            rho -= step;
            x = share / (rho * rho);
            if (Math.abs(step) < 1e-9 * rho) {
                break;
            }
        }
        this.air = air;
        if (!(x < CHOKED)) {
            return false;
        }
        density = rho;
        velocity = flux / rho;
        temperature = totalTemperature * (1 - x);
        pressure = rho * air.gasConstant() * temperature;
        return true;
    }

    /** {@code (1 - x)^e} by its binomial series for the small x of ordinary pipes: to 1e-9 below 0.02, about Mach 0.3. */
    private static double power(double x, double e) {
        if (x > 0.02) {
            return Math.pow(1 - x, e);
        }
        return 1 - e * x * (1 - (e - 1) / 2 * x * (1 - (e - 2) / 3 * x * (1 - (e - 3) / 4 * x)));
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
