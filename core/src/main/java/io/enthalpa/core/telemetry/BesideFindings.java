package io.enthalpa.core.telemetry;

import io.enthalpa.core.plant.CoreTrace;
import io.enthalpa.core.quantity.Quantity;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What the difference between measured and predicted means. */
public final class BesideFindings {
    /** K under which nothing is off. */
    static final double AGREES = 2;

    private static final double HALF = 0.5;
    /** Times by which the water's warming is another (judgement: two sensors of 1 K at a warming of some kelvin). */
    private static final double OTHER_FLOW = 1.3;
    /** K of warming under which nothing is told by it. */
    private static final double LEAST_WARMING = 3;

    private BesideFindings() {}

    public static List<LogFinding> of(Beside beside) {
        Optional<Beside.Match> judged = beside.run().judged().flatMap(beside::match);
        if (judged.isEmpty()) {
            return List.of();
        }
        List<LogFinding> found = new ArrayList<>();
        Beside.Match m = judged.get();
        if (Double.isNaN(m.load())) {
            found.add(LogFinding.of(LogFinding.Kind.BESIDE_NO_LOAD));
            return found;
        }
        LogFinding.Kind kind = kind(m);
        found.add(LogFinding.of(kind, m.channel())
                .kelvin("load", Math.abs(m.load()))
                .kelvin("rest", Double.isNaN(m.rest()) ? 0 : Math.abs(m.rest()))
                .with("restWarm", m.rest() > 0 ? 1 : 0, Quantity.NUMBER)
                .with("rested", Double.isNaN(m.rest()) ? 0 : 1, Quantity.NUMBER));
        if (Math.abs(m.load()) >= AGREES) {
            found.add(reason(beside, m));
        }
        return found;
    }

    private static LogFinding.Kind kind(Beside.Match m) {
        boolean load = Math.abs(m.load()) >= AGREES;
        boolean rest = Math.abs(m.rest()) >= AGREES;
        if (!load) {
            return rest ? LogFinding.Kind.BESIDE_AT_REST : LogFinding.Kind.BESIDE_AGREES;
        }
        boolean alike = isAllAlong(m);
        if (m.load() < 0) {
            return alike ? LogFinding.Kind.BESIDE_COLD_ALL : LogFinding.Kind.BESIDE_COLD_LOAD;
        }
        return alike ? LogFinding.Kind.BESIDE_WARM_ALL : LogFinding.Kind.BESIDE_WARM_LOAD;
    }

    private static boolean isAllAlong(Beside.Match m) {
        return Math.abs(m.rest()) >= AGREES && Math.signum(m.rest()) == Math.signum(m.load());
    }

    /** Water that warms by much more, or less, than predicted on its way through the core: less, or more, goes round. */
    private static Optional<LogFinding> flow(Beside beside) {
        Optional<Beside.Match> to = beside.match(Channel.WATER_TO_CORE);
        Optional<Beside.Match> from = beside.match(Channel.WATER_FROM_CORE);
        if (to.isEmpty() || from.isEmpty()) {
            return Optional.empty();
        }
        double measured = from.get().measured() - to.get().measured();
        double predicted = from.get().predicted() - to.get().predicted();
        boolean less = measured > predicted * OTHER_FLOW;
        boolean more = measured * OTHER_FLOW < predicted;
        return Math.max(measured, predicted) > LEAST_WARMING && (less || more)
                ? Optional.of(LogFinding.of(LogFinding.Kind.BESIDE_OF_FLOW)
                        .kelvin("measured", measured)
                        .kelvin("predicted", predicted)
                        .with("less", less ? 0 : 1, Quantity.NUMBER))
                : Optional.empty();
    }

    /** Which part brings the difference, as far as the channels tell. */
    private static LogFinding reason(Beside beside, Beside.Match m) {
        boolean warm = m.load() > 0;
        double e = predictedEffectiveness(beside);
        Optional<Beside.Match> before = beside.match(Channel.BEFORE_CORE).filter(b -> !Double.isNaN(b.load()));
        Optional<Beside.Match> water = beside.match(Channel.WATER_TO_CORE).filter(w -> !Double.isNaN(w.load()));
        double ofBlower = before.map(b -> (1 - e) * b.load() / m.load()).orElse(0.0);
        double ofWater = water.map(w -> e * w.load() / m.load()).orElse(0.0);
        if (ofBlower > HALF && ofBlower >= ofWater) {
            return side(LogFinding.Kind.BESIDE_OF_BLOWER, warm)
                    .kelvin("kelvin", Math.abs(before.orElseThrow().load()));
        }
        if (ofWater > HALF) {
            return side(LogFinding.Kind.BESIDE_OF_WATER, warm)
                    .kelvin("kelvin", Math.abs(water.orElseThrow().load()));
        }
        boolean byWater =
                beside.trace().core() != null && beside.trace().core().cold().byWater();
        Optional<LogFinding> flow = byWater ? flow(beside) : Optional.empty();
        if (flow.isPresent()) {
            return flow.get();
        }
        if (before.isPresent() && (!byWater || water.isPresent())) {
            return side(LogFinding.Kind.BESIDE_OF_CORE, warm).with("air", byWater ? 0 : 1, Quantity.NUMBER);
        }
        if (isAllAlong(m)) {
            return LogFinding.of(LogFinding.Kind.BESIDE_OFFSET);
        }
        return side(LogFinding.Kind.BESIDE_CANNOT_TELL, warm)
                .with("before", before.isPresent() ? 1 : 0, Quantity.NUMBER)
                .with("water", byWater && water.isEmpty() ? 1 : 0, Quantity.NUMBER);
    }

    private static LogFinding side(LogFinding.Kind kind, boolean warm) {
        return LogFinding.of(kind).with("warm", warm ? 1 : 0, Quantity.NUMBER);
    }

    /** Mean of the core nearest the plenum while the engine runs. */
    private static double predictedEffectiveness(Beside beside) {
        CoreTrace core = beside.trace().core();
        double sum = 0;
        int n = 0;
        for (int i = 0; core != null && i < beside.trace().length(); i++) {
            double e = core.effectiveness(i);
            if (!Double.isNaN(e)) {
                sum += e;
                n++;
            }
        }
        return n == 0 ? 0 : sum / n;
    }
}
