package io.enthalpa.server.devices;

import io.enthalpa.core.telemetry.Channel;
import io.enthalpa.formats.DeviceLines;
import io.enthalpa.formats.LogCsvFile;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.nio.channels.Channels;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.UUID;

/**
 * What some devices say, on its way to the disk: a row whenever the first of them says one, with what the others said last. Its file is a log of its own at any moment, so that whatever ends the
 * program loses no more than half a second.
 */
final class Recording {
    /** Second line of a file that holds what nobody measured. */
    static final String SIMULATED = " simulated";

    /** Rows at hand for looking at: twenty minutes at ten a second. */
    private static final int AT_HAND = 12_000;

    private static final long FRESH = 2_000_000_000L;
    private static final long KEPT_EVERY = 500_000_000L;
    /** ns that the first device waits for the others to name their channels. */
    private static final long PATIENCE = 3_000_000_000L;

    private final UUID uid = UUID.randomUUID();
    private final long build;
    private final String name;
    private final String leakTest;
    private final Path path;
    private final FileChannel file;
    private final Writer out;
    private final List<Device> devices;
    private final long began = System.nanoTime();
    private final Deque<double[]> rows = new ArrayDeque<>();
    private List<Channel> channels = List.of();
    private List<Device> sources = List.of();
    private int[] places = {};
    private LogCsvFile csv;
    private long keptAt = began;
    private long count;
    private double zero = Double.NaN;
    private double last = Double.NEGATIVE_INFINITY;
    private boolean over;
    private String trouble = "";

    /** @param leakTest id of the test whose gauge is read; empty for a drive */
    Recording(long build, String name, String leakTest, Path folder, List<Feed> feeds) throws IOException {
        this.build = build;
        this.name = name;
        this.leakTest = leakTest;
        this.path = folder.resolve(build + "_" + uid + ".csv");
        this.file = FileChannel.open(path, StandardOpenOption.CREATE_NEW, StandardOpenOption.WRITE);
        this.out = Channels.newWriter(file, StandardCharsets.UTF_8);
        out.write("# " + name.replaceAll("\\s+", " ") + "\n");
        out.flush();
        file.force(true);
        List<Device> all = new ArrayList<>();
        for (Feed feed : feeds) {
            all.add(new Device(feed, this::row));
        }
        this.devices = List.copyOf(all);
    }

    void start() {
        devices.forEach(Device::start);
    }

    private synchronized void row(Device device, DeviceLines.Row row) {
        if (over) {
            return;
        }
        long now = System.nanoTime();
        device.latest(row.values(), now);
        if (device != devices.get(0) || channels.isEmpty() && !begun(now)) {
            return;
        }
        double at = row.time().orElse((now - began) / 1e9);
        zero = Double.isNaN(zero) ? at : zero;
        double time = at - zero;
        if (time <= last) {
            return;
        }
        last = time;
        double[] values = new double[channels.size() + 1];
        values[0] = time;
        double[] told = new double[channels.size()];
        for (int c = 0; c < told.length; c++) {
            told[c] = sources.get(c).latest(places[c], now, FRESH);
            values[c + 1] = told[c];
        }
        rows.add(values);
        count++;
        if (rows.size() > AT_HAND) {
            rows.remove();
        }
        write(time, told, now);
    }

    /** The columns stand once all have named theirs, or have had time to. */
    private boolean begun(long now) {
        boolean all = devices.stream()
                .allMatch(d ->
                        !d.channels().isEmpty() || d.state() == Device.State.LOST || d.state() == Device.State.SILENT);
        if (!all && now - began < PATIENCE) {
            return false;
        }
        List<Channel> known = new ArrayList<>();
        List<Device> from = new ArrayList<>();
        List<Integer> at = new ArrayList<>();
        for (Device d : devices) {
            for (int c = 0; c < d.channels().size(); c++) {
                if (!known.contains(d.channels().get(c))) {
                    known.add(d.channels().get(c));
                    from.add(d);
                    at.add(c);
                }
            }
        }
        channels = List.copyOf(known);
        sources = List.copyOf(from);
        places = at.stream().mapToInt(Integer::intValue).toArray();
        csv = new LogCsvFile(out, channels, isSimulated() ? SIMULATED : "");
        return true;
    }

    private void write(double time, double[] told, long now) {
        try {
            csv.row(time, told);
            if (now - keptAt > KEPT_EVERY) {
                keep();
                keptAt = now;
            }
        } catch (IOException | UncheckedIOException e) {
            trouble = "It cannot be written: " + e.getMessage() + ".";
        }
    }

    private void keep() throws IOException {
        csv.end();
        out.flush();
        file.force(false);
    }

    /** Nothing more is taken; what there is is on the disk. */
    synchronized void end() throws IOException {
        if (over) {
            return;
        }
        over = true;
        devices.forEach(Device::stop);
        if (csv != null) {
            keep();
        }
        out.close();
    }

    UUID uid() {
        return uid;
    }

    long build() {
        return build;
    }

    String name() {
        return name;
    }

    String leakTest() {
        return leakTest;
    }

    /** What it holds up to now is on the disk. */
    synchronized void flush() throws IOException {
        if (csv != null && !over) {
            keep();
        }
    }

    Path path() {
        return path;
    }

    List<Device> devices() {
        return devices;
    }

    boolean isSimulated() {
        return devices.stream().anyMatch(Device::isSimulated);
    }

    /**
     * @param from  number of the first row
     * @param rows  time in s, then SI by channel
     * @param count of all rows there are
     */
    record Heard(
            List<Channel> channels,
            List<Boolean> simulated,
            long from,
            List<double[]> rows,
            long count,
            String trouble) {}

    synchronized Heard since(long from) {
        long first = count - rows.size();
        List<double[]> some = rows.stream().skip(Math.max(0, from - first)).toList();
        return new Heard(
                channels,
                sources.stream().map(Device::isSimulated).toList(),
                count - some.size(),
                some,
                count,
                trouble);
    }
}
