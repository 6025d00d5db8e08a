package io.enthalpa.server.jobs;

import io.enthalpa.core.build.Answer;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.chargepath.CoolingSide;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.endurance.Trace;
import io.enthalpa.core.sizing.Bill;
import io.enthalpa.core.sizing.CoolingMethod;
import io.enthalpa.core.sizing.Proposal;
import io.enthalpa.core.verdict.RunFigures;
import io.enthalpa.core.verdict.Verdict;
import io.enthalpa.core.waterloop.WaterLoopSpec;
import io.enthalpa.formats.BuildFile;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;

/**
 * One line of a comparison: an option of the build, or a method that is not there yet, sized by default.
 *
 * @param letter of an option; null for a proposed method
 * @param method proposed; null for an option
 * @param option as it stands in a build file, to be taken; null for an option that is there
 * @param meets  keeps the target over the duty
 * @param iceToFetch_kg put in at the start and topped up between runs
 * @param mixUsed_L water and alcohol over the duty
 * @param condensed_g inside the cores
 * @param cutsOut the compressor drops out under boost
 */
record ComparedView(
        @Nullable String letter,
        @Nullable CoolingMethod method,
        String name,
        @Nullable JsonNode option,
        boolean meets,
        @Nullable Double worst_C,
        @Nullable Double mean_C,
        @Nullable Double firstOverTarget_s,
        @Nullable Double firstOverTiming_s,
        double loss_kPa,
        double mass_kg,
        double price,
        double iceToFetch_kg,
        double mixUsed_L,
        double condensed_g,
        boolean cutsOut,
        double[] time_s,
        @Nullable Double[] intake_C) {
    private static final int POINTS = 300;

    static ComparedView of(Proposal p) {
        return of(
                null,
                p.method(),
                p.option(),
                BuildFile.tree(p.option()),
                p.meets(),
                p.trace(),
                p.verdict(),
                p.figures(),
                p.loss(),
                p.bill());
    }

    static ComparedView of(Answer answer) {
        Trace trace = answer.soak();
        Verdict verdict = answer.verdict(trace);
        return of(
                answer.option().letter(),
                null,
                answer.option(),
                null,
                verdict.outcome() == Verdict.Outcome.HOLDS,
                trace,
                verdict,
                answer.figures(trace),
                answer.steady().path().totalLoss(),
                Bill.of(answer.option()));
    }

    private static ComparedView of(
            @Nullable String letter,
            @Nullable CoolingMethod method,
            BuildOption option,
            @Nullable JsonNode tree,
            boolean meets,
            Trace trace,
            Verdict verdict,
            RunFigures figures,
            double loss,
            Bill bill) {
        List<WaterLoopSpec> loops = loops(option.path());
        int[] kept = kept(trace);
        double[] time = new double[kept.length];
        Double[] intake = new Double[kept.length];
        for (int k = 0; k < kept.length; k++) {
            time[k] = Math.rint(trace.time()[kept[k]] * 10) / 10;
            intake[k] = trace.flow()[kept[k]] > 0 ? Math.rint((trace.intake()[kept[k]] - 273.15) * 10) / 10 : null;
        }
        return new ComparedView(
                letter,
                method,
                option.name(),
                tree,
                meets,
                celsius(verdict.worst()),
                celsius(verdict.mean()),
                orNull(verdict.firstOverTarget()),
                orNull(verdict.firstOverPull()),
                loss / 1000,
                bill.mass(),
                bill.price(),
                ice(loops, figures),
                trace.sprayed()[trace.length() - 1] * 1000,
                figures.condensed() * 1000,
                loops.stream()
                        .anyMatch(l ->
                                l.chiller().isPresent() && !l.chiller().get().worksAt(option.boost())),
                time,
                intake);
    }

    /** Evenly spread over the time that the engine runs; of a wait only its two ends. */
    private static int[] kept(Trace trace) {
        double running = 0;
        for (int i = 0; i < trace.length(); i++) {
            running += trace.flow()[i] > 0 ? trace.duration()[i] : 0;
        }
        List<Integer> kept = new ArrayList<>();
        double passed = 0;
        double next = 0;
        for (int i = 0; i < trace.length(); i++) {
            boolean runs = trace.flow()[i] > 0;
            passed += runs ? trace.duration()[i] : 0;
            boolean edge = i == 0
                    || i == trace.length() - 1
                    || trace.flow()[i - 1] > 0 != runs
                    || trace.flow()[i + 1] > 0 != runs;
            if (edge || runs && passed >= next) {
                kept.add(i);
                next = passed + running / POINTS;
            }
        }
        return kept.stream().mapToInt(Integer::intValue).toArray();
    }

    /** Filled once, and topped up by what each run but the last took. */
    private static double ice(List<WaterLoopSpec> loops, RunFigures figures) {
        double all = 0;
        for (WaterLoopSpec loop : loops) {
            if (loop.tank().isPresent()) {
                double mass = loop.tank().get().ice().mass();
                all += mass;
                for (int k = 0;
                        loop.tank().get().refilled() && k < figures.runs().size() - 1;
                        k++) {
                    all += Math.max(mass - figures.runs().get(k).iceEnd(), 0);
                }
            }
        }
        return all;
    }

    private static List<WaterLoopSpec> loops(List<PathElement> path) {
        List<WaterLoopSpec> loops = new ArrayList<>();
        for (PathElement piece : path) {
            if (piece instanceof PathElement.Core core && core.cooling() instanceof CoolingSide.Water water) {
                loops.add(water.loop());
            } else if (piece instanceof PathElement.Parallel pair) {
                pair.legs().forEach(leg -> loops.addAll(loops(leg.path())));
            }
        }
        return loops;
    }

    private static @Nullable Double celsius(double kelvin) {
        return orNull(kelvin - 273.15);
    }

    private static @Nullable Double orNull(double value) {
        return Double.isFinite(value) ? value : null;
    }
}
