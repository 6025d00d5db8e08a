package io.enthalpa.core.telemetry;

import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import io.enthalpa.core.verdict.Load;
import io.enthalpa.core.verdict.SeenRun;
import io.enthalpa.core.verdict.Targets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/** Finds the parts of a drive in a log. */
public final class Segments {
    public static final Method METHOD = Method.of(
                    "log-segments",
                    "Parts of a drive",
                    "Off: the engine stands. Pull: load, as a computed run is judged, with gear changes of up to 1.5 s bridged, for 2 s or longer. Idle: running without load slower than 5 km/h, "
                            + "or below 1500 rpm where road speed was not logged. Cruise: the rest. What is shorter than 3 s goes to the part before it. Laps run from one rise of the marker to the next, or from pass to pass of the start line that the reader points at. A border that the reader moves stays where it is put, between its neighbours.")
            .source(Citation.commonPractice("a log is read pull by pull and lap by lap"))
            .leavesOut("What a driver meant to do.");
    private static final double GEAR_CHANGE = 1.5;
    private static final double SHORTEST_PULL = 2;
    private static final double SHORTEST = 3;
    private static final double STANDS = 5 / 3.6;
    private static final double IDLES = 1500 * Math.PI / 30;
    private static final double BACK = 1;
    /** s by which a border may lie beside where it was when it was moved. */
    private static final double SAME = 0.5;

    private Segments() {}

    /** @return pulls, idling, cruise and standing in order of time, then the laps */
    public static List<Segment> of(MeasuredRun run, Targets targets) {
        return of(run, targets, Marks.NONE);
    }

    /** As above. @param marks what the reader put right */
    public static List<Segment> of(MeasuredRun run, Targets targets, Marks marks) {
        Load load = Load.of(run.seen());
        Segment.Kind[] kinds = kinds(run, load);
        marks.moved().forEach(m -> move(kinds, run.seen().time(), m));
        List<Segment> segments = new ArrayList<>();
        for (int from = 0; from < kinds.length; ) {
            int to = end(kinds, from);
            segments.add(segment(kinds[from], from, to, run, load, targets));
            from = to;
        }
        segments.addAll(laps(run, load, targets, marks));
        return segments;
    }

    private static Segment.Kind[] kinds(MeasuredRun run, Load load) {
        SeenRun seen = run.seen();
        Segment.Kind[] kinds = new Segment.Kind[seen.length()];
        for (int i = 0; i < kinds.length; i++) {
            boolean loaded = load.judged(i) || load.isStartSoak(i);
            boolean slow = Double.isNaN(run.roadSpeed()[i]) ? run.speed()[i] < IDLES : run.roadSpeed()[i] < STANDS;
            kinds[i] = !seen.running()[i]
                    ? Segment.Kind.OFF
                    : loaded ? Segment.Kind.PULL : slow ? Segment.Kind.IDLE : Segment.Kind.CRUISE;
        }
        bridgeGearChanges(kinds, seen);
        absorb(kinds, seen, Segment.Kind.PULL, SHORTEST_PULL);
        absorb(kinds, seen, null, SHORTEST);
        return kinds;
    }

    /** What lies between two pulls, engine running, for no longer than a gear takes to change. */
    private static void bridgeGearChanges(Segment.Kind[] kinds, SeenRun seen) {
        int lastPull = -1;
        for (int i = 0; i < kinds.length; i++) {
            if (kinds[i] == Segment.Kind.OFF) {
                lastPull = -1;
            } else if (kinds[i] == Segment.Kind.PULL) {
                if (lastPull >= 0 && seconds(seen, lastPull + 1, i) <= GEAR_CHANGE) {
                    Arrays.fill(kinds, lastPull + 1, i, Segment.Kind.PULL);
                }
                lastPull = i;
            }
        }
    }

    /** Gives what is too short to the part before it, or after it at the very start. A pull keeps its own measure. */
    private static void absorb(Segment.Kind[] kinds, SeenRun seen, Segment.Kind only, double shortest) {
        for (int from = 0; from < kinds.length; ) {
            int to = end(kinds, from);
            boolean asked = only == null ? kinds[from] != Segment.Kind.PULL : kinds[from] == only;
            if (asked && seconds(seen, from, to) < shortest && !(from == 0 && to == kinds.length)) {
                Segment.Kind into = from > 0 ? kinds[from - 1] : kinds[to];
                if (into == Segment.Kind.OFF && kinds[from] != Segment.Kind.OFF && to < kinds.length) {
                    into = kinds[to];
                }
                Arrays.fill(kinds, from, to, into);
                to = end(kinds, from);
            }
            from = to;
        }
    }

