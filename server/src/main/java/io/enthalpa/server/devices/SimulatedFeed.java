package io.enthalpa.server.devices;

import io.enthalpa.core.telemetry.Channel;
import io.enthalpa.core.telemetry.LogSeries;
import io.enthalpa.formats.LogCsvFile;
import java.io.InputStream;
import java.io.InterruptedIOException;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;

/**
 * Stands in for a device: says line by line what one would have said, in its own time, and calls itself simulated.
 *
 * @param drive  that it measures
 * @param every  rows of the drive that are left out between two that it says, plus one
 * @param faster times as fast as a clock
 */
record SimulatedFeed(String name, LogSeries drive, List<Channel> channels, int every, double faster) implements Feed {
    private static final long NAP_MS = 50;

    @Override
    public boolean isSimulated() {
        return true;
    }

    @Override
    public InputStream open() {
        return new Said();
    }

    /** Gives out each line when its time has come. */
    private final class Said extends InputStream {
        private final long began = System.nanoTime();
        private final StringWriter text = new StringWriter();
        private final LogCsvFile file = new LogCsvFile(text, channels, " device: " + name);
        private final double[][] columns = channels.stream().map(drive::of).toArray(double[][]::new);
        private byte[] line = {};
        private int given;
        private int next;
        private volatile boolean closed;

        Said() {
            take();
        }

        private void take() {
            file.end();
            line = text.toString().getBytes(StandardCharsets.UTF_8);
            text.getBuffer().setLength(0);
            given = 0;
        }

        @Override
        public int read() throws InterruptedIOException {
            byte[] one = new byte[1];
            return read(one, 0, 1) < 0 ? -1 : one[0] & 0xff;
        }

        @Override
        public int read(byte[] into, int from, int most) throws InterruptedIOException {
            if (given == line.length && !await()) {
                return -1;
            }
            int some = Math.min(most, line.length - given);
            System.arraycopy(line, given, into, from, some);
            given += some;
            return some;
        }

        private boolean await() throws InterruptedIOException {
            if (next >= drive.length()) {
                return false;
            }
            double due = (drive.time()[next] - drive.time()[0]) / faster;
            while (!closed && (System.nanoTime() - began) / 1e9 < due) {
                try {
                    Thread.sleep(NAP_MS);
                } catch (InterruptedException e) {
                    Thread.currentThread().interrupt();
                    throw new InterruptedIOException();
                }
            }
            if (closed) {
                return false;
            }
            file.row(
                    drive.time()[next],
                    Arrays.stream(columns).mapToDouble(c -> c[next]).toArray());
            next += every;
            take();
            return true;
        }

        @Override
        public void close() {
            closed = true;
        }
    }
}
