package io.enthalpa.core.telemetry;

import static io.enthalpa.core.telemetry.Channel.AFTER_CORE;
import static io.enthalpa.core.telemetry.Channel.BEFORE_CORE;
import static io.enthalpa.core.telemetry.Channel.BOOST;
import static io.enthalpa.core.telemetry.Channel.ENGINE_SPEED;
import static io.enthalpa.core.telemetry.Channel.INTAKE;
import static io.enthalpa.core.telemetry.Channel.OUTSIDE;
import static io.enthalpa.core.telemetry.Channel.PRESSURE_AFTER;
import static io.enthalpa.core.telemetry.Channel.PRESSURE_BEFORE;
import static io.enthalpa.core.telemetry.Channel.WATER_FROM_CORE;
import static io.enthalpa.core.telemetry.Channel.WATER_TO_CORE;
import static io.enthalpa.core.telemetry.Logs.RPM;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.fluid.GlycolWater;
import io.enthalpa.core.telemetry.LogFinding.Kind;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Effectiveness, loss and water flow from channels, each worked by hand. */
class LogPartsTest {
    /** 120 °C to 50 °C with water at 20 °C: 70 of 100 K; error 1 K x sqrt(1 + 0.3^2 + 0.7^2) / 100 K = 0.012570. */
    @Test
    void effectivenessAndWhatSensorsLeaveOpen() {
        LogParts.Effectiveness e =
                LogParts.effectiveness(393.15, 323.15, 293.15).orElseThrow();
        assertThat(e.value()).isCloseTo(0.70, within(1e-9));
        assertThat(e.sd()).isCloseTo(0.012570, within(1e-6));
        assertThat(LogParts.effectiveness(303, 300, 294)).as("hardly warmer").isEmpty();
    }

    /**
     * 0.2 kg/s from 120 to 50 °C: 0.2 x 1008 x 70 = 14 112 W. Water from 30 to 34 °C, at 32 °C 995.0 kg/m3 and 4 179 J/(kg K) (saturated water in common tables): 14 112 / (995.0 x 4179 x
     * 4) = 8.485e-4 m3/s, 50.9 L/min. Error: sqrt((1.41421/4)^2 + (1.41421/70)^2 + 0.05^2) = 0.35765.
     */
    @Test
    void waterFlowFromTheHeatItTakes() {
        LogParts.WaterFlow w = LogParts.waterFlow(0.2, 393.15, 323.15, 303.15, 307.15, GlycolWater.WATER)
                .orElseThrow();
        assertThat(w.value()).isCloseTo(8.485e-4, within(8.485e-4 * 0.002));
        assertThat(w.sd() / w.value()).isCloseTo(0.35765, within(1e-4));
        assertThat(LogParts.waterFlow(0.2, 393.15, 323.15, 303.15, 303.6, GlycolWater.WATER))
                .as("0.45 K are within the sensors' error")
                .isEmpty();
    }

    @Test
    void aLogTellsThemOfItsLoadAlone() {
        Logs log = Logs.of(ENGINE_SPEED, BOOST, OUTSIDE, BEFORE_CORE, AFTER_CORE, PRESSURE_BEFORE, PRESSURE_AFTER)
                .then(20, 900 * RPM, -60e3, 300, 310, 309, 1e3, 1e3)
                .then(30, 4000 * RPM, 80e3, 300, 400, 325, 90e3, 84e3);
        List<LogFinding> found = LogParts.of(log.run(), false, Optional.empty(), GlycolWater.WATER);
        assertThat(Logs.kinds(found)).containsExactly(Kind.LOG_EFFECTIVENESS, Kind.LOG_CORE_LOSS);
        assertThat(Logs.figure(found.get(0), "share")).isCloseTo(0.75, within(1e-6));
        assertThat(Logs.figure(found.get(0), "water")).isZero();
        assertThat(Logs.figure(found.get(1), "loss")).isCloseTo(6e3, within(1.0));
    }

    @Test
    void aWaterCoreIsMeasuredAgainstItsWater() {
        Logs log = Logs.of(ENGINE_SPEED, BOOST, OUTSIDE, BEFORE_CORE, AFTER_CORE, WATER_TO_CORE, WATER_FROM_CORE)
                .then(30, 4000 * RPM, 80e3, 300, 400, 325, 320, 324);
        List<LogFinding> found = LogParts.of(log.run(), true, Optional.of(Logs.all(300, 0.2)), GlycolWater.WATER);
        assertThat(Logs.kinds(found)).containsExactly(Kind.LOG_EFFECTIVENESS, Kind.LOG_WATER_FLOW);
        assertThat(Logs.figure(found.get(0), "share")).as("75 of 80 K").isCloseTo(0.9375, within(1e-6));
        assertThat(Logs.figure(found.get(0), "water")).isOne();
    }

    @Test
    void theMissingSensorIsAskedFor() {
        Logs one = Logs.of(ENGINE_SPEED, BOOST, OUTSIDE, INTAKE).then(30, 4000 * RPM, 80e3, 300, 325);
        assertThat(Logs.kinds(LogParts.of(one.run(), false, Optional.empty(), GlycolWater.WATER)))
                .containsExactly(Kind.LOG_WANTS_BEFORE_CORE);
        Logs other = Logs.of(ENGINE_SPEED, BOOST, OUTSIDE, BEFORE_CORE).then(30, 4000 * RPM, 80e3, 300, 400);
        assertThat(Logs.kinds(LogParts.of(other.run(), false, Optional.empty(), GlycolWater.WATER)))
                .containsExactly(Kind.LOG_WANTS_AFTER_CORE);
    }
}
