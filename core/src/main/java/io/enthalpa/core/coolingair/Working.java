package io.enthalpa.core.coolingair;

/**
 * How hard the car works at a moment, for what shares its cooling air.
 *
 * @param charge kg/s that the engine breathes; 0 while it stands
 * @param share  of its air at full load
 */
public record Working(double charge, double share) {
    /** Nothing gives heat but what the build knows. */
    public static final Working STANDING = new Working(0, 0);

    boolean turns() {
        return charge > 0;
    }
}
