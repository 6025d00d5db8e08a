package io.enthalpa.server.logs;

import io.enthalpa.core.telemetry.Channel;
import io.enthalpa.server.store.Database;
import java.nio.ByteBuffer;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Consumer;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.support.GeneratedKeyHolder;
import org.springframework.stereotype.Component;

/** Logs in the database. */
@Component
final class JdbcLogStore implements LogStore {
    private static final String LOG = "select * from drive_log where complete and ";
    private final Database database;

    JdbcLogStore(Database database) {
        this.database = database;
    }

    @Override
    public Optional<Long> begin(UUID uid, long build, String name, Instant at) {
        try {
            return Optional.of(database.write(sql -> {
                // One that was begun and never finished makes room.
                sql.sql("delete from drive_log where uid = :uid and not complete")
                        .param("uid", uid)
                        .update();
                GeneratedKeyHolder key = new GeneratedKeyHolder();
                sql.sql("""
                        insert into drive_log (uid, build_id, name, added_at, complete, seconds, row_count, told)
                        values (:uid, :build, :name, :at, false, 0, 0, '')""")
                        .param("uid", uid)
                        .param("build", build)
                        .param("name", name)
                        .param("at", OffsetDateTime.ofInstant(at, ZoneOffset.UTC))
                        .update(key, "id");
                return key.getKeyAs(Number.class).longValue();
            }));
        } catch (DuplicateKeyException alreadyThere) {
            return Optional.empty();
        }
    }

    @Override
    public void chunk(long log, int number, LogChunk chunk) {
        database.write(sql -> {
            insert(
                    sql,
                    log,
                    number,
                    chunk,
                    Channel.TIME,
                    LogChunk.starts(chunk.time()),
                    PackedColumn.ofTimes(chunk.time()));
            for (int c = 0; c < chunk.channels().size(); c++) {
                float[] values = chunk.values()[c];
                insert(
                        sql,
                        log,
                        number,
                        chunk,
                        chunk.channels().get(c),
                        LogChunk.summary(values),
                        PackedColumn.ofValues(values));
            }
            return number;
        });
    }

    private static void insert(
            JdbcClient sql,
            long log,
            int number,
            LogChunk chunk,
            Channel channel,
            float[] summary,
            PackedColumn packed) {
        sql.sql("""
                insert into drive_log_chunk (log_id, channel, number, from_s, to_s, row_count, summary, bytes, checksum)
                values (:log, :channel, :number, :from, :to, :rows, :summary, :bytes, :checksum)""")
                .param("log", log)
                .param("channel", channel.name())
                .param("number", number)
                .param("from", chunk.from())
                .param("to", chunk.to())
                .param("rows", chunk.time().length)
                .param("summary", bytes(summary))
                .param("bytes", packed.bytes())
                .param("checksum", packed.checksum())
                .update();
    }

    @Override
    public void finish(long log, double seconds, long rows, String told) {
        database.write(sql -> sql.sql(
                        "update drive_log set complete = true, seconds = :seconds, row_count = :rows, told = :told where id = :log")
                .param("seconds", seconds)
                .param("rows", rows)
                .param("told", told)
                .param("log", log)
                .update());
    }

    @Override
    public void clearUnfinished() {
        if (database.read(sql -> sql.sql("select count(*) from drive_log where not complete")
                        .query(Integer.class)
                        .single())
                > 0) {
            database.write(
                    sql -> sql.sql("delete from drive_log where not complete").update());
        }
    }

    @Override
    public List<Kept> logs(long build) {
        return database.read(sql -> sql.sql(LOG + "build_id = :build order by added_at desc, id desc")
                .param("build", build)
                .query(JdbcLogStore::kept)
                .list());
    }

    @Override
    public Optional<Kept> log(long id) {
        return database.read(sql -> sql.sql(LOG + "id = :id")
                .param("id", id)
                .query(JdbcLogStore::kept)
                .optional());
    }

    @Override
    public Optional<Kept> log(UUID uid) {
        return database.read(sql -> sql.sql(LOG + "uid = :uid")
                .param("uid", uid)
                .query(JdbcLogStore::kept)
                .optional());
    }

    private static Kept kept(ResultSet row, int index) throws SQLException {
        return new Kept(
                row.getLong("id"),
                row.getObject("uid", UUID.class),
                row.getLong("build_id"),
                row.getString("name"),
                row.getObject("added_at", OffsetDateTime.class).toInstant(),
                row.getDouble("seconds"),
                row.getLong("row_count"),
                row.getString("told"),
                row.getString("marks"));
    }

