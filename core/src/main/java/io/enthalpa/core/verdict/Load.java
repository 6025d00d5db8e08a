package io.enthalpa.core.verdict;

import io.enthalpa.core.endurance.Trace;
import io.enthalpa.core.plant.CoreTrace;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import java.util.Arrays;
import java.util.stream.IntStream;

/**
 * Which moments of a run are judged, and by which temperature: load, long enough for the engine to notice. Start soak, idling and overrun
 * are kept apart, to be told as what they are.
 */
public final class Load {
    public static final Method METHOD = Method.of(
                    "load",
                    "What is judged: load",
                    "Boost above three tenths of the highest in the run, for half a second or longer, is load; a run without boost is load all along. What soaked into the parts while they stood "
                            + "is start soak: under the first load, for a minute of it at most, while a core gives out more heat than the charge brings it, and until the charge is within 1 K of the "
                            + "lowest it falls to without the boost going down. A peak counts with the temperature that it holds "
                            + "to within half a kelvin for half a second: worst, time over the target and over the timing line, shape, odds, ranking and sizing are all about that. Start soak, idling and overrun "
                            + "are told beside it.")
            .source(
                    Citation.commonPractice(
                            "hot air at idle, on the overrun or in the first breath after standing costs nothing; what the engine gets under load is what counts"))
            .leavesOut("Three tenths, half a second and 1 K are judgement.");
    /** Share of the run's highest boost from which it is load. */
    static final double SHARE = 0.3;
    /** s that a load, or a temperature under it, lasts before the engine can notice. */
    static final double NOTICED = 0.5;
    /** Pa of boost below which a run counts as one without. */
    private static final double NO_BOOST = 2e3;
    /** K over the lowest it falls to, from where start soak is over. */
    private static final double SOAK_ENDS = 1;
    /** K that a start must lie above that for there to be a start soak. */
    private static final double SOAK = 2;
    /** s of load at most: what has not come out by then is the load's. */
    private static final double SOAK_MOST = 60;
    /** s for which boost may be gone within one load: a gear is changed. */
    private static final double GEAR_CHANGE = 1;
    /** Times the heat that comes in, from where more goes out. */
    private static final double GIVES = 1.05;
    /** W that count as none. */
    private static final double NOTHING = 50;
    /** J/(kg K) of charge, near enough for this. */
    private static final double HEAT_CAPACITY = 1012;
    /** Share by which boost may go down while start soak still falls. */
    private static final double SAME_LOAD = 0.1;
    /** K by which what is held may move, so that a slow peak counts whole. */
    private static final double WITHIN = 0.5;

    private static final double SLACK = 1e-9;

    private final Trace trace;
    private final boolean[] loaded;
    private final boolean[] soak;
    private final double[] held;

    private Load(Trace trace) {
        this.trace = trace;
        int n = trace.length();
        loaded = loaded(trace);
        soak = new boolean[n];
        held = new double[n];
        for (int from = 0; from < n; from++) {
            if (running(from) && (from == 0 || !running(from - 1))) {
                soaked(from);
            }
        }
        if (IntStream.range(0, n).noneMatch(this::counts)) {
            // The whole run is over before what soaked in is out: then that is what the engine gets.
            Arrays.fill(soak, false);
        }
        for (int from = 0; from < n; from++) {
            if (counts(from) && (from == 0 || !counts(from - 1))) {
                hold(from);
            }
        }
    }

    public static Load of(Trace trace) {
        return new Load(trace);
    }

    private boolean running(int i) {
        return trace.flow()[i] > 0;
    }

    private static boolean[] loaded(Trace trace) {
        int n = trace.length();
        double most = 0;
        for (int i = 0; i < n; i++) {
            most = trace.flow()[i] > 0 ? Math.max(most, trace.boost()[i]) : most;
        }
        boolean[] loaded = new boolean[n];
        for (int i = 0; i < n; i++) {
            loaded[i] = trace.flow()[i] > 0 && (most < NO_BOOST || trace.boost()[i] >= SHARE * most);
        }
        drop(trace, loaded);
        for (boolean any : loaded) {
            if (any) {
                return loaded;
            }
        }
        // Boost came and went too quickly each time: then all running is judged.
        for (int i = 0; i < n; i++) {
            loaded[i] = trace.flow()[i] > 0;
        }
        return loaded;
    }

