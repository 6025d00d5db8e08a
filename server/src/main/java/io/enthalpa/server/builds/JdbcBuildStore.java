package io.enthalpa.server.builds;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import io.enthalpa.server.problem.StoreFault;
import io.enthalpa.server.store.Database;
import io.enthalpa.server.store.PackedText;
import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.support.GeneratedKeyHolder;
import org.springframework.stereotype.Component;

/** Builds in the database; a document as what differs from its parent's, a whole one every so often. */
@Component
final class JdbcBuildStore implements BuildStore {
    private static final String REVISION =
            "r.build_id, r.number, r.parent, r.change_label, r.name as revision_name, r.created_at";
    private static final String HEAD = """
            select b.id, b.uid, b.name, b.summary, b.put_away_at, %s from build b join revision r on r.build_id = b.id and r.number = b.head
            """.formatted(REVISION);
    /** Documents that may have to be read for one. */
    private static final int DEEPEST = 31;
    /** Bytes of documents kept at hand. */
    private static final long AT_HAND = 16_000_000;

    /** @param opened which opening of the file: after a swap the same numbers may mean something else */
    private record Place(int opened, long build, int number) {}

    /** @param depth documents between it and the next whole one */
    private record Kept(byte[] text, int depth) {}

    private final Database database;
    private final Cache<Place, Kept> documents = Caffeine.newBuilder()
            .maximumWeight(AT_HAND)
            .weigher((Place p, Kept k) -> k.text().length + 100)
            .build();

    JdbcBuildStore(Database database) {
        this.database = database;
    }

    @Override
    public long create(UUID uid, Draft draft) {
        try {
            return database.write(sql -> insertBuild(sql, uid, draft));
        } catch (DuplicateKeyException alreadyMade) {
            return database.read(sql -> sql.sql("select id from build where uid = :uid")
                    .param("uid", uid)
                    .query(Long.class)
                    .single());
        }
    }

    @Override
    public void createAll(List<Draft> drafts) {
        database.write(sql -> {
            drafts.forEach(draft -> insertBuild(sql, UUID.randomUUID(), draft));
            return drafts.size();
        });
    }

    private long insertBuild(JdbcClient sql, UUID uid, Draft draft) {
        GeneratedKeyHolder key = new GeneratedKeyHolder();
        sql.sql("insert into build (uid, head, name, summary, created_at) values (:uid, 1, :name, :summary, :now)")
                .param("uid", uid)
                .param("name", draft.name())
                .param("summary", draft.summary())
                .param("now", at(draft.at()))
                .update(key, "id");
        long id = key.getKeyAs(Number.class).longValue();
        insert(sql, id, 1, OptionalInt.empty(), draft);
        return id;
    }

    @Override
    public List<Head> heads() {
        return database.read(sql -> sql.sql(HEAD + "order by r.created_at desc, b.id")
                .query(JdbcBuildStore::head)
                .list());
    }

    @Override
    public Optional<Head> head(long build) {
        return database.read(sql -> sql.sql(HEAD + "where b.id = :build")
                .param("build", build)
                .query(JdbcBuildStore::head)
                .optional());
    }

    @Override
    public Optional<Revision> revision(long build, int number) {
        return database.read(
                sql -> sql.sql("select " + REVISION + " from revision r where build_id = :build and number = :number")
                        .param("build", build)
                        .param("number", number)
                        .query(JdbcBuildStore::revision)
                        .optional());
    }

    @Override
    public String document(long build, int number) {
        return new String(
                database.read(sql -> kept(sql, new Place(database.opened(), build, number)))
                        .text(),
                StandardCharsets.UTF_8);
    }

