package ample.ledger.store;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.store.Plans.Book;
import ample.ledger.store.Plans.Share;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** Plans in the real PostgreSQL. */
class PlansTest {

    private static final Instant NOW = Instant.parse("2031-06-17T08:41:00Z");

    private static Plans plans;

    @BeforeAll
    static void openTheStore() throws Exception {
        plans = new TestStore().plans();
    }

    @Test
    void aBookIsKeptOnlyOverTheVersionItWasMadeFrom() {
        assertThat(plans.book("wren")).isEmpty();
        assertThat(plans.keep("wren", 0, new Book(1, "{\"a\": 1}"), NOW)).isTrue();
        assertThat(plans.keep("wren", 0, new Book(1, "{\"b\": 1}"), NOW)).isFalse();
        assertThat(plans.keep("wren", 1, new Book(2, "{\"c\": 1}"), NOW)).isTrue();
        assertThat(plans.keep("wren", 1, new Book(2, "{\"d\": 1}"), NOW)).isFalse();
        assertThat(plans.book("wren")).hasValue(new Book(2, "{\"c\": 1}"));
    }

    @Test
    void ofManyAtOnceOneIsKept() throws Exception {
        plans.keep("maris", 0, new Book(1, "{}"), NOW);
        ExecutorService windows = Executors.newFixedThreadPool(8);
        try {
            List<Callable<Boolean>> all = IntStream.range(0, 40)
                    .<Callable<Boolean>>mapToObj(
                            i -> () -> plans.keep("maris", 1, new Book(2, "{\"i\": " + i + "}"), NOW))
                    .toList();
            int kept = 0;
            for (Future<Boolean> one : windows.invokeAll(all)) {
                kept += one.get() ? 1 : 0;
            }
            assertThat(kept).isEqualTo(1);
        } finally {
            windows.shutdownNow();
        }
    }

    @Test
    void aShareShowsThePlanUntilItsOwnerWithdrawsIt() {
        Share share = new Share("token", "guest:1", "reading", "autumn-2031", "1", "{\"a\": 1}");
        plans.share(share, NOW);
        plans.showChanged("guest:1", "autumn-2031", "1", "{\"a\": 2}");
        plans.showChanged("guest:2", "autumn-2031", "1", "{\"a\": 3}");
        plans.withdraw("guest:2", "token");
        assertThat(plans.share("token")).map(Share::content).hasValue("{\"a\": 2}");

        plans.share(new Share("later", "guest:3", "reading", "autumn-2031", "1", "{}"), NOW.plus(Duration.ofDays(300)));
        assertThat(plans.share("token")).isPresent();

        plans.handOver("guest:1", "odo");
        assertThat(plans.sharesOf("odo")).extracting(Share::token).containsExactly("token");
        plans.withdraw("odo", "token");
        assertThat(plans.share("token")).isEmpty();
        plans.share(new Share("last", "guest:3", "reading", "autumn-2031", "1", "{}"), NOW.plus(Duration.ofDays(700)));
        assertThat(plans.share("later")).as("after a year").isEmpty();
    }
}
