package io.enthalpa.core.leak;

import io.enthalpa.core.leak.LeakTest.Reading;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * A leak test as it was made and written down.
 *
 * @param side       that was shut and pumped up
 * @param letter     of the option
 * @param loop       name of the core whose water it is; empty for the first closed loop, and of the boosted side
 * @param by         who made it
 * @param on         the day, as written
 * @param volume     m3 that was shut in; empty for what the build says
 * @param barometer  Pa outside; empty for what the build says
 * @param rated      Pa above outside, of the weakest part; empty where none says
 * @param gaugeError Pa, of a reading, one standard deviation
 * @param gauge      that was read, where a device was
 * @param soaped     what bubbled, and other words
 * @param readings   none before the first was taken
 */
public record LeakRecord(
        Side side,
        String letter,
        Optional<String> loop,
        String by,
        String on,
        OptionalDouble volume,
        OptionalDouble barometer,
        OptionalDouble rated,
        double gaugeError,
        Optional<String> gauge,
        String soaped,
        List<Reading> readings) {
    /** What is tried. */
    public enum Side {
        /** From the blower to the throttle. */
        CHARGE,
        /** The loop of a water core, with air in it. */
        WATER
    }

    public LeakRecord {
        readings = List.copyOf(readings);
    }
}
