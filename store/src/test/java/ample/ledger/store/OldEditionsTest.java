package ample.ledger.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import ample.ledger.core.edition.Edition;
import ample.ledger.core.exchange.BundleFormat;
import ample.ledger.core.exchange.ScheduleBundle;
import ample.ledger.core.exchange.TableSchema;
import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.schedule.TermCode;
import ample.ledger.demo.DemoBundles;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.Statement;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.Test;

class OldEditionsTest {

    private static final TermCode AUTUMN = new TermCode("autumn-2031");
    private static final Instant FIRST = Instant.parse("2031-01-10T09:00:00Z");
    private static final Duration KEPT = Duration.ofDays(90);

    @Test
    void onlyWhatNobodyNeedsIsRemovedAndOnlyByTheOwner() throws Exception {
        TestDatabase database = TestDatabase.create();
        TestStore store = new TestStore(database);
        Editions editions = store.editions();
        for (int month = 0; month < 4; month++) {
            ScheduleBundle bundle = ScheduleBundle.of(new DemoBundles(Schedules.kernel(), 20 + month).autumn(300));
            editions.post(bundle, "", "desk", FIRST.plus(Duration.ofDays(30L * month)));
        }
        editions.makeCurrent(AUTUMN, 2);
        try (Connection connection = store.dataSource().getConnection();
                Statement sql = connection.createStatement()) {
            assertThatThrownBy(() -> sql.execute("DELETE FROM edition")).hasMessageContaining("permission denied");
            // Everybody has been told of them but of the third.
            sql.execute("DELETE FROM edition_to_tell WHERE now <> 3");
        }

        assertThat(OldEditions.remove(database.asOwner(), KEPT, FIRST.plus(Duration.ofDays(119))))
                .as("the first was replaced after 30 days, and is kept for 90 more")
                .isEmpty();
        assertThat(OldEditions.remove(database.asOwner(), KEPT, FIRST.plus(Duration.ofDays(400))))
                .as(
                        "the second is current again, of the third somebody is still to be told, and no other has replaced the fourth")
                .containsExactly("edition 1 of autumn-2031");

        assertThat(editions.history(AUTUMN)).extracting(Edition::number).containsExactly(4, 3, 2);
        assertThat(editions.schedule(editions.current(AUTUMN).orElseThrow()).sections())
                .isNotEmpty();
        try (Connection connection = database.asOwner().getConnection();
                Statement sql = connection.createStatement()) {
            for (TableSchema table : BundleFormat.current().tables()) {
                try (ResultSet left =
                        sql.executeQuery("SELECT count(*) FROM " + table.name() + " WHERE edition_id = 1")) {
                    left.next();
                    assertThat(left.getInt(1)).as("left in " + table.name()).isZero();
                }
            }
            try (ResultSet noted = sql.executeQuery("SELECT who, what FROM desk_act")) {
                assertThat(noted.next()).isTrue();
                assertThat(List.of(noted.getString(1), noted.getString(2)))
                        .containsExactly("the owner of the database", "removed edition 1 of autumn-2031");
            }
        }
    }
}
