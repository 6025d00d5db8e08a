package io.enthalpa.core.telemetry;

import io.enthalpa.core.build.Build;
import io.enthalpa.core.duty.Duty;
import io.enthalpa.core.duty.DutyPoint;
import io.enthalpa.core.duty.DutyThinner;
import io.enthalpa.core.endurance.EnduranceRun;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import io.enthalpa.core.verdict.SeenRun;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;

/**
 * A build as the log drove it: its speeds and boost, its outside air, as warm at the start as it was.
 *
 * @param build with the log as its duty
 * @param start the channel that says how warm core and water were; empty where none did, and they are taken for as warm as the air
 */
public record MeasuredDuty(Build build, Optional<Channel> start) {
    public static final Method METHOD = Method.of(
                    "measured-duty",
                    "The model driven by a log",
                    "Engine speed, boost and road speed of the log are the duty, its outside air the weather. Core and water start as warm as the first two seconds of the tank's channel say, else of the water "
                            + "at the core, else of the charge behind the core or the intake.")
            .source(Citation.commonPractice("what stood has one temperature"))
            .leavesOut("Core and water that start at different temperatures.");
    private static final double FIRST = 2;
    private static final double COARSER = 4;
    /** s. */
    private static final double STEP = 1;

    private static final List<Channel> STARTS = List.of(
            Channel.WATER_TANK,
            Channel.WATER_TO_CORE,
            Channel.WATER_FROM_CORE,
            Channel.WATER_FROM_RADIATOR,
            Channel.AFTER_CORE,
            Channel.INTAKE);

    /** @throws EnthalpaFault naming what the log would have to have */
    public static MeasuredDuty of(Build build, MeasuredRun run) {
        LogSeries log = run.log();
        SeenRun seen = run.seen();
        if (seen.length() < 2) {
            throw missing("without two rows", "one with at least two");
        }
        if (Double.isNaN(run.speed()[0])) {
            throw missing(
                    "without engine speed", "one with engine speed, or road speed with the gearing given in the Brief");
        }
        if (LoggedLoad.loadChannel(EnumSet.copyOf(log.channels())).isEmpty()) {
            throw missing("without boost", "one with boost, absolute manifold pressure or throttle");
        }
        DutyThinner thinner = new DutyThinner(DutyThinner.MOST_KEPT);
        for (int i = 0; i < seen.length(); i++) {
            double road = run.roadSpeed()[i];
            thinner.accept(new DutyPoint(
                    seen.time()[i] - seen.time()[0],
                    Math.min(run.speed()[i], build.engine().maxSpeed()),
                    seen.boost()[i],
                    Double.isNaN(road) ? 0 : Math.max(road, 0)));
        }
        Optional<Channel> start = STARTS.stream().filter(log::has).findFirst();
        double above =
                start.map(c -> Math.max(first(log, c) - seen.outside(), 0)).orElse(0.0);
        Build.Climate c = build.climate();
        return new MeasuredDuty(
                build.withDuty(
                        new Build.Climate(seen.outside(), c.altitude(), c.humidity(), c.barometer()),
                        new Duty("as logged", false, above, 1, 0, thinner.rows())),
                start);
    }

    private static double first(LogSeries log, Channel channel) {
        double[] values = log.held(channel);
        double sum = 0;
        int n = 0;
        for (int i = 0; i < values.length && log.time()[i] <= log.time()[0] + FIRST; i++) {
            sum += values[i];
            n++;
        }
        return sum / n;
    }

    private static EnthalpaFault missing(String what, String wanted) {
        return EnthalpaFault.of(
                FaultKind.CONTRADICTION,
                "",
                "the log",
                what,
                wanted,
                "Choose the column that holds it; without it nothing can be predicted for this log.");
    }

    /** @return times as long as usual that its steps may be where a log is run through many times: to no more than a second */
    double coarser() {
        return Math.max(1, Math.min(COARSER, STEP / EnduranceRun.stepFor(build.duty())));
    }
}
