package io.enthalpa.server.logs;

import io.enthalpa.core.build.Answer;
import io.enthalpa.core.build.Build;
import io.enthalpa.core.endurance.Trace;
import io.enthalpa.core.telemetry.Channel;
import io.enthalpa.core.telemetry.SimulatedLog;
import io.enthalpa.core.uncertainty.Perturbation;
import io.enthalpa.core.uncertainty.UncertainInput;
import io.enthalpa.formats.BuildFile;
import io.enthalpa.formats.LogCsvFile;
import io.enthalpa.server.builds.BuildService;
import io.enthalpa.server.builds.BuildState;
import io.enthalpa.server.builds.DemoMade;
import jakarta.annotation.PreDestroy;
import java.io.ByteArrayInputStream;
import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.locks.Lock;
import java.util.concurrent.locks.ReentrantLock;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Logs of the demo builds: made by the model with a hidden fault, noise and lag, and called simulated wherever they are shown. */
@Component
class DemoLogs {
    private static final Logger LOG = LoggerFactory.getLogger(DemoLogs.class);

    /** Behind every name. */
    static final String SIMULATED = " (simulated)";

    /**
     * @param build   its name
     * @param option  that was driven
     * @param name    of the log
     * @param warmer  K of the outside air over that of the Brief
     * @param fault   what was wrong with the car, or right
     * @param without sensors that the car does not have
     */
    private record Drive(
            String build, String option, String name, double warmer, Perturbation fault, Set<Channel> without) {}

    private static final List<Drive> DRIVES = List.of(
            new Drive(
                    "Juniper",
                    "A",
                    "hill runs, Saturday",
                    -3,
                    Perturbation.NONE
                            .with(UncertainInput.WATER_FLOW, -0.45)
                            .with(UncertainInput.BLOWER_EFFICIENCY, -0.03),
                    EnumSet.of(Channel.WATER_FLOW)),
            new Drive(
                    "Juniper",
                    "A",
                    "hill runs, hose put right",
                    1,
                    Perturbation.NONE.with(UncertainInput.BLOWER_EFFICIENCY, -0.03),
                    EnumSet.of(Channel.WATER_FLOW)),
            new Drive(
                    "Pass Van",
                    "A",
                    "pass with trailer",
                    -4,
                    Perturbation.NONE.with(UncertainInput.COOLING_AIR, -0.4),
                    EnumSet.noneOf(Channel.class)),
            new Drive(
                    "Pass Van",
                    "A",
                    "pass, plate off the face",
                    -9,
                    Perturbation.NONE.with(UncertainInput.COOLING_AIR, -0.05),
                    EnumSet.of(Channel.BEFORE_CORE)));

    private final LogService logs;
    private final BuildService builds;

    /** Held while a log goes to the disk: the store is closed behind it, never under it. */
    private final Lock keeping = new ReentrantLock();

    private volatile boolean over;

    DemoLogs(LogService logs, BuildService builds) {
        this.logs = logs;
        this.builds = builds;
    }

    /** Which builds are the demo's is known now, before anybody copies one; the driving goes on beside everything else. */
    @EventListener
    void made(DemoMade demo) {
        Map<String, BuildState> cars = new HashMap<>();
        for (Drive drive : DRIVES) {
            cars.computeIfAbsent(drive.build(), name -> builds.called(name).get(0));
        }
        Thread thread = new Thread(() -> drive(cars), "demo-logs");
        thread.setDaemon(true);
        thread.start();
    }

    private void drive(Map<String, BuildState> cars) {
        long seed = 1;
        for (Drive drive : DRIVES) {
            seed++;
            UUID uid = UUID.nameUUIDFromBytes((drive.build() + drive.name()).getBytes(StandardCharsets.UTF_8));
            try {
                take(cars.get(drive.build()), drive, uid, seed);
            } catch (RuntimeException e) {
                if (over) {
                    return;
                }
                LOG.info("a demo log was not made: {}", e.getMessage());
                return;
            }
        }
    }

    private void take(BuildState state, Drive drive, UUID uid, long seed) {
        try {
            byte[] file = file(BuildFile.read(state.document()), drive, seed).getBytes(StandardCharsets.UTF_8);
            keeping.lock();
            try {
                logs.take(state.id(), uid, drive.name() + SIMULATED, "", untilOver(file));
            } finally {
                keeping.unlock();
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** When the program stops, what is half read is taken back like any file that broke off. */
    private InputStream untilOver(byte[] file) {
        return new FilterInputStream(new ByteArrayInputStream(file)) {
            @Override
            public int read(byte[] into, int from, int length) throws IOException {
                if (over) {
                    throw new IOException("The program is stopping.");
                }
                return super.read(into, from, length);
            }
        };
    }

    @PreDestroy
    void end() {
        over = true;
        keeping.lock();
        try {
            LOG.debug("no more demo logs are made");
        } finally {
            keeping.unlock();
        }
    }

    private static String file(Build build, Drive drive, long seed) {
        Build.Climate c = build.climate();
        Build weather = build.withDuty(
                new Build.Climate(c.temperature() + drive.warmer(), c.altitude(), c.humidity(), c.barometer()),
                build.duty());
        Answer answer = new Answer(weather, drive.option(), drive.fault());
        Trace trace = answer.soak();
        List<Channel> channels = SimulatedLog.channels(answer, trace).stream()
                .filter(channel -> !drive.without().contains(channel))
                .toList();
        StringWriter text = new StringWriter();
        LogCsvFile file = new LogCsvFile(text, channels, "simulated");
        SimulatedLog.write(answer, trace, channels, seed, file);
        file.end();
        return text.toString();
    }
}
