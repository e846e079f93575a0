package ample.ledger.core.watch;

import static ample.ledger.core.fixtures.SectionBuilder.section;
import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.exchange.ScheduleBundle;
import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.reading.OwnOpening;
import ample.ledger.core.registrar.Entry;
import ample.ledger.core.registrar.Hold;
import ample.ledger.core.registrar.Registration;
import ample.ledger.core.registrar.Registration.Offer;
import ample.ledger.core.registrar.RoundStanding;
import ample.ledger.core.schedule.Opening;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.WishRound;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class PersonalNoticesTest {

    private static final Instant NOW = Instant.parse("2031-06-17T08:00:00Z");
    private static final Entry PART = new Entry("autumn-2031", "40129");
    private static final Hold LIBRARY = new Hold(
            "The library", "registering", "Two books are overdue.", LocalDate.of(2031, 6, 2), "The desk lifts it.");

    private static Registration having(Offer... offers) {
        return new Registration(NOW, List.of(), List.of(), List.of(offers));
    }

    private static Offer until(String moment) {
        return new Offer(List.of(PART), PART, Instant.parse(moment));
    }

    @Test
    void tellsOfOffersAndOfTheirEnd() {
        Offer offer = until("2031-06-18T20:00:00Z");
        Offer over = until("2031-06-17T07:00:00Z");

        assertThat(PersonalNotices.between(having(), having(offer), List.of(), List.of(), NOW))
                .containsExactly(new PersonalNotice.Offered(offer));
        assertThat(PersonalNotices.between(having(offer), having(offer), List.of(), List.of(), NOW))
                .isEmpty();
        assertThat(PersonalNotices.between(having(over), having(), List.of(), List.of(), NOW))
                .containsExactly(new PersonalNotice.OfferLapsed(over));
        assertThat(PersonalNotices.between(having(offer), having(), List.of(), List.of(), NOW))
                .as("taken up, or given back")
                .isEmpty();
        assertThat(PersonalNotices.ending(List.of(offer, over, until("2031-06-17T15:00:00Z")), NOW))
                .containsExactly(new PersonalNotice.OfferEnds(until("2031-06-17T15:00:00Z")));
    }

    @Test
    void tellsOfHolds() {
        assertThat(PersonalNotices.between(having(), having(), List.of(), List.of(LIBRARY), NOW))
                .containsExactly(new PersonalNotice.HoldPut(LIBRARY));
        assertThat(PersonalNotices.between(having(), having(), List.of(LIBRARY), List.of(), NOW))
                .containsExactly(new PersonalNotice.HoldLifted(LIBRARY));
    }

    /** On the day before, at whatever hour, by the clock of the institution; and not once it has come. */
    @Test
    void tellsOfAnOpeningOnTheDayBefore() {
        Schedule schedule = Schedules.of(section("TIDE 214").build());
        OwnOpening own = new OwnOpening(Opening.ofOne(LocalDateTime.parse("2031-06-18T08:00:00")), Optional.empty());

        for (String moment : new String[] {"2031-06-17T00:30:00Z", "2031-06-18T06:59:00Z"}) {
            assertThat(PersonalNotices.opening(Map.of(schedule, own), Instant.parse(moment)))
                    .as(moment)
                    .containsExactly(new PersonalNotice.OpensSoon(own, schedule));
        }
        for (String moment : new String[] {"2031-06-16T20:30:00Z", "2031-06-18T08:00:00Z", "2031-06-27T07:00:00Z"}) {
            assertThat(PersonalNotices.opening(Map.of(schedule, own), Instant.parse(moment)))
                    .as(moment)
                    .isEmpty();
        }
    }

    @Test
    void tellsOnceWhatCameOfARoundAndOfAPlaceThatCameLater() {
        Schedule autumn = ScheduleBundle.read(Schedules.repository().resolve("demo/bundles/autumn-2031-3"))
                .schedule();
        WishRound round = autumn.lists().wishRounds().get(0);
        String first = round.groups().get(0).code();
        Registration registered = new Registration(
                NOW,
                round.groups().get(0).sections().stream()
                        .map(entry -> new Entry("autumn-2031", entry.digits()))
                        .toList(),
                List.of(),
                List.of());
        RoundStanding without = standing(round, List.of(first), NOW, Optional.empty(), Optional.empty());
        RoundStanding later = standing(round, List.of(first), NOW, Optional.empty(), Optional.of(first));

        assertThat(PersonalNotices.rounds(autumn, having(), List.of(without), NOW))
                .containsExactly(new PersonalNotice.RoundDecided(autumn, round, without));
        assertThat(PersonalNotices.rounds(autumn, having(), List.of(later), NOW))
                .contains(new PersonalNotice.PlaceCame(autumn, round, first));
        assertThat(PersonalNotices.rounds(autumn, registered, List.of(later), NOW))
                .as("who had the place already is not told that it came")
                .containsExactly(new PersonalNotice.RoundDecided(autumn, round, later));
        assertThat(new PersonalNotice.RoundDecided(autumn, round, without).key())
                .as("one notice, however often it is looked at")
                .isEqualTo(new PersonalNotice.RoundDecided(autumn, round, later).key());
        assertThat(PersonalNotices.rounds(autumn, having(), List.of(without), NOW.plus(Duration.ofDays(15))))
                .as("no longer news")
                .isEmpty();
        assertThat(PersonalNotices.rounds(
                        autumn,
                        having(),
                        List.of(standing(round, List.of(), NOW, Optional.empty(), Optional.empty())),
                        NOW))
                .as("who wished nothing")
                .isEmpty();
    }

    private static RoundStanding standing(
            WishRound round, List<String> wishes, Instant at, Optional<String> got, Optional<String> has) {
        return new RoundStanding(
                "autumn-2031",
                round.code(),
                "",
                wishes,
                Optional.of(at),
                List.of(),
                Optional.of(new RoundStanding.Outcome(at, "", Optional.of(1), got, has, List.of(), List.of())));
    }
}
