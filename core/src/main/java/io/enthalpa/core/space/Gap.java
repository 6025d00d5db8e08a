package io.enthalpa.core.space;

/**
 * The gap between two solids.
 *
 * @param apart    where it is least
 * @param elementA of the first, there: a number of {@link Solid#elements()}
 * @param elementB of the other
 */
public record Gap(Apart apart, int elementA, int elementB) {
    /** @return m; less than 0 when one stands in the other */
    public double value() {
        return apart.gap();
    }
}
