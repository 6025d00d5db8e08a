package io.enthalpa.core.commission;

import io.enthalpa.core.build.Build;
import io.enthalpa.core.leak.LeakRecord;
import io.enthalpa.core.leak.LeakTest;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import io.enthalpa.core.telemetry.Channel;
import io.enthalpa.core.telemetry.LogSeries;
import java.util.List;
import java.util.Random;

/** What a gauge would show at a leak test of an option with a hole that nobody knows: stands in for a real one, and is called simulated wherever it is shown. */
public final class SimulatedGauge {
    public static final Method METHOD = Method.of(
                    "simulated-gauge",
                    "Simulated gauge",
                    "Air goes out through one small hole whose area is drawn between what is tight and several times too much; the air inside was warmed by pumping it in and cools to the day's. The gauge is off by its own error at each reading.")
            .formula("dm/dt = -A G(p, T); p = m R T / V; T = T0 + 4 K exp(-t / 60 s)")
            .source(Citation.commonPractice("how warm pumped air is, and how soon it is as the pipe"))
            .leavesOut("Hoses that stretch.");
    /** s. */
    private static final double LENGTH = 1800;

    private static final double STEP = 1;
    /** K that pumping leaves the air warmer by, and s in which a third of it is left. */
    private static final double PUMPED = 4;

    private static final double COOLS = 60;

    /** Nobody pumps to the limit itself. */
    private static final double SHUT_OFF = 0.95;
    /** m2 of the hole: a third of a millimetre across to four; where water is to stay in, as much smaller as it is told sooner. */
    private static final double LEAST = 1e-7;

    private static final double MOST = 1.5e-5;
    private static final double OF_WATER = 1 / 30e3;

    private static final double THERMOMETER = 0.05;

    private SimulatedGauge() {}

    /** @param record of the test as far as it is written down */
    public static LogSeries readings(Build build, LeakRecord record, long seed) {
        LeakPlan plan = LeakPlan.of(build, record);
        Random chance = new Random(seed);
        double hole = LEAST * Math.pow(MOST / LEAST, chance.nextDouble());
        return readings(
                new LeakTest(plan.volume(), LeakPlan.outside(build, record)),
                SHUT_OFF * plan.test(),
                build.climate().temperature(),
                record.side() == LeakRecord.Side.WATER ? hole * OF_WATER : hole,
                record.gaugeError(),
                chance);
    }

    /** @param hole m2 */
    static LogSeries readings(LeakTest leak, double test, double still, double hole, double error, Random chance) {
        LogSeries.Growing rows = new LogSeries.Growing(List.of(Channel.BOOST, Channel.INTAKE));
        double mass = leak.mass(test, still + PUMPED);
        for (double t = 0; t <= LENGTH; t += STEP) {
            double warm = still + PUMPED * Math.exp(-t / COOLS);
            double gauge = leak.gauge(mass, warm);
            rows.row(t, new double[] {gauge + error * chance.nextGaussian(), warm + THERMOMETER * chance.nextGaussian()
            });
            mass -= STEP * hole * leak.through(gauge, warm);
            // What cools on after it has run empty draws air back in through the hole.
            mass = hole > 0 ? Math.max(mass, leak.mass(0, warm)) : mass;
        }
        return rows.series();
    }
}
