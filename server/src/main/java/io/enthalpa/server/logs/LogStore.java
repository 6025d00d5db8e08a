package io.enthalpa.server.logs;

import io.enthalpa.core.telemetry.Channel;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Consumer;

/** Logs of the builds. A log is written chunk by chunk and is there for readers once it is complete. */
interface LogStore {
    /**
     * @param seconds from its first row to its last
     * @param rows    kept
     * @param told    what was found on reading it, as the screen is told
     * @param marks   what the reader put right; empty for nothing
     */
    record Kept(
            long id,
            UUID uid,
            long build,
            String name,
            Instant addedAt,
            double seconds,
            long rows,
            String told,
            String marks) {}

    /**
     * Part of a log in blocks: of each the lowest and highest.
     *
     * @param time s at the beginning of each block
     * @param low  SI
     * @param high SI
     */
    record Blocks(double[] time, float[] low, float[] high) {}

    /** @return id of the new log; empty when one of this uid is there already */
    Optional<Long> begin(UUID uid, long build, String name, Instant at);

    void chunk(long log, int number, LogChunk chunk);

    void finish(long log, double seconds, long rows, String told);

    /** Takes away what was begun and never finished. */
    void clearUnfinished();

    /** @return logs of a build, newest first */
    List<Kept> logs(long build);

    Optional<Kept> log(long id);

    Optional<Kept> log(UUID uid);

    void rename(long log, String name);

    void mark(long log, String marks);

    void delete(long log);

    /** Hands over the chunks of a log that lie between two moments, in order of time. */
    void chunks(long log, List<Channel> channels, double from, double to, Consumer<LogChunk> taker);

    /** @return a channel of the log in blocks, those that lie between two moments */
    Blocks blocks(long log, Channel channel, double from, double to);

    /** @param headings digest of them @return what their columns were read as the last time */
    Optional<String> columns(String headings);

    void remember(String headings, String columns);

    /** @return all channels that have rows kept for a log */
    Set<Channel> channels(long log);
}
