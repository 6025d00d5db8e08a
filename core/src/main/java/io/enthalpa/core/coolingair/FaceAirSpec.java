package io.enthalpa.core.coolingair;

import io.enthalpa.core.fluid.HumidAir;

/**
 * The air that meets the face of a core, in first form: a measured share of road speed, and what fan or
 * convection still moves when the car stands. Openings, ducts, fans and stacks solve for it later; until then the
 * share is what an anemometer at the face says.
 *
 * @param speedShare      face speed over road speed, 0 to 1; an open front without duct shows about 0.15 to 0.35
 *                        (common practice, no source)
 * @param standstillSpeed m/s at the face when the car stands
 */
public record FaceAirSpec(double speedShare, double standstillSpeed) {

    /** @param roadSpeed m/s @return m/s at the face */
    public double faceSpeed(double roadSpeed) {
        return Math.max(speedShare * roadSpeed, standstillSpeed);
    }

    /** @return kg/s through a face of the given area */
    public double flow(double roadSpeed, double faceArea, HumidAir air, double pressure, double temperature) {
        return faceSpeed(roadSpeed) * faceArea * air.density(pressure, temperature);
    }
}
