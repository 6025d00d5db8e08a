package io.enthalpa.core.telemetry;

import static io.enthalpa.core.telemetry.Channel.AFTER_CORE;
import static io.enthalpa.core.telemetry.Channel.BEFORE_CORE;
import static io.enthalpa.core.telemetry.Channel.BOOST;
import static io.enthalpa.core.telemetry.Channel.ENGINE_SPEED;
import static io.enthalpa.core.telemetry.Channel.INTAKE;
import static io.enthalpa.core.telemetry.Channel.OUTSIDE;
import static io.enthalpa.core.telemetry.Channel.WATER_FROM_CORE;
import static io.enthalpa.core.telemetry.Channel.WATER_TO_CORE;
import static io.enthalpa.core.telemetry.Logs.RPM;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.telemetry.LogFinding.Kind;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Channels that lie, each in a log that is otherwise healthy. */
class ChannelChecksTest {
    /** Values under load; without load the boost is gone and all is 5 K cooler. */
    private static Logs drive(Channel[] channels, double... loaded) {
        Logs log = Logs.of(channels);
        double[] idle = loaded.clone();
        for (int c = 0; c < idle.length; c++) {
            idle[c] = channels[c] == BOOST
                    ? -40e3
                    : channels[c].isTemperature() && channels[c] != OUTSIDE ? loaded[c] - 5 : loaded[c];
        }
        for (int i = 0; i < 4; i++) {
            log.then(15, idle).then(10, loaded);
        }
        return log;
    }

    private static Channel[] of(Channel... channels) {
        return channels;
    }

    private static List<LogFinding> found(Logs log) {
        return ChannelChecks.of(log.run(), false);
    }

    @Test
    void aHealthyLogHasNothingToTell() {
        Logs log = drive(
                of(ENGINE_SPEED, BOOST, OUTSIDE, BEFORE_CORE, AFTER_CORE, INTAKE, WATER_TO_CORE, WATER_FROM_CORE),
                4000 * RPM,
                80e3,
                300,
                390,
                320,
                323,
                305,
                309);
        assertThat(found(log.noisy(ENGINE_SPEED, 3, 1).noisy(BOOST, 500, 2))).isEmpty();
    }

    @Test
    void aWaterSensorNeverConfiguredIsDead() {
        Logs log = Logs.of(ENGINE_SPEED, BOOST, OUTSIDE, INTAKE, WATER_TO_CORE)
                .to(61, new double[] {3000 * RPM, 0, 300, 310, 233}, new double[] {5000 * RPM, 80e3, 300, 330, 233});
        assertThat(found(log)).singleElement().satisfies(f -> {
            assertThat(f.kind()).isEqualTo(Kind.LOG_DEAD);
            assertThat(f.of()).isEqualTo("water to the core");
        });
        assertThat(found(Logs.of(ENGINE_SPEED, BOOST, OUTSIDE, INTAKE, WATER_TO_CORE)
                        .to(58, new double[] {3000 * RPM, 0, 300, 310, 233}, new double[] {
                            5000 * RPM, 80e3, 300, 330, 233
                        })))
                .as("shorter than a minute it may just stand still")
                .isEmpty();
    }

    @Test
    void aFrozenSensorIsToldWithItsMoment() {
        Logs log = Logs.of(ENGINE_SPEED, BOOST, OUTSIDE, INTAKE)
                .to(20, new double[] {3000 * RPM, 0, 300, 310}, new double[] {4000 * RPM, 80e3, 300, 320})
                .to(16, new double[] {4000 * RPM, 80e3, 300, 324}, new double[] {3000 * RPM, 0, 300, 324})
                .to(16, new double[] {3000 * RPM, 0, 300, 324}, new double[] {4000 * RPM, 80e3, 300, 324})
                .to(20, new double[] {4000 * RPM, 80e3, 300, 321}, new double[] {4100 * RPM, 78e3, 300, 315});
        assertThat(found(log)).singleElement().satisfies(f -> {
            assertThat(f.kind()).isEqualTo(Kind.LOG_FROZEN);
            assertThat(Logs.figure(f, "from")).isCloseTo(20, within(0.11));
            assertThat(Logs.figure(f, "seconds")).isCloseTo(31.9, within(0.11));
        });
    }

