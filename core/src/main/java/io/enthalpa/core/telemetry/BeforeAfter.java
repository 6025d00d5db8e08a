package io.enthalpa.core.telemetry;

import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import io.enthalpa.core.quantity.Quantity;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import io.enthalpa.core.verdict.Load;
import io.enthalpa.core.verdict.SeenRun;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * What a change to the car is worth, from a log before it and one after it.
 *
 * @param gain    K by which the judged temperature is lower under load, weather, altitude and boost taken out
 * @param sd      K, one standard deviation of that
 * @param looked  K by which it was lower as measured
 * @param outside K by which the outside air was warmer after than before
 * @param boost   Pa by which the boost under load was higher after than before
 */
public record BeforeAfter(double gain, double sd, double looked, double outside, double boost) {
    public static final Method METHOD = Method.of(
                    "before-after",
                    "Before and after",
                    "The model drives both logs, each in its own weather with its own boost, and so says how far they would lie apart without any change; what is left of the measured difference is the change's. Its interval: how much the "
                            + "pulls of each log differ among themselves, 15 % of what the model corrects, and 0.5 K that a sensor may have drifted. What the sensors are wrong by in both goes out.")
            .formula(
                    "gain = (Tm - Tp)before - (Tm - Tp)after; s2 = s2before/n + s2after/n + (0.15 (Tp,before - Tp,after))2 + (0.5 K)2")
            .source(Citation.commonPractice("a duct tried on a cooler day proves nothing until the day is taken out"))
            .leavesOut("Wind, wet, and a driver who drives otherwise within the same boost and speeds.");
    private static final double CORRECTS = 0.15;
    private static final double DRIFT = 0.5;
    /** K that one pull alone may be off by. */
    private static final double ONE_PULL = 1;

    private static final double LEAST = 0.3;
    private static final double SURE = 2;
    /** K and Pa that are worth telling. */
    private static final double OTHER_AIR = 0.5;

    private static final double OTHER_BOOST = 2e3;
    /** s between loads that are one pull. */
    private static final double GEAR_CHANGE = 1.5;

    /** Of one log under load. */
    private record Side(double measured, double off, double error, double outside, double boost) {
        static Side of(Beside beside) {
            Beside.Match m = beside.run()
                    .judged()
                    .flatMap(beside::match)
                    .filter(j -> !Double.isNaN(j.load()))
                    .orElseThrow(() -> EnthalpaFault.of(
                            FaultKind.CONTRADICTION,
                            "",
                            "log",
                            "without load, or without an intake temperature",
                            "one of a drive under load with the intake or the charge behind the core",
                            "Choose another log."));
            SeenRun seen = beside.run().seen();
            Load load = Load.of(seen);
            double[] pulls = pulls(beside, m.channel(), load);
            return new Side(
                    m.measured(), m.load(), error(pulls), seen.outside(), Loaded.mean(seen, load, seen.boost()));
        }

        /** Predicted less measured of each pull. */
        private static double[] pulls(Beside beside, Channel channel, Load load) {
            double[] measured = beside.run().log().of(channel);
            double[] predicted = beside.predicted().get(channel);
            SeenRun seen = beside.run().seen();
            List<Double> pulls = new ArrayList<>();
            double sum = 0;
            double seconds = 0;
            double last = Double.NEGATIVE_INFINITY;
            for (int i = 0; i < measured.length; i++) {
                if (!load.judged(i) || Double.isNaN(measured[i])) {
                    continue;
                }
                if (seen.time()[i] - last > GEAR_CHANGE && seconds > 0) {
                    pulls.add(sum / seconds);
                    sum = 0;
                    seconds = 0;
                }
                last = seen.time()[i];
                sum += (predicted[i] - measured[i]) * seen.duration()[i];
                seconds += seen.duration()[i];
            }
            if (seconds > 0) {
                pulls.add(sum / seconds);
            }
            return pulls.stream().mapToDouble(Double::doubleValue).toArray();
        }

        /** Standard error of their mean. */
        private static double error(double[] pulls) {
            if (pulls.length < 2) {
                return ONE_PULL;
            }
            double mean = Arrays.stream(pulls).average().orElseThrow();
            double variance =
                    Arrays.stream(pulls).map(p -> (p - mean) * (p - mean)).sum() / (pulls.length - 1);
            return Math.max(LEAST, Math.sqrt(variance)) / Math.sqrt(pulls.length);
        }
    }

    /** @throws EnthalpaFault when one of them has no load */
    public static BeforeAfter of(Beside before, Beside after) {
        Side b = Side.of(before);
        Side a = Side.of(after);
        double looked = b.measured() - a.measured();
        double gain = a.off() - b.off();
        double corrected = CORRECTS * (looked - gain);
        return new BeforeAfter(
                gain,
                Math.sqrt(b.error() * b.error() + a.error() * a.error() + corrected * corrected + DRIFT * DRIFT),
                looked,
                a.outside() - b.outside(),
                a.boost() - b.boost());
    }

    /** @return what it comes to, and what it would have looked like */
    public List<LogFinding> findings() {
        LogFinding.Kind kind = gain > SURE * sd
                ? LogFinding.Kind.CHANGE_GAINS
                : gain < -SURE * sd ? LogFinding.Kind.CHANGE_COSTS : LogFinding.Kind.CHANGE_NOTHING;
        return List.of(
                LogFinding.of(kind).kelvin("gain", Math.abs(gain)).kelvin("within", SURE * sd),
                LogFinding.of(LogFinding.Kind.CHANGE_LOOKED)
                        .kelvin("outside", Math.abs(outside))
                        .with("air", Math.abs(outside) < OTHER_AIR ? 0 : outside < 0 ? 1 : 2, Quantity.NUMBER)
                        .with("boost", Math.abs(boost), Quantity.PRESSURE)
                        .with("blown", Math.abs(boost) < OTHER_BOOST ? 0 : boost > 0 ? 1 : 2, Quantity.NUMBER)
                        .kelvin("looked", Math.abs(looked))
                        .with("lower", looked < 0 ? 1 : 0, Quantity.NUMBER));
    }
}
