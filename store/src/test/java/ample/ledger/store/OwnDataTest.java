package ample.ledger.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;
import org.junit.jupiter.api.Test;

/** On a real database, of which each table is looked through. */
class OwnDataTest {

    private static final String MARIS = "student:maris";
    private static final String ODO = "student:odo";

    /** Of two students everything there is. */
    private static void fill(Statement sql, String owner) throws SQLException {
        String name = owner.substring("student:".length());
        sql.execute("INSERT INTO visitor (owner, version, content, changed_at, came_back) VALUES ('" + owner
                + "', 1, '{\"briefs\": [\"of " + name + "\"]}', now(), true)");
        sql.execute(
                "INSERT INTO plan_share (token, owner, purpose, season, plan_id, content, with_notes, with_record, created_at)"
                        + " VALUES ('secret-of-" + name + "', '" + owner
                        + "', 'reading', 'autumn-2031', '1', '{}', true, false, now())");
        sql.execute("INSERT INTO person (owner, file) VALUES ('" + owner + "', '{\"name\": \"" + name + "\"}')");
        sql.execute("INSERT INTO concern (owner, source, term, about, seats) VALUES ('" + owner
                + "', 'kept', 'autumn-2031', '40129', 0)");
        sql.execute("INSERT INTO notice (owner, key, kind, term, about, content, made_at) VALUES ('" + owner
                + "', 'k', 'changes', 'autumn-2031', '40129', '{}', now())");
        sql.execute("INSERT INTO letter (id, owner) VALUES ('letter-" + name + "', '" + owner + "')");
        sql.execute("INSERT INTO private_address (owner, purpose, token) VALUES ('" + owner + "', 'feed', 'feed-of-"
                + name + "')");
        sql.execute("INSERT INTO submission_asked (student, id, requests, asked_at) VALUES ('" + name
                + "', 'one', '[]', now())");
    }

    @Test
    void allIsTakenAwayAndDeletedOfOneAndNothingOfAnother() throws Exception {
        TestStore store = new TestStore();
        OwnData own = store.ownData();
        try (Connection connection = store.dataSource().getConnection();
                Statement sql = connection.createStatement()) {
            fill(sql, MARIS);
            fill(sql, ODO);
            String odos = own.all(ODO);

            String all = own.all(MARIS);
            assertThat(all)
                    .contains(
                            "of maris",
                            "\"name\": \"maris\"",
                            "40129",
                            "letter-maris",
                            "\"purpose\": \"feed\"",
                            "\"id\": \"one\"")
                    .doesNotContain("odo")
                    .as("secrets stay secret")
                    .doesNotContain("secret-of-maris", "feed-of-maris");

            own.delete(MARIS);
            own.delete(MARIS);
            assertThat(own.all(ODO)).isEqualTo(odos);
            try (ResultSet tables = connection
                    .createStatement()
                    .executeQuery("SELECT table_name FROM information_schema.columns"
                            + " WHERE table_schema = 'ledger' AND column_name = 'owner'")) {
                while (tables.next()) {
                    String table = tables.getString(1);
                    try (ResultSet left =
                            sql.executeQuery("SELECT count(*) FROM " + table + " WHERE owner = '" + MARIS + "'")) {
                        left.next();
                        assertThat(left.getInt(1)).as("left in " + table).isZero();
                    }
                }
            }
        }
    }

    @Test
    void whoHasNeitherSignedInNorChangedAnythingForLongIsForgotten() throws Exception {
        TestStore store = new TestStore();
        try (Connection connection = store.dataSource().getConnection();
                Statement sql = connection.createStatement()) {
            for (String name : List.of("gone", "looks", "changes", "only-signed-in")) {
                fill(sql, "student:" + name);
            }
            sql.execute("DELETE FROM visitor WHERE owner = 'student:only-signed-in'");
            sql.execute("UPDATE visitor SET changed_at = now() - interval '401 days' WHERE owner <> 'student:changes'");
            sql.execute("UPDATE person SET signed_in_at = now() - interval '401 days'");
            store.telling().arrived("student:looks");

            assertThat(store.ownData().deleteLongGone()).isEqualTo(2);

            try (ResultSet left = sql.executeQuery("SELECT string_agg(owner, ' ' ORDER BY owner) FROM person")) {
                left.next();
                assertThat(left.getString(1)).isEqualTo("student:changes student:looks");
            }
        }
        assertThat(store.ownData().deleteLongGone()).isZero();
    }

    @Test
    void whatTheDeskDidCannotBeChanged() throws Exception {
        TestStore store = new TestStore();
        try (Connection connection = store.dataSource().getConnection();
                Statement sql = connection.createStatement()) {
            sql.execute("INSERT INTO desk_act (at, who, what) VALUES (now(), 'desk', 'posted edition 1')");
            assertThatThrownBy(() -> sql.execute("UPDATE desk_act SET who = 'nobody'"))
                    .hasMessageContaining("permission denied");
            assertThatThrownBy(() -> sql.execute("DELETE FROM desk_act")).hasMessageContaining("permission denied");
        }
    }
}
