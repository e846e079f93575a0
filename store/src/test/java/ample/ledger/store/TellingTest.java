package ample.ledger.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import ample.ledger.core.schedule.TermCode;
import ample.ledger.core.watch.Concern;
import ample.ledger.store.Concerns.SeatWait;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.Statement;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Whom something concerns, and that everybody is told of it once, in the real PostgreSQL. */
class TellingTest {

    private static final TermCode TERM = new TermCode("autumn-2031");
    private static final Instant NOW = Instant.parse("2031-06-17T08:41:00Z");

    private TestStore store;
    private Telling telling;

    @BeforeEach
    void openTheStore() throws Exception {
        store = new TestStore();
        telling = store.telling();
    }

    /** Fourteen students, three at a time, by four instances at once, of which one dies in between five times. */
    @Test
    void anEditionIsToldToEverybodyOnceWhateverDies() throws Exception {
        IntStream.range(0, 14).forEach(i -> concern("student:%02d".formatted(i), "40129", 0));
        concern("student:else", "40101", 0);
        editionToTell();
        AtomicInteger deaths = new AtomicInteger(5);
        ExecutorService instances = Executors.newFixedThreadPool(4);
        try {
            List<Future<Void>> all = instances.invokeAll(IntStream.range(0, 4)
                    .<Callable<Void>>mapToObj(i -> () -> {
                        tellDying(deaths);
                        return null;
                    })
                    .toList());
            for (Future<Void> one : all) {
                one.get();
            }
        } finally {
            instances.shutdown();
        }
        assertThat(deaths.get()).as("all of them died").isLessThanOrEqualTo(0);
        IntStream.range(0, 14)
                .forEach(i -> assertThat(store.notices().of("student:%02d".formatted(i), 10))
                        .hasSize(1));
        assertThat(store.notices().of("student:else", 10)).isEmpty();
    }

    private void tellDying(AtomicInteger deaths) throws Exception {
        while (isToTell()) {
            try {
                telling.editions(
                        edition -> Set.of("40129"),
                        (edition, owners) -> {
                            if (deaths.getAndDecrement() > 0) {
                                throw new IllegalStateException("died");
                            }
                            return owners.stream()
                                    .map(owner -> draft(owner, "edition " + edition.now()))
                                    .toList();
                        },
                        3);
            } catch (IllegalStateException died) {
                assertThat(died).hasMessage("died");
            }
        }
    }

    private boolean isToTell() throws Exception {
        try (Connection connection = store.dataSource().getConnection();
                Statement sql = connection.createStatement();
                ResultSet left = sql.executeQuery("SELECT 1 FROM edition_to_tell")) {
            return left.next();
        }
    }

    private void editionToTell() throws Exception {
        try (Connection connection = store.dataSource().getConnection();
                Statement sql = connection.createStatement()) {
            sql.execute("INSERT INTO edition_to_tell (term, before, now) VALUES ('autumn-2031', 1, 2)");
        }
    }

    private void concern(String owner, String about, int seats) {
        store.concerns().replace(owner, Concerns.Source.KEPT, Set.of(new Concern(TERM, about, seats)));
    }

    private static Notices.Draft draft(String owner, String key) {
        return new Notices.Draft(
                owner, key, "changes", TERM.text(), "40129", "{}", NOW, Optional.empty(), Optional.of(NOW));
    }

    @Test
    void concernsAreReplacedAndFoundAgain() {
        store.concerns()
                .replace(
                        "student:wren",
                        Concerns.Source.KEPT,
                        Set.of(new Concern(TERM, "40129", 0), new Concern(TERM, "TIDE 214", 2)));
        store.concerns().replace("student:wren", Concerns.Source.REGISTRAR, Set.of(new Concern(TERM, "40136", 0)));
        assertThat(store.concerns().owners(TERM, List.of("TIDE 214", "40136"), "", 9))
                .containsExactly("student:wren");
        store.concerns().replace("student:wren", Concerns.Source.KEPT, Set.of());
        assertThat(store.concerns().owners(TERM, List.of("TIDE 214", "40129"), "", 9))
                .isEmpty();
        assertThat(store.concerns().owners(TERM, List.of("40136"), "", 9)).containsExactly("student:wren");
    }

    @Test
    void seatsAreToldOfWhenTheyOpenAndNotAgainWhileTheyStayOpen() {
        concern("student:odo", "40139", 2);
        SeatWait wait = new SeatWait("student:odo", TERM, "40139", 2);
        assertThat(store.concerns().newSeatWaits(9)).containsExactly(wait);
        look(wait, false, 4);
        assertThat(store.concerns().newSeatWaits(9)).isEmpty();
        look(wait, true, 5);
        look(wait, true, 6);
        assertThat(store.notices().of("student:odo", 9)).hasSize(1);
        look(wait, false, 5);
        look(wait, true, 6);
        assertThat(store.notices().of("student:odo", 9))
                .as("an instance that knows less has looked")
                .hasSize(1);
        look(wait, false, 7);
        look(wait, true, 8);
        assertThat(store.notices().of("student:odo", 9)).hasSize(2);
        assertThat(store.concerns().seatWaits(TERM, List.of("40139"))).containsExactly(wait);
        assertThat(store.concerns().allSeatWaits()).containsExactly(wait);
    }

