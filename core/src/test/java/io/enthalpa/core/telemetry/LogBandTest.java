package io.enthalpa.core.telemetry;

import static io.enthalpa.core.telemetry.Channel.AFTER_CORE;
import static io.enthalpa.core.telemetry.Channel.BEFORE_CORE;
import static io.enthalpa.core.uncertainty.UncertainInput.COOLING_AIR;
import static io.enthalpa.core.uncertainty.UncertainInput.CORE_CONDUCTANCE;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.build.Answer;
import io.enthalpa.core.build.Build;
import io.enthalpa.core.build.Fitted;
import io.enthalpa.core.uncertainty.Calibration;
import io.enthalpa.core.uncertainty.MonteCarlo;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class LogBandTest {
    private static final int SAMPLES = 400;

    private static LogBand.Band band(Build build, LogSeries log) {
        MeasuredRun run = MeasuredRun.of(log, Logs.LOAD, SecondDrive.OUTSIDE_K);
        LogBand band = new LogBand(MeasuredDuty.of(build, run), "A", run);
        for (int part = band.runs() - 1; part >= 0; part--) {
            assertThat(band.band()).isEmpty();
            band.run(part);
        }
        return band.band().orElseThrow();
    }

    private static LogBand.Band band(SecondDrive.Truth truth) {
        return band(SecondDrive.build(), SecondDrive.log(truth));
    }

    private static double mean(double[] values) {
        return Arrays.stream(values).average().orElseThrow();
    }

    /** The same doubts, drawn 400 times and counted, leave the same middle 80 %: the straight line through each is near enough. */
    @Test
    void theBandIsWhatDrawingAllDoubtsAtOnceComesTo() {
        LogSeries log = SecondDrive.log(new SecondDrive.Truth(1, 1, 1, 1));
        MeasuredRun run = MeasuredRun.of(log, Logs.LOAD, SecondDrive.OUTSIDE_K);
        MeasuredDuty driven = MeasuredDuty.of(SecondDrive.build(), run);
        LogBand.Band band = band(SecondDrive.build(), log);
        MonteCarlo drawn = new MonteCarlo(
                DrivenDoubts.of(driven, "A", run), SAMPLES, 7, log.time()[log.time().length - 1] - log.time()[0]);
        double[][] after = new double[SAMPLES][];
        for (int s = 0; s < SAMPLES; s++) {
            Answer answer = new Answer(driven.build(), "A", drawn.perturbation(s));
            after[s] = Beside.predicted(
                            answer.soak(driven.coarser()),
                            drawn.times(),
                            answer.targets().sensor())
                    .get(AFTER_CORE);
        }
        double counted = 0;
        double straight = 0;
        for (int k = 0; k < drawn.times().length; k++) {
            int moment = k;
            double[] there =
                    Arrays.stream(after).mapToDouble(a -> a[moment]).sorted().toArray();
            counted += (there[SAMPLES * 9 / 10] - there[SAMPLES / 10]) / 2;
            straight += band.half()
                    .get(AFTER_CORE)[
                    Math.min(
                            Math.abs(Arrays.binarySearch(band.time(), log.time()[0] + drawn.times()[k]) + 1),
                            band.time().length - 1)];
        }
        assertThat(straight / counted).isBetween(0.92, 1.08);
    }

    /** Cars that differ from the model by what doubt allows, in a plant that is not the program's own. */
    @Test
    void whatDoubtAllowsIsExplainedByIt() {
        int explained = 0;
        double within = 0;
        for (long seed = 1; seed <= 20; seed++) {
            LogBand.Band band = band(SecondDrive.Truth.of(seed));
            within += band.within().get(AFTER_CORE) / 20;
            explained += band.findings().get(0).kind() == LogFinding.Kind.BESIDE_WITHIN_DOUBT ? 1 : 0;
        }
        assertThat(within).isGreaterThan(0.75);
        assertThat(explained).isGreaterThanOrEqualTo(16);
    }

    @Test
    void halfTheCoreIsMoreThanDoubtExplains() {
        LogBand.Band band = band(new SecondDrive.Truth(0.35, 0.35, 1, 3));
        assertThat(band.within().get(AFTER_CORE)).isLessThan(0.2);
        assertThat(band.findings())
                .extracting(LogFinding::kind, LogFinding::of)
                .containsExactly(tuple(LogFinding.Kind.BESIDE_BEYOND_DOUBT, AFTER_CORE.words()));
    }

    /** A core that makes up for a poor blower leaves the intake as predicted: the sensor ahead of the core still tells. */
    @Test
    void whatTheIntakeDoesNotShowAnotherChannelMay() {
        assertThat(band(SecondDrive.build(), warmer(BEFORE_CORE, 10)).findings())
                .extracting(LogFinding::kind, LogFinding::of)
                .containsExactly(
                        tuple(LogFinding.Kind.BESIDE_WITHIN_DOUBT, AFTER_CORE.words()),
                        tuple(LogFinding.Kind.BESIDE_BEYOND_DOUBT, BEFORE_CORE.words()));
    }

    /** Off by 40 K for three seconds of ten, or for six: half the time under load is the line. */
    @Test
    void halfTheTimeIsTheLine() {
        LogBand.Band most = band(SecondDrive.build(), warmer(BEFORE_CORE, 3));
        assertThat(most.within().get(BEFORE_CORE)).isCloseTo(0.7, within(0.05));
        assertThat(most.findings()).extracting(LogFinding::of).containsExactly(AFTER_CORE.words());
        LogBand.Band few = band(SecondDrive.build(), warmer(BEFORE_CORE, 6));
        assertThat(few.within().get(BEFORE_CORE)).isCloseTo(0.4, within(0.05));
        assertThat(few.findings()).extracting(LogFinding::of).containsExactly(AFTER_CORE.words(), BEFORE_CORE.words());
    }

    /** A healthy car's log with 40 K more in so many of each ten seconds of a channel. */
    private static LogSeries warmer(Channel channel, int ofTen) {
        LogSeries log = SecondDrive.log(new SecondDrive.Truth(1, 1, 1, 1));
        LogSeries.Growing warmer = new LogSeries.Growing(log.channels());
        double[] row = new double[log.channels().size()];
        for (int i = 0; i < log.time().length; i++) {
            boolean off = i % 50 < 5 * ofTen;
            for (int c = 0; c < row.length; c++) {
                boolean more = log.channels().get(c) == channel && off;
                row[c] = log.of(log.channels().get(c))[i] + (more ? 40 : 0);
            }
            warmer.row(log.time()[i], row);
        }
        return warmer.series();
    }

    /** Core and air that a log could not tell apart make up for each other; known each alone they would not. */
    @Test
    void whatALogCouldNotTellApartIsMovedTogether() {
        LogSeries log = SecondDrive.log(new SecondDrive.Truth(1, 1, 1, 1));
        Build build = SecondDrive.build();
        List<Calibration.Known> knowns =
                List.of(new Calibration.Known(CORE_CONDUCTANCE, 0, 0.1), new Calibration.Known(COOLING_AIR, 0, 0.15));
        double usual = mean(band(build, log).half().get(AFTER_CORE));
        double alone = mean(band(fitted(build, knowns, List.of()), log).half().get(AFTER_CORE));
        double together = mean(band(
                        fitted(build, knowns, List.of(new Calibration.Together(CORE_CONDUCTANCE, COOLING_AIR, -0.95))),
                        log)
                .half()
                .get(AFTER_CORE));
        assertThat(alone).isLessThan(usual);
        assertThat(together).isLessThan(0.95 * alone);
        assertThat(mean(band(fitted(build, knowns, List.of()), log).half().get(BEFORE_CORE)))
                .as("the core is no part of what comes before it")
                .isCloseTo(mean(band(build, log).half().get(BEFORE_CORE)), within(0.001));
    }

    private static Build fitted(Build build, List<Calibration.Known> knowns, List<Calibration.Together> together) {
        return build.withFitted(Optional.of(
                new Fitted(new Calibration("A", "log", "2026-12-01", knowns, together), build.option("A"))));
    }
}
