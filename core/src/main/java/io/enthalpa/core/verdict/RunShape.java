package io.enthalpa.core.verdict;

import io.enthalpa.core.endurance.Trace;
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

    public static final Method METHOD = Method.of(
                    "trace-shape",
                    "Shape of a trace",
                    "The running time is cut into six equal parts. Starts more than 6 K above its lowest, is highest in the first part and ends lower by 4 K and by a quarter of what it stands over the outside air: heat soak. Under at "
                            + "least half of the highest boost it goes more than 8 K beyond where the first minute of load left it, and still climbs after 45 s of such load: a ramp. Nine tenths of its running time within 6 K, idling hotter than load not counted: flat. Else saw-teeth. "
                            + "Where more than half of a ramp's climb is the coolant coming warmer to the core, tank, radiator or the air before it make the ramp; else the core and what flows in it.")
            .source(Citation.commonPractice(
                    "flat is ideal; saw-teeth that return to the base are healthy; a ramp that settles only with hot water has too little water flow; a high "
                            + "start that falls when rolling is heat soak"))
            .leavesOut("The limits in kelvin are judgement.");
    private static final int PARTS = 6;
    private static final double START_HIGH = 6;
    private static final double FALLS = 4;
    /** Of what the charge is warmer than the outside air: heat that the blower makes all along is no soak. */
    private static final double SOAK_SHARE = 0.25;

    private static final double LOADED = 0.5;
    private static final double FIRST_LOAD = 60;
    private static final double TAKES = 45;
    private static final double SETTLED = 0.01;
    private static final double CLIMBS = 8;
    private static final double FLAT_WITHIN = 6;
    private static final double ENDS = 0.05;
    /** Counted in classes of so many K from there up. */
    private static final double COLDEST = 220;

    private static final double BIN = 0.2;
    private static final int BINS = 2000;

    /** @return the shape of what the engine breathes while it runs; flat when it never does */
    public static RunShape of(Trace trace) {
        return of(SeenRun.of(trace));
    }

    /** @return the shape of what the engine breathes while it runs; flat when it never does */
    public static RunShape of(SeenRun run) {
        Load load = Load.of(run);
        double[] parts = parts(run);
        double lowest = Double.POSITIVE_INFINITY;
        double start = Double.NaN;
        for (int i = 0; i < run.length(); i++) {
            if (run.running()[i]) {
                start = Double.isNaN(start) ? run.intake()[i] : start;
                lowest = Math.min(lowest, run.intake()[i]);
            }
        }
        if (Double.isNaN(start)) {
            return FLAT;
        }
        double all = Arrays.stream(parts).max().orElseThrow();
        double falls = parts[0] - parts[PARTS - 1];
        if (start - lowest > START_HIGH
                && parts[0] >= all - 1
                && falls > Math.max(FALLS, SOAK_SHARE * (parts[0] - run.outside()))) {
            return SOAKED;
        }
        return climbs(run, load) ? RAMP : swing(run, load) < FLAT_WITHIN ? FLAT : SAW_TEETH;
    }

    /**
     * K between the coldest and the hottest twentieth of the running time without start soak: a short way up at the start, or one short blast, is no
     * tooth; nor is idling hotter than any load.
     */
    private static double swing(SeenRun run, Load load) {
        double hottest = Double.NEGATIVE_INFINITY;
        for (int i = 0; i < run.length(); i++) {
            hottest = load.judged(i) ? Math.max(hottest, load.held(i)) : hottest;
        }
        double[] seconds = new double[BINS];
        double whole = 0;
        for (int i = 0; i < run.length(); i++) {
            if (run.running()[i] && !load.isStartSoak(i)) {
                double t = Math.min(run.intake()[i], hottest);
                seconds[(int) Math.max(0, Math.min(BINS - 1, (t - COLDEST) / BIN))] += run.duration()[i];
                whole += run.duration()[i];
            }
        }
        double passed = 0;
        int low = -1;
        for (int k = 0; k < BINS; k++) {
            passed += seconds[k];
            low = low < 0 && passed >= ENDS * whole ? k : low;
            if (passed >= (1 - ENDS) * whole) {
                return (k - low) * BIN;
            }
        }
        return 0;
    }

    /** Highest intake in equal parts of the running time. */
    private static double[] parts(SeenRun run) {
        double whole = 0;
        for (int i = 0; i < run.length(); i++) {
            whole += run.running()[i] ? run.duration()[i] : 0;
        }
        double[] highest = new double[PARTS];
        Arrays.fill(highest, Double.NEGATIVE_INFINITY);
        double passed = 0;
        for (int i = 0; i < run.length(); i++) {
            if (run.running()[i]) {
                int part = (int) Math.min(PARTS * passed / whole, PARTS - 1);
                passed += run.duration()[i];
                highest[part] = Math.max(highest[part], run.intake()[i]);
            }
        }
        return highest;
    }

    /** Under boost it goes well beyond where the first load left it, and takes its time. */
    private static boolean climbs(SeenRun run, Load load) {
        Climb climb = climb(run, load);
        return climb.to >= 0 && run.intake()[climb.to] - run.intake()[climb.from] > CLIMBS && climb.reached > TAKES;
    }

    /**
     * @return share of a ramp's climb that is the coolant's own warming, where it comes to the core: what is left is metal, and water or air that warms on its
     *         way through the core; NaN where nothing climbs
     */
    public static double climbByCoolant(SeenRun run) {
        Climb climb = climb(run, Load.of(run));
        double kelvin = climb.to < 0 ? 0 : run.intake()[climb.to] - run.intake()[climb.from];
        return kelvin <= CLIMBS ? Double.NaN : (run.cold()[climb.to] - run.cold()[climb.from]) / kelvin;
    }

    /**
     * @param from    step of the hottest within the first minute of load
     * @param to      step of the hottest under load
     * @param reached s of load until it all but was
     */
    private record Climb(int from, int to, double reached) {}

    private static Climb climb(SeenRun run, Load load) {
        double most = 0;
        for (int i = 0; i < run.length(); i++) {
            most = run.running()[i] ? Math.max(most, run.boost()[i]) : most;
        }
        int from = -1;
        int to = -1;
        double loaded = 0;
        double reached = 0;
        boolean first = true;
        for (int i = 0; i < run.length(); i++) {
            if (load.judged(i) && run.boost()[i] >= LOADED * most) {
                loaded += run.duration()[i];
                from = first && (from < 0 || run.intake()[i] > run.intake()[from]) ? i : from;
                first &= loaded < FIRST_LOAD;
                reached = to < 0 || run.intake()[i] > run.intake()[to] + SETTLED ? loaded : reached;
                to = to < 0 || run.intake()[i] > run.intake()[to] ? i : to;
            } else if (loaded > 0) {
                first = false;
            }
        }
        return new Climb(from, to, reached);
    }
}
