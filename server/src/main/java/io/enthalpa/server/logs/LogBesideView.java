package io.enthalpa.server.logs;

import io.enthalpa.core.build.Answer;
import io.enthalpa.core.build.Build;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fluid.GlycolWater;
import io.enthalpa.core.telemetry.Beside;
import io.enthalpa.core.telemetry.BesideFindings;
import io.enthalpa.core.telemetry.Channel;
import io.enthalpa.core.telemetry.ChannelChecks;
import io.enthalpa.core.telemetry.LogFinding;
import io.enthalpa.core.telemetry.LogParts;
import io.enthalpa.core.telemetry.LogSeries;
import io.enthalpa.core.telemetry.Marks;
import io.enthalpa.core.telemetry.MeasuredDuty;
import io.enthalpa.core.telemetry.MeasuredRun;
import io.enthalpa.core.telemetry.Segment;
import io.enthalpa.core.telemetry.Segments;
import io.enthalpa.core.telemetry.ShapeFinding;
import io.enthalpa.server.logs.LogView.LogFindingView;
import io.enthalpa.server.problem.FaultView;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * A log beside an option.
 *
 * @param judged    the channel that stands for the intake; null without
 * @param segments  parts of the drive
 * @param findings  what is found of the log
 * @param matches   of each channel that was measured and is predicted
 * @param start     the channel that says how warm all was at the start; null where none did
 * @param fault     why nothing is predicted; null where it is
 */
