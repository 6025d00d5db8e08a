package io.enthalpa.core.engine;

/** Kinds of blower, with the span of efficiency that a well-matched one shows: common practice, no source. */
public enum BlowerType {
    ROOTS("roots-type", 0.50, 0.60),
    SCREW("screw", 0.65, 0.75),
    CENTRIFUGAL("centrifugal", 0.68, 0.78),
    TURBO("turbo", 0.65, 0.78);

    private final String label;
    private final double usualLow;
    private final double usualHigh;

    BlowerType(String label, double usualLow, double usualHigh) {
        this.label = label;
        this.usualLow = usualLow;
        this.usualHigh = usualHigh;
    }

    public String label() {
        return label;
    }

    /** @return lower end of the usual isentropic efficiency */
    public double usualLow() {
        return usualLow;
    }

    /** @return upper end of the usual isentropic efficiency */
    public double usualHigh() {
        return usualHigh;
    }
}
