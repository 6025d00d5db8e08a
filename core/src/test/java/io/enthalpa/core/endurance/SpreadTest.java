package io.enthalpa.core.endurance;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.Systems;
import io.enthalpa.core.build.Answer;
import io.enthalpa.core.build.Build;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.build.OptionSpread;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.duty.Duty;
import io.enthalpa.core.duty.DutyPoint;
import io.enthalpa.core.engine.EngineSpec;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class SpreadTest {
    private static final double RPM = Math.PI / 30;

    private static Build build(Systems s) {
        List<PathElement> path = s.path().elements();
        return new Build(
                "bench",
                "",
                new EngineSpec(0.0023, 4, 0.92, 7000 * RPM),
                new Build.Climate(300, 0, 0.4, OptionalDouble.empty()),
                new Targets(325, 340),
                new Build.FullLoad(5000 * RPM, 20),
                new Duty(
                        "hold",
                        true,
                        10,
                        1,
                        0,
                        List.of(new DutyPoint(0, 500, 100e3, 15), new DutyPoint(240, 500, 100e3, 15))),
                Optional.empty(),
                Optional.empty(),
                List.of(new BuildOption("A", "first", 100e3, path, List.of())));
    }

    private static SpreadResult spread(Systems s, int samples, long seed) {
        OptionSpread spread = new OptionSpread(build(s), "A", samples, seed);
        for (int i = 0; i < samples; i++) {
            spread.run(i);
        }
        return spread.result();
    }

    @Test
    void sameSeedSameBandAndAnotherSeedNearly() {
        SpreadResult once = spread(Systems.standard(), 60, 1);
        SpreadResult again = spread(Systems.standard(), 60, 1);
        SpreadResult other = spread(Systems.standard(), 60, 2);
        assertThat(again.low()).containsExactly(once.low());
        assertThat(again.worstHigh()).isEqualTo(once.worstHigh());
        assertThat(other.worstMid()).isCloseTo(once.worstMid(), within(1.0));
    }

    @Test
    void bandHoldsTheBelievedRunAndIsOrdered() {
        SpreadResult band = spread(Systems.standard(), 60, 3);
        Trace believed = new Answer(build(Systems.standard()), "A").soak();
        assertThat(band.samples()).isEqualTo(60);
        assertThat(band.worstLow()).isLessThan(band.worstMid());
        assertThat(band.worstMid()).isLessThan(band.worstHigh());
        for (int k = 0; k < Spread.MOMENTS; k++) {
            assertThat(band.low()[k]).isLessThan(band.high()[k]);
        }
        double end = believed.intake()[believed.length() - 1];
        assertThat(end).isBetween(band.low()[Spread.MOMENTS - 1], band.high()[Spread.MOMENTS - 1]);
        assertThat(band.holds() + band.pulls()).isBetween(0.0, 1.0);
    }

    /** Where air is short it decides more than the core; with a water loop of unmeasured flow the water does. */
    @Test
    void rankingNamesWhatLimits() {
        SpreadResult air = spread(Systems.standard(), 80, 4);
        assertThat(air.ranking().stream()
                        .mapToDouble(SpreadResult.Weight::share)
                        .sum())
                .isCloseTo(1, within(1e-9));
        assertThat(air.ranking().stream()
                        .filter(w -> w.unknown() == Unknown.COOLING_AIR)
                        .findFirst()
                        .orElseThrow()
                        .share())
                .isGreaterThan(air.ranking().stream()
                        .filter(w -> w.unknown() == Unknown.CORE_CONDUCTANCE)
                        .findFirst()
                        .orElseThrow()
                        .share());
        assertThat(air.ranking().stream()
                        .filter(w -> w.unknown() == Unknown.COOLING_AIR)
                        .findFirst()
                        .orElseThrow()
                        .kelvin())
                .as("more air, colder")
                .isNegative();
        assertThat(air.ranking())
                .extracting(SpreadResult.Weight::unknown)
                .doesNotContain(Unknown.WATER_FLOW, Unknown.ICE_CONTACT, Unknown.BAY);
    }

    /** Every unknown moves the answer the way it should, and no doubt moves nothing. */
    @ParameterizedTest
    @EnumSource(
            value = Unknown.class,
            names = {"BLOWER_EFFICIENCY", "CORE_CONDUCTANCE", "COOLING_AIR", "WATER_FLOW", "RADIATOR_CONDUCTANCE"})
    void moreOfAGoodThingIsColder(Unknown unknown) {
        Systems s = Systems.water();
        assertThat(end(s, Doubt.NONE.with(unknown, 0.2))).isLessThan(end(s, Doubt.NONE));
        assertThat(end(s, Doubt.NONE.with(unknown, 0))).isEqualTo(end(s, Doubt.NONE));
    }

    @ParameterizedTest
    @EnumSource(
            value = Unknown.class,
            names = {"OUTSIDE_AIR", "START", "VOLUMETRIC_EFFICIENCY"})
    void moreOfABadThingIsWarmer(Unknown unknown) {
        Systems s = Systems.water();
        assertThat(end(s, Doubt.NONE.with(unknown, unknown == Unknown.VOLUMETRIC_EFFICIENCY ? 0.1 : 3)))
                .isGreaterThan(end(s, Doubt.NONE));
    }

    private static double end(Systems s, Doubt doubt) {
        Trace trace = new Answer(build(s), "A", doubt).soak();
        return trace.intake()[trace.length() - 1];
    }
}
