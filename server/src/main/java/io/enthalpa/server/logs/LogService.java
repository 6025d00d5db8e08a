package io.enthalpa.server.logs;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import io.enthalpa.core.telemetry.Averager;
import io.enthalpa.core.telemetry.Channel;
import io.enthalpa.core.telemetry.LogSeries;
import io.enthalpa.core.telemetry.RowTaker;
import io.enthalpa.formats.LogCsv;
import io.enthalpa.formats.LogCsvFile;
import io.enthalpa.formats.LogHead;
import io.enthalpa.formats.LogText;
import io.enthalpa.server.answers.DocumentDigest;
import io.enthalpa.server.builds.BuildService;
import io.enthalpa.server.logs.LogStore.Kept;
import io.enthalpa.server.problem.NotThereException;
import java.io.IOException;
import java.io.InputStream;
import java.io.Writer;
import java.time.Clock;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.stereotype.Service;
import tools.jackson.databind.json.JsonMapper;

/** Takes logs in, keeps them and hands them out again. */
@Service
public class LogService implements ApplicationRunner {
    private static final int LONGEST_NAME = 120;
    /** Logs held as steps; each takes two megabytes at most. */
    private static final int AT_HAND = 12;

    private final LogStore store;
    private final BuildService builds;
    private final Clock clock;
    private final JsonMapper json;
    private final Cache<UUID, LogSeries> steps =
            Caffeine.newBuilder().maximumSize(AT_HAND).build();

    LogService(LogStore store, BuildService builds, Clock clock, JsonMapper json) {
        this.store = store;
        this.builds = builds;
        this.clock = clock;
        this.json = json;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        store.clearUnfinished();
    }

    /** @return what the columns of a file with these headings were read as the last time */
    Optional<Map<Channel, LogHead.Column>> remembered(LogHead head) {
        return store.columns(digest(head.headings())).map(LogHead::chosen);
    }

    /**
     * @param uid     of the log, so that one sent twice is kept once
     * @param columns as {@link LogHead#chosen} reads them; empty to take them as they were taken the last time, or by their headings
     */
    Kept take(long build, UUID uid, String name, String columns, InputStream file) throws IOException {
        builds.get(build);
        Optional<Kept> there = store.log(uid);
        if (there.isPresent()) {
            return there.get();
        }
        String called = called(name);
        long log = store.begin(uid, build, called, clock.instant())
                .orElseThrow(() -> new NotThereException("This log is being read already."));
        try {
            Chunks[] chunks = new Chunks[1];
            LogCsv.Summary read = LogCsv.read(
                    LogText.reader(file),
                    head -> columns.isBlank()
                            ? remembered(head).orElseGet(() -> LogCsv.byHeadings(head))
                            : LogHead.chosen(columns),
                    channels -> {
                        chunks[0] = new Chunks(log, channels);
                        return chunks[0];
                    });
            chunks[0].end();
            store.finish(log, read.seconds(), read.kept(), json.writeValueAsString(LogView.Told.of(read)));
            store.remember(digest(read.headings()), LogHead.written(read.columns()));
        } catch (RuntimeException | IOException e) {
            store.delete(log);
            // A build that was deleted meanwhile is told as that.
            builds.get(build);
            throw e;
        }
        return kept(log);
    }

    /** As {@link #take}, columns by their headings. @return id of the log */
    public long keep(long build, UUID uid, String name, InputStream file) throws IOException {
        return take(build, uid, name, "", file).id();
    }

    Kept kept(long log) {
        return store.log(log)
                .orElseThrow(() -> new NotThereException("There is no such log. It may have been deleted."));
    }

    List<Kept> logs(long build) {
        return store.logs(build);
    }

    Kept rename(long log, String name) {
        kept(log);
        store.rename(log, called(name));
        return kept(log);
    }

    private static String called(String name) {
        String called = name.strip();
        if (called.isEmpty() || called.length() > LONGEST_NAME) {
            throw EnthalpaFault.of(
                    FaultKind.OUT_OF_RANGE,
                    "name",
                    "name of the log",
                    called.length() + " characters",
                    "1 and " + LONGEST_NAME,
                    "");
        }
        return called;
    }

    Kept mark(long log, String marks) {
        kept(log);
        store.mark(log, marks);
        return kept(log);
    }

    void delete(long log) {
        store.delete(log);
    }

    public String name(long log) {
        return kept(log).name();
    }

    /** Writes every row of a log, as it was kept. */
    void write(Kept log, Writer out) {
        List<Channel> channels = List.copyOf(store.channels(log.id()));
        LogCsvFile file = new LogCsvFile(out, channels, " " + log.name());
        rows(log, channels, file);
        file.end();
    }

    private void rows(Kept log, List<Channel> channels, RowTaker taker) {
        double[] row = new double[channels.size()];
        store.chunks(log.id(), channels, Double.NEGATIVE_INFINITY, Double.POSITIVE_INFINITY, chunk -> {
            for (int i = 0; i < chunk.time().length; i++) {
                for (int c = 0; c < row.length; c++) {
                    row[c] = chunk.values()[c][i];
                }
                taker.row(chunk.time()[i], row);
            }
        });
    }

    /** @return a log as means of equal steps */
    public LogSeries steps(long log) {
        return steps(kept(log));
    }

    /** @return as means of equal steps */
    LogSeries steps(Kept log) {
        return steps.get(log.uid(), uid -> {
            List<Channel> channels = List.copyOf(store.channels(log.id()));
            LogSeries.Growing growing = new LogSeries.Growing(channels);
            Averager averager = new Averager(Averager.stepFor(log.seconds()), channels.size(), growing);
            rows(log, channels, averager);
            averager.end();
            return growing.series();
        });
    }

    /** @return lowest and highest of each channel in each of so many equal parts of a stretch */
    Map<Channel, Peaks> peaks(Kept log, List<Channel> channels, double from, double to, int columns) {
        return Peaks.of(store, log, channels, from, to, columns);
    }

    private static String digest(List<String> headings) {
        return DocumentDigest.of(String.join("\u0000", headings));
    }

    /** Writes rows as chunks. */
    private final class Chunks implements RowTaker {
        private final long log;
        private final List<Channel> channels;
        private final double[] time = new double[LogChunk.ROWS];
        private final float[][] values;
        private int rows;
        private int number;

        Chunks(long log, List<Channel> channels) {
            this.log = log;
            this.channels = channels;
            this.values = new float[channels.size()][LogChunk.ROWS];
        }

        @Override
        public void row(double at, double[] row) {
            time[rows] = at;
            for (int c = 0; c < values.length; c++) {
                values[c][rows] = (float) row[c];
            }
            if (++rows == LogChunk.ROWS) {
                end();
            }
        }

        void end() {
            if (rows == 0) {
                return;
            }
            int count = rows;
            store.chunk(
                    log,
                    number++,
                    new LogChunk(
                            Arrays.copyOf(time, count),
                            channels,
                            Arrays.stream(values)
                                    .map(v -> Arrays.copyOf(v, count))
                                    .toArray(float[][]::new)));
            rows = 0;
        }
    }
}
