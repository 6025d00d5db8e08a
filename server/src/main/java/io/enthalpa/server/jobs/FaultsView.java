package io.enthalpa.server.jobs;

import io.enthalpa.core.telemetry.FaultFindings;
import io.enthalpa.core.telemetry.FaultSearch;
import io.enthalpa.core.telemetry.Suspect;
import io.enthalpa.server.logs.LogView.LogFindingView;
import java.util.List;
import java.util.stream.IntStream;

/**
 * Faults that explain a log, the likeliest first; none where the log needs none.
 *
 * @param nothing_pct odds that nothing is wrong
 * @param says        where there is none
 */
public record FaultsView(List<SuspectView> suspects, double nothing_pct, List<LogFindingView> says) {
    /**
     * @param explains_pct of what measured and predicted are apart
     * @param lines        what it would be, what speaks for it and against it, the first test
     */
    public record SuspectView(Suspect suspect, double odds_pct, double explains_pct, List<LogFindingView> lines) {}

    public static FaultsView of(FaultSearch.Ranking ranking) {
        List<List<LogFindingView>> lines = FaultFindings.of(ranking).stream()
                .map(all -> all.stream().map(LogFindingView::of).toList())
                .toList();
        List<FaultSearch.Found> named = ranking.named();
        return new FaultsView(
                IntStream.range(0, named.size())
                        .mapToObj(i -> new SuspectView(
                                named.get(i).suspect(),
                                100 * ranking.odds()[i],
                                100 * named.get(i).explains(),
                                lines.get(i)))
                        .toList(),
                100 * ranking.nothing(),
                named.isEmpty() ? lines.get(0) : List.of());
    }
}
