package io.enthalpa.server.builds;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.support.GeneratedKeyHolder;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionOperations;

@Component
final class JdbcBuildStore implements BuildStore {
    private static final String COLUMNS = "r.build_id, r.number, r.parent, r.change_label, r.document, r.created_at";
    private final JdbcClient sql;
    private final TransactionOperations transaction;

    JdbcBuildStore(JdbcClient sql, TransactionOperations transaction) {
        this.sql = sql;
        this.transaction = transaction;
    }

    @Override
    public long create(String document, String change, Instant now) {
        return transaction.execute(status -> {
            GeneratedKeyHolder key = new GeneratedKeyHolder();
            sql.sql("insert into build (head, created_at) values (1, :now)").param("now", at(now)).update(key, "id");
            long id = key.getKeyAs(Number.class).longValue();
            insert(id, 1, null, document, change, now);
            return id;
        });
    }

    @Override
    public List<Revision> heads() {
        return sql.sql("""
                select %s from build b join revision r on r.build_id = b.id and r.number = b.head
                order by r.created_at desc, b.id""".formatted(COLUMNS)).query(JdbcBuildStore::revision).list();
    }

    @Override
    public Optional<Revision> head(long build) {
        return sql.sql("""
                select %s from build b join revision r on r.build_id = b.id and r.number = b.head
                where b.id = :build""".formatted(COLUMNS)).param("build", build).query(JdbcBuildStore::revision).optional();
    }

    @Override
    public List<Revision> history(long build) {
        return sql.sql("select %s from revision r where build_id = :build order by number desc".formatted(COLUMNS))
                .param("build", build).query(JdbcBuildStore::revision).list();
    }

    @Override
    public Optional<Revision> youngestChild(long build, int number) {
        return sql.sql("""
                select %s from revision r where build_id = :build and parent = :number
                order by number desc fetch first 1 row only""".formatted(COLUMNS))
                .param("build", build).param("number", number).query(JdbcBuildStore::revision).optional();
    }

    @Override
    public OptionalInt append(long build, int expected, String document, String change, Instant now) {
        return transaction.execute(status -> {
            // Two writers queue at this lock, so that only one finds the head it expects.
            Integer head = sql.sql("select head from build where id = :build for update").param("build", build)
                    .query(Integer.class).optional().orElse(null);
            if (head == null || head != expected) {
                return OptionalInt.empty();
            }
            int next = sql.sql("select coalesce(max(number), 0) + 1 from revision where build_id = :build")
                    .param("build", build).query(Integer.class).single();
            insert(build, next, expected, document, change, now);
            moveHead(build, expected, next);
            return OptionalInt.of(next);
        });
    }

    @Override
    public boolean moveHead(long build, int expected, int to) {
        return sql.sql("update build set head = :to where id = :build and head = :expected")
                .param("to", to).param("build", build).param("expected", expected).update() == 1;
    }

    private void insert(long build, int number, Integer parent, String document, String change, Instant now) {
        sql.sql("""
                insert into revision (build_id, number, parent, change_label, document, created_at)
                values (:build, :number, :parent, :change, :document, :now)""")
                .param("build", build).param("number", number).param("parent", parent).param("change", change)
                .param("document", document).param("now", at(now)).update();
    }

    private static OffsetDateTime at(Instant now) {
        return now.atOffset(ZoneOffset.UTC);
    }

    private static Revision revision(ResultSet row, int index) throws SQLException {
        int number = row.getInt("parent");
        OptionalInt parent = row.wasNull() ? OptionalInt.empty() : OptionalInt.of(number);
        return new Revision(row.getLong("build_id"), row.getInt("number"), parent, row.getString("change_label"),
                row.getString("document"), row.getObject("created_at", OffsetDateTime.class).toInstant());
    }
}