    private void look(SeatWait wait, boolean open, long change) {
        telling.seats(wait, open, change, () -> draft(wait.owner(), "seats " + change));
    }

    @Test
    void aDayIsToldOnce() {
        concern("student:a", "40129", 0);
        concern("student:b", "40129", 0);
        LocalDate day = LocalDate.of(2031, 6, 17);
        assertThatThrownBy(() -> telling.day(
                        day,
                        owners -> {
                            throw new IllegalStateException("died");
                        },
                        1))
                .hasMessage("died");
        List<String> told = new ArrayList<>();
        boolean more = true;
        while (more) {
            more = telling.day(
                    day,
                    owners -> {
                        told.addAll(owners);
                        return owners.stream().map(owner -> draft(owner, "day")).toList();
                    },
                    1);
        }
        assertThat(told).containsExactlyInAnyOrder("student:a", "student:b");
        concern("student:c", "40129", 0);
        assertThat(telling.day(day, owners -> List.of(draft(owners.get(0), "day")), 9))
                .as("whom something begins to concern")
                .isTrue();
        assertThat(store.notices().of("student:c", 9)).hasSize(1);
        assertThat(telling.day(day, owners -> List.of(), 9)).isFalse();
    }

    @Test
    void whatIsDifferentOfAPersonIsAskedForUntilItIsHeard() {
        telling.changed(List.of("student:nobody"));
        assertThat(telling.toAsk(Duration.ofSeconds(10), 9)).isEmpty();
        telling.arrived("student:bryn");
        assertThat(telling.people(List.of("student:bryn")))
                .as("nothing is known yet")
                .isEmpty();
        assertThat(telling.toAsk(Duration.ofSeconds(10), 9)).containsExactly(new Telling.ToAsk("student:bryn", 1));
        hear(1, "{\"a\": 1}", Optional.empty());
        telling.changed(List.of("student:bryn"));
        assertThat(telling.toAsk(Duration.ofSeconds(10), 9)).containsExactly(new Telling.ToAsk("student:bryn", 2));
        assertThat(telling.toAsk(Duration.ofSeconds(10), 9))
                .as("another instance is at it")
                .isEmpty();
        telling.changed(List.of("student:bryn"));
        hear(2, "{\"a\": 2}", Optional.of("{\"a\": 1}"));
        assertThat(telling.toAsk(Duration.ofSeconds(10), 9))
                .as("it changed once more meanwhile")
                .containsExactly(new Telling.ToAsk("student:bryn", 3));
        hear(3, "{\"a\": 3}", Optional.of("{\"a\": 2}"));
        assertThat(telling.toAsk(Duration.ZERO, 9)).isEmpty();
        assertThat(telling.people(List.of("student:bryn")))
                .extracting(Telling.Said::file)
                .containsExactly("{\"a\": 3}");
        assertThat(telling.peopleWithOffers()).hasSize(1);
    }

    private void hear(long changes, String file, Optional<String> before) {
        telling.person("student:bryn", changes, said -> {
            assertThat(said.map(Telling.Said::file)).isEqualTo(before);
            return new Telling.Heard(
                    new Telling.Said("student:bryn", file, "{\"offers\": [1]}"),
                    Set.of(new Concern(TERM, "40129", 0)),
                    List.of(draft("student:bryn", file)));
        });
    }

    @Test
    void whatIsSeenIsSeenOnAllDevices() {
        telling.write(List.of(draft("student:wren", "one"), draft("student:wren", "two")));
        telling.write(List.of(draft("student:wren", "two")));
        List<Notices.Notice> notices = store.notices().of("student:wren", 9);
        assertThat(notices).hasSize(2).noneMatch(Notices.Notice::isSeen);
        store.visitors().change("student:wren", none -> new Visitors.Change<>(Optional.of("{}"), ""));
        assertThat(store.visitors().find("student:wren").orElseThrow().unseen())
                .containsExactly("autumn-2031 40129", "autumn-2031 40129");
        store.notices().see("student:wren", List.of(notices.get(0).id()), NOW);
        assertThat(store.notices().unseen(List.of("student:wren", "student:odo")))
                .containsExactly(new Notices.Unseen("student:wren", 1));
        store.notices().seeUpTo("student:wren", notices.get(0).id(), NOW);
        assertThat(store.visitors().find("student:wren").orElseThrow().unseen()).isEmpty();
    }
}
