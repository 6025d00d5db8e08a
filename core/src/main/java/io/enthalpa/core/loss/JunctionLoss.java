package io.enthalpa.core.loss;

import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import io.enthalpa.core.source.ValidityRange;

/**
 * Losses where one pipe becomes two or two become one, on the velocity head of the common pipe.
 * The angle is that between a leg and the common pipe's axis: 90° is a straight tee with both legs across.
 */
public final class JunctionLoss {
    public static final ValidityRange ANGLE = new ValidityRange("angle of a leg to the common pipe", 0, 90, "°");
    public static final Method SPLIT = Method.of(
                    "split",
                    "Split into two pipes",
                    "Each leg takes its share of the flow at its own angle; what the stream cannot carry round the corner is lost.")
            .formula(
                    "K = 1 + (v/vc)^2 - 2 (v/vc) cos a, on the head of the common pipe; v in the leg, vc in the common pipe")
            .range(ANGLE)
            .source(Citation.fromMemory("Idelchik", 2007, "Handbook of Hydraulic Resistance, 4th ed., diverging wyes"))
            .leavesOut("Rounded inner edges, which save up to a half; swirl.");
    public static final Method MERGE = Method.of(
                    "merge",
                    "Merge of two pipes",
                    "Momentum along the common pipe decides: shallow angles and equal speeds lose next to nothing, a slow leg beside a fast "
                            + "one is drawn along and can even gain, at the cost of the fast one. Two blowers into one pipe carry half each, each driven by its own half of the engine.")
            .formula("K = 1 + (v/vc)^2 - 2 sum over legs of (Q/Qc) (v/vc) cos a, on the head of the common pipe")
            .range(ANGLE)
            .source(Citation.fromMemory("Idelchik", 2007, "Handbook of Hydraulic Resistance, 4th ed., converging wyes"))
            .leavesOut("Mixing length behind the merge; pulses of the banks.");

    private JunctionLoss() {}

    /**
     * @param speedRatio speed in the leg over speed in the common pipe, 0 or more
     * @param angle      rad
     * @return K of the leg on the common velocity head, never below zero
     */
    public static double split(double speedRatio, double angle) {
        return 1 + speedRatio * speedRatio - 2 * speedRatio * Math.cos(angle);
    }

    /**
     * @param speedRatio   speed in this leg over speed in the common pipe
     * @param momentum     sum over both legs of flow share times speed ratio times cosine of the leg's angle
     * @return K of this leg on the common velocity head; below zero for a slow leg that is drawn along
     */
    public static double merge(double speedRatio, double momentum) {
        return 1 + speedRatio * speedRatio - 2 * momentum;
    }
}
