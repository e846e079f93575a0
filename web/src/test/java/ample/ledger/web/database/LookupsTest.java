package ample.ledger.web.database;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.time.Instant;
import java.time.InstantSource;
import java.time.ZoneOffset;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicReference;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.springframework.dao.CannotAcquireLockException;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.dao.QueryTimeoutException;

/** Who opens a page waits no longer than they have patience for, and once. */
class LookupsTest {

    private final DatabaseBreaker database = new DatabaseBreaker();
    private final CountDownLatch never = new CountDownLatch(1);

    @AfterEach
    void letGo() {
        never.countDown();
    }

    @Test
    void whoWaitsInVainIsToldAndOthersDoNotWait() {
        Lookups lookups = new Lookups(database, Duration.ofMillis(10));

        assertThatThrownBy(() -> lookups.soon(this::waitForEver)).isInstanceOf(QueryTimeoutException.class);

        assertThatThrownBy(() -> lookups.soon(() -> "asked"))
                .as("others are not asked for")
                .isInstanceOf(QueryTimeoutException.class);
        assertThat(database.mayAsk()).as("who changes something waits longer").isTrue();
    }

    @Test
    void whoWaitsAlreadyDoesNotWaitOn() throws Exception {
        Lookups lookups = new Lookups(database, Duration.ofHours(1));
        CountDownLatch asked = new CountDownLatch(1);
        CompletableFuture<Boolean> other = CompletableFuture.supplyAsync(() -> lookups.soon(() -> {
            asked.countDown();
            return waitForEver();
        }));
        asked.await();

        assertThatThrownBy(() -> lookups.soon(this::waitForEver, Duration.ofMillis(10)))
                .isInstanceOf(QueryTimeoutException.class);

        assertThatThrownBy(() -> other.get(20, TimeUnit.SECONDS)).cause().isInstanceOf(QueryTimeoutException.class);
    }

    /** Otherwise somebody would wait again each time that the database is not asked. */
    @Test
    void whatIsRefusedAtOnceDoesNotShowThatAnswersComeInTime() throws Exception {
        AtomicReference<Instant> now = new AtomicReference<>(Instant.EPOCH);
        DatabaseBreaker inTime = new DatabaseBreaker(((InstantSource) now::get).withZone(ZoneOffset.UTC));
        Lookups lookups = new Lookups(database, inTime, Duration.ofMillis(10));
        assertThatThrownBy(() -> lookups.soon(this::waitForEver)).isInstanceOf(QueryTimeoutException.class);
        now.set(now.get().plus(DatabaseBreaker.PAUSE).plusMillis(1));

        assertThatThrownBy(() -> lookups.soon(() -> {
                    throw new DataAccessResourceFailureException("not asked");
                }))
                .isInstanceOf(QueryTimeoutException.class);

        // What was found out for nobody's sake is noted once another may find out.
        for (int i = 0; i < 400 && !inTime.mayAsk(); i++) {
            Thread.sleep(50);
            now.set(now.get().plus(DatabaseBreaker.PAUSE).plusMillis(1));
        }
        assertThat(inTime.isDoubtful()).isTrue();
    }

    @Test
    void whatIsFoundAndWhatWentWrongComeBackAsTheyAre() {
        Lookups lookups = new Lookups(database, Duration.ofSeconds(30));

        assertThat(lookups.soon(() -> "found")).isEqualTo("found");
        assertThatThrownBy(() -> lookups.soon(() -> {
                    throw new CannotAcquireLockException("taken");
                }))
                .isInstanceOf(CannotAcquireLockException.class);
        assertThat(lookups.soon(() -> "found")).as("it came in time").isEqualTo("found");
        assertThat(database.mayAsk()).as("and is known").isFalse();
    }

    private boolean waitForEver() {
        try {
            never.await();
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
        return true;
    }
}
