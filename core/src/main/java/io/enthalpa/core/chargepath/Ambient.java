package io.enthalpa.core.chargepath;

import io.enthalpa.core.fluid.HumidAir;

/**
 * The air outside.
 *
 * @param temperature K
 * @param pressure    Pa absolute
 * @param air         its composition
 */
public record Ambient(double temperature, double pressure, HumidAir air) {
    /** @param relativeHumidity 0 to 1 */
    public static Ambient of(double temperature, double pressure, double relativeHumidity) {
        return new Ambient(temperature, pressure, HumidAir.at(temperature, pressure, relativeHumidity));
    }
}
