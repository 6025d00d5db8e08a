package io.enthalpa.core.loss;

import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;

/** Small pieces of a liquid line: elbows, tees, valves, by Crane's equivalent lengths in bores. */
public enum FittingLoss {
    /** A plain spigot or barb: its own friction only, steps of bore beside it counted apart. */
    SPIGOT(0),
    ELBOW_90(30),
    ELBOW_45(16),
    TEE_THROUGH(20),
    TEE_BRANCH(60),
    BALL_VALVE(3),
    GATE_VALVE(8),
    GLOBE_VALVE(340),
    CHECK_VALVE(100),
    /** A hose bent too far, by the bore that is left open: the steps of bore to both sides are its loss. */
    KINK(0);

    /** Friction of the wall that Crane's figures stand on: clean commercial pipe, 45 um. */
    private static final double ROUGHNESS = 45e-6;

    public static final Method METHOD = Method.of(
                    "fitting",
                    "Spigots, elbows, tees and valves of a water line",
                    "Each counts as so many bores of straight pipe at fully turbulent friction: elbow 90° 30, 45° 16, tee through 20, tee into the branch 60, "
                            + "ball valve 3, gate valve 8, globe valve 340, swing check valve 100. A spigot loses by its length, a kink by the bore that is left open; where the bore steps, the step counts to "
                            + "the narrower piece; into a tank or header the whole velocity head is lost, out of one half of it.")
            .formula("K = n f_T, f_T = 0.25 / log10(e / (3.7 d))^2")
            .source(Citation.fromMemory("Crane", 2009, "Flow of Fluids, Technical Paper 410, K factor table"))
            .leavesOut("Laminar flow through fittings, where they lose more than this.");
    private final double bores;

    FittingLoss(double bores) {
        this.bores = bores;
    }

    /** @param bore m @return K on the velocity head of the bore */
    public double coefficient(double bore) {
        double log = Math.log10(ROUGHNESS / bore / 3.7);
        return bores * 0.25 / (log * log);
    }
}
