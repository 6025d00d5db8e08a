package io.enthalpa.core.route;

/** What keeps a hose on a pipe. */
public enum Clamp {
    /** Cuts in. */
    WORM(0.4),
    /** Presses evenly. */
    T_BOLT(1),
    /** Follows as hose and pipe grow with heat. */
    CONSTANT_TENSION(0.8);

    private final double share;

    Clamp(double share) {
        this.share = share;
    }

    /** @return of what a T-bolt clamp holds; common practice, no source */
    public double share() {
        return share;
    }
}
