package io.enthalpa.server.catalogue;

import io.enthalpa.formats.BuildFile;
import io.enthalpa.formats.CatalogueItem;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.support.GeneratedKeyHolder;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionOperations;
import tools.jackson.databind.node.ObjectNode;

/** Catalogue items in the database. */
@Component
class CatalogueStore {
    private final JdbcClient sql;
    private final TransactionOperations transaction;

    CatalogueStore(JdbcClient sql, TransactionOperations transaction) {
        this.sql = sql;
        this.transaction = transaction;
    }

    List<StoredItem> all() {
        return sql.sql("select * from catalogue_item order by id").query(CatalogueStore::item).list();
    }

    Optional<StoredItem> one(long id) {
        return sql.sql("select * from catalogue_item where id = :id").param("id", id).query(CatalogueStore::item).optional();
    }

    long add(CatalogueItem item, Instant now) {
        GeneratedKeyHolder key = new GeneratedKeyHolder();
        bound("""
                insert into catalogue_item (kind, name, note, price, mass_kg, figures, changed_at)
                values (:kind, :name, :note, :price, :mass, :figures, :now)""", item, now).update(key, "id");
        return key.getKeyAs(Number.class).longValue();
    }

    /** All or none. */
    void addAll(List<CatalogueItem> items, Instant now) {
        transaction.executeWithoutResult(status -> items.forEach(item -> add(item, now)));
    }

    boolean change(long id, CatalogueItem item, Instant now) {
        return bound("""
                update catalogue_item set kind = :kind, name = :name, note = :note, price = :price, mass_kg = :mass, figures = :figures,
                changed_at = :now where id = :id""", item, now).param("id", id).update() == 1;
    }

    boolean remove(long id) {
        return sql.sql("delete from catalogue_item where id = :id").param("id", id).update() == 1;
    }

    /** Puts the first stock in, once in the life of a database. */
    void stockOnce(List<CatalogueItem> items, Instant now) {
        transaction.executeWithoutResult(status -> {
            if (sql.sql("select count(*) from catalogue_stocked").query(Integer.class).single() == 0) {
                sql.sql("insert into catalogue_stocked (at) values (:now)").param("now", at(now)).update();
                items.forEach(item -> add(item, now));
            }
        });
    }

    private JdbcClient.StatementSpec bound(String statement, CatalogueItem item, Instant now) {
        return sql.sql(statement).param("kind", item.kind()).param("name", item.name()).param("note", item.note()).param("price", item.price())
                .param("mass", item.mass()).param("figures", item.figures().toString()).param("now", at(now));
    }

    private static OffsetDateTime at(Instant now) {
        return now.atOffset(ZoneOffset.UTC);
    }

    private static StoredItem item(ResultSet row, int number) throws SQLException {
        return new StoredItem(row.getLong("id"), new CatalogueItem(row.getString("kind"), row.getString("name"), row.getString("note"),
                row.getDouble("price"), row.getDouble("mass_kg"), (ObjectNode) BuildFile.parse(row.getString("figures"))));
    }
}
