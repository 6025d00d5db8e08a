package io.enthalpa.formats;

import io.enthalpa.core.duty.DutyPoint;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.telemetry.Channel;
import io.enthalpa.core.telemetry.LoggedLoad;
import java.io.Reader;
import java.util.List;
import java.util.Map;

/**
 * Any CSV of time and load as the rows of a duty: columns of any name, order and unit, comma, semicolon or tab, lines with # as comments.
 * Read as a stream; what is kept is bounded whatever the length (ten hours at 50 Hz are 1.8 million rows).
 */
public final class DutyCsv {
    private DutyCsv() {}

    /** A hole in the log, bridged straight. */
    public record Gap(long line, double from, double seconds) {}

    /**
     * @param rows      of a duty, from 0 s
     * @param read      rows in the file
     * @param repeated  rows of the same time as the row above, left out
     * @param gaps      the first twenty
     * @param tolerance how many times wider than usual the thinning had to be
     * @param columns   what was read from where
     */
    public record Imported(
            List<DutyPoint> rows,
            long read,
            long repeated,
            List<Gap> gaps,
            double tolerance,
            Map<Channel, LogHead.Column> columns) {}

    /**
     * @param chosen columns as the user set them; empty to take them by their headings
     * @param load   what the log does not say
     * @throws EnthalpaFault naming line and column of what cannot be
     */
    public static Imported read(Reader text, Map<Channel, LogHead.Column> chosen, LoggedLoad load) {
        DutyCsvRows[] walk = new DutyCsvRows[1];
        LogLines.read(text, head -> {
            walk[0] = new DutyCsvRows(
                    chosen.isEmpty() ? head.guess(Channel.OF_DUTY).columns() : chosen, head.headings(), load);
            return walk[0]::row;
        });
        return walk[0].end();
    }
}