    private static int end(Segment.Kind[] kinds, int from) {
        int to = from;
        while (to < kinds.length && kinds[to] == kinds[from]) {
            to++;
        }
        return to;
    }

    private static double seconds(SeenRun seen, int from, int to) {
        double seconds = 0;
        for (int i = from; i < to; i++) {
            seconds += seen.duration()[i];
        }
        return seconds;
    }

    /** Moves the border that is nearest to where it was, up to its neighbours and no farther. */
    private static void move(Segment.Kind[] kinds, double[] time, Marks.Moved moved) {
        int border = -1;
        for (int i = 1; i < kinds.length; i++) {
            if (kinds[i] != kinds[i - 1]
                    && Math.abs(time[i] - moved.was()) < SAME
                    && (border < 0 || Math.abs(time[i] - moved.was()) < Math.abs(time[border] - moved.was()))) {
                border = i;
            }
        }
        if (border < 0) {
            return;
        }
        int before = border - 1;
        while (before > 0 && kinds[before - 1] == kinds[border - 1]) {
            before--;
        }
        int behind = end(kinds, border) - 1;
        Segment.Kind left = kinds[border - 1];
        Segment.Kind right = kinds[border];
        for (int i = before + 1; i < behind; i++) {
            kinds[i] = time[i] < moved.is() ? left : right;
        }
    }

    private static List<Segment> laps(MeasuredRun run, Load load, Targets targets, Marks marks) {
        double[] time = run.seen().time();
        List<Integer> passes = new ArrayList<>();
        if (run.log().has(Channel.MARKER)) {
            double[] marker = run.log().held(Channel.MARKER);
            for (int i = 1; i < marker.length; i++) {
                if (marker[i] > marker[i - 1]) {
                    passes.add(i);
                }
            }
        } else {
            int i = 0;
            for (double pass : marks.passes(run)) {
                while (i < time.length - 1 && time[i] < pass) {
                    i++;
                }
                passes.add(i);
            }
        }
        List<Segment> laps = new ArrayList<>();
        for (int k = 1; k < passes.size(); k++) {
            laps.add(segment(Segment.Kind.LAP, passes.get(k - 1), passes.get(k), run, load, targets));
        }
        return laps;
    }

    /** @param to the first step after it */
    private static Segment segment(Segment.Kind kind, int from, int to, MeasuredRun run, Load load, Targets targets) {
        SeenRun seen = run.seen();
        double[] kelvin = seen.intake();
        double lowest = Double.POSITIVE_INFINITY;
        double highest = Double.NEGATIVE_INFINITY;
        double whole = 0;
        double sum = 0;
        double target = 0;
        double timing = 0;
        double start = seen.time()[from] - (from == 0 ? 0 : seen.duration()[from]);
        double moment = 0;
        for (int i = from; i < to; i++) {
            double dt = seen.duration()[i];
            lowest = Math.min(lowest, kelvin[i]);
            highest = Math.max(highest, kelvin[i]);
            whole += dt;
            sum += kelvin[i] * dt;
            moment += seen.time()[i] * dt;
            target += kelvin[i] > targets.intake() ? dt : 0;
            timing += kelvin[i] > targets.timingPull() ? dt : 0;
        }
        double mean = sum / whole;
        double middle = moment / whole;
        double spread = 0;
        double together = 0;
        for (int i = from; i < to; i++) {
            double dt = seen.duration()[i];
            spread += dt * (seen.time()[i] - middle) * (seen.time()[i] - middle);
            together += dt * (seen.time()[i] - middle) * (kelvin[i] - mean);
        }
        return new Segment(
                kind,
                start,
                seen.time()[to - 1],
                kelvin[from],
                lowest,
                highest,
                mean,
                spread == 0 ? 0 : together / spread,
                target,
                timing,
                kind == Segment.Kind.PULL ? recovered(seen, load, kelvin[from], to) : Double.NaN);
    }

    private static double recovered(SeenRun seen, Load load, double start, int to) {
        for (int i = to; i < seen.length() && seen.running()[i] && !load.judged(i); i++) {
            if (seen.intake()[i] <= start + BACK) {
                return seen.time()[i] - seen.time()[to - 1];
            }
        }
        return Double.NaN;
    }
}
