package io.enthalpa.core.build;

import java.util.OptionalDouble;

/**
 * A change made to the car, and what came of it.
 *
 * @param what      was changed, "duct to the radiator"
 * @param on        the day, as written
 * @param cost      of parts, in the reader's currency; empty where it is not known
 * @param hours     of work
 * @param predicted K that it was to be worth under load, colder above 0
 * @param before    name of the log before it; empty for none
 * @param after     name of the log after it; empty for none
 * @param gain      K that it was worth, weather and boost taken out
 * @param within    K, one standard deviation of the gain
 */
public record MadeChange(
        String what,
        String on,
        OptionalDouble cost,
        OptionalDouble hours,
        OptionalDouble predicted,
        String before,
        String after,
        OptionalDouble gain,
        OptionalDouble within) {}
