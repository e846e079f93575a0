package ample.ledger.store;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.schedule.SeasonCode;
import ample.ledger.store.Shares.Share;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** Shown plans in the real PostgreSQL. */
class SharesTest {

    private static final Instant NOW = Instant.parse("2031-06-17T08:41:00Z");

    private static TestStore store;
    private static Shares shares;

    @BeforeAll
    static void openTheStore() throws Exception {
        store = new TestStore();
        shares = store.shares();
        for (String owner : new String[] {"guest:1", "guest:2", "guest:3", "student:odo"}) {
            store.visitors().change(owner, none -> new Visitors.Change<>(Optional.of("{}"), ""));
        }
    }

    @Test
    void aShareShowsThePlanUntilItsOwnerWithdrawsIt() {
        shares.share(share("token", "guest:1", false), NOW);
        shares.showChanged("guest:1", new SeasonCode("autumn-2031"), "1", "{\"a\": 2, \"notes\": 1}", "{\"a\": 2}");
        shares.showChanged("guest:2", new SeasonCode("autumn-2031"), "1", "{\"a\": 3}", "{\"a\": 3}");
        shares.withdraw("guest:2", "token");
        assertThat(shares.find("token")).map(Share::content).hasValue("{\"a\": 2}");

        shares.share(share("later", "guest:3", false), NOW.plus(Duration.ofDays(300)));
        assertThat(shares.find("token")).isPresent();

        shares.handOver("guest:1", "student:odo");
        assertThat(shares.of("student:odo")).extracting(Share::token).containsExactly("token");
        shares.withdraw("student:odo", "token");
        assertThat(shares.find("token")).isEmpty();
        shares.share(share("last", "guest:3", false), NOW.plus(Duration.ofDays(700)));
        assertThat(shares.find("later")).as("after a year").isEmpty();
    }

    @Test
    void notesAreShownOnlyWhereTheirOwnerSaysSo() {
        shares.share(share("with", "guest:2", true), NOW);
        shares.share(share("without", "guest:2", false), NOW);
        shares.showChanged("guest:2", new SeasonCode("autumn-2031"), "1", "{\"notes\": \"Mine\"}", "{\"notes\": \"\"}");

        assertThat(shares.find("with")).map(Share::content).hasValue("{\"notes\": \"Mine\"}");
        assertThat(shares.find("without")).map(Share::content).hasValue("{\"notes\": \"\"}");
        assertThat(shares.find("with")).map(Share::withRecord).hasValue(true);
        assertThat(shares.find("without")).map(Share::withRecord).hasValue(false);
    }

    @Test
    void whatAVisitorShowsGoesWithThem() {
        store.visitors().change("guest:gone", none -> new Visitors.Change<>(Optional.of("{}"), ""));
        shares.share(share("shown", "guest:gone", false), NOW);
        store.visitors().forget("guest:gone");

        assertThat(shares.find("shown")).isEmpty();
    }

    private static Share share(String token, String owner, boolean withNotes) {
        return new Share(
                token, owner, "reading", new SeasonCode("autumn-2031"), "1", withNotes, withNotes, "{\"a\": 1}");
    }
}