    @Test
    void aTemperatureThatStandsWhileNothingHappensIsNotFrozen() {
        Logs log = Logs.of(ENGINE_SPEED, BOOST, OUTSIDE, INTAKE)
                .to(20, new double[] {3000 * RPM, 0, 300, 310}, new double[] {4000 * RPM, 80e3, 300, 320})
                .to(50, new double[] {4000 * RPM, 80e3, 300, 324}, new double[] {4010 * RPM, 79e3, 300, 324});
        assertThat(found(log)).isEmpty();
    }

    @Test
    void aPressureAtTheEndOfItsSensorIsClipped() {
        Logs log = Logs.of(ENGINE_SPEED, BOOST, OUTSIDE, INTAKE)
                .to(30, new double[] {3000 * RPM, 0, 300, 310}, new double[] {4000 * RPM, 100e3, 300, 320})
                .to(6, new double[] {4000 * RPM, 100e3, 300, 321}, new double[] {4400 * RPM, 100e3, 300, 325});
        assertThat(found(log)).singleElement().satisfies(f -> {
            assertThat(f.kind()).isEqualTo(Kind.LOG_CLIPPED);
            assertThat(Logs.figure(f, "high")).isCloseTo(100e3, within(1.0));
            assertThat(Logs.figure(f, "seconds")).isCloseTo(6.1, within(0.11));
        });
    }

    @Test
    void swappedSensorsAreToldByHowMuch() {
        Logs charge = drive(
                        of(ENGINE_SPEED, BOOST, OUTSIDE, BEFORE_CORE, AFTER_CORE, INTAKE),
                        4000 * RPM,
                        80e3,
                        300,
                        320,
                        390,
                        323)
                .noisy(ENGINE_SPEED, 3, 1)
                .noisy(BOOST, 500, 2);
        assertThat(found(charge)).singleElement().satisfies(f -> {
            assertThat(f.kind()).isEqualTo(Kind.LOG_SWAPPED);
            assertThat(Logs.figure(f, "kelvin")).isCloseTo(70, within(0.01));
        });
        Logs water = drive(
                        of(ENGINE_SPEED, BOOST, OUTSIDE, INTAKE, WATER_TO_CORE, WATER_FROM_CORE),
                        4000 * RPM,
                        80e3,
                        300,
                        323,
                        309,
                        305)
                .noisy(ENGINE_SPEED, 3, 1)
                .noisy(BOOST, 500, 2);
        assertThat(found(water)).singleElement().satisfies(f -> {
            assertThat(f.kind()).isEqualTo(Kind.LOG_WATER_SWAPPED);
            assertThat(Logs.figure(f, "kelvin")).isCloseTo(4, within(0.01));
        });
    }

    @Test
    void aChargeColderThanOutsideIsImpossibleWhereNothingColderCoolsIt() {
        Logs log = drive(of(ENGINE_SPEED, BOOST, OUTSIDE, INTAKE), 4000 * RPM, 80e3, 305, 301)
                .noisy(ENGINE_SPEED, 3, 1)
                .noisy(BOOST, 500, 2);
        assertThat(Logs.kinds(found(log))).containsExactly(Kind.LOG_BELOW_OUTSIDE);
        assertThat(ChannelChecks.of(log.run(), true)).as("ice may").isEmpty();
    }

    @Test
    void boostThatIsNeverLowIsAbsolute() {
        Logs log = Logs.of(ENGINE_SPEED, BOOST, OUTSIDE, INTAKE)
                .to(61, new double[] {900 * RPM, 62e3, 300, 310}, new double[] {5000 * RPM, 180e3, 300, 330});
        assertThat(Logs.kinds(found(log))).containsExactly(Kind.LOG_BOOST_ABSOLUTE);
    }

    @Test
    void whatWasNotLoggedIsTold() {
        Logs log = Logs.of(ENGINE_SPEED, BOOST).to(61, new double[] {900 * RPM, 0}, new double[] {5000 * RPM, 80e3});
        assertThat(Logs.kinds(found(log))).containsExactly(Kind.LOG_NO_INTAKE, Kind.LOG_NO_OUTSIDE);
    }
}
