package ample.ledger.store;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.edition.Edition;
import ample.ledger.core.schedule.CrossListing;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Season;
import ample.ledger.core.schedule.SeasonCode;
import ample.ledger.core.schedule.TermCode;
import java.sql.Connection;
import java.sql.Statement;
import java.util.Map;
import java.util.Optional;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.MigrationVersion;
import org.junit.jupiter.api.Test;

/** That a database of an earlier version of the program goes on. */
class MigrationTest {

    private final TestDatabase database = TestDatabase.create();

    @Test
    void anEditionOfTheFirstFormatIsStillReadAndSaysNoMoreThanItDid() throws Exception {
        migrateTo("1");
        try (Connection connection = database.asOwner().getConnection();
                Statement sql = connection.createStatement()) {
            for (String row : new String[] {
                "edition VALUES (DEFAULT, 'autumn-2031', 1, now(), 'Old', 'abc')",
                "current_edition VALUES ('autumn-2031', 1)",
                "institution VALUES (1, 1, 'halvermere', 'Halvermere', 'Europe/London')",
                "terms VALUES (1, 1, 'autumn-2031', 'Autumn 2031', '2031-09-08', '2031-12-19')",
                "spans VALUES (1, 1, 'autumn-2031', 'full-term', 'Full term', '2031-09-08', '2031-12-19')",
                "campuses VALUES (1, 1, 'tidewall', 'Tidewall', false)",
                "subjects VALUES (1, 1, 'GLAC', 'Glaciology'), (1, 2, 'LIMN', 'Limnology')",
                "courses VALUES (1, 1, 'GLAC', '120', 'Ice', 'Cold.', 3, 1), (1, 2, 'LIMN', '120', 'Ice', 'Wet.', 3, 1)",
                "restrictions VALUES (1, 1, 'GLAC', '120', 'Second-year standing.')",
                "seat_pools VALUES (1, 1, 'A', 20, 0, 5, 0, 0)",
                "held_seats VALUES (1, 1, 'A', 'majors', 2, '2031-08-01')",
                "sections VALUES (1, 1, '40101', 'autumn-2031', 'GLAC', '120', 'T1', 'lecture', 'tidewall', 'on-site',"
                        + " 'full-term', 'A', false), (1, 2, '40102', 'autumn-2031', 'LIMN', '120', 'T1', 'lecture',"
                        + " 'tidewall', 'on-site', 'full-term', 'A', false)",
            }) {
                sql.execute("INSERT INTO ledger." + row);
            }
        }

        Editions editions = new TestStore(database).editions();

        Edition edition = editions.current(new TermCode("autumn-2031")).orElseThrow();
        Schedule schedule = editions.schedule(edition);
        assertThat(edition.institution()).isEqualTo("halvermere");
        assertThat(schedule.term().season()).isEqualTo(new Season(new SeasonCode("autumn-2031"), "Autumn 2031"));
        assertThat(schedule.courses().get(0).rules().restrictions())
                .singleElement()
                .satisfies(restriction -> {
                    assertThat(restriction.rule()).isEmpty();
                    assertThat(restriction.sentence()).isEqualTo("Second-year standing.");
                });
        assertThat(schedule.sections())
                .extracting(section -> section.listing())
                .containsExactly(Optional.of(new CrossListing("A", true)), Optional.of(new CrossListing("A", false)));
    }

    @Test
    void studentsKeepTheirPlansAndNobodyWhoLooksAtOneReadsItsNotes() throws Exception {
        migrateTo("8");
        try (Connection connection = database.asOwner().getConnection();
                Statement sql = connection.createStatement()) {
            for (String row : new String[] {
                "plan_book VALUES ('wren', 4, '{\"version\": 4}', now())",
                "plan_share VALUES ('one', 'wren', 'reading', 'autumn-2031', '1', '{\"notes\": \"Mine\"}', now())",
                "plan_share VALUES ('two', 'guest:abc', 'reading', 'autumn-2031', '1', '{\"notes\": \"Mine\"}', now())",
                "seat_word VALUES ('autumn-2031', 'P1', 10, 0, 0, now(), now())",
            }) {
                sql.execute("INSERT INTO ledger." + row);
            }
        }

        TestStore store = new TestStore(database);

        assertThat(store.visitors().find("student:wren"))
                .map(Visitors.Found::content)
                .hasValue("{\"plans\": {\"version\": 4}}");
        assertThat(store.shares().of("student:wren"))
                .extracting(Shares.Share::content)
                .containsExactly("{\"notes\": \"\"}");
        assertThat(store.shares().find("two")).isPresent();
        assertThat(store.seatWords().since(0)).hasSize(1);
    }

    private void migrateTo(String version) {
        Flyway.configure()
                .dataSource(database.asOwner())
                .defaultSchema("ledger")
                .createSchemas(false)
                .placeholders(Map.of("app_role", "ledger_app"))
                .target(MigrationVersion.fromVersion(version))
                .load()
                .migrate();
    }
}
