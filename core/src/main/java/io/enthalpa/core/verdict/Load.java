package io.enthalpa.core.verdict;

import io.enthalpa.core.endurance.Trace;
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
    /** K on average under load under which fuel sprays badly: there is a best band and no minimum (common practice, no source; 10 °C is judgement). */
    public static final double SPRAYS_BADLY = 283.15;
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
    /** Share by which boost may go down while start soak still falls. */
    private static final double SAME_LOAD = 0.1;
    /** K by which what is held may move, so that a slow peak counts whole. */
    private static final double WITHIN = 0.5;

    private static final double SLACK = 1e-9;

    private final SeenRun run;
    private final boolean[] loaded;
    private final boolean[] soak;
    private final double[] held;

    private Load(SeenRun run) {
        this.run = run;
        int n = run.length();
        loaded = loaded(run);
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
        return of(SeenRun.of(trace));
    }

    public static Load of(SeenRun run) {
        return new Load(run);
    }

    private boolean running(int i) {
        return run.running()[i];
    }

    private static boolean[] loaded(SeenRun run) {
        int n = run.length();
        double most = 0;
        for (int i = 0; i < n; i++) {
            most = run.running()[i] ? Math.max(most, run.boost()[i]) : most;
        }
        boolean[] loaded = new boolean[n];
        for (int i = 0; i < n; i++) {
            loaded[i] = run.running()[i] && (most < NO_BOOST || run.boost()[i] >= SHARE * most);
        }
        drop(run, loaded);
        for (boolean any : loaded) {
            if (any) {
                return loaded;
            }
        }
        // Boost came and went too quickly each time: then all running is judged.
        for (int i = 0; i < n; i++) {
            loaded[i] = run.running()[i];
        }
        return loaded;
    }

    /** Takes out what is too short to be noticed. */
    private static void drop(SeenRun run, boolean[] steps) {
        for (int from = 0; from < steps.length; from++) {
            int to = from;
            double seconds = 0;
            while (to < steps.length && steps[to]) {
                seconds += run.duration()[to++];
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
        while (first < run.length() && running(first) && !loaded[first]) {
            first++;
        }
        if (first == run.length() || !running(first)) {
            return;
        }
        double highestBoost = 0;
        double lastLoad = run.time()[first];
        boolean cooling = true;
        int end = -1;
        int falls = -1;
        int lowest = -1;
        for (int i = first; i < run.length() && running(i) && run.time()[i] < run.time()[first] + SOAK_MOST; i++) {
            if (!loaded[i] || run.boost()[i] < (1 - SAME_LOAD) * highestBoost) {
                if (run.time()[i] - lastLoad > GEAR_CHANGE) {
                    break;
                }
                continue;
            }
            lastLoad = run.time()[i];
            highestBoost = Math.max(highestBoost, run.boost()[i]);
            cooling &= run.givesOut()[i];
            if (cooling) {
                end = i;
                continue;
            }
            falls = falls < 0 ? i : falls;
            lowest = lowest < 0 || run.intake()[i] < run.intake()[lowest] ? i : lowest;
            if (run.intake()[i] > run.intake()[lowest] + SOAK_ENDS) {
                break;
            }
        }
        if (lowest >= 0 && run.intake()[falls] >= run.intake()[lowest] + SOAK) {
            for (int i = falls; i < lowest && run.intake()[i] > run.intake()[lowest] + SOAK_ENDS; i++) {
                end = i;
            }
        }
        for (int i = first; i <= end; i++) {
            soak[i] = loaded[i];
        }
    }

    /** @return whether a step counts: load, and no start soak */
    private boolean counts(int i) {
        return loaded[i] && !soak[i];
    }

    /** The highest temperature that a window of half a second round each step holds. */
    private void hold(int from) {
        int to = from;
        while (to < run.length() && counts(to)) {
            held[to++] = Double.NEGATIVE_INFINITY;
        }
        for (int begin = from; begin < to; begin++) {
            double seconds = 0;
            double lowest = Double.POSITIVE_INFINITY;
            int end = begin;
            while (end < to && seconds < NOTICED - SLACK) {
                seconds += run.duration()[end];
                lowest = Math.min(lowest, run.intake()[end++]);
            }
            if (seconds < NOTICED - SLACK && begin > from) {
                break;
            }
            for (int i = begin; i < end; i++) {
                held[i] = Math.max(held[i], Math.min(run.intake()[i], lowest + WITHIN));
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
                            || held[i] == held[worst] && run.intake()[i] < run.intake()[worst])) {
                worst = i;
            }
        }
        return worst;
    }
}
