package io.enthalpa.core.verdict;

import io.enthalpa.core.endurance.Trace;
import io.enthalpa.core.plant.CoreTrace;

/**
 * What a run is judged by, computed or measured: both by the same rules. One value a step, all equally long.
 *
 * @param time     s, at the end of each step
 * @param duration s, of each step
 * @param running  whether the engine runs
 * @param boost    Pa above ambient
 * @param intake   K of charge at the plenum
 * @param outside  K
 * @param cold     K of what cools the core nearest the plenum; empty where it was not measured
 * @param givesOut whether a core gives out more heat than the charge brings it: what it holds is from before
 */
public record SeenRun(
        double[] time,
        double[] duration,
        boolean[] running,
        double[] boost,
        double[] intake,
        double outside,
        double[] cold,
        boolean[] givesOut) {
    /** Times the heat that comes in, from where more goes out. */
    private static final double GIVES = 1.05;
    /** W that count as none. */
    private static final double NOTHING = 50;
    /** J/(kg K) of charge, near enough for this. */
    private static final double HEAT_CAPACITY = 1012;

    public static SeenRun of(Trace trace) {
        int n = trace.length();
        boolean[] running = new boolean[n];
        boolean[] givesOut = new boolean[n];
        double[] cold = new double[n];
        for (int i = 0; i < n; i++) {
            running[i] = trace.flow()[i] > 0;
            cold[i] = trace.coldAt(i);
            for (CoreTrace core : trace.cores()) {
                double taken = core.flow()[i] * HEAT_CAPACITY * (core.in()[i] - core.out()[i]);
                givesOut[i] |= core.cold().rejected()[i] > GIVES * Math.max(taken, 0) + NOTHING;
            }
        }
        return new SeenRun(
                trace.time(),
                trace.duration(),
                running,
                trace.boost(),
                trace.intake(),
                trace.outside(),
                cold,
                givesOut);
    }

    public int length() {
        return time.length;
    }
}
