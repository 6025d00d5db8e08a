package io.enthalpa.core.verdict;

import io.enthalpa.core.chargepath.LoopCores;
import io.enthalpa.core.chargepath.OperatingPoint;
import io.enthalpa.core.endurance.Trace;
import io.enthalpa.core.plant.CooledCore;
import io.enthalpa.core.plant.CoreTrace;
import io.enthalpa.core.plant.InletAir;
import io.enthalpa.core.plant.ResistanceShares;
import io.enthalpa.core.steady.ChargeSystem;

/**
 * What a run says, in numbers; the sentence is made at the edge in the reader's units.
 *
 * @param outcome         how it ends, under {@link Load}
 * @param worst           K, highest intake temperature that load holds for the time an engine notices
 * @param worstTime       s
 * @param mean            K, mean intake temperature under load
 * @param firstOverTarget s when the target was first passed under load; NaN when never
 * @param firstOverPull   s when the timing line was first passed under load; NaN when never
 * @param secondsOverTarget s of load above the target
 * @param secondsOverPull s of load above the timing line
 * @param stillClimbing   true when the last tenth of the run is where the worst stands and it still rises, and not only as each tooth of a saw does
 * @param limitedFrom     s from when the blower could not make the asked boost; NaN when it always could
 * @param atWorst         where the resistance is at the worst moment; null without a core
 * @param needed          how much of the way down to the outside air the core nearest the plenum would have to bring the charge at that moment
 *                        for the target; NaN without a core or with charge no warmer than the target
 * @param limit           what to change first; null without a core
 * @param beside          what is not judged
 */
