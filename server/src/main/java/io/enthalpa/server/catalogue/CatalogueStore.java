package io.enthalpa.server.catalogue;

import io.enthalpa.formats.BuildFile;
import io.enthalpa.formats.CatalogueCsv;
import io.enthalpa.formats.CatalogueItem;
import io.enthalpa.server.store.Database;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.support.GeneratedKeyHolder;
import org.springframework.stereotype.Component;
import tools.jackson.databind.node.ObjectNode;

/** Catalogue items in the database. An item counts its changes, so that two windows do not write over each other. */
@Component
class CatalogueStore {
    private final Database database;

    CatalogueStore(Database database) {
        this.database = database;
    }

    List<StoredItem> all() {
        return database.read(CatalogueStore::all);
    }

    private static List<StoredItem> all(JdbcClient sql) {
        return sql.sql("select * from catalogue_item order by id")
                .query(CatalogueStore::item)
                .list();
    }

    Optional<StoredItem> one(long id) {
        return database.read(sql -> sql.sql("select * from catalogue_item where id = :id")
                .param("id", id)
                .query(CatalogueStore::item)
                .optional());
    }

    /** @param uid of the new item, so that one sent twice is kept once; null to give it one */
    long add(CatalogueItem item, @Nullable UUID uid, Instant now) {
        return database.write(sql -> {
            Optional<Long> there = uid == null
                    ? Optional.empty()
                    : sql.sql("select id from catalogue_item where uid = :uid")
                            .param("uid", uid)
                            .query(Long.class)
                            .optional();
            return there.orElseGet(() -> insert(sql, item, uid, now));
        });
    }

    private static long insert(JdbcClient sql, CatalogueItem item, @Nullable UUID uid, Instant now) {
        GeneratedKeyHolder key = new GeneratedKeyHolder();
        bound(sql, """
                insert into catalogue_item (kind, name, note, price, mass_kg, figures, changed_at, uid)
                values (:kind, :name, :note, :price, :mass, :figures, :now, :uid)""", item, now)
                .param("uid", uid == null ? UUID.randomUUID() : uid)
                .update(key, "id");
        return key.getKeyAs(Number.class).longValue();
    }

    /**
     * All or none; what is there already, alike in every figure, is not put in again.
     *
     * @return how many were put in
     */
    int addAll(List<CatalogueItem> items, Instant now) {
        return database.write(sql -> {
            Set<String> there = new HashSet<>();
            all(sql).forEach(stored -> there.add(asRead(stored.item())));
            int added = 0;
            for (CatalogueItem item : items) {
                if (there.add(asRead(item))) {
                    insert(sql, item, null, now);
                    added++;
                }
            }
            return added;
        });
    }

    /** As it stands in a file: 63 and 63.0 are one figure. */
    private static String asRead(CatalogueItem item) {
        return CatalogueCsv.write(List.of(item));
    }

    /** @return the count of its changes now; empty when it is no longer {@code expected}, in which case nothing was written */
    OptionalInt change(long id, int expected, CatalogueItem item, Instant now) {
        return database.write(sql -> bound(sql, """
                update catalogue_item set kind = :kind, name = :name, note = :note, price = :price, mass_kg = :mass, figures = :figures,
                changed_at = :now, version = version + 1 where id = :id and version = :expected""", item, now)
                                .param("id", id)
                                .param("expected", expected)
                                .update())
                        == 1
                ? OptionalInt.of(expected + 1)
                : OptionalInt.empty();
    }

    /** @return false when it is no longer {@code expected} */
    boolean remove(long id, int expected) {
        return database.write(sql -> sql.sql("delete from catalogue_item where id = :id and version = :expected")
                        .param("id", id)
                        .param("expected", expected)
                        .update())
                == 1;
    }

    /** Puts the first stock in, once in the life of a database. */
    void stockOnce(List<CatalogueItem> items, Instant now) {
        if (database.read(sql -> sql.sql("select count(*) from catalogue_stocked")
                        .query(Integer.class)
                        .single())
                > 0) {
            return;
        }
        database.write(sql -> {
            sql.sql("insert into catalogue_stocked (at) values (:now)")
                    .param("now", at(now))
                    .update();
            items.forEach(item -> insert(sql, item, null, now));
            return items.size();
        });
    }

    private static JdbcClient.StatementSpec bound(JdbcClient sql, String statement, CatalogueItem item, Instant now) {
        return sql.sql(statement)
                .param("kind", item.kind())
                .param("name", item.name())
                .param("note", item.note())
                .param("price", item.price())
                .param("mass", item.mass())
                .param("figures", item.figures().toString())
                .param("now", at(now));
    }

    private static OffsetDateTime at(Instant now) {
        return now.atOffset(ZoneOffset.UTC);
    }

    private static StoredItem item(ResultSet row, int number) throws SQLException {
        return new StoredItem(
                row.getLong("id"),
                row.getInt("version"),
                new CatalogueItem(
                        row.getString("kind"),
                        row.getString("name"),
                        row.getString("note"),
                        row.getDouble("price"),
                        row.getDouble("mass_kg"),
                        (ObjectNode) BuildFile.parse(row.getString("figures"))));
    }
}
