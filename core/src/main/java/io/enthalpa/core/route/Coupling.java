package io.enthalpa.core.route;

/**
 * How two pipe ends are held together, what of their movement that bears, and what it takes to make; all figures common practice, no source.
 */
public enum Coupling {
    /** A straight silicone hose over both ends. */
    HOSE(new Bears(2e-3, Math.toRadians(2), 3e-3), 450.15, 0.12, 0.3, 22, 0),
    /** A hose with a hump between the ends, which gives. */
    HUMP(new Bears(6e-3, Math.toRadians(6), 8e-3), 450.15, 0.15, 0.3, 30, 0),
    /** Two welded rings with a seal between them, locked by a ring, with some slack left. */
    QUICK(new Bears(1.5e-3, Math.toRadians(3), 2e-3), 473.15, 0.25, 0.9, 75, 2),
    /** Two welded flanges butted flush. */
    V_BAND(Bears.NOTHING, 1173.15, 0.3, 0.9, 40, 2),
    /**
     * Thin folded stainless welded to both ends, with nothing inside: a mesh liner sheds wire into what is behind it. Bears no pull, so the pipe is braced beside
     * it.
     */
    BELLOWS(new Bears(5e-3, Math.toRadians(5), 6e-3), 923.15, 0.5, 1.2, 110, 2),
    /** One piece. */
    WELD(Bears.NOTHING, 1173.15, 0, 0.5, 0, 1);

    private final Bears bears;
    private final double hottest;
    private final double mass;
    private final double hours;
    private final double price;
    private final int welds;

    Coupling(Bears bears, double hottest, double mass, double hours, double price, int welds) {
        this.bears = bears;
        this.hottest = hottest;
        this.mass = mass;
        this.hours = hours;
        this.price = price;
        this.welds = welds;
    }

    /** @return unless it is said otherwise */
    public Bears bears() {
        return bears;
    }

    /** @return K of the air in it for long: silicone 177 °C (350 °F), seals of fluorine rubber 200 °C, thin stainless 650 °C, metal 900 °C */
    public double hottest() {
        return hottest;
    }

    /** @return kg of what is bought for it, clamps among it, at {@link #USUAL} */
    public double mass(double size) {
        return mass * size / USUAL;
    }

    /** @return to fit or weld it, at any size */
    public double hours() {
        return hours;
    }

    /** @return in the currency of the catalogue, at {@link #USUAL}; invented and plausible, for comparing */
    public double price(double size) {
        return price * size / USUAL;
    }

    /** @return round seams to weld */
    public int welds() {
        return welds;
    }

    /** @return whether a clamp and a bead keep it on */
    public boolean isHose() {
        return this == HOSE || this == HUMP;
    }

    /** @return whether it comes apart, and can leak */
    public boolean isJoint() {
        return this != WELD;
    }

    /** m: size for which mass and price are said. */
    public static final double USUAL = 63.5e-3;
}
