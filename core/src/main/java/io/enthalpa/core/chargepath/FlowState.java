package io.enthalpa.core.chargepath;

import io.enthalpa.core.fluid.HumidAir;

/** Static state of a stream from its total state, flow and bore: adiabatic, one-dimensional, ideal gas. */
final class FlowState {
    /** Beyond this the one-dimensional estimate of losses is worthless; the path counts as choked. */
    static final double CHOKED = 0.8;
    double velocity;
    double temperature;
    double pressure;
    double density;
    double mach;

    /**
     * By fixed-point iteration on velocity, which contracts for Mach below about 0.8.
     *
     * @param flow kg/s
     * @param area m2
     * @return false when the stream chokes
     */
    boolean set(HumidAir air, double totalPressure, double totalTemperature, double flow, double area) {
        double cp = air.heatCapacity(totalTemperature);
        double exponent = cp / air.gasConstant();
        double fluxOverArea = flow / area;
        double stagnationDensity = air.density(totalPressure, totalTemperature);
        density = stagnationDensity;
        double limit = CHOKED * CHOKED * air.gamma(totalTemperature) * air.gasConstant();
        for (int i = 0; i < 40; i++) {
            velocity = fluxOverArea / density;
            double square = velocity * velocity;
            temperature = totalTemperature - square / (2 * cp);
            if (!(square < limit * temperature)) {
                mach = 1;
                return false;
            }
            double next = stagnationDensity * Math.pow(temperature / totalTemperature, exponent - 1);
            double change = Math.abs(next - density);
            density = next;
            if (change < 1e-10 * density) {
                break;
            }
        }
        velocity = fluxOverArea / density;
        pressure = density * air.gasConstant() * temperature;
        mach = velocity / air.soundSpeed(temperature);
        return true;
    }
}
