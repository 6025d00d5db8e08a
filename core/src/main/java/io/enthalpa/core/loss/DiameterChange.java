package io.enthalpa.core.loss;

import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import io.enthalpa.core.source.ValidityRange;

/**
 * Loss of a change of bore, cone or sudden step, on the velocity head of the smaller bore.
 *
 * <p>Cones by Crane TP-410; a sudden enlargement by Borda and Carnot, a sudden contraction by Rennels &amp; Hudson (2012).
 * Between 45° and 180° included angle Crane lets an expansion lose as much as a sudden one: the stream has left the wall.
 */
public final class DiameterChange {
    public static final Citation CRANE =
            Citation.fromMemory("Crane", 2009, "Flow of Fluids, Technical Paper 410, reducers and enlargers");
    public static final Citation RENNELS = Citation.fromMemory(
            "Rennels & Hudson", 2012, "Pipe Flow: A Practical and Comprehensive Guide, contractions");
    public static final Method METHOD = Method.of(
                    "reducer",
                    "Cone, reducer and step of bore",
                    "The loss depends on the ratio of the bores and on the included angle of the cone. An opening cone steeper than 45° "
                            + "helps nothing: the stream leaves the wall. Losses stand on the velocity head of the smaller bore.")
            .formula(
                    "opening, up to 45°: K = 2.6 sin(a/2) (1 - b^2)^2; beyond: K = (1 - b^2)^2; "
                            + "closing, up to 45°: K = 0.8 sin(a/2) (1 - b^2); beyond: K = 0.5 sqrt(sin(a/2)) (1 - b^2); "
                            + "closing step: K = 0.0696 (1 - b^5) L^2 + (L - 1)^2, L = 1 + 0.622 (1 - 0.215 b^2 - 0.785 b^5); b small over large bore")
            .range(
                    new ValidityRange("small over large bore", 0.2, 1, ""),
                    new ValidityRange("included angle", 0, 180, "°"))
            .source(CRANE, RENNELS)
            .leavesOut("Friction on the cone's wall; swirl behind a blower.");
    /** Included angle from which a cone opening acts like a step, rad. */
    static final double STEEP = Math.PI / 4;

    private DiameterChange() {}

    /**
     * @param from          m, bore upstream
     * @param to            m, bore downstream
     * @param includedAngle rad, whole angle of the cone, 0 to pi; pi is a sudden step
     * @return K on the velocity head of the smaller bore
     */
    public static double coefficient(double from, double to, double includedAngle) {
        if (from == to) {
            return 0;
        }
        double beta = Math.min(from, to) / Math.max(from, to);
        double closed = 1 - beta * beta;
        double sine = Math.sin(includedAngle / 2);
        boolean steep = includedAngle > STEEP * (1 + 1e-9);
        if (to > from) {
            return steep ? closed * closed : 2.6 * sine * closed * closed;
        }
        if (includedAngle > Math.PI * (1 - 1e-9)) {
            return suddenContraction(beta);
        }
        return steep ? 0.5 * Math.sqrt(sine) * closed : 0.8 * sine * closed;
    }

    /** @param length m of the cone; 0 is a step @return included angle, rad */
    public static double includedAngle(double from, double to, double length) {
        return length <= 0 ? Math.PI : 2 * Math.atan(Math.abs(to - from) / 2 / length);
    }

    private static double suddenContraction(double beta) {
        double b5 = Math.pow(beta, 5);
        double jet = 1 + 0.622 * (1 - 0.215 * beta * beta - 0.785 * b5);
        return 0.0696 * (1 - b5) * jet * jet + (jet - 1) * (jet - 1);
    }
}
