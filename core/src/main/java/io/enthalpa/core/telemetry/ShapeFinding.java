package io.enthalpa.core.telemetry;

import io.enthalpa.core.quantity.Quantity;
import io.enthalpa.core.verdict.Load;
import io.enthalpa.core.verdict.RunShape;
import java.util.Optional;

/** What the shape of a measured trace points at, by the rules by which a computed one is read. */
public final class ShapeFinding {
    private static final double HALF = 0.5;

    private ShapeFinding() {}

    public static LogFinding of(MeasuredRun run) {
        RunShape shape = RunShape.of(run.seen());
        return switch (shape) {
            case FLAT -> LogFinding.of(LogFinding.Kind.LOG_FLAT);
            case SAW_TEETH -> LogFinding.of(LogFinding.Kind.LOG_TEETH);
            case SOAKED -> LogFinding.of(LogFinding.Kind.LOG_SOAKED);
            case RAMP -> ramp(run);
        };
    }

    /** @return that it was colder than is good; empty where it was not */
    public static Optional<LogFinding> tooCold(MeasuredRun run) {
        double mean = Loaded.mean(run.seen(), Load.of(run.seen()), run.seen().intake());
        return mean < Load.SPRAYS_BADLY
                ? Optional.of(LogFinding.of(LogFinding.Kind.LOG_SPRAYS_BADLY)
                        .with("mean", mean, Quantity.TEMPERATURE)
                        .with("line", Load.SPRAYS_BADLY, Quantity.TEMPERATURE))
                : Optional.empty();
    }

    /** With the water's own channel the ramp is told apart into what the water brings and what the core adds. */
    private static LogFinding ramp(MeasuredRun run) {
        if (run.seen().cold().length == 0) {
            return LogFinding.of(LogFinding.Kind.LOG_RAMP);
        }
        double share = RunShape.climbByCoolant(run.seen());
        return LogFinding.of(share > HALF ? LogFinding.Kind.LOG_RAMP_OF_WATER : LogFinding.Kind.LOG_RAMP_OF_CORE)
                .with("share", Math.max(0, Math.min(share, 1)), Quantity.SHARE);
    }
}
