package io.enthalpa.core.loss;

import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;

/** Loss of a coupler: between the pipe ends the stream widens into the hose and narrows again, as far as the gap lets it. */
public final class JointLoss {
    /** A stream meets the wall again some seven step heights behind a step; a shorter gap lets it widen only in part. */
    private static final double REATTACHMENT = 7;

    public static final Method METHOD = Method.of(
                    "joint",
                    "Joint gap",
                    "A sudden widening into the hose and a sudden narrowing into the next pipe, in the share of seven step heights that the gap "
                            + "leaves the stream to widen in. A well seated joint costs less than a tenth of a bend.")
            .formula("K = (Kopen + Kclose) min(1, gap / (7 step)), step half the difference of hose bore and pipe bore")
            .source(
                    DiameterChange.RENNELS,
                    Citation.commonPractice("reattachment of a stream about seven step heights behind the step"))
            .leavesOut("A lip that stands in the stream, or a pipe end out of line: both cost more.");

    private JointLoss() {}

    /**
     * @param bore     m of the pipes
     * @param hoseBore m inside the hose or hump, the pipe's bore or more
     * @param gap      m between the pipe ends
     * @return K on the velocity head of the pipe
     */
    public static double coefficient(double bore, double hoseBore, double gap) {
        double step = (hoseBore - bore) / 2;
        if (step <= 0 || gap <= 0) {
            return 0;
        }
        double whole = DiameterChange.coefficient(bore, hoseBore, Math.PI)
                + DiameterChange.coefficient(hoseBore, bore, Math.PI);
        return whole * Math.min(1, gap / (REATTACHMENT * step));
    }
}
