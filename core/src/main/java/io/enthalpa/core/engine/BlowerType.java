package io.enthalpa.core.engine;

/** Kinds of blower, with the span of efficiency that a well-matched one shows: common practice, no source. */
public enum BlowerType {
    ROOTS("roots-type blower", 0.50, 0.60),
    SCREW("screw blower", 0.65, 0.75),
    CENTRIFUGAL("centrifugal blower", 0.68, 0.78),
    TURBO("turbo", 0.65, 0.78);

    private final String usualName;
    private final double usualLow;
    private final double usualHigh;

    BlowerType(String usualName, double usualLow, double usualHigh) {
        this.usualName = usualName;
        this.usualLow = usualLow;
        this.usualHigh = usualHigh;
    }

    /** @return what one is called before it has a name of its own */
    public String usualName() {
        return usualName;
    }

    /** @return whether its outlet leaves a scroll that can be clocked about its shaft */
    public boolean hasScroll() {
        return this == CENTRIFUGAL || this == TURBO;
    }

    /** @return lower end of the usual isentropic efficiency */
    public double usualLow() {
        return usualLow;
    }

    /** @return what to reckon with before anything is known of it: the middle of the span */
    public double usualEfficiency() {
        return (usualLow + usualHigh) / 2;
    }

    /** @return upper end of the usual isentropic efficiency */
    public double usualHigh() {
        return usualHigh;
    }
}
