package ample.ledger.core.watch;

import ample.ledger.core.plan.PlanDate;
import ample.ledger.core.reading.OwnOpening;
import ample.ledger.core.registrar.Entry;
import ample.ledger.core.registrar.Hold;
import ample.ledger.core.registrar.Registration;
import ample.ledger.core.registrar.Registration.Offer;
import ample.ledger.core.registrar.RoundStanding;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.WishRound;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** What makes a notice of what a student has at the registrar, and of time. */
public final class PersonalNotices {

    /** Before an offer ends; a third of the shortest time that offers commonly stand. */
    public static final Duration LAST_HOURS = Duration.ofHours(8);

    /** Before a deadline, in days. */
    public static final int WEEK = 7;

    /** For so long it is news what came of a round; a student who is asked about later finds it on its page. */
    private static final Duration NEWS = Duration.ofDays(14);

    private PersonalNotices() {}

    /**
     * What has happened between two looks at what a student has.
     *
     * @param now the moment of the second look
     */
    public static List<PersonalNotice> between(
            Registration before, Registration after, List<Hold> heldBefore, List<Hold> heldAfter, Instant now) {
        List<PersonalNotice> notices = new ArrayList<>();
        after.offers().stream()
                .filter(offer ->
                        !before.offers().contains(offer) && offer.until().isAfter(now))
                .map(PersonalNotice.Offered::new)
                .forEach(notices::add);
        before.offers().stream()
                .filter(offer -> !after.offers().contains(offer))
                .filter(offer ->
                        !after.isRegistered(offer.part()) && !offer.until().isAfter(now))
                .map(PersonalNotice.OfferLapsed::new)
                .forEach(notices::add);
        heldAfter.stream()
                .filter(hold -> !heldBefore.contains(hold))
                .map(PersonalNotice.HoldPut::new)
                .forEach(notices::add);
        heldBefore.stream()
                .filter(hold -> !heldAfter.contains(hold))
                .map(PersonalNotice.HoldLifted::new)
                .forEach(notices::add);
        return notices;
    }

    /**
     * What came of the wish rounds of a term between two looks at what a student has.
     *
     * @param standings how the rounds stand to the student at the second look
     */
    public static List<PersonalNotice> rounds(
            Schedule schedule, Registration before, List<RoundStanding> standings, Instant now) {
        List<PersonalNotice> notices = new ArrayList<>();
        for (WishRound round : schedule.lists().wishRounds()) {
            standings.stream()
                    .filter(standing ->
                            standing.isOf(schedule, round) && !standing.wishes().isEmpty())
                    .forEach(standing -> standing.outcome().ifPresent(outcome -> {
                        if (outcome.at().plus(NEWS).isAfter(now)) {
                            notices.add(new PersonalNotice.RoundDecided(schedule, round, standing));
                        }
                        outcome.has()
                                .filter(code -> !outcome.got().equals(outcome.has()))
                                .filter(code -> !has(before, schedule, round, code))
                                .map(code -> new PersonalNotice.PlaceCame(schedule, round, code))
                                .ifPresent(notices::add);
                    }));
        }
        return notices;
    }

    private static boolean has(Registration registration, Schedule schedule, WishRound round, String code) {
        return round.group(code).stream()
                .flatMap(group -> Entry.of(schedule.term().code().text(), group).stream())
                .allMatch(registration::isRegistered);
    }

    /** What time brings: offers in their last hours. */
    public static List<PersonalNotice> ending(List<Offer> offers, Instant now) {
        return offers.stream()
                .filter(offer -> offer.until().isAfter(now)
                        && !offer.until().minus(LAST_HOURS).isAfter(now))
                .<PersonalNotice>map(PersonalNotice.OfferEnds::new)
                .toList();
    }

    /** What time brings: openings of the next day, and of this one that are still to come. */
    public static List<PersonalNotice> opening(Map<Schedule, OwnOpening> openings, Instant now) {
        List<PersonalNotice> notices = new ArrayList<>();
        openings.forEach((schedule, opening) -> {
            LocalDateTime from = opening.opening().from();
            LocalDateTime here =
                    LocalDateTime.ofInstant(now, schedule.institution().zone());
            boolean soon = !from.toLocalDate().minusDays(1).isAfter(here.toLocalDate());
            if (soon && from.isAfter(here)) {
                notices.add(new PersonalNotice.OpensSoon(opening, schedule));
            }
        });
        return notices;
    }

    /** What time brings: deadlines from today to a week from now, each on the calendar of its institution. */
    public static List<PersonalNotice> binding(List<PlanDate> dates, Instant now) {
        return dates.stream()
                .filter(PlanDate.Binds.class::isInstance)
                .map(PlanDate.Binds.class::cast)
                .filter(date -> {
                    LocalDate today = LocalDate.ofInstant(
                            now, date.schedule().institution().zone());
                    return !date.date().isBefore(today) && !date.date().isAfter(today.plusDays(WEEK));
                })
                .<PersonalNotice>map(PersonalNotice.BindsSoon::new)
                .toList();
    }
}