    /** Takes out what is too short to be noticed. */
    private static void drop(Trace trace, boolean[] steps) {
        for (int from = 0; from < steps.length; from++) {
            int to = from;
            double seconds = 0;
            while (to < steps.length && steps[to]) {
                seconds += trace.duration()[to++];
            }
            if (to > from && seconds < NOTICED - SLACK) {
                Arrays.fill(steps, from, to, false);
            }
            from = Math.max(from, to - 1);
        }
    }

    /**
     * Marks the start soak of a stretch of running: under its first load, while a core gives out more heat than the charge brings it, and after that while
     * the charge falls though the boost does not go down.
     */
    private void soaked(int from) {
        int first = from;
        while (first < trace.length() && running(first) && !loaded[first]) {
            first++;
        }
        if (first == trace.length() || !running(first)) {
            return;
        }
        double highestBoost = 0;
        double lastLoad = trace.time()[first];
        boolean cooling = true;
        int end = -1;
        int falls = -1;
        int lowest = -1;
        for (int i = first;
                i < trace.length() && running(i) && trace.time()[i] < trace.time()[first] + SOAK_MOST;
                i++) {
            if (!loaded[i] || trace.boost()[i] < (1 - SAME_LOAD) * highestBoost) {
                if (trace.time()[i] - lastLoad > GEAR_CHANGE) {
                    break;
                }
                continue;
            }
            lastLoad = trace.time()[i];
            highestBoost = Math.max(highestBoost, trace.boost()[i]);
            cooling &= coolsDown(i);
            if (cooling) {
                end = i;
                continue;
            }
            falls = falls < 0 ? i : falls;
            lowest = lowest < 0 || trace.intake()[i] < trace.intake()[lowest] ? i : lowest;
            if (trace.intake()[i] > trace.intake()[lowest] + SOAK_ENDS) {
                break;
            }
        }
        if (lowest >= 0 && trace.intake()[falls] >= trace.intake()[lowest] + SOAK) {
            for (int i = falls; i < lowest && trace.intake()[i] > trace.intake()[lowest] + SOAK_ENDS; i++) {
                end = i;
            }
        }
        for (int i = first; i <= end; i++) {
            soak[i] = loaded[i];
        }
    }

    /** @return whether a core gives out more heat than the charge brings it: what it holds is from before */
    private boolean coolsDown(int i) {
        for (CoreTrace core : trace.cores()) {
            double taken = core.flow()[i] * HEAT_CAPACITY * (core.in()[i] - core.out()[i]);
            if (core.cold().rejected()[i] > GIVES * Math.max(taken, 0) + NOTHING) {
                return true;
            }
        }
        return false;
    }

    /** @return whether a step counts: load, and no start soak */
    private boolean counts(int i) {
        return loaded[i] && !soak[i];
    }

    /** The highest temperature that a window of half a second round each step holds. */
    private void hold(int from) {
        int to = from;
        while (to < trace.length() && counts(to)) {
            held[to++] = Double.NEGATIVE_INFINITY;
        }
        for (int begin = from; begin < to; begin++) {
            double seconds = 0;
            double lowest = Double.POSITIVE_INFINITY;
            int end = begin;
            while (end < to && seconds < NOTICED - SLACK) {
                seconds += trace.duration()[end];
                lowest = Math.min(lowest, trace.intake()[end++]);
            }
            if (seconds < NOTICED - SLACK && begin > from) {
                break;
            }
            for (int i = begin; i < end; i++) {
                held[i] = Math.max(held[i], Math.min(trace.intake()[i], lowest + WITHIN));
            }
        }
    }

    /** @return whether a step is judged */
    public boolean judged(int i) {
        return counts(i);
    }

    /** @return whether what is breathed at a step is the heat of what stood warm before */
    public boolean isStartSoak(int i) {
        return soak[i];
    }

    /** @return K that a judged step counts with; never above the intake there */
    public double held(int i) {
        return held[i];
    }

    /** @return the step that counts hottest, and of several the one whose own intake is nearest to that; -1 when nothing is judged */
    public int worst() {
        int worst = -1;
        for (int i = 0; i < held.length; i++) {
            if (counts(i)
                    && (worst < 0
                            || held[i] > held[worst]
                            || held[i] == held[worst] && trace.intake()[i] < trace.intake()[worst])) {
                worst = i;
            }
        }
        return worst;
    }
}
