package io.enthalpa.core.engine;

import io.enthalpa.core.fluid.HumidAir;
import io.enthalpa.core.source.Citation;

/**
 * A four-stroke engine as the charge path sees it.
 *
 * @param displacement         m3
 * @param cylinders            count
 * @param volumetricEfficiency air taken over what the displacement holds at manifold state, 0.3 to 1.3
 * @param maxSpeed             rad/s, where the limiter cuts in
 */
public record EngineSpec(double displacement, int cylinders, double volumetricEfficiency, double maxSpeed) {
    public static final Citation SPEED_DENSITY = Citation.published("Heywood", 1988,
            "Internal Combustion Engine Fundamentals, volumetric efficiency, eq. 2.27");

    /**
     * Speed-density: {@code m = eta_v p / (R T) V_d N / 2}, two turns for each filling.
     *
     * @param air         the gas
     * @param pressure    Pa absolute in the manifold
     * @param temperature K in the manifold
     * @param speed       rad/s of the crankshaft
     * @return kg/s
     */
    public double airDemand(HumidAir air, double pressure, double temperature, double speed) {
        return volumetricEfficiency * air.density(pressure, temperature) * displacement * speed / (4 * Math.PI);
    }
}
