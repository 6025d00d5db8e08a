package io.enthalpa.server.devices;

import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.telemetry.Channel;
import io.enthalpa.formats.DeviceLines;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.function.BiConsumer;

/** One device that is listened to, on a thread of its own, and listened to again when it was lost. */
final class Device {
    private static final long AGAIN_MS = 1000;

    /** How it goes. */
    enum State {
        CALLED,
        TALKS,
        LOST,
        /** Has said all it had to say, or was not wanted any more. */
        SILENT
    }

    private final Feed feed;
    private final BiConsumer<Device, DeviceLines.Row> taker;
    private final Thread thread;
    private volatile DeviceLines lines = new DeviceLines();
    private volatile State state = State.CALLED;
    private volatile String trouble = "";
    private volatile InputStream stream = InputStream.nullInputStream();
    private volatile boolean wanted = true;
    /** Latest of each channel; only touched by whoever holds the recording. */
    private double[] latest = {};

    private long latestAt;

    Device(Feed feed, BiConsumer<Device, DeviceLines.Row> taker) {
        this.feed = feed;
        this.taker = taker;
        this.thread = new Thread(this::listen, "device " + feed.name());
        thread.setDaemon(true);
    }

    void start() {
        thread.start();
    }

    private void listen() {
        while (wanted) {
            lines = new DeviceLines();
            try (InputStream in = feed.open();
                    BufferedReader reader = new BufferedReader(new InputStreamReader(in, StandardCharsets.UTF_8))) {
                stream = in;
                hear(reader);
                state = feed.isSimulated() || !wanted ? State.SILENT : State.LOST;
                trouble = state == State.LOST ? "It ended the connection." : "";
            } catch (IOException e) {
                state = wanted ? State.LOST : State.SILENT;
                trouble = wanted ? "It does not answer (" + e.getMessage() + ")." : "";
            } catch (EnthalpaFault fault) {
                state = State.LOST;
                trouble = fault.sentence();
            }
            if (state == State.SILENT || !pause()) {
                return;
            }
        }
    }

    private void hear(BufferedReader reader) throws IOException {
        for (String line = reader.readLine(); line != null && wanted; line = reader.readLine()) {
            lines.line(line).ifPresent(row -> {
                state = State.TALKS;
                trouble = "";
                taker.accept(this, row);
            });
        }
    }

    private boolean pause() {
        try {
            Thread.sleep(AGAIN_MS);
            return wanted;
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return false;
        }
    }

    void stop() {
        wanted = false;
        try {
            stream.close();
        } catch (IOException gone) {
            // It is not listened to any more either way.
        }
        thread.interrupt();
    }

    void latest(double[] values, long at) {
        latest = values;
        latestAt = at;
    }

    /** @return SI; NaN when it has said nothing of late */
    double latest(int channel, long now, long freshNanos) {
        return channel < latest.length && now - latestAt <= freshNanos ? latest[channel] : Double.NaN;
    }

    String name() {
        return lines.name().isEmpty() ? feed.name() : lines.name();
    }

    boolean isSimulated() {
        return feed.isSimulated() || lines.isSimulated();
    }

    List<Channel> channels() {
        return lines.channels();
    }

    State state() {
        return state;
    }

    String trouble() {
        return trouble;
    }

    long spoilt() {
        return lines.spoilt();
    }
}
