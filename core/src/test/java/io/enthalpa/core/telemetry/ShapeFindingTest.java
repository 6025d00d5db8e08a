package io.enthalpa.core.telemetry;

import static io.enthalpa.core.telemetry.Channel.BOOST;
import static io.enthalpa.core.telemetry.Channel.ENGINE_SPEED;
import static io.enthalpa.core.telemetry.Channel.INTAKE;
import static io.enthalpa.core.telemetry.Channel.OUTSIDE;
import static io.enthalpa.core.telemetry.Channel.WATER_TO_CORE;
import static io.enthalpa.core.telemetry.Logs.RPM;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.telemetry.LogFinding.Kind;
import java.util.Optional;
import java.util.stream.LongStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** The four shapes by which a fabricator reads a log (common practice), as a sensor with half a kelvin of noise shows them. */
class ShapeFindingTest {
    private static final double NOISE = 0.5;

    static LongStream seeds() {
        return LongStream.rangeClosed(1, 5);
    }

    private static Kind shape(Logs log, long seed) {
        return ShapeFinding.of(log.noisy(INTAKE, NOISE, seed)
                        .noisy(BOOST, 800, seed + 1)
                        .run())
                .kind();
    }

    private static Logs plain() {
        return Logs.of(ENGINE_SPEED, BOOST, OUTSIDE, INTAKE);
    }

    private static double[] at(double speed, double boost, double intake) {
        return new double[] {speed * RPM, boost, 300, intake};
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void flatIsIdeal(long seed) {
        Logs log = plain();
        for (int i = 0; i < 6; i++) {
            log.then(15, at(2000, -40e3, 308)).then(20, at(5000, 90e3, 310));
        }
        assertThat(shape(log, seed)).isEqualTo(Kind.LOG_FLAT);
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void teethThatComeBackAreHealthy(long seed) {
        Logs log = plain();
        for (int i = 0; i < 6; i++) {
            log.to(20, at(2000, -40e3, 322), at(2000, -40e3, 305)).to(20, at(5000, 90e3, 305), at(5000, 90e3, 322));
        }
        assertThat(shape(log, seed)).isEqualTo(Kind.LOG_TEETH);
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void aClimbThatGoesOnIsARamp(long seed) {
        Logs log = plain();
        for (int i = 0; i < 6; i++) {
            log.then(10, at(2000, -40e3, 310 + 6 * i)).to(30, at(5000, 90e3, 312 + 6 * i), at(5000, 90e3, 318 + 6 * i));
        }
        assertThat(shape(log, seed)).isEqualTo(Kind.LOG_RAMP);
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void highAtTheStartAndFallingIsHeatSoak(long seed) {
        Logs log = plain().then(20, at(900, -60e3, 343)).to(60, at(4000, 80e3, 343), at(4000, 80e3, 323));
        log.then(40, at(4000, 80e3, 323));
        assertThat(shape(log, seed)).isEqualTo(Kind.LOG_SOAKED);
    }

    /** The intake climbs 40 K, the water 30 of them, or 10. */
    @ParameterizedTest
    @MethodSource("seeds")
    void theWatersChannelTellsWhoseRampItIs(long seed) {
        for (double water : new double[] {30, 10}) {
            Logs log = Logs.of(ENGINE_SPEED, BOOST, OUTSIDE, INTAKE, WATER_TO_CORE)
                    .to(240, new double[] {5000 * RPM, 90e3, 300, 310, 305}, new double[] {
                        5000 * RPM, 90e3, 300, 350, 305 + water
                    });
            LogFinding found = ShapeFinding.of(
                    log.noisy(INTAKE, NOISE, seed).noisy(BOOST, 800, seed + 1).run());
            assertThat(found.kind()).isEqualTo(water == 30 ? Kind.LOG_RAMP_OF_WATER : Kind.LOG_RAMP_OF_CORE);
            assertThat(Logs.figure(found, "share")).isCloseTo(water / 40, within(0.05));
        }
    }

    /** TF-31: a best band, not a minimum. Mean under load of 278.15 K, five under the line; of 283.65 K, half a kelvin over it. */
    @ParameterizedTest
    @CsvSource({"278.15, true", "283.65, false"})
    void tooColdIsToldAsThat(double intake, boolean told) {
        Logs log = plain();
        for (int i = 0; i < 3; i++) {
            log.then(15, at(2000, -40e3, intake)).then(20, at(5000, 90e3, intake));
        }
        assertThat(ShapeFinding.tooCold(log.run()))
                .map(LogFinding::kind)
                .isEqualTo(told ? Optional.of(Kind.LOG_SPRAYS_BADLY) : Optional.empty());
        if (told) {
            assertThat(ShapeFinding.tooCold(log.run())
                            .orElseThrow()
                            .figures()
                            .get(0)
                            .value())
                    .isCloseTo(278.15, within(0.01));
        }
    }
}
