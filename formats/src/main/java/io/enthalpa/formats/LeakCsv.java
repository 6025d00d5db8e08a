package io.enthalpa.formats;

import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import io.enthalpa.core.leak.LeakTest;
import io.enthalpa.core.leak.LeakTest.Reading;
import io.enthalpa.core.telemetry.Channel;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.IntStream;

/** Readings of a leak test from any CSV with a clock and a gauge, and a temperature if there is one; many are averaged to few. */
public final class LeakCsv {
    /** Readings that are kept at most. */
    static final int MOST = 200;

    private static final Set<Channel> WANTED = EnumSet.of(
            Channel.TIME, Channel.BOOST, Channel.OUTSIDE, Channel.INTAKE, Channel.AFTER_CORE, Channel.BEFORE_CORE);

    private LeakCsv() {}

    /**
     * @return from when the pump was shut off, time from 0; temperature NaN where the file has none
     * @throws EnthalpaFault naming line and column of what cannot be
     */
    public static List<Reading> read(InputStream file) {
        List<Reading> all = new ArrayList<>();
        try {
            LogCsv.read(LogText.reader(file), LeakCsv::columns, channels -> {
                int gauge = channels.indexOf(Channel.BOOST);
                OptionalInt warm = IntStream.range(0, channels.size())
                        .filter(c -> channels.get(c).isTemperature())
                        .findFirst();
                return (time, values) -> {
                    if (!Double.isNaN(values[gauge])) {
                        all.add(new Reading(
                                time, values[gauge], warm.isPresent() ? values[warm.getAsInt()] : Double.NaN));
                    }
                };
            });
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return thinned(LeakTest.sincePumped(all));
    }

    private static Map<Channel, LogHead.Column> columns(LogHead head) {
        Map<Channel, LogHead.Column> columns = new EnumMap<>(head.guess(WANTED).columns());
        if (!columns.containsKey(Channel.BOOST)) {
            // On a bench a gauge has no better name than what it is.
            int found = IntStream.range(0, head.headings().size())
                    .filter(i ->
                            head.headings().get(i).toLowerCase(Locale.ROOT).matches(".*(gauge|pressure|kpa|bar|psi).*"))
                    .findFirst()
                    .orElseThrow(() -> EnthalpaFault.of(
                            FaultKind.MALFORMED,
                            "",
                            "file of readings",
                            "columns " + String.join(", ", head.headings()),
                            "one called gauge or pressure",
                            "Name the column of the gauge in the first line."));
            String words = head.headings().get(found).toLowerCase(Locale.ROOT);
            String unit = words.contains("psi")
                    ? "psi"
                    : words.matches(".*\\bm?bar.*|.*_bar") ? (words.contains("mbar") ? "mbar" : "bar") : "kPa";
            columns.put(
                    Channel.BOOST,
                    new LogHead.Column(
                            found,
                            head.headings().get(found),
                            Channel.BOOST.quantity().requireUnit(unit)));
        }
        return columns;
    }

    private static List<Reading> thinned(List<Reading> all) {
        if (all.isEmpty()) {
            throw EnthalpaFault.of(
                    FaultKind.MALFORMED, "", "file of readings", "without a reading", "two rows or more", "");
        }
        double zero = all.get(0).time();
        int groups = Math.min(MOST, all.size());
        List<Reading> few = new ArrayList<>();
        for (int g = 0; g < groups; g++) {
            List<Reading> part =
                    all.subList((int) ((long) g * all.size() / groups), (int) ((long) (g + 1) * all.size() / groups));
            few.add(new Reading(
                    part.stream().mapToDouble(Reading::time).average().orElseThrow() - zero,
                    part.stream().mapToDouble(Reading::gauge).average().orElseThrow(),
                    part.stream().mapToDouble(Reading::temperature).average().orElseThrow()));
        }
        return few;
    }
}
