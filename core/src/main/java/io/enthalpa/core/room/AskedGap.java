package io.enthalpa.core.room;

import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import java.util.OptionalDouble;

/**
 * The gap that is asked.
 *
 * @param still m, cold and standing
 * @param moved m, that must be left through all that the carriers do
 */
public record AskedGap(double still, double moved) {
    public static final Method METHOD = Method.of(
                    "asked-gap",
                    "Gap asked",
                    "Soft-trimmed edge 5 mm, bare body and structure 8, two of the build's own 6; brake and fuel lines and wiring 10, bonnet 10, "
                            + "shielded exhaust 15, turning parts 20, tyres at full lock 25, bare exhaust 40. Across engine and body 15 at least, and 5 left as it "
                            + "moves. A figure of one's own counts before all of these.")
            .source(Citation.commonPractice("gaps as fabricators leave them"))
            .leavesOut("Heat beside a hot housing: the gap is asked, what the core takes up there is not counted.");
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

    /** @return the same where one of the two goes along with another carrier */
    public AskedGap asItMoves() {
        return new AskedGap(still, Math.min(still, ACROSS_MOVED));
    }

    /** @return standing not less than that */
    public AskedGap atLeast(double more) {
        return new AskedGap(Math.max(still, more), moved);
    }
}
