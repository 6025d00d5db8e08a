package io.enthalpa.core.verdict;

import io.enthalpa.core.endurance.Trace;
import io.enthalpa.core.plant.CoreTrace;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import java.util.ArrayList;
import java.util.List;

/**
 * What a run comes to, beside its {@link Verdict}.
 *
 * @param shape          of the trace
 * @param climbByCoolant share of a ramp's climb that is the coolant's own warming; NaN without a ramp
 * @param firstShownOverPull s when the sensor first shows the timing line; NaN when never
 * @param shownOverPull  s that the sensor shows it, under load
 * @param recoveredAfter s from the worst moment until the intake is at the target again in the same run; NaN when it never was above, or did not come back
 * @param density        charge over what outside air at the same boost would weigh, mean under boost by air mass; NaN without boost
 * @param wonBack        share of the density lost by heat that core and injection win back, mean under boost; NaN without boost
 * @param condensed      kg of water that came out inside the cores
 * @param ice            kg left at the end in all tanks
 * @param runs           each stretch of running between stops of the engine
 */
public record RunFigures(
        RunShape shape,
        double climbByCoolant,
        double firstShownOverPull,
        double shownOverPull,
        double recoveredAfter,
        double density,
        double wonBack,
        double condensed,
        double ice,
        List<OneRun> runs) {
    public static final Method METHOD = Method.of(
                    "won-back",
                    "Density won back",
                    "A charge at the manifold's pressure is as dense as its temperature lets it. Outside air brought to that pressure without getting warmer would be best; "
                            + "the blower's outlet without any cooler is worst. What cooling wins back is the share of the way from worst to best.")
            .formula(
                    "density = T_outside / T; won back = (1/T - 1/T_blower) / (1/T_outside - 1/T_blower), means by air mass where boost is above 5 kPa")
            .source(Citation.fromMemory("Heywood", 1988, "Internal Combustion Engine Fundamentals, charge density"))
            .leavesOut("Pressure that the core costs: the blower makes up for it.");
    private static final double BOOSTED = 5e3;

    public RunFigures {
        runs = List.copyOf(runs);
    }

    /**
     * @param from       s
     * @param to         s
     * @param start      K of intake when it begins
     * @param worst      K of intake under load; of all its running where nothing is judged
     * @param coldStart  K of the coolant at the core when it begins
     * @param coldEnd    K of it at the end
     * @param iceEnd     kg
     */
    public record OneRun(
            double from, double to, double start, double worst, double coldStart, double coldEnd, double iceEnd) {}

    public static RunFigures of(Trace trace, Targets targets) {
        Load load = Load.of(trace);
        double firstShown = Double.NaN;
        double shown = 0;
        double condensed = 0;
        double weight = 0;
        double density = 0;
        double won = 0;
        double lost = 0;
        for (int i = 0; i < trace.length(); i++) {
            double dt = trace.duration()[i];
            if (trace.flow()[i] <= 0) {
                continue;
            }
            if (load.judged(i) && trace.shown()[i] > targets.timingPull()) {
                shown += dt;
                firstShown = Double.isNaN(firstShown) ? trace.time()[i] : firstShown;
            }
            for (CoreTrace core : trace.cores()) {
                condensed += core.condensate()[i] * dt;
            }
            double air = trace.flow()[i] * dt;
            if (trace.boost()[i] > BOOSTED) {
                weight += air;
                density += air * trace.outside() / trace.intake()[i];
                double worst = 1 / Math.max(trace.hottest(i), trace.outside() + 1e-6);
                won += air * (1 / trace.intake()[i] - worst);
                lost += air * (1 / trace.outside() - worst);
            }
        }
        RunShape shape = RunShape.of(trace);
        return new RunFigures(
                shape,
                shape == RunShape.RAMP ? RunShape.climbByCoolant(SeenRun.of(trace)) : Double.NaN,
                firstShown,
                shown,
                recovered(trace, load, targets),
                weight == 0 ? Double.NaN : density / weight,
                lost == 0 ? Double.NaN : won / lost,
                condensed,
                ice(trace, trace.length() - 1),
                runs(trace, load));
    }

    private static double recovered(Trace trace, Load load, Targets targets) {
        int worst = load.worst();
        if (worst < 0 || load.held(worst) <= targets.intake()) {
            return Double.NaN;
        }
        for (int i = worst; i < trace.length() && trace.flow()[i] > 0; i++) {
            if (trace.intake()[i] <= targets.intake()) {
                return trace.time()[i] - trace.time()[worst];
            }
        }
        return Double.NaN;
    }

    private static double ice(Trace trace, int i) {
        return trace.cores().stream().mapToDouble(core -> core.ice()[i]).sum();
    }

    private static List<OneRun> runs(Trace trace, Load load) {
        List<OneRun> runs = new ArrayList<>();
        int from = -1;
        double worst = 0;
        double loaded = Double.NaN;
        for (int i = 0; i < trace.length(); i++) {
            boolean running = trace.flow()[i] > 0;
            if (running) {
                from = from < 0 ? i : from;
                worst = i == from ? trace.intake()[i] : Math.max(worst, trace.intake()[i]);
                loaded = load.judged(i) && !(load.held(i) <= loaded) ? load.held(i) : loaded;
            }
            if (from >= 0 && (!running || i == trace.length() - 1)) {
                int to = running ? i : i - 1;
                runs.add(new OneRun(
                        trace.time()[from] - trace.duration()[from],
                        trace.time()[to],
                        trace.intake()[from],
                        Double.isNaN(loaded) ? worst : loaded,
                        trace.coldAt(from),
                        trace.coldAt(to),
                        ice(trace, to)));
                from = -1;
                loaded = Double.NaN;
            }
        }
        return runs;
    }
}
