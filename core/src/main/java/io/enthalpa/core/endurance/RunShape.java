package io.enthalpa.core.endurance;

import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import java.util.Arrays;

/** The shape of an intake trace, by which a fabricator reads a log. */
public enum RunShape {
    /** Hardly moves while the engine works. */
    FLAT,
    /** Up under load and back to the base again. */
    SAW_TEETH,
    /** Higher each time, or all along. */
    RAMP,
    /** Starts high and falls once there is air. */
    SOAKED;

    public static final Method METHOD = Method.of("trace-shape", "Shape of a trace",
                    "The running time is cut into six equal parts. Starts more than 6 K above its lowest, is highest in the first part and ends at least 4 K lower: heat soak. Under at "
                            + "least half of the highest boost it goes more than 8 K beyond where the first minute of load left it, and still climbs after 45 s of such load: a ramp. Stays within 6 K: flat. Else saw-teeth.")
            .source(Citation.commonPractice("flat is ideal; saw-teeth that return to the base are healthy; a ramp that settles only with hot water has too little water flow; a high "
                    + "start that falls when rolling is heat soak"))
            .leavesOut("The limits in kelvin are judgement.");
    private static final int PARTS = 6;
    private static final double START_HIGH = 6;
    private static final double FALLS = 4;
    private static final double LOADED = 0.5;
    private static final double FIRST_LOAD = 60;
    private static final double TAKES = 45;
    private static final double SETTLED = 0.01;
    private static final double CLIMBS = 8;
    private static final double FLAT_WITHIN = 6;

    /** @return the shape of what the engine breathes while it runs; flat when it never does */
    public static RunShape of(Trace trace) {
        double[] parts = parts(trace);
        double lowest = Double.POSITIVE_INFINITY;
        double start = Double.NaN;
        for (int i = 0; i < trace.length(); i++) {
            if (trace.flow()[i] > 0) {
                start = Double.isNaN(start) ? trace.intake()[i] : start;
                lowest = Math.min(lowest, trace.intake()[i]);
            }
        }
        if (Double.isNaN(start)) {
            return FLAT;
        }
        double all = Arrays.stream(parts).max().orElseThrow();
        if (start - lowest > START_HIGH && parts[0] >= all - 1 && parts[0] - parts[PARTS - 1] > FALLS) {
            return SOAKED;
        }
        return climbs(trace) ? RAMP : all - lowest < FLAT_WITHIN ? FLAT : SAW_TEETH;
    }

    /** Highest intake in equal parts of the running time. */
    private static double[] parts(Trace trace) {
        double whole = 0;
        for (int i = 0; i < trace.length(); i++) {
            whole += trace.flow()[i] > 0 ? trace.duration()[i] : 0;
        }
        double[] highest = new double[PARTS];
        Arrays.fill(highest, Double.NEGATIVE_INFINITY);
        double passed = 0;
        for (int i = 0; i < trace.length(); i++) {
            if (trace.flow()[i] > 0) {
                int part = (int) Math.min(PARTS * passed / whole, PARTS - 1);
                passed += trace.duration()[i];
                highest[part] = Math.max(highest[part], trace.intake()[i]);
            }
        }
        return highest;
    }

    /** Under boost it goes well beyond where the first load left it, and takes its time. */
    private static boolean climbs(Trace trace) {
        double most = 0;
        for (int i = 0; i < trace.length(); i++) {
            most = trace.flow()[i] > 0 ? Math.max(most, trace.boost()[i]) : most;
        }
        double early = Double.NEGATIVE_INFINITY;
        double late = Double.NEGATIVE_INFINITY;
        double loaded = 0;
        double reached = 0;
        boolean first = true;
        for (int i = 0; i < trace.length(); i++) {
            if (trace.flow()[i] > 0 && trace.boost()[i] >= LOADED * most) {
                loaded += trace.duration()[i];
                early = first ? Math.max(early, trace.intake()[i]) : early;
                first &= loaded < FIRST_LOAD;
                reached = trace.intake()[i] > late + SETTLED ? loaded : reached;
                late = Math.max(late, trace.intake()[i]);
            } else if (loaded > 0) {
                first = false;
            }
        }
        return late - early > CLIMBS && reached > TAKES;
    }
}
