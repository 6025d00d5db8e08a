package io.enthalpa.core.trial;

import io.enthalpa.core.build.BuildOption;

/**
 * An option that differs from the build's in one thing, through the whole duty beside it.
 *
 * @param what   sort of change
 * @param of     name of what differs, "cold pipe"
 * @param option with the change in it
 * @param worst  K that the worst intake under load changes by
 * @param loss   Pa that the path's loss at full load changes by
 * @param longer s that the target is kept longer before it is passed for the first time
 */
public record Change(What what, String of, BuildOption option, double worst, double loss, double longer) {
    /** Pa that count as much as a kelvin: a kilopascal counts as half of one. */
    private static final double PASCALS_PER_KELVIN = 2000;

    /** Below this a change is not worth a weld, K and Pa. */
    private static final double LEAST_GAIN = 0.15;

    private static final double LEAST_LOSS_GAIN = 100;

    /** @return less for what helps more */
    double rank() {
        return worst + loss / PASCALS_PER_KELVIN;
    }

    boolean helps() {
        return worst < -LEAST_GAIN || loss < -LEAST_LOSS_GAIN && worst < LEAST_GAIN;
    }
}
