package io.enthalpa.core.engine;

import io.enthalpa.core.fluid.HumidAir;
import io.enthalpa.core.source.Citation;

/**
 * A blower of constant isentropic efficiency.
 *
 * @param type             kind, for its usual span
 * @param efficiency       isentropic, total to total, 0.3 to 0.9
 * @param maxPressureRatio the most it can make
 * @param outletBore       m
 */
public record BlowerSpec(BlowerType type, double efficiency, double maxPressureRatio, double outletBore) {
    public static final Citation COMPRESSION = Citation.published("Heywood", 1988,
            "Internal Combustion Engine Fundamentals, section 6.6, with heat capacity by temperature");

    /**
     * Outlet temperature by enthalpy: the isentropic rise divided by the efficiency.
     *
     * @param air   the gas
     * @param inlet K
     * @param ratio outlet over inlet total pressure, 1 or more
     * @return K
     */
    public double outletTemperature(HumidAir air, double inlet, double ratio) {
        if (ratio <= 1) {
            return inlet;
        }
        double isentropic = air.isentropicTemperature(inlet, ratio);
        double h1 = air.enthalpy(inlet);
        double rise = (air.enthalpy(isentropic) - h1) / efficiency;
        return air.temperatureAtEnthalpy(h1 + rise, inlet + (isentropic - inlet) / efficiency);
    }
}
