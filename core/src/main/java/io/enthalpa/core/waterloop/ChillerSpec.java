package io.enthalpa.core.waterloop;

import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;

/**
 * Water chilled by the car's air conditioning.
 *
 * @param capacity     W at 20 °C water and 25 °C outside
 * @param coldest      K; below this the water is not cooled further
 * @param dropOutBoost Pa above ambient from which the compressor is cut out
 * @param whileWaiting true when the engine idles through waits so that the compressor goes on
 */
public record ChillerSpec(double capacity, double coldest, double dropOutBoost, boolean whileWaiting) {
    private static final double WATER_REFERENCE = 293.15;
    private static final double OUTSIDE_REFERENCE = 298.15;
    /** Share of capacity lost for each kelvin of colder water, and of hotter outside air. */
    private static final double PER_WATER_KELVIN = 0.022;

    private static final double PER_OUTSIDE_KELVIN = 0.012;
    public static final Method METHOD = Method.of(
                    "chiller",
                    "Chiller on the air conditioning",
                    "Capacity falls with the water's temperature, since the compressor sucks thinner gas, and with that of the outside air. It stops at the coldest water "
                            + "set, and whenever the boost asks the car to cut the compressor out.")
            .formula("q = q0 (1 + 0.022 (T - 20 °C)) (1 - 0.012 (T_out - 25 °C)), not below 0")
            .source(Citation.commonPractice(
                    "about 2 % a kelvin of evaporating and 1 % a kelvin of condensing temperature"))
            .leavesOut("Cycling of the compressor; heat through hoses and tank walls.");

    /** @param water K @param outside K @return W */
    public double heat(double water, double outside) {
        return water <= coldest ? 0 : Math.max(slope(outside) * (water - zeroAt()), 0);
    }

    /** @return W for each kelvin of water */
    public double slope(double outside) {
        return capacity * PER_WATER_KELVIN * Math.max(1 - PER_OUTSIDE_KELVIN * (outside - OUTSIDE_REFERENCE), 0);
    }

    /** @return K of water at which nothing is left of the capacity */
    public double zeroAt() {
        return WATER_REFERENCE - 1 / PER_WATER_KELVIN;
    }

    /** @param boost Pa above ambient @return false when the compressor is cut out */
    public boolean worksAt(double boost) {
        return boost < dropOutBoost;
    }

    /**
     * Closed form of {@code C dT/dt = -s (T - T0)}.
     *
     * @param heatCapacity J/K of the water
     * @param from         K
     * @param outside      K
     * @return s until the coldest water is reached
     */
    public double pullDown(double heatCapacity, double from, double outside) {
        double slope = slope(outside);
        if (from <= coldest) {
            return 0;
        }
        return slope <= 0 || coldest <= zeroAt()
                ? Double.POSITIVE_INFINITY
                : heatCapacity / slope * Math.log((from - zeroAt()) / (coldest - zeroAt()));
    }

    public ChillerSpec withCapacity(double other) {
        return new ChillerSpec(other, coldest, dropOutBoost, whileWaiting);
    }
}
