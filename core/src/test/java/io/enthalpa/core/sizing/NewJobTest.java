package io.enthalpa.core.sizing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.build.Answer;
import io.enthalpa.core.build.Build;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.chargepath.Pieces;
import io.enthalpa.core.engine.BlowerType;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.verdict.Verdict;
import java.util.Arrays;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;

class NewJobTest {
    private static final double RPM = Math.PI / 30;

    private static NewJob job(CoolingMethod cooling, int blowers) {
        return new NewJob(
                2.0e-3, 7000 * RPM, BlowerType.TURBO, blowers, 100e3, cooling, "four hard minutes on a circuit");
    }

    static Stream<Arguments> everyMethodWithOneBlowerAndTwo() {
        return Arrays.stream(CoolingMethod.values())
                .filter(m -> m != CoolingMethod.INJECTION_ON_TOP)
                .flatMap(m -> Stream.of(Arguments.of(m, 1), Arguments.of(m, 2)));
    }

    @ParameterizedTest
    @MethodSource("everyMethodWithOneBlowerAndTwo")
    void everyMethodOpensWithAFinishedAnswer(CoolingMethod cooling, int blowers) {
        Build build = job(cooling, blowers).build();
        Answer answer = new Answer(build, "A");
        Verdict verdict = answer.verdict(answer.soak());
        boolean cooled = cooling != CoolingMethod.NONE && cooling != CoolingMethod.INJECTION;
        assertThat(Pieces.cores(build.option("A").path())).hasSize(cooled ? 1 : 0);
        assertThat(build.option("A").name()).isEqualTo(cooling.title());
        assertThat(verdict.outcome() == Verdict.Outcome.HOLDS).isEqualTo(cooling != CoolingMethod.NONE);
        assertThat(build.option("A").path().get(0))
                .isInstanceOf(blowers == 1 ? PathElement.Filter.class : PathElement.Parallel.class);
    }

    @ParameterizedTest
    @EnumSource(BlowerType.class)
    void everyBlowerIsCalledWhatItIs(BlowerType type) {
        Build build = new NewJob(3.0e-3, 6500 * RPM, type, 1, 60e3, CoolingMethod.AIR, "laps").build();
        PathElement.Blower blower =
                (PathElement.Blower) build.option("A").path().get(1);
        assertThat(blower.name()).isEqualTo(type.usualName());
        assertThat(blower.spec().efficiency()).isEqualTo(type.usualEfficiency());
    }

    /**
     * By hand: 0.92 of 2.0 L every second turn at 100 r/s and 45 °C, 98.9 kPa (200 m by ISO 2533) and 100 kPa more, with the gas
     * constant of air that is a little damp, 288.9 J/(kg K): 0.92 x 198.9e3 / (288.9 x 318.15) x 0.002 x 50 = 0.1991 kg/s.
     * Tube: 57 mm x (0.1991 / 0.2)^(1/2) = 56.9, sold as 57; 63.5 likewise.
     */
    @Test
    void tubesAreThoseThatAreSoldForTheFlow() {
        BuildOption option = job(CoolingMethod.AIR, 1).build().option("A");
        PathElement.Pipe hot = (PathElement.Pipe) option.path().get(2);
        PathElement.Pipe cold = (PathElement.Pipe) option.path().get(4);
        assertThat(hot.outside()).isCloseTo(0.057, within(1e-9));
        assertThat(cold.outside()).isCloseTo(0.0635, within(1e-9));
        assertThat(cold.bore()).isCloseTo(0.0603, within(1e-9));
        assertThat(((PathElement.Filter) option.path().get(0)).flow()).isEqualTo(0.20);
    }

    /** Twice the air wants 2^(1/2) of the bore: 57 x 1.41 = 80, of which 76.2 is sold nearest; 63.5 x 1.41 = 90, sold as 89. */
    @Test
    void moreAirHasLargerTube() {
        NewJob large = new NewJob(
                4.0e-3, 7000 * RPM, BlowerType.TURBO, 2, 100e3, CoolingMethod.NONE, "pull through the gears");
        BuildOption option = large.build().option("A");
        assertThat(((PathElement.Pipe) option.path().get(1)).outside()).isCloseTo(0.0762, within(1e-9));
        assertThat(((PathElement.Pipe) option.path().get(2)).outside()).isCloseTo(0.089, within(1e-9));
    }

    @Test
    void dutyThatIsNotKnownIsRefusedWithThoseThatAre() {
        assertThatThrownBy(() -> new NewJob(2e-3, 700, BlowerType.TURBO, 1, 1e5, CoolingMethod.AIR, "nap").build())
                .isInstanceOf(EnthalpaFault.class)
                .hasMessageContaining("\"nap\"")
                .hasMessageContaining("standing start, pull through the gears");
    }

    @Test
    void slowEngineIsGearedForTheSameRoad() {
        Build truck = new NewJob(12e-3, 2100 * RPM, BlowerType.TURBO, 1, 150e3, CoolingMethod.AIR, "motorway").build();
        Build car = job(CoolingMethod.AIR, 1).build();
        int top = 4;
        assertThat(truck.gearing().orElseThrow().changesAt(top))
                .isCloseTo(car.gearing().orElseThrow().changesAt(top), within(1e-9));
    }
}
