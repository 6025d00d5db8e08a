package io.enthalpa.core.room;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** Where the tape lies, by what is written beside the measure. */
class TapedTest {
    private static Taped taped(String preset, String measure) {
        Preset p = Preset.all().stream()
                .filter(each -> each.key().equals(preset))
                .findFirst()
                .orElseThrow();
        return Taped.of(
                        p,
                        p.measures().stream()
                                .filter(m -> m.key().equals(measure))
                                .findFirst()
                                .orElseThrow())
                .orElseThrow();
    }

    private static void is(Taped taped, Mount.Axis axis, double from, double to) {
        assertThat(taped.axis()).isEqualTo(axis);
        assertThat(taped.from()).isCloseTo(from, within(1e-6));
        assertThat(taped.to()).isCloseTo(to, within(1e-6));
    }

    @Test
    void aFaceIsMeasuredFromTheDatum() {
        is(taped("front", "barFront"), Mount.Axis.BACK, 0, -0.16);
        is(taped("front", "barTop"), Mount.Axis.UP, 0, -0.16);
        is(taped("front", "radiatorFront"), Mount.Axis.BACK, 0, 0.15);
        is(taped("bay", "trayRight"), Mount.Axis.RIGHT, 0, -0.24);
        is(taped("bay", "tower"), Mount.Axis.BACK, 0, 0.64);
    }

    @Test
    void aWidthGoesFromSideToSide() {
        is(taped("front", "radiatorWidth"), Mount.Axis.RIGHT, -0.325, 0.325);
        is(taped("front", "between"), Mount.Axis.RIGHT, -0.39, 0.39);
        is(taped("front", "lamps"), Mount.Axis.RIGHT, -0.43, 0.43);
    }

    @Test
    void aBonnetIsMeasuredOverTheDatumAndBehindIt() {
        is(taped("front", "bonnet"), Mount.Axis.UP, 0, 0.03);
        Taped behind = taped("front", "bonnetBehind");
        is(behind, Mount.Axis.UP, 0, 0.10);
        assertThat(behind.at().getX()).isCloseTo(0.5, within(1e-9));
    }

    static Stream<Arguments> all() {
        return Preset.all().stream().flatMap(p -> p.measures().stream().map(m -> Arguments.of(p, m)));
    }

    /** Each has a line as long as the tape says, and something that hangs on it. */
    @ParameterizedTest
    @MethodSource("all")
    void everyMeasureHasItsLine(Preset preset, Preset.Measure measure) {
        Taped taped = Taped.of(preset, measure).orElseThrow();
        assertThat(Math.abs(taped.to() - taped.from()))
                .as(measure.label())
                .isCloseTo(Math.abs(measure.usual()), within(1e-5));
        assertThat(taped.moves()).isNotEmpty();
    }
}
