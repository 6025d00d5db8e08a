package io.enthalpa.core.engine;

import io.enthalpa.core.fluid.HumidAir;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import java.util.Optional;

/**
 * A four-stroke engine as the charge path sees it.
 *
 * @param displacement         m3
 * @param cylinders            count
 * @param volumetricEfficiency air taken over what the displacement holds at manifold state, 0.3 to 1.3
 * @param maxSpeed             rad/s, where the limiter cuts in
 * @param fuel                 a second opinion from power; empty when the power is not known
 */
public record EngineSpec(
        double displacement, int cylinders, double volumetricEfficiency, double maxSpeed, Optional<FuelDemand> fuel) {
    public static final Citation SPEED_DENSITY = Citation.published(
            "Heywood", 1988, "Internal Combustion Engine Fundamentals, volumetric efficiency, eq. 2.27");
    public static final Method METHOD = Method.of(
                    "speed-density",
                    "Air from displacement and speed",
                    "A four-stroke fills its displacement every second turn with air of the manifold's own density, as well as its volumetric efficiency allows.")
            .formula("m = eta_v p / (R T) V N / 2, p and T in the manifold, N turns per second")
            .source(SPEED_DENSITY)
            .leavesOut("Volumetric efficiency is one number, not a curve over speed; scavenging with open valves.");

    public EngineSpec(double displacement, int cylinders, double volumetricEfficiency, double maxSpeed) {
        this(displacement, cylinders, volumetricEfficiency, maxSpeed, Optional.empty());
    }

    /** @param speed rad/s @return Hz at which a four-stroke of so many cylinders fires */
    public double firing(double speed) {
        return speed / (2 * Math.PI) * cylinders / 2;
    }

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
