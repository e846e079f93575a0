package ample.ledger.web.watch;

import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.plan.Attendance;
import ample.ledger.core.plan.PlanDate;
import ample.ledger.core.plan.PostedSchedules;
import ample.ledger.core.registrar.Hold;
import ample.ledger.core.registrar.Registration.Offer;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.watch.PersonalNotice;
import ample.ledger.web.term.Addresses;
import ample.ledger.web.watch.NoticeContent.Action;
import ample.ledger.web.words.RoundWords;
import ample.ledger.web.words.SeatWords;
import ample.ledger.web.words.Words;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/** Says what the registrar, or time, brings to a student. */
final class PersonalWords {

    private final PostedSchedules posted;
    private final Schedule home;

    /** @param home of the institution by whose clock everything is told that is of no term */
    PersonalWords(PostedSchedules posted, Schedule home) {
        this.posted = posted;
        this.home = home;
    }

    Kind kind(PersonalNotice notice) {
        if (notice instanceof PersonalNotice.OpensSoon) {
            return Kind.OPENING;
        }
        if (notice instanceof PersonalNotice.BindsSoon) {
            return Kind.DEADLINE;
        }
        if (notice instanceof PersonalNotice.RoundDecided || notice instanceof PersonalNotice.PlaceCame) {
            return Kind.ROUND;
        }
        return notice instanceof PersonalNotice.HoldPut || notice instanceof PersonalNotice.HoldLifted
                ? Kind.HOLD
                : Kind.OFFER;
    }

    String term(PersonalNotice notice) {
        return offer(notice)
                .map(offer -> offer.part().term())
                .or(() -> notice instanceof PersonalNotice.OpensSoon opens
                        ? Optional.of(opens.schedule().term().code().text())
                        : Optional.empty())
                .or(() -> notice instanceof PersonalNotice.RoundDecided decided
                        ? Optional.of(decided.schedule().term().code().text())
                        : Optional.empty())
                .or(() -> notice instanceof PersonalNotice.PlaceCame came
                        ? Optional.of(came.schedule().term().code().text())
                        : Optional.empty())
                .or(() -> notice instanceof PersonalNotice.BindsSoon binds
                        ? Optional.of(binds.date().schedule().term().code().text())
                        : Optional.empty())
                .orElse("");
    }

    String about(PersonalNotice notice) {
        return offer(notice).map(offer -> offer.part().number()).orElse("");
    }

    private static Optional<Offer> offer(PersonalNotice notice) {
        return notice instanceof PersonalNotice.AboutOffer about ? Optional.of(about.offer()) : Optional.empty();
    }

