package io.enthalpa.server.command;

import io.enthalpa.server.jobs.FaultsView;
import io.enthalpa.server.jobs.LogFitView;
import io.enthalpa.server.logs.LogBesideView;
import io.enthalpa.server.logs.LogView;
import java.util.Locale;
import org.jspecify.annotations.Nullable;

/** A log beside an option as a plain table for a terminal. */
final class LogTable {
    private LogTable() {}

    static String of(LogCommand.Logged logged) {
        LogBesideView beside = logged.beside();
        StringBuilder out = new StringBuilder("Option %s: %s%n".formatted(logged.option(), logged.optionName()));
        out.append("  %d rows; outside %.1f °C%n".formatted(logged.read().read(), beside.outside_C()));
        if (beside.fault() != null) {
            out.append("  nothing predicted: ")
                    .append(beside.fault().sentence())
                    .append('\n');
        }
        for (LogView.LogFindingView finding : beside.findings()) {
            out.append("  ").append(finding.says()).append('\n');
        }
        out.append("  %-28s %10s %10s %10s %14s%n"
                .formatted("under load", "measured", "predicted", "apart", "without load"));
        for (LogBesideView.MatchView m : beside.matches()) {
            out.append("  %-28s %10s %10s %10s %14s %s%n"
                    .formatted(
                            m.words(),
                            number(m.measured()),
                            number(m.predicted()),
                            number(m.load()),
                            number(m.rest()),
                            m.unit()));
        }
        out.append(
                "  %-10s %9s %9s %8s %8s %8s%n".formatted("part", "from s", "for s", "lowest", "highest", "mean °C"));
        for (LogBesideView.SegmentView s : beside.segments()) {
            out.append("  %-10s %9.1f %9.1f %8.1f %8.1f %8.1f%n"
                    .formatted(
                            s.kind().name().toLowerCase(Locale.ROOT),
                            s.from_s(),
                            s.to_s() - s.from_s(),
                            s.lowest_C(),
                            s.highest_C(),
                            s.mean_C()));
        }
        if (logged.band() != null) {
            logged.band().says().forEach(f -> out.append("  ").append(f.says()).append('\n'));
        }
        if (logged.fit() != null) {
            fit(out, logged.fit());
        }
        if (logged.faults() != null) {
            faults(out, logged.faults());
        }
        return out.toString().stripTrailing();
    }

    private static void faults(StringBuilder out, FaultsView faults) {
        faults.says().forEach(f -> out.append("  ").append(f.says()).append('\n'));
        for (FaultsView.SuspectView s : faults.suspects()) {
            out.append(
                    "  %.0f %% likely, explains %.0f %% of what is apart%n".formatted(s.odds_pct(), s.explains_pct()));
            s.lines().forEach(f -> out.append("    ").append(f.says()).append('\n'));
        }
    }

    private static void fit(StringBuilder out, LogFitView fit) {
        out.append(
                "  fitted: misses by %.1f K instead of %.1f K under load%n".formatted(fit.after_K(), fit.before_K()));
        out.append("  %-24s %10s %10s %10s%n".formatted("unknown", "usually +-", "by the log", "left +-"));
        for (LogFitView.FittedView u : fit.unknowns()) {
            out.append("  %-24s %10.1f %+10.1f %10.1f %s%s%n"
                    .formatted(
                            u.unknown().name().toLowerCase(Locale.ROOT).replace('_', ' '),
                            u.spread(),
                            u.by(),
                            u.sd(),
                            u.kelvin() ? "K" : "%",
                            u.beyond() ? "  more than doubt explains" : ""));
        }
    }

    private static String number(@Nullable Double value) {
        return value == null ? "" : "%.1f".formatted(value);
    }
}
