package io.enthalpa.server.store;

import java.util.OptionalLong;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.simple.JdbcClient;

/** Whether a database file still holds all that was acknowledged. Every row of every table is read, so that no damaged page stays unseen. */
final class Soundness {
    private static final String[] TABLES = {
        "ENTHALPA_META", "BUILD", "REVISION", "CONTENT", "CATALOGUE_ITEM", "CATALOGUE_STOCKED", "VERDICT"
    };

    private Soundness() {}

    /** @throws DataAccessException when a page of the table cannot be read */
    static void readAll(JdbcClient sql, String table) {
        sql.sql("select * from \"" + table + "\"").query(row -> {
            for (int column = 1; column <= row.getMetaData().getColumnCount(); column++) {
                row.getObject(column);
            }
        });
    }

    /**
     * @param acknowledged edits that the folder knows of
     * @return what is wrong, in words; empty when all is well
     */
    static String fault(JdbcClient sql, OptionalLong acknowledged) {
        try {
            for (String table : TABLES) {
                readAll(sql, table);
            }
            long edits =
                    sql.sql("select edits from enthalpa_meta").query(Long.class).single();
            if (edits < acknowledged.orElse(0)) {
                return "%d of the %d edits that were kept in it are missing"
                        .formatted(acknowledged.getAsLong() - edits, acknowledged.getAsLong());
            }
            int headless = sql.sql("""
                    select count(*) from build b where not exists (select 1 from revision r where r.build_id = b.id and r.number = b.head)
                    """).query(Integer.class).single();
            return headless > 0 ? headless + " builds in it have lost their newest version" : "";
        } catch (DataAccessException e) {
            return "parts of it cannot be read";
        }
    }
}
