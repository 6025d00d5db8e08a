package io.enthalpa.core.telemetry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.Benches;
import io.enthalpa.core.Systems;
import io.enthalpa.core.build.Answer;
import io.enthalpa.core.build.Build;
import io.enthalpa.core.endurance.Trace;
import io.enthalpa.core.telemetry.FaultSearch.Evidence;
import io.enthalpa.core.telemetry.FaultSearch.Found;
import io.enthalpa.core.telemetry.FaultSearch.Ranking;
import io.enthalpa.core.telemetry.SecondDrive.Truth;
import io.enthalpa.core.uncertainty.Perturbation;
import io.enthalpa.core.uncertainty.UncertainInput;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Faults of a plant that is not the program's own, {@link SecondDrive}, its sensors slow, noisy and slightly wrong. */
class FaultSearchTest {
    private static final int CASES = 10;

    private static Ranking ranking(Build build, LogSeries log, double outside) {
        MeasuredRun run = MeasuredRun.of(log, Logs.LOAD, outside);
        FaultSearch search = new FaultSearch(MeasuredDuty.of(build, run), "A", run);
        for (int i = 0; i < search.parts(); i++) {
            assertThat(search.ranking()).isEmpty();
            search.run(i);
        }
        return search.ranking().orElseThrow();
    }

    private static Ranking ranking(Truth truth) {
        return ranking(SecondDrive.build(), SecondDrive.log(truth), SecondDrive.OUTSIDE_K);
    }

    private static int right(Suspect suspect, double core, double air, double blower, double by) {
        int right = 0;
        for (long seed = 1; seed <= CASES; seed++) {
            Ranking ranking = ranking(new Truth(core, air, blower, seed));
            Found first = ranking.found().get(0);
            if (first.suspect() == suspect && ranking.odds()[0] > ranking.nothing()) {
                right++;
                assertThat(first.by()).as("%s, seed %d", suspect, seed).isCloseTo(by, within(0.2));
                assertThat(first.explains()).isGreaterThan(0.5);
            }
        }
        return right;
    }

    @Test
    void aFaultThatIsThereComesFirst() {
        assertThat(right(Suspect.AIR, 1, 0.4, 1, -0.6)).isGreaterThanOrEqualTo(8);
        assertThat(right(Suspect.CORE, 0.6, 1, 1, -0.4)).isGreaterThanOrEqualTo(8);
        assertThat(right(Suspect.BLOWER, 1, 1, 0.8, -0.2)).isGreaterThanOrEqualTo(8);
    }

    @Test
    void aHealthyCarHasNone() {
        int none = 0;
        for (long seed = 1; seed <= CASES; seed++) {
            Ranking ranking = ranking(new Truth(1, 1, 1, seed));
            none += ranking.named().isEmpty() ? 1 : 0;
        }
        assertThat(none).isGreaterThanOrEqualTo(8);
        assertThat(FaultFindings.of(new Ranking(List.of(), new double[] {1}))
                        .get(0)
                        .get(0)
                        .kind())
                .isEqualTo(LogFinding.Kind.SUSPECT_NOTHING);
    }

    @Test
    void oddsAreSharesAndTheEvidenceSpeaksByChannel() {
        Ranking ranking = ranking(new Truth(1, 1, 0.8, 3));
        double sum = 0;
        for (double odd : ranking.odds()) {
            sum += odd;
        }
        assertThat(sum).isCloseTo(1, within(1e-9));
        assertThat(ranking.odds()).hasSize(ranking.found().size() + 1);
        // What its size is unlikely is taken off: gain and the square of the size are the share that is explained of
        // one and the same misfit.
        Found blower = found(ranking, Suspect.BLOWER);
        Found core = found(ranking, Suspect.CORE);
        double misfit = (blower.gain() + blower.size() * blower.size()) / blower.explains();
        assertThat((core.gain() + core.size() * core.size()) / core.explains())
                .isCloseTo(misfit, within(1e-6 * misfit));
        Evidence before =
                evidence(found(ranking, Suspect.BLOWER), Channel.BEFORE_CORE).orElseThrow();
        assertThat(before.speaksFor()).isTrue();
        assertThat(before.off()).isGreaterThan(5);
        assertThat(before.would()).isCloseTo(before.off(), within(4.0));
        // The core does nothing to what comes before it: the warm charge there speaks against it.
        assertThat(evidence(found(ranking, Suspect.CORE), Channel.BEFORE_CORE)
                        .orElseThrow()
                        .speaksFor())
                .isFalse();
        List<LogFinding> lines = FaultFindings.of(ranking).get(0);
        assertThat(lines.get(0).kind()).isEqualTo(LogFinding.Kind.SUSPECT_BLOWER);
        assertThat(lines.get(lines.size() - 1).kind()).isEqualTo(LogFinding.Kind.TEST_BLOWER);
    }

    private static Found found(Ranking ranking, Suspect suspect) {
        return ranking.found().stream()
                .filter(f -> f.suspect() == suspect)
                .findFirst()
                .orElseThrow();
    }

    private static Optional<Evidence> evidence(Found found, Channel channel) {
        return found.evidence().stream().filter(e -> e.channel() == channel).findFirst();
    }

    /** Water and sensor by the program's own model: what it is told comes back. */
    @Test
    void waterAndSensor() {
        Build build = Benches.build(Systems.water());
        Ranking water = ranking(build, log(build, Perturbation.NONE.with(UncertainInput.WATER_FLOW, -0.5)), 300);
        assertThat(water.found().get(0).suspect()).isEqualTo(Suspect.WATER);
        assertThat(water.found().get(0).by()).isCloseTo(-0.5, within(0.05));
        assertThat(water.found())
                .extracting(Found::suspect)
                .contains(Suspect.RADIATOR)
                .doesNotContain(Suspect.ICE, Suspect.CHILLER);
    }

    private static LogSeries log(Build build, Perturbation fault) {
        Answer answer = new Answer(build, "A", fault);
        Trace trace = answer.soak();
        List<Channel> channels = SimulatedLog.channels(answer, trace).stream()
                .filter(c -> c != Channel.WATER_FLOW)
                .toList();
        LogSeries.Growing rows = new LogSeries.Growing(channels);
        SimulatedLog.write(answer, trace, channels, 4, rows);
        return rows.series();
    }

    /** Where no air passes it shows all of it, at a tenth of the most air half, at the most an eleventh. */
    @Test
    void aSoakedSensorShowsLessOfItTheMoreAirPasses() {
        Build build = Benches.build(Systems.standard());
        Trace trace = new Answer(build, "A").soak();
        double[] shown = new SoakedSensor(trace, 1).at(new double[] {120});
        assertThat(shown[0]).isCloseTo(1 / 11.0, within(0.01));
        assertThat(new SoakedSensor(trace, 11).at(120)).isCloseTo(11 * shown[0], within(1e-12));
        assertThat(Suspect.SENSOR.by(1.2)).isCloseTo(12, within(1e-12));
        assertThat(Suspect.WATER.by(1)).isCloseTo(0.5488 - 1, within(1e-4));
    }
}