    NoticeContent of(PersonalNotice notice) {
        if (notice instanceof PersonalNotice.Offered offered) {
            return new NoticeContent(
                    "A seat in %s is kept for you".formatted(name(offered.offer())),
                    List.of("It is kept until %s. Take it up before then, or it goes to the next on the waitlist."
                            .formatted(until(offered.offer()))),
                    List.of(registration("Take it up under My registration", offered.offer())));
        }
        if (notice instanceof PersonalNotice.OfferEnds ends) {
            return new NoticeContent(
                    "Your seat in %s is kept only until %s".formatted(name(ends.offer()), until(ends.offer())),
                    List.of("After that it goes to the next on the waitlist."),
                    List.of(registration("Take it up under My registration", ends.offer())));
        }
        if (notice instanceof PersonalNotice.OfferLapsed lapsed) {
            return new NoticeContent(
                    "The seat in %s is no longer kept for you".formatted(name(lapsed.offer())),
                    List.of("It was kept until %s.".formatted(until(lapsed.offer()))),
                    List.of(registration("See My registration", lapsed.offer())));
        }
        if (notice instanceof PersonalNotice.HoldPut put) {
            Hold hold = put.hold();
            return new NoticeContent(
                    "%s stops you from %s".formatted(hold.by(), hold.stops()),
                    List.of(hold.reason(), hold.lifted()),
                    List.of(opening(home)));
        }
        if (notice instanceof PersonalNotice.HoldLifted lifted) {
            return new NoticeContent(
                    "%s no longer stops you from %s"
                            .formatted(lifted.hold().by(), lifted.hold().stops()),
                    List.of("The hold since %s is lifted."
                            .formatted(Words.date(lifted.hold().since()))),
                    List.of(opening(home)));
        }
        if (notice instanceof PersonalNotice.OpensSoon opens) {
            return new NoticeContent(
                    "Registration for %s opens for you %s"
                            .formatted(
                                    opens.schedule().term().name(),
                                    Words.moment(opens.opening().opening().from())),
                    List.of("Your opening is the one for %s."
                            .formatted(SeatWords.uncapitalised(
                                    opens.opening().opening().name()))),
                    List.of(
                            Action.link(
                                    "Check readiness",
                                    "/" + opens.schedule().term().code() + "/ready"),
                            opening(opens.schedule())));
        }
        if (notice instanceof PersonalNotice.RoundDecided decided) {
            RoundWords words = new RoundWords(decided.round());
            return new NoticeContent(
                    "%s: the places are distributed".formatted(decided.round().name()),
                    List.of(decided.standing()
                            .outcome()
                            .map(outcome -> words.got(decided.standing(), outcome))
                            .orElse("")),
                    List.of(Action.link("See why", words.address(decided.schedule()))));
        }
        if (notice instanceof PersonalNotice.PlaceCame came) {
            RoundWords words = new RoundWords(came.round());
            return new NoticeContent(
                    "%s: a place has come to you".formatted(came.round().name()),
                    List.of("Somebody gave back a place in %s, and you are next. You are registered."
                            .formatted(words.name(came.group()))),
                    List.of(
                            Action.link("See the round", words.address(came.schedule())),
                            Action.link(
                                    "See My registration",
                                    "/" + came.schedule().term().code() + "/registration")));
        }
        return binds(((PersonalNotice.BindsSoon) notice).date());
    }

    private static NoticeContent binds(PlanDate.Binds date) {
        String sections = date.sections().stream()
                .map(attendance -> attendance.section().course().written())
                .collect(Collectors.joining(", "));
        return new NoticeContent(
                "%s: %s".formatted(date.rule().name(), Words.date(date.date())),
                date.rule().meaning().isPresent()
                        ? List.of("For " + sections + ".", date.rule().meaning().get())
                        : List.of("For " + sections + "."),
                List.of(Action.link(
                        "See it in My week", "/" + date.schedule().term().code() + "/week")));
    }

    private static Action opening(Schedule schedule) {
        return Action.link("See when you may register", "/" + schedule.term().code() + "/opening");
    }

    private static Action registration(String label, Offer offer) {
        return Action.link(label, "/" + offer.part().term() + "/registration");
    }

    private String name(Offer offer) {
        return offer.part()
                .in(posted)
                .map(Attendance::toString)
                .orElse(offer.part().number());
    }

    private String until(Offer offer) {
        return Words.moment(offer.until()
                .atZone(offer.part()
                        .in(posted)
                        .map(Attendance::schedule)
                        .orElse(home)
                        .institution()
                        .zone()));
    }

    /** @param seats "3 seats are open to you." */
    static NoticeContent seats(Attendance attendance, String seats, boolean planned) {
        Addresses addresses = new Addresses(attendance.term().code());
        Action sheet = Action.link(
                "See the sheet", addresses.sheet(attendance.section().entry(), Brief.EVERYTHING));
        return new NoticeContent(
                "Seats are open in " + attendance,
                List.of(
                        attendance.section().course().title() + ".",
                        seats,
                        "They may be taken by the time you read this."),
                planned
                        ? List.of(
                                Action.link(
                                        "Check readiness",
                                        "/" + attendance.term().code() + "/ready"),
                                sheet)
                        : List.of(
                                new Action(
                                        "Add it to my week",
                                        addresses.keep(),
                                        List.of(new NoticeContent.Field(
                                                "line",
                                                attendance.section().entry().digits()))),
                                sheet));
    }
}
