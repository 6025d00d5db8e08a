package io.enthalpa.server.store.migration;

import io.enthalpa.server.store.PackedText;
import java.nio.charset.StandardCharsets;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import org.flywaydb.core.api.migration.BaseJavaMigration;
import org.flywaydb.core.api.migration.Context;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.MissingNode;

/**
 * Documents out of the table of revisions into one of their own, each as what differs from the one it was made from; names, summaries and
 * identities beside them, so that a list needs no document. A document that cannot be read any more stays out and its revision stays in:
 * it is told as unreadable, the others are not touched by it.
 */
public final class V3__SmallRevisions extends BaseJavaMigration {
    private static final int DEEPEST = 31;
    private static final String[] BEFORE = {
        "alter table enthalpa_meta add column edits bigint default 0 not null",
        "alter table build add column uid uuid default random_uuid() not null",
        "alter table build add constraint build_uid unique (uid)",
        "alter table build add column name varchar(200) default '' not null",
        "alter table build add column summary varchar(1000) default '' not null",
        "alter table build add column put_away_at timestamp with time zone",
        "alter table revision add column name varchar(120)",
        "alter table revision add column edit_id varchar(64)",
        "alter table revision add constraint revision_edit unique (build_id, edit_id)",
        """
        create table content (
            build_id bigint not null,
            number integer not null,
            part integer not null,
            base integer,
            depth integer not null,
            shared_start integer not null,
            shared_end integer not null,
            length integer not null,
            checksum bigint not null,
            bytes varbinary(1000000) not null,
            primary key (build_id, number, part)
        )""",
        """
        create table verdict (
            build_id bigint primary key,
            number integer not null,
            made_by varchar(80) not null,
            card varchar(1000000) not null
        )""",
        "alter table catalogue_item add column uid uuid default random_uuid() not null",
        "alter table catalogue_item add column version integer default 1 not null",
    };

    @Override
    public void migrate(Context context) throws SQLException {
        Connection connection = context.getConnection();
        try (Statement statement = connection.createStatement()) {
            for (String sql : BEFORE) {
                statement.execute(sql);
            }
            pack(connection);
            statement.execute("alter table revision drop column document");
            statement.execute("update enthalpa_meta set edits = (select count(*) from revision)");
        }
    }

    private static void pack(Connection connection) throws SQLException {
        try (Statement list = connection.createStatement();
                ResultSet rows = list.executeQuery(
                        "select r.build_id, r.number, b.head from revision r join build b on b.id = r.build_id order by 1, 2");
                PreparedStatement read =
                        connection.prepareStatement("select document from revision where build_id = ? and number = ?");
                PreparedStatement write =
                        connection.prepareStatement("insert into content values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)");
                PreparedStatement name =
                        connection.prepareStatement("update build set name = ?, summary = ? where id = ?")) {
            long build = -1;
            int before = 0;
            int depth = 0;
            byte[] last = new byte[0];
            while (rows.next()) {
                if (rows.getLong(1) != build) {
                    // The last document that could be read is another build's.
                    last = new byte[0];
                }
                build = rows.getLong(1);
                int number = rows.getInt(2);
                byte[] text = document(read, build, number);
                if (number == rows.getInt(3)) {
                    called(name, build, text);
                }
                if (text == null) {
                    continue;
                }
                boolean whole = last.length == 0 || depth >= DEEPEST;
                depth = whole ? 0 : depth + 1;
                PackedText packed = PackedText.of(whole ? new byte[0] : last, text);
                insert(write, build, number, whole ? null : before, depth, packed);
                last = text;
                before = number;
            }
        }
    }

    private static void called(PreparedStatement name, long build, byte[] text) throws SQLException {
        JsonNode document = MissingNode.getInstance();
        try {
            document = text == null ? document : JsonMapper.shared().readTree(text);
        } catch (JacksonException unreadable) {
            // Named by its number.
        }
        name.setString(1, cut(document.path("name").asString("build " + build), 200));
        name.setString(2, cut(document.path("summary").asString(""), 1000));
        name.setLong(3, build);
        name.executeUpdate();
    }

    private static String cut(String text, int longest) {
        return text.length() > longest ? text.substring(0, longest) : text;
    }

    private static byte @Nullable [] document(PreparedStatement read, long build, int number) {
        try {
            read.setLong(1, build);
            read.setInt(2, number);
            try (ResultSet row = read.executeQuery()) {
                String document = row.next() ? row.getString(1) : null;
                return document == null ? null : document.getBytes(StandardCharsets.UTF_8);
            }
        } catch (SQLException unreadable) {
            return null;
        }
    }

    private static void insert(
            PreparedStatement write, long build, int number, @Nullable Integer base, int depth, PackedText packed)
            throws SQLException {
        int part = 0;
        for (byte[] piece : packed.parts()) {
            write.setLong(1, build);
            write.setInt(2, number);
            write.setInt(3, part++);
            write.setObject(4, base);
            write.setInt(5, depth);
            write.setInt(6, packed.start());
            write.setInt(7, packed.end());
            write.setInt(8, packed.length());
            write.setLong(9, packed.checksum());
            write.setBytes(10, piece);
            write.executeUpdate();
        }
    }
}
