package io.enthalpa.server.school;

import io.enthalpa.core.school.TraceCase.Level;
import io.enthalpa.core.school.TraceCase.Worth;
import io.enthalpa.server.store.Database;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.List;
import org.springframework.stereotype.Component;

/** Answers to cases in the database. The first answer to a case counts. */
@Component
class AnswerStore {
    /** @param hidden and {@code named}: suspects, or NOTHING */
    record Given(Level level, long seed, String hidden, String named, Worth worth, boolean tested, Instant at) {}

    private final Database database;

    AnswerStore(Database database) {
        this.database = database;
    }

    /** @return the latest first */
    List<Given> all() {
        return database.read(sql -> sql.sql("select * from trace_answer order by id desc")
                .query(AnswerStore::given)
                .list());
    }

    private static Given given(ResultSet row, int number) throws SQLException {
        return new Given(
                Level.valueOf(row.getString("level")),
                row.getLong("seed"),
                row.getString("hidden"),
                row.getString("named"),
                Worth.valueOf(row.getString("worth")),
                row.getBoolean("tested"),
                row.getObject("answered_at", OffsetDateTime.class).toInstant());
    }

    void keep(Given given) {
        database.write(sql -> sql.sql("""
                        merge into trace_answer t using (values (cast(:level as varchar), cast(:seed as bigint))) s (level, seed)
                        on t.level = s.level and t.seed = s.seed
                        when not matched then insert (level, seed, hidden, named, worth, tested, answered_at)
                        values (:level, :seed, :hidden, :named, :worth, :tested, :at)""")
                .param("level", given.level().name())
                .param("seed", given.seed())
                .param("hidden", given.hidden())
                .param("named", given.named())
                .param("worth", given.worth().name())
                .param("tested", given.tested())
                .param("at", given.at().atOffset(ZoneOffset.UTC))
                .update());
    }

    void clear() {
        database.write(sql -> sql.sql("delete from trace_answer").update());
    }
}
