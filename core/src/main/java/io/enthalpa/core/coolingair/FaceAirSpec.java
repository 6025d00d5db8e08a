package io.enthalpa.core.coolingair;

import io.enthalpa.core.fluid.HumidAir;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;

/**
 * The air that meets the face of a core or radiator that stands in no {@link AirWay}: a measured share of road speed, and what fan or
 * convection still moves when the car stands. The share is what an anemometer at the face says.
 *
 * @param speedShare      face speed over road speed, 0 to 1; an open front without duct shows about 0.15 to 0.35
 *                        (common practice, no source)
 * @param standstillSpeed m/s at the face when the car stands
 */
public record FaceAirSpec(double speedShare, double standstillSpeed) {
    public static final Method METHOD = Method.of(
                    "face-share",
                    "Cooling air as a share of road speed",
                    "Where no way of the air is described, the air at a face is a measured share of road speed, or what still moves when standing, whichever is more.")
            .formula("v_face = max(share v_road, v_standing)")
            .source(Citation.commonPractice("an open front without a duct shows 15 to 35 % at the face"))
            .leavesOut("That a deeper core lets less air through; what stands before it warms the air.");

    /** @param roadSpeed m/s @return m/s at the face */
    public double faceSpeed(double roadSpeed) {
        return Math.max(speedShare * roadSpeed, standstillSpeed);
    }

    /** @return kg/s through a face of the given area */
    public double flow(double roadSpeed, double faceArea, HumidAir air, double pressure, double temperature) {
        return faceSpeed(roadSpeed) * faceArea * air.density(pressure, temperature);
    }
}