public record Verdict(
        Outcome outcome,
        double worst,
        double worstTime,
        double mean,
        double firstOverTarget,
        double firstOverPull,
        double secondsOverTarget,
        double secondsOverPull,
        boolean stillClimbing,
        double limitedFrom,
        ResistanceShares atWorst,
        double needed,
        ResistanceShares.Limit limit,
        Beside beside) {
    /** Share of the way down to outside air beyond which no core of reasonable size comes (common practice, no source). */
    private static final double REACHED = 0.92;
    /** s over which the heat is averaged that stands against what the water stores. */
    private static final double LATELY = 30;
    /** J/(kg K) of charge, near enough for a mean. */
    private static final double HEAT_CAPACITY = 1012;

    /**
     * Hot moments that are no load.
     *
     * @param startSoak      K, highest while what soaked in before the start comes out; NaN without
     * @param startSoakUntil s until when
     * @param idle           K, highest at idle, overrun and little boost; NaN without
     * @param idleTime       s when
     */
    public record Beside(double startSoak, double startSoakUntil, double idle, double idleTime) {
        static final Beside NOTHING = new Beside(Double.NaN, Double.NaN, Double.NaN, Double.NaN);

        private static Beside of(Trace trace, Load load) {
            double soak = Double.NaN;
            double until = Double.NaN;
            double idle = Double.NaN;
            double at = Double.NaN;
            for (int i = 0; i < trace.length(); i++) {
                double t = trace.intake()[i];
                if (load.isStartSoak(i)) {
                    soak = Double.isNaN(soak) ? t : Math.max(soak, t);
                    until = trace.time()[i];
                } else if (trace.flow()[i] > 0 && !load.judged(i) && !(t <= idle)) {
                    idle = t;
                    at = trace.time()[i];
                }
            }
            return new Beside(soak, until, idle, at);
        }
    }

    /** How a run ends. */
    public enum Outcome {
        /** Never above the target. */
        HOLDS,
        /** Above the target for a while, never at the timing line. */
        OVER_TARGET,
        /** The ECU pulls timing. */
        PULLS_TIMING,
        /** The engine never runs in this duty. */
        NEVER_RUNS
    }

    public static Verdict of(ChargeSystem system, Trace trace, Targets targets) {
        Load load = Load.of(trace);
        int worst = load.worst();
        double sum = 0;
        double loaded = 0;
        double overTarget = 0;
        double overPull = 0;
        double firstTarget = Double.NaN;
        double firstPull = Double.NaN;
        double limitedFrom = Double.NaN;
        for (int i = 0; i < trace.length(); i++) {
            if (trace.flow()[i] > 0 && trace.limited()[i] && Double.isNaN(limitedFrom)) {
                limitedFrom = trace.time()[i];
            }
            if (!load.judged(i)) {
                continue;
            }
            double t = load.held(i);
            double dt = trace.duration()[i];
            loaded += dt;
            sum += trace.intake()[i] * dt;
            if (t > targets.intake()) {
                overTarget += dt;
                firstTarget = Double.isNaN(firstTarget) ? trace.time()[i] : firstTarget;
            }
            if (t > targets.timingPull()) {
                overPull += dt;
                firstPull = Double.isNaN(firstPull) ? trace.time()[i] : firstPull;
            }
        }
        if (worst < 0) {
            return new Verdict(
                    Outcome.NEVER_RUNS,
                    Double.NaN,
                    0,
                    Double.NaN,
                    Double.NaN,
                    Double.NaN,
                    0,
                    0,
                    false,
                    Double.NaN,
                    null,
                    Double.NaN,
                    null,
                    Beside.NOTHING);
        }
        Outcome outcome = overPull > 0 ? Outcome.PULLS_TIMING : overTarget > 0 ? Outcome.OVER_TARGET : Outcome.HOLDS;
        ResistanceShares shares = shares(system, trace, worst);
        double needed = needed(trace, worst, targets);
        boolean climbing = climbsAtEnd(trace, worst) && RunShape.of(trace) != RunShape.SAW_TEETH;
        return new Verdict(
                outcome,
                load.held(worst),
                trace.time()[worst],
                sum / loaded,
                firstTarget,
                firstPull,
                overTarget,
                overPull,
                climbing,
                limitedFrom,
                shares,
                needed,
                limit(system, shares, needed),
                Beside.of(trace, load));
    }

    private static ResistanceShares.Limit limit(ChargeSystem system, ResistanceShares shares, double needed) {
        if (shares == null) {
            return null;
        }
        boolean onlyAir = system.cores().get(system.cores().size() - 1).onlyAirTakesIt();
        return onlyAir && needed > REACHED ? ResistanceShares.Limit.OUTSIDE_AIR : shares.largest();
    }

    /** What pipes and injection do behind the core stays as it is. */
    private static double needed(Trace trace, int i, Targets targets) {
        if (trace.core() == null) {
            return Double.NaN;
        }
        double in = trace.core().in()[i];
        double out = targets.intake() - (trace.intake()[i] - trace.core().out()[i]);
        return in > out && in > trace.outside() ? (in - out) / (in - trace.outside()) : Double.NaN;
    }

    /** Rising at the end: the worst lies in the last twentieth and is more than 0.5 K above a tenth of the run earlier. */
    private static boolean climbsAtEnd(Trace trace, int worst) {
        int n = trace.length();
        return worst >= n - 1 - n / 20 && trace.intake()[worst] - trace.intake()[Math.max(0, worst - n / 10)] > 0.5;
    }

    private static ResistanceShares shares(ChargeSystem system, Trace trace, int i) {
        CoreTrace core = trace.core();
        if (core == null) {
            return null;
        }
        int last = system.cores().size() - 1;
        CooledCore cooled = system.cores().get(last);
        OperatingPoint point = new OperatingPoint(trace.speed()[i], trace.boost()[i], trace.roadSpeed()[i]);
        InletAir met = system.air()
                .meet(system.air().flowsNear(point.roadSpeed(), true), point, new double[last + 1])
                .inlets()[last];
        return cooled.sharesAt(
                core,
                i,
                lately(cooled, trace, i),
                new InletAir(met.flow(), core.cold().airIn()[i], met.speed()),
                point);
    }

    private static CooledCore.Lately lately(CooledCore cooled, Trace trace, int i) {
        double own = lately(trace.core(), trace, i);
        if (!cooled.hasLoop()) {
            return new CooledCore.Lately(own, own, trace.core().coldIn()[i]);
        }
        LoopCores members = cooled.loop().members();
        return new CooledCore.Lately(
                own,
                members.cores().stream()
                        .mapToDouble(k -> lately(trace.cores().get(k), trace, i))
                        .sum(),
                trace.cores().get(members.lead()).coldIn()[i]);
    }

    /** W that the core took in the mean of the time before: water and tank do not know of a throttle just shut. */
    private static double lately(CoreTrace core, Trace trace, int i) {
        double heat = 0;
        double time = 0;
        for (int k = i; k >= 0 && time < LATELY && core.flow()[k] > 0; k--) {
            heat += core.flow()[k] * (core.in()[k] - core.out()[k]) * HEAT_CAPACITY * trace.duration()[k];
            time += trace.duration()[k];
        }
        return heat / time;
    }
}