public record LogBesideView(
        @Nullable Channel judged,
        double outside_C,
        boolean outsideMeasured,
        List<SegmentView> segments,
        List<LogFindingView> findings,
        List<MatchView> matches,
        @Nullable String start,
        double startAbove_K,
        @Nullable FaultView fault) {
    private static final double KELVIN = 273.15;

    /** Times in s, {@code recovered_s} null where it did not come back before the next load. */
    public record SegmentView(
            Segment.Kind kind,
            double from_s,
            double to_s,
            double start_C,
            double lowest_C,
            double highest_C,
            double mean_C,
            double rate_K_s,
            double overTarget_s,
            double overTimingLine_s,
            @Nullable Double recovered_s) {
        static SegmentView of(Segment s) {
            return new SegmentView(
                    s.kind(),
                    s.from(),
                    s.to(),
                    s.start() - KELVIN,
                    s.lowest() - KELVIN,
                    s.highest() - KELVIN,
                    s.mean() - KELVIN,
                    s.rate(),
                    s.overTarget(),
                    s.overTimingLine(),
                    Double.isNaN(s.recovered()) ? null : s.recovered());
        }
    }

    /** {@code measured} and {@code predicted} under load in the channel's usual unit, {@code load} and {@code rest} predicted less measured; null where there is no such time. */
    public record MatchView(
            Channel channel,
            String words,
            String unit,
            @Nullable Double measured,
            @Nullable Double predicted,
            @Nullable Double load,
            @Nullable Double rest,
            @Nullable Double rms) {
        static MatchView of(Beside.Match m) {
            double factor = m.channel().usualUnit().factor();
            return new MatchView(
                    m.channel(),
                    m.channel().words(),
                    m.channel().usualUnit().symbol(),
                    Numbers.orNull(m.channel().usualUnit().fromSi(m.measured())),
                    Numbers.orNull(m.channel().usualUnit().fromSi(m.predicted())),
                    Numbers.orNull(m.load() / factor),
                    Numbers.orNull(m.rest() / factor),
                    Numbers.orNull(m.rms() / factor));
        }
    }

    /**
     * What is known of a log beside an option, with the numbers behind it.
     *
     * @param beside empty where nothing can be predicted
     * @param fault  why not
     */
    record Answered(LogBesideView view, Optional<Beside> beside, Optional<EnthalpaFault> fault) {}

    /** @return what a log says beside an option */
    public static LogBesideView view(LogSeries log, Build build, String letter) {
        return of(log, build, letter).view();
    }

    /** @return with the parts as the reader put them right */
    LogBesideView marked(LogSeries log, Build build, String letter, Marks marks) {
        MeasuredRun run = MeasuredRun.of(log, build, letter);
        if (run.judged().isEmpty()) {
            return this;
        }
        return new LogBesideView(
                judged,
                outside_C,
                outsideMeasured,
                Segments.of(run, build.targets(), marks).stream()
                        .map(SegmentView::of)
                        .toList(),
                findings,
                matches,
                start,
                startAbove_K,
                fault);
    }

    static Answered of(LogSeries log, Build build, String letter) {
        BuildOption option = build.option(letter);
        MeasuredRun run = MeasuredRun.of(log, build, letter);
        List<LogFinding> findings = new ArrayList<>(ChannelChecks.of(run, ChannelChecks.mayBeColder(option)));
        if (run.judged().isPresent()) {
            findings.add(ShapeFinding.of(run));
            ShapeFinding.tooCold(run).ifPresent(findings::add);
        }
        Optional<Beside> beside = Optional.empty();
        Optional<EnthalpaFault> fault = Optional.empty();
        String start = null;
        double above = 0;
        try {
            MeasuredDuty driven = MeasuredDuty.of(build, run);
            start = driven.start().map(Channel::words).orElse(null);
            above = driven.build().duty().startAbove();
            beside = Optional.of(Beside.of(run, new Answer(driven.build(), letter)));
        } catch (EnthalpaFault e) {
            fault = Optional.of(e);
        }
        GlycolWater coolant = Beside.coolant(option.path());
        boolean byWater = beside.map(Beside::byWater).orElse(false);
        findings.addAll(LogParts.of(run, byWater, beside.map(Beside::flow), coolant));
        beside.ifPresent(b -> findings.addAll(BesideFindings.of(b)));
        LogBesideView view = new LogBesideView(
                run.judged().orElse(null),
                run.seen().outside() - KELVIN,
                run.outsideMeasured(),
                run.judged().isEmpty()
                        ? List.of()
                        : Segments.of(run, build.targets()).stream()
                                .map(SegmentView::of)
                                .toList(),
                findings.stream().map(LogFindingView::of).toList(),
                beside.map(b -> b.matches().stream().map(MatchView::of).toList())
                        .orElse(List.of()),
                start,
                above,
                fault.map(FaultView::of).orElse(null));
        return new Answered(view, beside, fault);
    }

    /** One measured channel over a stretch: lowest and highest of each part; null where it has no row. */
    record LogCurveView(Channel channel, String unit, List<@Nullable Double> low, List<@Nullable Double> high) {
        static LogCurveView of(Channel channel, Peaks peaks) {
            return new LogCurveView(
                    channel,
                    channel.usualUnit().symbol(),
                    Numbers.told(channel, peaks.low()),
                    Numbers.told(channel, peaks.high()));
        }
    }

    /** What is predicted for a channel in the middle of each part, and how much more than measured that is. */
    record PredictedView(Channel channel, String unit, List<@Nullable Double> values, List<@Nullable Double> off) {}

    /** A stretch of a log in equal parts; {@code predicted} empty where nothing can be. */
    record LogCurvesView(double from_s, double to_s, List<LogCurveView> measured, List<PredictedView> predicted) {
        static LogCurvesView of(
                Map<Channel, Peaks> peaks,
                Optional<Beside> beside,
                @Nullable List<Channel> asked,
                double from,
                double to,
                int columns) {
            List<PredictedView> predicted = new ArrayList<>();
            beside.ifPresent(b -> b.predicted().forEach((channel, values) -> {
                if (asked == null || asked.contains(channel)) {
                    predicted.add(predicted(b, channel, values, from, to, columns));
                }
            }));
            return new LogCurvesView(
                    from,
                    to,
                    peaks.entrySet().stream()
                            .map(e -> LogCurveView.of(e.getKey(), e.getValue()))
                            .toList(),
                    predicted);
        }

        private static PredictedView predicted(
                Beside b, Channel channel, double[] values, double from, double to, int columns) {
            double[] time = b.run().seen().time();
            double[] measured = b.run().log().of(channel);
            double[] off = new double[values.length];
            for (int i = 0; i < off.length; i++) {
                off[i] = (values[i] - measured[i]) / channel.usualUnit().factor();
            }
            return new PredictedView(
                    channel,
                    channel.usualUnit().symbol(),
                    Numbers.told(channel, Numbers.middles(time, values, from, to, columns)),
                    Numbers.rounded(Numbers.middles(time, off, from, to, columns)));
        }
    }
}
