package io.enthalpa.core.uncertainty;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.Benches;
import io.enthalpa.core.Systems;
import io.enthalpa.core.build.Answer;
import io.enthalpa.core.build.Build;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.build.Fitted;
import io.enthalpa.core.build.OptionMonteCarlo;
import io.enthalpa.core.chargepath.CoolingSide;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.coolingair.FaceAirSpec;
import io.enthalpa.core.uncertainty.Calibration.Known;
import io.enthalpa.core.uncertainty.Calibration.Together;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class CalibrationTest {
    private static final Build PLAIN = Benches.build(Systems.standard());
    private static final Calibration LOGGED = new Calibration(
            "A",
            "Saturday",
            "2026-05-02",
            List.of(
                    new Known(UncertainInput.BLOWER_EFFICIENCY, -0.04, 0.02),
                    new Known(UncertainInput.CORE_CONDUCTANCE, 0.10, 0.05),
                    new Known(UncertainInput.COOLING_AIR, -0.25, 0.08)),
            List.of(new Together(UncertainInput.CORE_CONDUCTANCE, UncertainInput.COOLING_AIR, -0.9)));

    private static Build fitted(Build build) {
        return build.withFitted(Optional.of(new Fitted(LOGGED, build.option("A"))));
    }

    /** 1.1 x 0.8 - 1 = -0.12; 2 K and 3 K are 5 K. */
    @Test
    void twoPerturbationsAtOnce() {
        Perturbation both = Perturbation.NONE
                .with(UncertainInput.WATER_FLOW, 0.1)
                .with(UncertainInput.START, 2)
                .and(Perturbation.NONE.with(UncertainInput.WATER_FLOW, -0.2).with(UncertainInput.START, 3));
        assertThat(both.by(UncertainInput.WATER_FLOW)).isCloseTo(-0.12, within(1e-12));
        assertThat(both.by(UncertainInput.START)).isCloseTo(5, within(1e-12));
    }

    @Test
    void everyAnswerStandsOnIt() {
        double told = worst(new Answer(fitted(PLAIN), "A"));
        assertThat(told).isEqualTo(worst(new Answer(PLAIN, "A", LOGGED.perturbation())));
        assertThat(told).isNotCloseTo(worst(new Answer(PLAIN, "A")), within(0.5));
    }

    private static double worst(Answer answer) {
        return answer.verdict(answer.soak()).worst();
    }

    /** The blower is every option's; the core is taken along where the core is the same; the air stays with its core's place. */
    @Test
    void whatGoesWithAPartHoldsWhereThePartIsTheSame() {
        BuildOption a = PLAIN.option("A");
        List<PathElement> otherAir = a.path().stream()
                .map(p -> p instanceof PathElement.Core core
                        ? (PathElement) core.withCooling(new CoolingSide.Air(new FaceAirSpec(0.1, 0.5)))
                        : p)
                .toList();
        BuildOption bare = new BuildOption(
                "C",
                "bare",
                100e3,
                a.path().stream().filter(p -> !(p instanceof PathElement.Core)).toList(),
                List.of());
        Build build =
                fitted(PLAIN).withOptions(List.of(a, new BuildOption("B", "b", 100e3, otherAir, List.of()), bare));
        assertThat(build.calibration(a).orElseThrow()).isEqualTo(LOGGED);
        assertThat(known(build, "B"))
                .containsExactly(UncertainInput.BLOWER_EFFICIENCY, UncertainInput.CORE_CONDUCTANCE);
        assertThat(known(build, "C")).containsExactly(UncertainInput.BLOWER_EFFICIENCY);
        assertThat(build.calibration(build.option("B")).orElseThrow().together())
                .isEmpty();
        // A change that is tried on the option itself is told as it would be told once it is made.
        assertThat(fitted(PLAIN)
                        .withOptions(List.of(new BuildOption("A", "a", 100e3, otherAir, List.of())))
                        .calibration(new BuildOption("A", "a", 100e3, otherAir, List.of())))
                .contains(LOGGED);
    }

    private static List<UncertainInput> known(Build build, String letter) {
        return build.calibration(build.option(letter)).orElseThrow().knowns().stream()
                .map(Known::unknown)
                .toList();
    }

    /** How warm it started was that day's. */
    @Test
    void whatWasTheDaysIsNotTakenIn() {
        Calibration withDay = new Calibration(
                "A",
                "",
                "",
                List.of(new Known(UncertainInput.START, 6, 1), LOGGED.knowns().get(0)),
                List.of());
        assertThat(new Fitted(withDay, PLAIN.option("A")).of(PLAIN.option("A")).knowns())
                .extracting(Known::unknown)
                .containsExactly(UncertainInput.BLOWER_EFFICIENCY);
    }

    @Test
    void doubtsAreWhatTheLogLeft() {
        List<Doubt> doubts = OptionMonteCarlo.doubted(fitted(PLAIN), "A");
        assertThat(spread(doubts, UncertainInput.COOLING_AIR)).isEqualTo(0.08);
        assertThat(spread(doubts, UncertainInput.VOLUMETRIC_EFFICIENCY)).isEqualTo(0.05);
        assertThat(doubts)
                .extracting(Doubt::unknown)
                .doesNotContain(UncertainInput.CHARGE_FINS, UncertainInput.COLD_FINS);
    }

    private static double spread(List<Doubt> doubts, UncertainInput unknown) {
        return doubts.stream()
                .filter(d -> d.unknown() == unknown)
                .findFirst()
                .orElseThrow()
                .spread();
    }

    /** Two of correlation -0.9, spreads 0.05 and 0.08: their sum has sqrt(0.05^2 + 0.08^2 - 2 x 0.8955 x 0.05 x 0.08) = 0.0417; drawn apart it would have 0.0943. */
    @Test
    void whatGoesTogetherIsDrawnTogether() {
        List<Doubt> doubts =
                List.of(new Doubt(UncertainInput.CORE_CONDUCTANCE, 0.05), new Doubt(UncertainInput.COOLING_AIR, 0.08));
        assertThat(spreadOfSum(new MonteCarlo(doubts, Optional.of(LOGGED), 4000, 5, 100)))
                .isCloseTo(0.0417, within(0.001));
        assertThat(spreadOfSum(new MonteCarlo(doubts, 4000, 5, 100))).isCloseTo(0.0943, within(0.002));
    }

    private static double spreadOfSum(MonteCarlo sampling) {
        double square = 0;
        for (int s = 0; s < sampling.samples(); s++) {
            Perturbation p = sampling.perturbation(s);
            double sum = p.by(UncertainInput.CORE_CONDUCTANCE) + p.by(UncertainInput.COOLING_AIR);
            square += sum * sum / sampling.samples();
        }
        return Math.sqrt(square);
    }
}
