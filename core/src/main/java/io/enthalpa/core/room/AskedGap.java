package io.enthalpa.core.room;

import java.util.OptionalDouble;

/**
 * The gap that is asked.
 *
 * @param still m, cold and standing
 * @param moved m, that must be left through all that the carriers do
 */
public record AskedGap(double still, double moved) {
    /** Between two of one carrier, both stiffly held; common practice, no source. */
    private static final double TOGETHER = 6e-3;
    /** Between two carriers, standing and moved; common practice, no source. */
    private static final double ACROSS = 15e-3;

    private static final double ACROSS_MOVED = 5e-3;

    /** Between a body of the build and an obstacle; the obstacle's own figure counts before all rules. */
    public static AskedGap from(Obstacle obstacle, String carrier) {
        boolean across = !obstacle.carrier().equals(carrier);
        OptionalDouble own = obstacle.gap();
        double still = own.orElse(
                across && obstacle.nature().growsAcross()
                        ? Math.max(obstacle.nature().usual(), ACROSS)
                        : obstacle.nature().usual());
        return new AskedGap(still, across ? Math.min(still, ACROSS_MOVED) : still);
    }

    /** Between two bodies of the build. */
    public static AskedGap between(String carrier, String other) {
        return carrier.equals(other) ? new AskedGap(TOGETHER, TOGETHER) : new AskedGap(ACROSS, ACROSS_MOVED);
    }
}
