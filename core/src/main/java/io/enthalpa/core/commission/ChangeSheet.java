package io.enthalpa.core.commission;

import io.enthalpa.core.build.MadeChange;
import io.enthalpa.core.commission.Step.Kind;
import io.enthalpa.core.quantity.Quantity;

/** What a change to the car came to, beside what it was to be worth. */
public final class ChangeSheet {
    /** K by which a gain may miss what was predicted and still be it, where the logs tell finer. */
    private static final double AS_PREDICTED = 1;

    private ChangeSheet() {}

    /** @return its verdict */
    public static Step of(MadeChange change) {
        if (change.gain().isEmpty()) {
            return Step.of(Kind.MADE_NOT_MEASURED, change.what());
        }
        double gain = change.gain().getAsDouble();
        double sure = 2 * change.within().orElse(0);
        Kind kind = Math.abs(gain) <= sure ? Kind.MADE_NOTHING : gain > 0 ? Kind.MADE_COLDER : Kind.MADE_WARMER;
        Step step = Step.of(kind, change.what())
                .with("gain", Math.abs(gain), Quantity.TEMPERATURE_DIFFERENCE)
                .with("sure", sure, Quantity.TEMPERATURE_DIFFERENCE)
                .plain("as", asPredicted(change, gain, sure));
        if (kind != Kind.MADE_COLDER) {
            return step;
        }
        return step.plain("each", change.cost().orElse(0) / gain)
                .plain("hours", change.hours().orElse(0) / gain);
    }

    /** @return 0 where nothing was predicted, 1 as predicted, 2 less, 3 more */
    private static int asPredicted(MadeChange change, double gain, double sure) {
        if (change.predicted().isEmpty()) {
            return 0;
        }
        double off = gain - change.predicted().getAsDouble();
        return Math.abs(off) <= Math.max(sure, AS_PREDICTED) ? 1 : off < 0 ? 2 : 3;
    }
}
