package io.enthalpa.core.coolingair;

/**
 * How hard the car works at a moment, for what shares its cooling air.
 *
 * @param fuel  kg/s that the engine burns; 0 while it stands
 * @param share of its air at full load
 */
public record Working(double fuel, double share) {
    /** Nothing gives heat but what the build knows. */
    public static final Working STANDING = new Working(0, 0);

    boolean turns() {
        return fuel > 0;
    }
}
