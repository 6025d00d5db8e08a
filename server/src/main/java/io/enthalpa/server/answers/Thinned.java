package io.enthalpa.server.answers;

import io.enthalpa.core.endurance.Trace;
import io.enthalpa.core.verdict.Load;
import java.util.TreeSet;

/**
 * Which steps of a run a screen is told: no peak is lost however few they are. The steps are taken in equal bundles, and of each the
 * lowest and highest intake and boost are kept; beside them the first and the last, the hottest, the worst under load, and both sides of
 * every start and stop of the engine.
 */
final class Thinned {
    /** As many as a screen has columns for two of each. */
    private static final int BUNDLES = 300;
    /** Kept of a bundle. */
    private static final int OF_EACH = 4;

    private final Trace trace;
    private final TreeSet<Integer> kept = new TreeSet<>();

    private Thinned(Trace trace) {
        this.trace = trace;
    }

    /** @return of the whole run, rising */
    static int[] of(Trace trace) {
        return of(trace, 0, trace.length() - 1);
    }

    /** @param from s @param to s @return of a stretch of the run and a step on either side, rising */
    static int[] of(Trace trace, double from, double to) {
        int first = 0;
        while (first < trace.length() - 1 && trace.time()[first + 1] <= from) {
            first++;
        }
        int last = first;
        while (last < trace.length() - 1 && trace.time()[last] < to) {
            last++;
        }
        return of(trace, first, last);
    }

    private static int[] of(Trace trace, int first, int last) {
        Thinned thinned = new Thinned(trace);
        int steps = last - first + 1;
        if (steps <= OF_EACH * BUNDLES) {
            for (int i = first; i <= last; i++) {
                thinned.kept.add(i);
            }
        } else {
            for (int k = 0; k < BUNDLES; k++) {
                thinned.bundle(
                        first + (int) ((long) steps * k / BUNDLES), first + (int) ((long) steps * (k + 1) / BUNDLES));
            }
            thinned.marks(first, last);
        }
        return thinned.kept.stream().mapToInt(Integer::intValue).toArray();
    }

    /** @param to the step behind the last */
    private void bundle(int from, int to) {
        int coolest = -1;
        int hottest = -1;
        int least = from;
        int most = from;
        for (int i = from; i < to; i++) {
            if (trace.flow()[i] > 0) {
                coolest = coolest < 0 || trace.intake()[i] < trace.intake()[coolest] ? i : coolest;
                hottest = hottest < 0 || trace.intake()[i] > trace.intake()[hottest] ? i : hottest;
            }
            least = trace.boost()[i] < trace.boost()[least] ? i : least;
            most = trace.boost()[i] > trace.boost()[most] ? i : most;
        }
        kept.add(least);
        kept.add(most);
        if (hottest >= 0) {
            kept.add(coolest);
            kept.add(hottest);
        }
    }

    private void marks(int first, int last) {
        kept.add(first);
        kept.add(last);
        int hottest = first;
        for (int i = first + 1; i <= last; i++) {
            hottest = trace.flow()[i] > 0 && trace.intake()[i] > trace.intake()[hottest] ? i : hottest;
            if (trace.flow()[i] > 0 != trace.flow()[i - 1] > 0) {
                kept.add(i - 1);
                kept.add(i);
            }
        }
        kept.add(hottest);
        int worst = Load.of(trace).worst();
        if (worst >= first && worst <= last) {
            kept.add(worst);
        }
    }
}