    private Kept kept(JdbcClient sql, Place place) {
        Kept there = documents.getIfPresent(place);
        if (there != null) {
            return there;
        }
        record Row(@Nullable Integer base, int depth, PackedText packed) {}
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        List<Row> rows = sql.sql("select * from content where build_id = :build and number = :number order by part")
                .param("build", place.build())
                .param("number", place.number())
                .query((row, index) -> {
                    bytes.writeBytes(row.getBytes("bytes"));
                    return new Row(
                            row.getObject("base", Integer.class),
                            row.getInt("depth"),
                            new PackedText(
                                    row.getInt("shared_start"),
                                    row.getInt("shared_end"),
                                    row.getInt("length"),
                                    bytes.toByteArray(),
                                    row.getLong("checksum")));
                })
                .list();
        if (rows.isEmpty()) {
            throw PackedText.damaged();
        }
        Row last = rows.get(rows.size() - 1);
        if (last.base() != null && (last.depth() < 1 || last.depth() > DEEPEST)) {
            throw PackedText.damaged();
        }
        byte[] other = last.base() == null
                ? new byte[0]
                : kept(sql, new Place(place.opened(), place.build(), last.base()))
                        .text();
        Kept kept = new Kept(last.packed().unpack(other), last.depth());
        documents.put(place, kept);
        return kept;
    }

    @Override
    public List<Revision> history(long build, int below, int most) {
        return database.read(sql -> sql.sql(
                        "select " + REVISION
                                + " from revision r where build_id = :build and number < :below order by number desc fetch first :most rows only")
                .param("build", build)
                .param("below", below)
                .param("most", most)
                .query(JdbcBuildStore::revision)
                .list());
    }

    @Override
    public Optional<Revision> youngestChild(long build, int number) {
        return database.read(sql -> sql.sql("""
                select %s from revision r where build_id = :build and parent = :number
                order by number desc fetch first 1 row only""".formatted(REVISION))
                .param("build", build)
                .param("number", number)
                .query(JdbcBuildStore::revision)
                .optional());
    }

    @Override
    public List<Revision> children(long build, int number) {
        return database.read(sql -> sql.sql("select " + REVISION
                        + " from revision r where build_id = :build and parent = :number order by number")
                .param("build", build)
                .param("number", number)
                .query(JdbcBuildStore::revision)
                .list());
    }

    @Override
    public OptionalInt madeBy(long build, String edit) {
        return database.read(sql -> sql.sql("select number from revision where build_id = :build and edit_id = :edit")
                        .param("build", build)
                        .param("edit", edit)
                        .query(Integer.class)
                        .optional())
                .map(OptionalInt::of)
                .orElseGet(OptionalInt::empty);
    }

    @Override
    public OptionalInt append(long build, int expected, Draft draft) {
        return database.write(sql -> {
            if (moved(sql, build, expected)) {
                return OptionalInt.empty();
            }
            int next = insertNext(sql, build, expected, draft);
            headTo(sql, build, next, draft.name(), draft.summary());
            return OptionalInt.of(next);
        });
    }

    @Override
    public int branch(long build, int parent, Draft draft) {
        return database.write(sql -> insertNext(sql, build, parent, draft));
    }

    private int insertNext(JdbcClient sql, long build, int parent, Draft draft) {
        int next = sql.sql("select coalesce(max(number), 0) + 1 from revision where build_id = :build")
                .param("build", build)
                .query(Integer.class)
                .single();
        insert(sql, build, next, OptionalInt.of(parent), draft);
        return next;
    }

    @Override
    public boolean moveHead(long build, int expected, int to, String name, String summary) {
        return database.write(sql -> {
            boolean moves = !moved(sql, build, expected);
            if (moves) {
                headTo(sql, build, to, name, summary);
            }
            return moves;
        });
    }

    /** There is one writer at a time, so that only one of two finds the head it expects. */
    private static boolean moved(JdbcClient sql, long build, int expected) {
        return sql.sql("select head from build where id = :build")
                .param("build", build)
                .query(Integer.class)
                .optional()
                .filter(head -> head == expected)
                .isEmpty();
    }

