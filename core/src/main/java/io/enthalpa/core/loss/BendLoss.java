package io.enthalpa.core.loss;

import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import io.enthalpa.core.source.ValidityRange;

/**
 * Loss coefficient of a smooth round bend on the velocity head, its own friction included.
 *
 * <p>Rennels &amp; Hudson (2012), Pipe Flow: A Practical and Comprehensive Guide, chapter 15:
 * {@code K = f a (r/d) + (0.10 + 2.4 f) sin(a/2) + 6.6 f (sqrt(sin(a/2)) + sin(a/2)) / (r/d)^(4a/pi)}.
 * Published methods differ by 20 to 40 % from each other; that spread is the honest uncertainty.
 */
public final class BendLoss {
    public static final Citation SOURCE =
            Citation.fromMemory("Rennels & Hudson", 2012, "Pipe Flow: A Practical and Comprehensive Guide, bends");
    public static final ValidityRange RADIUS = new ValidityRange("bend radius over bore", 0.7, 20, "");

    public static final Method METHOD = Method.of(
                    "bend",
                    "Smooth bend",
                    "Loss of a round bend by radius over bore and angle, its own friction included. Published methods lie 20 to 40 % apart: that "
                            + "spread is the honest uncertainty.")
            .formula("K = f a (r/d) + (0.10 + 2.4 f) sin(a/2) + 6.6 f (sqrt(sin(a/2)) + sin(a/2)) / (r/d)^(4 a / pi)")
            .range(RADIUS, new ValidityRange("angle", 0, 180, "°"))
            .source(SOURCE)
            .leavesOut(
                    "Bends closer than five bores disturb each other, by up to a quarter either way: a note names them.");

    private BendLoss() {}

    /**
     * @param radiusOverBore centre-line radius over bore, 0.7 to 20
     * @param angle          rad, 0 to pi
     * @param friction       Darcy friction factor of the pipe
     * @return K
     */
    public static double coefficient(double radiusOverBore, double angle, double friction) {
        double sine = Math.sin(angle / 2);
        return friction * angle * radiusOverBore
                + (0.10 + 2.4 * friction) * sine
                + 6.6 * friction * (Math.sqrt(sine) + sine) / Math.pow(radiusOverBore, 4 * angle / Math.PI);
    }
}
