package io.enthalpa.server.answers;

import io.enthalpa.core.build.Answer;
import io.enthalpa.core.endurance.EnergyAudit;
import io.enthalpa.core.endurance.Trace;
import io.enthalpa.core.explain.Finding;
import io.enthalpa.core.explain.Findings;
import io.enthalpa.core.plant.CoreTrace;
import io.enthalpa.core.plant.ResistanceShares;
import io.enthalpa.core.verdict.RunFigures;
import io.enthalpa.core.verdict.RunShape;
import io.enthalpa.core.verdict.Verdict;
import io.enthalpa.formats.Sentences;
import io.enthalpa.formats.document.Pointers;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.IntToDoubleFunction;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/** An option through its duty, as the screen, the REST interface and the command line show it. */
public record SoakView(
        String option,
        String optionName,
        double length_s,
        double sprayed_L,
        TraceView trace,
        MetalView metal,
        AuditView audit,
        VerdictView verdict,
        RunView figures) {
    /** Behind a piece of the main way, total state; meaningless while the engine stands. */
    public record StationTraceView(String name, double[] temperature_C, double[] pressure_kPa) {
        static StationTraceView of(Trace.Station station, int[] kept) {
            return new StationTraceView(
                    station.name(),
                    column(station.temperature(), kept, 1, -273.15, 10),
                    column(station.pressure(), kept, 1e-3, 0, 10));
        }
    }

    /** The wall of a pipe or plenum. */
    public record WallTraceView(String name, String place, double[] temperature_C) {}

    /** The air before and behind a layer of a way. */
    public record LayerAirView(String way, String name, String kind, double[] in_C, double[] out_C) {}

    /** Whether a fan, pump or chiller works; {@code of} names the core or the way of the air it belongs to. */
    public record SwitchView(SwitchKind kind, String of, boolean[] on) {
        static List<SwitchView> all(Trace trace, int[] kept) {
            List<SwitchView> all = new ArrayList<>();
            trace.fans().forEach(fan -> all.add(new SwitchView(SwitchKind.FAN, fan.way(), flags(fan.on(), kept))));
            for (CoreTrace core : trace.cores()) {
                if (core.cold().leads()) {
                    all.add(new SwitchView(
                            SwitchKind.PUMP, core.name(), flags(core.cold().pump(), kept)));
                }
                if (core.cold().leads() && core.cold().hasChiller()) {
                    all.add(new SwitchView(
                            SwitchKind.CHILLER, core.name(), flags(core.cold().chills(), kept)));
                }
            }
            return all;
        }
    }

    public enum SwitchKind {
        FAN,
        PUMP,
        CHILLER
    }

    /**
     * The cold side of the core nearest the plenum. {@code air_m_s} at the face of the core, or of its radiator; {@code tank_C}, {@code water_L_min} and
     * {@code chiller_kW} are empty for a core that air cools. {@code airIn_C}: the air before the core or its loop's radiator. {@code recovered_pct}: how far the charge comes down towards the outside air, {@code effectiveness_pct} towards what
     * cools it; {@code radiator_pct}: what the radiator passes of the most it could; null where it says nothing.
     */
    public record ColdTraceView(
            boolean byWater,
            double[] out_C,
            double[] air_m_s,
            double[] toAir_kW,
            double[] tank_C,
            double[] water_L_min,
            double[] chiller_kW,
            double[] airIn_C,
            List<@Nullable Double> recovered_pct,
            List<@Nullable Double> effectiveness_pct,
            List<@Nullable Double> radiator_pct) {
        static @Nullable ColdTraceView of(Trace trace, int[] kept) {
            if (trace.core() == null) {
                return null;
            }
            CoreTrace.Cold cold = trace.core().cold();
            int[] water = cold.byWater() ? kept : new int[0];
            return new ColdTraceView(
                    cold.byWater(),
                    column(cold.out(), kept, 1, -273.15, 100),
                    column(cold.air(), kept, 1, 0, 100),
                    column(cold.rejected(), kept, 1e-3, 0, 100),
                    column(cold.tank(), water, 1, -273.15, 100),
                    column(cold.water(), water, 60e3, 0, 100),
                    column(cold.chilled(), water, 1e-3, 0, 100),
                    column(cold.airIn(), kept, 1, -273.15, 100),
                    percent(kept, i -> trace.core().recovered(trace.outside(), i)),
                    percent(kept, trace.core()::effectiveness),
                    percent(water, i -> cold.radiator()[i]));
        }

        private static List<@Nullable Double> percent(int[] kept, IntToDoubleFunction share) {
            return IntStream.of(kept)
                    .mapToObj(i -> orNull(Math.rint(1000 * share.applyAsDouble(i)) / 10))
                    .toList();
        }
    }

    /** What the run comes to beside its verdict. {@code runs}: each stretch of running between stops of the engine. */
    public record RunView(
            RunShape shape,
            @Nullable Double climbByCoolant_pct,
            @Nullable Double firstShownOverTiming_s,
            double shownOverTiming_s,
            @Nullable Double recoveredAfter_s,
            @Nullable Double density_pct,
            @Nullable Double wonBack_pct,
            double condensed_g,
            double iceLeft_kg,
            List<OneRunView> runs) {
        static RunView of(RunFigures f) {
            return new RunView(
                    f.shape(),
                    orNull(100 * f.climbByCoolant()),
                    orNull(f.firstShownOverPull()),
                    f.shownOverPull(),
                    orNull(f.recoveredAfter()),
                    orNull(100 * f.density()),
                    orNull(100 * f.wonBack()),
                    1000 * f.condensed(),
                    f.ice(),
                    f.runs().stream().map(OneRunView::of).toList());
        }
    }

    public record OneRunView(
            double from_s,
            double to_s,
            double start_C,
            double worst_C,
            double coldStart_C,
            double coldEnd_C,
            double iceEnd_kg) {
        static OneRunView of(RunFigures.OneRun r) {
            return new OneRunView(
                    r.from(),
                    r.to(),
                    r.start() - 273.15,
                    r.worst() - 273.15,
                    r.coldStart() - 273.15,
                    r.coldEnd() - 273.15,
                    r.iceEnd());
        }
    }

    /** Columns of equal length, {@code ice_kg} empty without a core; {@code running} is false while the engine stands. */
    public record TraceView(
            double[] time_s,
            double[] intake_C,
            double[] coreIn_C,
            double[] cold_C,
            double[] boost_kPa,
            double[] engineSpeed_rpm,
            double[] roadSpeed_km_h,
            double[] flow_kg_s,
            double[] blowerFlow_kg_s,
            double[] blowerRatio,
            double[] ice_kg,
            double[] shown_C,
            double[] bay_C,
            double[] askedBoost_kPa,
            double[] condensate_g_s,
            double[] loss_kPa,
            boolean[] running,
            List<StationTraceView> stations,
            List<WallTraceView> walls,
            List<LayerAirView> layers,
            List<SwitchView> switches,
            @Nullable ColdTraceView cold) {
        /** @param kept which steps, rising */
        static TraceView of(Trace trace, int[] kept) {
            return new TraceView(
                    column(trace.time(), kept, 1, 0, 100),
                    column(trace.intake(), kept, 1, -273.15, 1000),
                    column(trace.coreIn(), kept, 1, -273.15, 1000),
                    column(cold(trace), kept, 1, -273.15, 1000),
                    column(trace.boost(), kept, 1e-3, 0, 100),
                    column(trace.speed(), kept, 30 / Math.PI, 0, 10),
                    column(trace.roadSpeed(), kept, 3.6, 0, 100),
                    column(trace.flow(), kept, 1, 0, 1e5),
                    column(trace.columns().blowerFlow(), kept, 1, 0, 1e5),
                    column(trace.columns().blowerRatio(), kept, 1, 0, 1e4),
                    trace.core() == null ? new double[0] : column(trace.core().ice(), kept, 1, 0, 100),
                    column(trace.shown(), kept, 1, -273.15, 100),
                    column(trace.columns().bay(), kept, 1, -273.15, 10),
                    column(trace.columns().asked(), kept, 1e-3, 0, 10),
                    condensate(trace, kept),
                    column(trace.columns().loss(), kept, 1e-3, 0, 100),
                    running(trace, kept),
                    trace.stations().stream()
                            .map(station -> StationTraceView.of(station, kept))
                            .toList(),
                    trace.walls().stream()
                            .map(wall -> new WallTraceView(
                                    wall.name(),
                                    Pointers.of(wall.spot()),
                                    column(wall.temperature(), kept, 1, -273.15, 10)))
                            .toList(),
                    trace.layers().stream()
                            .map(layer -> new LayerAirView(
                                    layer.way(),
                                    layer.name(),
                                    layer.kind().name(),
                                    column(layer.in(), kept, 1, -273.15, 10),
                                    column(layer.out(), kept, 1, -273.15, 10)))
                            .toList(),
                    SwitchView.all(trace, kept),
                    ColdTraceView.of(trace, kept));
        }

        private static double[] condensate(Trace trace, int[] kept) {
            double[] sum = new double[trace.length()];
            for (CoreTrace core : trace.cores()) {
                for (int i = 0; i < sum.length; i++) {
                    sum[i] += core.condensate()[i];
                }
            }
            return column(sum, kept, 1e3, 0, 1000);
        }

        private static double[] cold(Trace trace) {
            return IntStream.range(0, trace.length()).mapToDouble(trace::coldAt).toArray();
        }

        private static boolean[] running(Trace trace, int[] kept) {
            boolean[] running = new boolean[kept.length];
            for (int i = 0; i < kept.length; i++) {
                running[i] = trace.flow()[kept[i]] > 0;
            }
            return running;
        }
    }

    /** Pictures of the core's metal: {@code cells_C[frame][x * across + y]}, x along the charge; empty without a core. */
    public record MetalView(int along, int across, double[] time_s, double[][] cells_C) {
        static MetalView of(Trace trace) {
            List<CoreTrace.Frame> frames =
                    trace.core() == null ? List.of() : trace.core().frames();
            int n = frames.size();
            double[] time = new double[n];
            double[][] cells = new double[n][];
            for (int i = 0; i < n; i++) {
                time[i] = Math.rint(frames.get(i).time() * 100) / 100;
                cells[i] = frames.get(i).cells().clone();
                for (int k = 0; k < cells[i].length; k++) {
                    cells[i][k] = Math.rint((cells[i][k] - 273.15) * 10) / 10;
                }
            }
            return n == 0
                    ? new MetalView(0, 0, time, cells)
                    : new MetalView(frames.get(0).along(), frames.get(0).across(), time, cells);
        }
    }

    public record AuditView(double taken_kJ, double stored_kJ, double rejected_kJ, double latent_kJ, double error_pct) {
        static AuditView of(EnergyAudit a) {
            return new AuditView(
                    a.taken() / 1000, a.stored() / 1000, a.rejected() / 1000, a.latent() / 1000, 100 * a.error());
        }
    }

    /**
     * What the run says, under load. {@code startSoak_C}: what soaked in before the start, until when; {@code idle_C}: highest at idle, overrun and little
     * boost, when. Null where there is none. {@code findings}: the judgement, in the order it is told.
     */
    public record VerdictView(
            Verdict.Outcome outcome,
            @Nullable Double worst_C,
            double worstTime_s,
            @Nullable Double mean_C,
            @Nullable Double firstOverTarget_s,
            @Nullable Double firstOverTiming_s,
            double overTarget_s,
            double overTiming_s,
            boolean stillClimbing,
            @Nullable Double limitedFrom_s,
            SteadyView.@Nullable SharesView atWorst,
            @Nullable Double needed_pct,
            ResistanceShares.@Nullable Limit limit,
            @Nullable Double startSoak_C,
            @Nullable Double startSoakUntil_s,
            @Nullable Double idle_C,
            @Nullable Double idleTime_s,
            List<FindingView> findings) {
        static VerdictView of(Answer answer, Trace trace) {
            Verdict v = answer.verdict(trace);
            return new VerdictView(
                    v.outcome(),
                    orNull(v.worst() - 273.15),
                    v.worstTime(),
                    orNull(v.mean() - 273.15),
                    orNull(v.firstOverTarget()),
                    orNull(v.firstOverPull()),
                    v.secondsOverTarget(),
                    v.secondsOverPull(),
                    v.stillClimbing(),
                    orNull(v.limitedFrom()),
                    v.atWorst() == null ? null : SteadyView.SharesView.of(v.atWorst()),
                    orNull(100 * v.needed()),
                    v.limit(),
                    orNull(v.beside().startSoak() - 273.15),
                    orNull(v.beside().startSoakUntil()),
                    orNull(v.beside().idle() - 273.15),
                    orNull(v.beside().idleTime()),
                    Findings.of(answer, trace).stream().map(FindingView::of).toList());
        }
    }

    /**
     * Something that the run says: {@code kind} names its sentence in the field catalogue, {@code values} what it is filled with (°C, percent, seconds, kg;
     * 1 or 0 for what is so or not), {@code says} is the sentence in metric units.
     */
    public record FindingView(Finding.Part part, Finding.Kind kind, Map<String, Double> values, String says) {
        static FindingView of(Finding f) {
            return new FindingView(f.kind().part(), f.kind(), Sentences.told(f.figures()), Sentences.of(f));
        }
    }

    static SoakView of(Answer answer) {
        Trace trace = answer.soak();
        return new SoakView(
                answer.option().letter(),
                answer.option().name(),
                trace.time()[trace.length() - 1],
                trace.sprayed()[trace.length() - 1] * 1000,
                TraceView.of(trace, Thinned.of(trace)),
                MetalView.of(trace),
                AuditView.of(trace.audit()),
                VerdictView.of(answer, trace),
                RunView.of(answer.figures(trace)));
    }

    private static boolean[] flags(boolean[] all, int[] kept) {
        boolean[] flags = new boolean[kept.length];
        for (int i = 0; i < kept.length; i++) {
            flags[i] = all[kept[i]];
        }
        return flags;
    }

    private static double[] column(double[] si, int[] kept, double factor, double offset, double digits) {
        double[] column = new double[kept.length];
        for (int i = 0; i < kept.length; i++) {
            column[i] = Math.rint((si[kept[i]] * factor + offset) * digits) / digits;
        }
        return column;
    }

    private static @Nullable Double orNull(double value) {
        return Double.isFinite(value) ? value : null;
    }
}
