package io.enthalpa.core.telemetry;

import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.chargepath.Pieces;
import io.enthalpa.core.quantity.Quantity;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import io.enthalpa.core.verdict.Load;
import io.enthalpa.core.verdict.SeenRun;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Looks for channels that do not measure what they are called. */
public final class ChannelChecks {
    public static final Method METHOD = Method.of(
                    "log-channels",
                    "Channels that lie",
                    "Dead: one value over a minute or more of log. Frozen: one temperature for half a minute, of water a minute, while boost comes and goes. Clipped: a pressure that stands at exactly its highest for five seconds. "
                            + "Swapped: under load the charge gets warmer in the core, or the water colder. Impossible: a charge 3 K under the outside air with nothing colder than that to cool it. "
                            + "Boost that never falls under 60 kPa is absolute pressure.")
            .source(
                    Citation.commonPractice(
                            "a water sensor never configured, a loose plug, two plugs changed over: each has been believed for a season"))
            .leavesOut("A sensor that reads a few kelvin wrong all along.");
    private static final double DEAD_AFTER = 60;
    private static final double FROZEN_CHARGE = 30;
    private static final double FROZEN_WATER = 60;
    private static final double CLIPPED = 5;
    private static final double CHARGE_WARMER = 3;
    private static final double WATER_COLDER = 1;
    private static final double ABSOLUTE = 60e3;
    private static final double SAME = 1e-6;
    /** May stand still for good reason. */
    private static final Set<Channel> STEADY =
            EnumSet.of(Channel.TIME, Channel.OUTSIDE, Channel.GEAR, Channel.MARKER, Channel.ROAD_SPEED);

    private final MeasuredRun run;
    private final SeenRun seen;
    private final Load load;
    private final List<LogFinding> found = new ArrayList<>();
    private final Set<Channel> dead = EnumSet.noneOf(Channel.class);

    private ChannelChecks(MeasuredRun run) {
        this.run = run;
        this.seen = run.seen();
        this.load = Load.of(seen);
    }

    /** @return whether anything of an option can bring the charge under the outside air: ice, a chiller, water from outside, spray */
    public static boolean mayBeColder(BuildOption option) {
        return Pieces.all(option.path()).stream()
                .map(Pieces.Placed::piece)
                .anyMatch(piece -> piece instanceof PathElement.Injection
                        || piece instanceof PathElement.Core core
                                && Pieces.loopOf(core, option.path())
                                        .filter(loop -> loop.chiller().isPresent()
                                                || loop.raw().isPresent()
                                                || loop.tank()
                                                        .filter(t -> t.ice().mass() > 0
                                                                || t.start().isPresent())
                                                        .isPresent())
                                        .isPresent());
    }

    /** @param mayBeColder whether the charge can come colder than the outside air: ice, chiller, spray */
    public static List<LogFinding> of(MeasuredRun run, boolean mayBeColder) {
        ChannelChecks checks = new ChannelChecks(run);
        for (Channel channel : run.log().channels()) {
            checks.stillness(channel);
        }
        checks.order(mayBeColder);
        if (run.judged().isEmpty()) {
            checks.found.add(LogFinding.of(LogFinding.Kind.LOG_NO_INTAKE));
        }
        if (!run.outsideMeasured()) {
            checks.found.add(LogFinding.of(LogFinding.Kind.LOG_NO_OUTSIDE)
                    .with("outside", run.seen().outside(), Quantity.TEMPERATURE));
        }
        return checks.found;
    }