    @Override
    public void mark(long log, String marks) {
        database.write(sql -> sql.sql("update drive_log set marks = :marks where id = :log")
                .param("marks", marks)
                .param("log", log)
                .update());
    }

    @Override
    public void rename(long log, String name) {
        database.write(sql -> sql.sql("update drive_log set name = :name where id = :log")
                .param("name", name)
                .param("log", log)
                .update());
    }

    @Override
    public void delete(long log) {
        database.write(sql -> sql.sql("delete from drive_log where id = :log")
                .param("log", log)
                .update());
    }

    @Override
    public void chunks(long log, List<Channel> channels, double from, double to, Consumer<LogChunk> taker) {
        List<Integer> numbers = database.read(sql -> sql.sql("""
                        select number from drive_log_chunk
                        where log_id = :log and channel = 'TIME' and to_s >= :from and from_s <= :to order by number""")
                .param("log", log)
                .param("from", from)
                .param("to", to)
                .query(Integer.class)
                .list());
        for (int number : numbers) {
            double[] time = packed(log, Channel.TIME, number).times();
            float[][] values = new float[channels.size()][];
            for (int c = 0; c < values.length; c++) {
                values[c] = packed(log, channels.get(c), number).values();
            }
            taker.accept(new LogChunk(time, channels, values));
        }
    }

    private PackedColumn packed(long log, Channel channel, int number) {
        return database.read(sql -> sql.sql("""
                        select row_count, bytes, checksum from drive_log_chunk
                        where log_id = :log and channel = :channel and number = :number""")
                .param("log", log)
                .param("channel", channel.name())
                .param("number", number)
                .query((row, index) ->
                        new PackedColumn(row.getInt("row_count"), row.getBytes("bytes"), row.getLong("checksum")))
                .single());
    }

    @Override
    public Blocks blocks(long log, Channel channel, double from, double to) {
        record Row(double from, float[] starts, float[] summary) {}
        List<Row> rows = database.read(sql -> sql.sql("""
                        select t.from_s, t.summary as starts, c.summary from drive_log_chunk t
                        join drive_log_chunk c on c.log_id = t.log_id and c.number = t.number and c.channel = :channel
                        where t.log_id = :log and t.channel = 'TIME' and t.to_s >= :from and t.from_s <= :to order by t.number""")
                .param("log", log)
                .param("channel", channel.name())
                .param("from", from)
                .param("to", to)
                .query((row, index) -> new Row(
                        row.getDouble("from_s"), floats(row.getBytes("starts")), floats(row.getBytes("summary"))))
                .list());
        int blocks = rows.stream().mapToInt(r -> r.starts().length).sum();
        Blocks all = new Blocks(new double[blocks], new float[blocks], new float[blocks]);
        int at = 0;
        for (Row row : rows) {
            for (int b = 0; b < row.starts().length; b++) {
                all.time()[at] = row.from() + row.starts()[b];
                all.low()[at] = row.summary()[2 * b];
                all.high()[at++] = row.summary()[2 * b + 1];
            }
        }
        return all;
    }

    @Override
    public Optional<String> columns(String headings) {
        return database.read(sql -> sql.sql("select columns from drive_log_heading where headings = :headings")
                .param("headings", headings)
                .query(String.class)
                .optional());
    }

    @Override
    public void remember(String headings, String columns) {
        database.write(sql -> sql.sql(
                        "merge into drive_log_heading (headings, columns) key (headings) values (:headings, :columns)")
                .param("headings", headings)
                .param("columns", columns)
                .update());
    }

    @Override
    public Set<Channel> channels(long log) {
        EnumSet<Channel> channels = EnumSet.noneOf(Channel.class);
        database.read(sql -> sql.sql("select distinct channel from drive_log_chunk where log_id = :log and number = 0")
                        .param("log", log)
                        .query(String.class)
                        .list())
                .forEach(name -> channels.add(Channel.valueOf(name)));
        channels.remove(Channel.TIME);
        return channels;
    }

    private static byte[] bytes(float[] values) {
        ByteBuffer buffer = ByteBuffer.allocate(Float.BYTES * values.length);
        buffer.asFloatBuffer().put(values);
        return buffer.array();
    }

    private static float[] floats(byte[] bytes) {
        float[] values = new float[bytes.length / Float.BYTES];
        ByteBuffer.wrap(bytes).asFloatBuffer().get(values);
        return values;
    }
}
