package ample.ledger.store;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.registrar.SeatWord;
import ample.ledger.core.schedule.SeatPool.Count;
import ample.ledger.core.schedule.TermCode;
import ample.ledger.store.SeatWords.Numbered;
import java.sql.Connection;
import java.sql.Statement;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.Executors;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Words on seats in the real PostgreSQL. */
class SeatWordsTest {

    private static final Instant NOW = Instant.parse("2031-06-17T08:41:00Z");
    private static final SeatWord FIRST = new SeatWord(new TermCode("autumn-2031"), "P1", new Count(10, 0, 0), NOW);
    private static final SeatWord OTHER = new SeatWord(new TermCode("autumn-2031"), "P2", new Count(30, 4, 1), NOW);

    private static TestStore store;

    @BeforeAll
    static void openTheStore() throws Exception {
        store = new TestStore();
    }

    @BeforeEach
    void beginAnew() throws Exception {
        try (Connection connection = store.dataSource().getConnection();
                Statement sql = connection.createStatement()) {
            sql.execute("DELETE FROM seat_word");
        }
    }

    @Test
    void theLastWordOnAPoolHolds() {
        SeatWord second = new SeatWord(new TermCode("autumn-2031"), "P1", new Count(11, 0, 0), NOW.plusSeconds(5));
        store.seatWords().put(List.of(FIRST, OTHER));
        store.seatWords().put(List.of(second));

        assertThat(store.seatWords().since(0)).extracting(Numbered::word).containsExactly(OTHER, second);
    }

    @Test
    void whatComesAfterAChangeIsAllThatWasNotKnown() {
        store.seatWords().put(List.of(FIRST));
        long known = last(store.seatWords().since(0));
        store.seatWords().put(List.of(OTHER));

        assertThat(store.seatWords().since(known)).extracting(Numbered::word).containsExactly(OTHER);
        assertThat(store.seatWords().since(last(store.seatWords().since(0)))).isEmpty();
    }

    /** Two instances hear the same from the registrar; what comes late does not take the place of what is newer. */
    @Test
    void aWordThatIsNotLaterChangesNothing() {
        SeatWord later = new SeatWord(new TermCode("autumn-2031"), "P1", new Count(12, 0, 0), NOW.plusSeconds(9));
        store.seatWords().put(List.of(later));
        List<Numbered> before = store.seatWords().since(0);

        store.seatWords().put(List.of(later));
        store.seatWords().put(List.of(FIRST));

        assertThat(store.seatWords().since(0)).isEqualTo(before);
    }

    /** Whoever asks while many put always sees all changes up to the last that it sees: none with a lower number comes later. */
    @Test
    void changesAreSeenInTheOrderOfTheirNumbers() throws Exception {
        var putting = Executors.newFixedThreadPool(4);
        try {
            for (int i = 0; i < 200; i++) {
                SeatWord word = new SeatWord(new TermCode("autumn-2031"), "Q" + i, new Count(i, 0, 0), NOW);
                putting.execute(() -> store.seatWords().put(List.of(word)));
            }
            putting.shutdown();
            Set<Long> seen = new TreeSet<>();
            long known = 0;
            while (!putting.isTerminated() || seen.size() < 200) {
                for (Numbered word : store.seatWords().since(known)) {
                    seen.add(word.change());
                    known = word.change();
                }
            }
            assertThat(store.seatWords().since(0)).extracting(Numbered::change).containsExactlyElementsOf(seen);
        } finally {
            putting.shutdownNow();
        }
    }

    private static long last(List<Numbered> words) {
        return words.get(words.size() - 1).change();
    }

    /** Were the thread to end with it, no instance would hear of anything any more, and nobody of that. */
    @Test
    void anErrorDoesNotEndTheHearing() throws Exception {
        var told = new Semaphore(0);
        var news = new News(News.Channel.SEATS, store.dataSource(), Duration.ofMillis(50), () -> {
            told.release();
            throw new StackOverflowError("on purpose");
        });
        try {
            assertThat(told.tryAcquire(3, 20, TimeUnit.SECONDS)).isTrue();
        } finally {
            news.destroy();
        }
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