    private void stillness(Channel channel) {
        if (STEADY.contains(channel)) {
            return;
        }
        double[] values = run.log().of(channel);
        double low = Double.POSITIVE_INFINITY;
        double high = Double.NEGATIVE_INFINITY;
        for (double v : values) {
            if (!Double.isNaN(v)) {
                low = Math.min(low, v);
                high = Math.max(high, v);
            }
        }
        if (run.log().seconds() >= DEAD_AFTER && !(high - low > SAME * Math.abs(high))) {
            dead.add(channel);
            found.add(LogFinding.of(LogFinding.Kind.LOG_DEAD, channel));
            return;
        }
        if (channel.isTemperature()) {
            frozen(channel, values, channel.isWater() ? FROZEN_WATER : FROZEN_CHARGE);
        } else if (channel.quantity() == Quantity.PRESSURE) {
            clipped(channel, values, high);
        }
        if (channel == Channel.BOOST && low > ABSOLUTE) {
            found.add(LogFinding.of(LogFinding.Kind.LOG_BOOST_ABSOLUTE, channel).with("low", low, Quantity.PRESSURE));
        }
    }

    /** The longest stretch of one value, where boost moves by half its highest meanwhile. */
    private void frozen(Channel channel, double[] values, double longest) {
        double most = 0;
        for (double b : seen.boost()) {
            most = Math.max(most, b);
        }
        double from = 0;
        double seconds = longest;
        for (int i = 0; i < values.length; ) {
            int j = i;
            double low = Double.POSITIVE_INFINITY;
            double high = Double.NEGATIVE_INFINITY;
            while (j < values.length && same(values[j], values[i])) {
                low = Math.min(low, seen.boost()[j]);
                high = Math.max(high, seen.boost()[j]);
                j++;
            }
            j = Math.max(j, i + 1);
            double here = seen.time()[j - 1] - seen.time()[i];
            if (here > seconds && high - low > most / 2) {
                from = seen.time()[i];
                seconds = here;
            }
            i = j;
        }
        if (seconds > longest) {
            found.add(LogFinding.of(LogFinding.Kind.LOG_FROZEN, channel)
                    .with("from", from, Quantity.TIME)
                    .with("seconds", seconds, Quantity.TIME));
        }
    }

    private void clipped(Channel channel, double[] values, double high) {
        double seconds = 0;
        for (int i = 0; i < values.length; i++) {
            seconds += same(values[i], high) ? seen.duration()[i] : 0;
        }
        if (seconds > CLIPPED && high > 0) {
            found.add(LogFinding.of(LogFinding.Kind.LOG_CLIPPED, channel)
                    .with("high", high, Quantity.PRESSURE)
                    .with("seconds", seconds, Quantity.TIME));
        }
    }

    private static boolean same(double a, double b) {
        return Math.abs(a - b) <= SAME * Math.abs(b);
    }

    private void order(boolean mayBeColder) {
        difference(Channel.AFTER_CORE, Channel.BEFORE_CORE)
                .filter(k -> k > CHARGE_WARMER)
                .ifPresent(k ->
                        found.add(LogFinding.of(LogFinding.Kind.LOG_SWAPPED, Channel.BEFORE_CORE, Channel.AFTER_CORE)
                                .kelvin("kelvin", k)));
        difference(Channel.WATER_TO_CORE, Channel.WATER_FROM_CORE)
                .filter(k -> k > WATER_COLDER)
                .ifPresent(k -> found.add(
                        LogFinding.of(LogFinding.Kind.LOG_WATER_SWAPPED, Channel.WATER_TO_CORE, Channel.WATER_FROM_CORE)
                                .kelvin("kelvin", k)));
        if (mayBeColder || !run.outsideMeasured()) {
            return;
        }
        for (Channel channel : List.of(Channel.AFTER_CORE, Channel.INTAKE)) {
            double under = seen.outside() - mean(channel);
            if (under > CHARGE_WARMER) {
                found.add(LogFinding.of(LogFinding.Kind.LOG_BELOW_OUTSIDE, channel)
                        .kelvin("kelvin", under));
            }
        }
    }

    /** @return K by which one channel is warmer than another under load */
    private Optional<Double> difference(Channel warmer, Channel colder) {
        double k = mean(warmer) - mean(colder);
        return Double.isNaN(k) ? Optional.empty() : Optional.of(k);
    }

    /** NaN for a channel that is dead or was not logged. */
    private double mean(Channel channel) {
        return dead.contains(channel)
                ? Double.NaN
                : Loaded.mean(seen, load, run.log().of(channel));
    }
}
