package io.enthalpa.server.home;

import io.enthalpa.server.store.Database;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** What was computed of the newest version of each build, as JSON. Can be lost without harm: it is computed again. */
@Component
class VerdictStore {
    /** Characters that the table takes. */
    static final int LARGEST = 1_000_000;

    private final Database database;

    VerdictStore(Database database) {
        this.database = database;
    }

    /** @param madeBy the program that computed them; another's do not count */
    List<String> all(String madeBy) {
        return database.read(sql -> sql.sql(
                        "select v.card from verdict v join build b on b.id = v.build_id and b.head = v.number where v.made_by = :madeBy")
                .param("madeBy", madeBy)
                .query(String.class)
                .list());
    }

    Optional<String> one(long build, int revision, String madeBy) {
        return database.read(sql -> sql.sql(
                        "select card from verdict where build_id = :build and number = :number and made_by = :madeBy")
                .param("build", build)
                .param("number", revision)
                .param("madeBy", madeBy)
                .query(String.class)
                .optional());
    }

    void keep(long build, int revision, String madeBy, String card) {
        database.write(sql -> sql.sql(
                        "merge into verdict (build_id, number, made_by, card) key (build_id) values (:build, :number, :madeBy, :card)")
                .param("build", build)
                .param("number", revision)
                .param("madeBy", madeBy)
                .param("card", card)
                .update());
    }
}