    private static void headTo(JdbcClient sql, long build, int number, String name, String summary) {
        sql.sql("update build set head = :number, name = :name, summary = :summary where id = :build")
                .param("number", number)
                .param("name", name)
                .param("summary", summary)
                .param("build", build)
                .update();
    }

    @Override
    public void name(long build, int number, @Nullable String name) {
        database.write(sql -> sql.sql("update revision set name = :name where build_id = :build and number = :number")
                .param("name", name)
                .param("build", build)
                .param("number", number)
                .update());
    }

    @Override
    public void putAway(long build, @Nullable Instant at) {
        database.write(sql -> sql.sql("update build set put_away_at = :at where id = :build")
                .param("at", at == null ? null : at(at))
                .param("build", build)
                .update());
    }

    @Override
    public void delete(long build) {
        database.write(sql -> {
            sql.sql("update revision set parent = null where build_id = :build")
                    .param("build", build)
                    .update();
            for (String table : List.of(
                    "verdict where build_id", "content where build_id", "revision where build_id", "build where id")) {
                sql.sql("delete from " + table + " = :build")
                        .param("build", build)
                        .update();
            }
            return build;
        });
        documents.asMap().keySet().removeIf(place -> place.build() == build);
    }

    private void insert(JdbcClient sql, long build, int number, OptionalInt parent, Draft draft) {
        sql.sql("""
                insert into revision (build_id, number, parent, change_label, edit_id, created_at)
                values (:build, :number, :parent, :change, :edit, :now)""")
                .param("build", build)
                .param("number", number)
                .param("parent", parent.isPresent() ? parent.getAsInt() : null)
                .param("change", draft.change())
                .param("edit", draft.edit())
                .param("now", at(draft.at()))
                .update();
        byte[] text = draft.document().getBytes(StandardCharsets.UTF_8);
        Kept base = parent.isPresent() ? base(sql, new Place(database.opened(), build, parent.getAsInt())) : null;
        PackedText packed = PackedText.of(base == null ? new byte[0] : base.text(), text);
        int depth = base == null ? 0 : base.depth() + 1;
        int part = 0;
        for (byte[] piece : packed.parts()) {
            sql.sql("""
                    insert into content (build_id, number, part, base, depth, shared_start, shared_end, length, checksum, bytes)
                    values (:build, :number, :part, :base, :depth, :start, :end, :length, :checksum, :bytes)""")
                    .param("build", build)
                    .param("number", number)
                    .param("part", part++)
                    .param("base", base == null ? null : parent.getAsInt())
                    .param("depth", depth)
                    .param("start", packed.start())
                    .param("end", packed.end())
                    .param("length", packed.length())
                    .param("checksum", packed.checksum())
                    .param("bytes", piece)
                    .update();
        }
    }

    /** @return the document to tell a new one against; null when a whole one is due, or the old one cannot be read */
    private @Nullable Kept base(JdbcClient sql, Place place) {
        try {
            Kept kept = kept(sql, place);
            return kept.depth() >= DEEPEST ? null : kept;
        } catch (StoreFault damaged) {
            return null;
        }
    }

    private static OffsetDateTime at(Instant now) {
        return now.atOffset(ZoneOffset.UTC);
    }

    private static Head head(ResultSet row, int index) throws SQLException {
        OffsetDateTime away = row.getObject("put_away_at", OffsetDateTime.class);
        return new Head(
                row.getLong("id"),
                row.getObject("uid", UUID.class),
                row.getString("name"),
                row.getString("summary"),
                away == null ? null : away.toInstant(),
                revision(row, index));
    }

    private static Revision revision(ResultSet row, int index) throws SQLException {
        int number = row.getInt("parent");
        OptionalInt parent = row.wasNull() ? OptionalInt.empty() : OptionalInt.of(number);
        return new Revision(
                row.getLong("build_id"),
                row.getInt("number"),
                parent,
                row.getString("change_label"),
                row.getString("revision_name"),
                row.getObject("created_at", OffsetDateTime.class).toInstant());
    }
}
