package io.enthalpa.server.devices;

import io.enthalpa.core.build.Answer;
import io.enthalpa.core.build.Build;
import io.enthalpa.core.commission.SimulatedGauge;
import io.enthalpa.core.endurance.Trace;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import io.enthalpa.core.telemetry.Channel;
import io.enthalpa.core.telemetry.LogSeries;
import io.enthalpa.core.telemetry.SimulatedLog;
import io.enthalpa.formats.BuildFile;
import io.enthalpa.server.commission.LeakReadingsView;
import io.enthalpa.server.problem.Asked;
import io.enthalpa.server.work.Work;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ThreadLocalRandom;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

/** Recording from measuring devices, and from stand-ins that call themselves simulated. */
@RestController
@RequestMapping("/api/recordings")
class RecordingController {
    private static final int MOST_DEVICES = 8;
    private static final double FASTEST = 60;
    private static final Set<Channel> WEATHER = EnumSet.of(Channel.OUTSIDE);
    private static final Set<Channel> FLOW = EnumSet.of(Channel.WATER_FLOW);
    private static final Set<Channel> LEAK_GAUGE = EnumSet.of(Channel.BOOST, Channel.INTAKE);
    private static final Set<Channel> GAUGE = EnumSet.of(Channel.BOOST);

    private final Recordings recordings;
    private final Work work;

    RecordingController(Recordings recordings, Work work) {
        this.recordings = recordings;
        this.work = work;
    }

    /** What is listened to. */
    enum DeviceKind {
        SOCKET,
        SERIAL,
        SIMULATED_LOGGER,
        SIMULATED_GAUGE,
        /** Of a leak test. */
        SIMULATED_LEAK_GAUGE,
        SIMULATED_WEATHER,
        SIMULATED_FLOW_METER
    }

    /** @param host and {@code port} of a socket @param path of a serial line */
    record DeviceRequest(
            @Nullable DeviceKind kind,
            @Nullable String host,
            @Nullable Integer port,
            @Nullable String path) {}

    /**
     * @param option   that simulated devices drive
     * @param leakTest id of the test in the document whose gauge is read; null for a drive
     * @param faster times as fast as a clock they go; null for once
     */
    record RecordingRequest(
            long build,
            String name,
            @Nullable JsonNode document,
            @Nullable String option,
            @Nullable String leakTest,
            @Nullable Double faster,
            @Nullable List<DeviceRequest> devices) {}

    record DeviceView(
            String name, boolean simulated, Device.State state, List<String> channels, long spoilt, String trouble) {}

    /** @param leakTest empty for a drive */
    record RecordingView(
            UUID id, String name, String leakTest, boolean simulated, List<DeviceView> devices, long rows) {
        static RecordingView of(Recording r) {
            return new RecordingView(
                    r.uid(),
                    r.name(),
                    r.leakTest(),
                    r.isSimulated(),
                    r.devices().stream()
                            .map(d -> new DeviceView(
                                    d.name(),
                                    d.isSimulated(),
                                    d.state(),
                                    d.channels().stream().map(Channel::words).toList(),
                                    d.spoilt(),
                                    d.trouble()))
                            .toList(),
                    r.since(Long.MAX_VALUE).count());
        }
    }

    /** The first device says when there is a row; the others give what they said last. */
    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    RecordingView start(
            @RequestHeader(name = Work.PAGE, required = false) @Nullable String page,
            @RequestBody RecordingRequest request) {
        List<DeviceRequest> asked = request.devices() == null ? List.of() : request.devices();
        if (asked.isEmpty() || asked.size() > MOST_DEVICES) {
            throw EnthalpaFault.of(
                    FaultKind.CONTRADICTION,
                    "devices",
                    "devices",
                    String.valueOf(asked.size()),
                    "1 to " + MOST_DEVICES,
                    "Choose what is listened to.");
        }
        double faster =
                EnthalpaFault.within("faster", request.faster() == null ? 1 : request.faster(), 1, FASTEST, "times");
        boolean simulated =
                asked.stream().anyMatch(d -> d.kind() != DeviceKind.SOCKET && d.kind() != DeviceKind.SERIAL);
        Optional<LogSeries> drive = simulated
                ? Optional.of(work.now(
                        page,
                        "drive",
                        () -> request.leakTest() == null
                                ? drive(
                                        BuildFile.read(Asked.document(request.document())),
                                        Asked.text(request.option(), "option"))
                                : leakTest(Asked.document(request.document()), request.leakTest())))
                : Optional.empty();
        List<Feed> feeds = new ArrayList<>();
        for (int i = 0; i < asked.size(); i++) {
            feeds.add(feed(asked.get(i), i, drive, faster));
        }
        return RecordingView.of(recordings.start(
                request.build(),
                Asked.text(request.name(), "name"),
                request.leakTest() == null ? "" : request.leakTest(),
                feeds));
    }

    private static LogSeries leakTest(JsonNode document, String id) {
        JsonNode tests = document.path("leakTests");
        for (int i = 0; i < tests.size(); i++) {
            if (tests.get(i).path("id").asString("").equals(id)) {
                Build build = BuildFile.read(document);
                return SimulatedGauge.readings(
                        build,
                        build.proofs().leakTests().get(i),
                        ThreadLocalRandom.current().nextLong());
            }
        }
        throw EnthalpaFault.of(
                FaultKind.CONTRADICTION, "leakTest", "leak test", id, "the id of one that is in the document", "");
    }

