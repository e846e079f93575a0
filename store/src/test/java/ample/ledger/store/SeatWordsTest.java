package ample.ledger.store;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.registrar.SeatWord;
import ample.ledger.core.schedule.SeatPool.Count;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Words on seats in the real PostgreSQL. */
class SeatWordsTest {

    private static final Instant NOW = Instant.parse("2031-06-17T08:41:00Z");
    private static final SeatWord FIRST = new SeatWord("autumn-2031", "P1", new Count(10, 0, 0), NOW);
    private static final SeatWord OTHER = new SeatWord("autumn-2031", "P2", new Count(30, 4, 1), NOW);

    private static TestStore store;

    @BeforeAll
    static void openTheStore() throws Exception {
        store = new TestStore();
    }

    @BeforeEach
    void beginAnew() {
        store.seatWords().forget();
    }

    @Test
    void theLastWordOnAPoolHolds() {
        SeatWord second = new SeatWord("autumn-2031", "P1", new Count(11, 0, 0), NOW.plusSeconds(5));
        store.seatWords().put(List.of(FIRST, OTHER));
        store.seatWords().put(List.of(second));

        assertThat(store.seatWords().since(Instant.EPOCH).words()).containsExactly(OTHER, second);
    }

    @Test
    void whatIsAskedNextLeavesNothingOut() {
        store.seatWords().put(List.of(FIRST));
        Instant next = store.seatWords().since(Instant.EPOCH).next();
        store.seatWords().put(List.of(OTHER));

        assertThat(store.seatWords().since(next).words()).contains(OTHER);
        assertThat(store.seatWords().since(Instant.now().plusSeconds(60)).words())
                .isEmpty();
    }

    @Test
    void wordsAreAnnounced() throws Exception {
        var told = new Semaphore(0);
        var news = new News(News.Channel.SEATS, store.dataSource(), Duration.ofMinutes(5), told::release);
        try {
            assertThat(told.tryAcquire(1, 20, TimeUnit.SECONDS)).isTrue();
            store.seatWords().put(List.of(FIRST));
            assertThat(told.tryAcquire(1, 20, TimeUnit.SECONDS)).isTrue();
        } finally {
            news.destroy();
        }
    }
}