    private static LogSeries drive(Build build, String letter) {
        Answer answer = new Answer(build, letter);
        Trace trace = answer.soak();
        List<Channel> channels = SimulatedLog.channels(answer, trace);
        LogSeries.Growing rows = new LogSeries.Growing(channels);
        SimulatedLog.write(answer, trace, channels, ThreadLocalRandom.current().nextLong(), rows);
        return rows.series();
    }

    private static Feed feed(DeviceRequest asked, int number, Optional<LogSeries> drive, double faster) {
        if (asked.kind() == null) {
            throw EnthalpaFault.of(
                    FaultKind.MALFORMED, "devices/" + number + "/kind", "device", "missing", "a kind of device", "");
        }
        return switch (asked.kind()) {
            case SOCKET ->
                SocketFeed.of(Asked.text(asked.host(), "host"), (int)
                        Asked.number(asked.port() == null ? null : Double.valueOf(asked.port()), "port"));
            case SERIAL -> SerialFeed.of(Asked.text(asked.path(), "path"));
            case SIMULATED_LOGGER -> simulated("logger", drive, rest(drive), 1, faster);
            case SIMULATED_GAUGE -> simulated("gauge", drive, GAUGE, 2, faster);
            case SIMULATED_LEAK_GAUGE -> simulated("gauge with thermometer", drive, LEAK_GAUGE, 1, faster);
            case SIMULATED_WEATHER -> simulated("weather station", drive, WEATHER, 10, faster);
            case SIMULATED_FLOW_METER -> simulated("flow meter", drive, FLOW, 5, faster);
        };
    }

    /** @return what no other of the devices measures, boost with it */
    private static Set<Channel> rest(Optional<LogSeries> drive) {
        Set<Channel> rest = EnumSet.noneOf(Channel.class);
        drive.ifPresent(d -> rest.addAll(d.channels()));
        rest.removeAll(WEATHER);
        rest.removeAll(FLOW);
        return rest;
    }

    private static Feed simulated(String what, Optional<LogSeries> drive, Set<Channel> of, int every, double faster) {
        LogSeries series = drive.orElseThrow();
        List<Channel> channels = series.channels().stream().filter(of::contains).toList();
        if (channels.isEmpty()) {
            throw EnthalpaFault.of(
                    FaultKind.CONTRADICTION,
                    "devices",
                    "simulated " + what,
                    "nothing to measure in this option",
                    "one that has a water loop",
                    "Take it out.");
        }
        return new SimulatedFeed(what + " (simulated)", series, channels, every, faster);
    }

    @GetMapping
    List<RecordingView> all(@RequestParam long build) {
        return recordings.of(build).stream().map(RecordingView::of).toList();
    }

    record HeardChannelView(Channel channel, String words, String unit, boolean simulated) {}

    /**
     * Rows from one number on, in the channels' usual units; null for what was not said of late.
     *
     * @param next   number of the row to ask for next
     * @param values by channel
     */
    record HeardView(
            RecordingView recording,
            List<HeardChannelView> channels,
            long from,
            long next,
            List<Double> time_s,
            List<List<@Nullable Double>> values,
            String trouble) {}

    @GetMapping("/{id}/rows")
    HeardView rows(@PathVariable UUID id, @RequestParam(defaultValue = "0") long from) {
        Recording recording = recordings.recording(id);
        Recording.Heard heard = recording.since(from);
        return new HeardView(
                RecordingView.of(recording),
                IntStream.range(0, heard.channels().size())
                        .mapToObj(c -> new HeardChannelView(
                                heard.channels().get(c),
                                heard.channels().get(c).words(),
                                heard.channels().get(c).usualUnit().symbol(),
                                heard.simulated().get(c)))
                        .toList(),
                heard.from(),
                heard.count(),
                heard.rows().stream().map(r -> r[0]).toList(),
                IntStream.range(0, heard.channels().size())
                        .mapToObj(c -> heard.rows().stream()
                                .map(r -> told(heard.channels().get(c), r[c + 1]))
                                .toList())
                        .toList(),
                heard.trouble());
    }

    private static @Nullable Double told(Channel channel, double si) {
        return Double.isNaN(si)
                ? null
                : Double.valueOf(Math.round(channel.usualUnit().fromSi(si) * 100) / 100.0);
    }

    /** @param log that it has become */
    record RecordedView(long log) {}

    @PostMapping("/{id}/stop")
    RecordedView stop(@PathVariable UUID id) {
        return new RecordedView(recordings.stop(id));
    }

    /** What the gauge of a leak test has said up to now. */
    @GetMapping("/{id}/leak-readings")
    LeakReadingsView leakReadings(@PathVariable UUID id) {
        return LeakReadingsView.of(recordings.readings(id));
    }

    /** Ends it; nothing of it is kept. */
    @DeleteMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void drop(@PathVariable UUID id) {
        recordings.drop(id);
    }
}
