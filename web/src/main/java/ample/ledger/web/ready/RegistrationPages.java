package ample.ledger.web.ready;

import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.plan.Attendance;
import ample.ledger.core.plan.Load;
import ample.ledger.core.readiness.Foretold;
import ample.ledger.core.reading.BindingDate;
import ample.ledger.core.registrar.Answer.Outcome;
import ample.ledger.core.registrar.Entry;
import ample.ledger.core.registrar.Refusal;
import ample.ledger.core.registrar.Registration;
import ample.ledger.core.registrar.Request;
import ample.ledger.core.registrar.RoundStanding;
import ample.ledger.core.registrar.Submission;
import ample.ledger.core.schedule.BindingRule.Purpose;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Term;
import ample.ledger.store.AskedSubmissions.Asked;
import ample.ledger.web.ready.ChangePage.Swap;
import ample.ledger.web.ready.ReadyPage.Said;
import ample.ledger.web.ready.RegistrationPage.Act;
import ample.ledger.web.ready.RegistrationPage.Line;
import ample.ledger.web.ready.RegistrationPage.OfTerm;
import ample.ledger.web.ready.RegistrationPage.Offered;
import ample.ledger.web.ready.RegistrationPage.Part;
import ample.ledger.web.ready.RegistrationPage.Submitted;
import ample.ledger.web.ready.RegistrationPage.Waited;
import ample.ledger.web.term.Addresses;
import ample.ledger.web.visit.OpeningWords;
import ample.ledger.web.visit.StandingWords;
import ample.ledger.web.words.RoundWords;
import ample.ledger.web.words.Words;
import java.math.BigDecimal;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Makes My registration, and the page on which a section is given up or swapped. */
final class RegistrationPages {

    private static final Duration SOON = Duration.ofHours(6);
    private static final int MOST_SWAPS = 12;

    private final AtRegistrar student;
    private final Schedule schedule;
    private final Instant now;

    RegistrationPages(AtRegistrar student, Schedule schedule) {
        this.student = student;
        this.schedule = schedule;
        this.now = student.visit().instant();
    }

    RegistrationPage page(
            List<String> told, List<Submission> history, List<Asked> unanswered, List<RoundStanding> rounds) {
        List<Attendance> registered = registered();
        Registration has = student.has();
        return new RegistrationPage(
                schedule.term().code().text(),
                says(registered),
                List.of(),
                told,
                ofTerms(registered),
                has.waiting().stream().map(this::waited).toList(),
                has.offers().stream().map(this::offered).toList(),
                rounds(schedule, rounds, student.visit().now(schedule)),
                history.stream().map(this::submitted).toList(),
                unanswered.isEmpty()
                        ? ""
                        : "Sent at %s, not answered yet. The answer is asked for again; nothing is sent twice."
                                .formatted(clock(unanswered.get(0).askedAt())));
    }

    /** The wish rounds of a term, with what came of them as far as it is known. */
    static List<RegistrationPage.Round> rounds(Schedule schedule, List<RoundStanding> standings, LocalDateTime now) {
        return schedule.lists().wishRounds().stream()
                .map(round -> {
                    RoundWords words = new RoundWords(round);
                    return new RegistrationPage.Round(
                            round.name(),
                            words.address(schedule),
                            standings.stream()
                                    .filter(one -> one.isOf(schedule, round))
                                    .findFirst()
                                    .flatMap(one -> one.outcome().map(outcome -> words.got(one, outcome)))
                                    .orElseGet(() -> words.period(now)));
                })
                .toList();
    }

    private List<Attendance> registered() {
        return student.has().registered().stream()
                .flatMap(entry -> entry.in(student.posted()).stream())
                .sorted(Comparator.comparing(
                                (Attendance one) -> one.term().dates().first())
                        .thenComparing(one -> one.section().course().code())
                        .thenComparing(one -> !one.leads())
                        .thenComparing(one -> one.section().code()))
                .toList();
    }

    private String says(List<Attendance> registered) {
        Registration has = student.has();
        int courses = (int) registered.stream().filter(Attendance::leads).count();
        if (courses == 0 && has.waiting().isEmpty() && has.offers().isEmpty()) {
            return "You are not registered in anything yet, and on no waitlist.";
        }
        return Stream.of(
                                "You are registered in " + Words.count(courses, "course"),
                                has.waiting().isEmpty()
                                        ? ""
                                        : "you wait for "
                                                + Words.count(has.waiting().size(), "section"),
                                has.offers().isEmpty()
                                        ? ""
                                        : Words.count(has.offers().size(), "seat is", "seats are") + " offered to you")
                        .filter(part -> !part.isEmpty())
                        .collect(Collectors.joining("; "))
                + ".";
    }

    private List<OfTerm> ofTerms(List<Attendance> registered) {
        return registered.stream()
                .map(Attendance::term)
                .distinct()
                .map(term -> new OfTerm(
                        term.name(),
                        registered.stream()
                                .filter(one -> one.term().equals(term) && one.leads())
                                .map(lead -> line(lead, registered))
                                .toList(),
                        Words.credits(credits(registered, term))))
                .toList();
    }

    private static BigDecimal credits(List<Attendance> some, Term term) {
        return some.stream()
                .filter(Attendance::leads)
                .flatMap(one -> Load.creditsIn(term.code(), one).stream())
                .reduce(BigDecimal.ZERO, BigDecimal::add);
    }

    private Line line(Attendance lead, List<Attendance> registered) {
        return new Line(
                registered.stream().filter(lead::sameCourse).map(this::part).toList(),
                Words.credits(lead.section().course().credits()),
                Addresses.with("/" + schedule.term().code() + "/registration/change", "entry", named(lead)));
    }

    private static String named(Attendance one) {
        return one.term().code() + "." + one.section().entry();
    }

    private Part part(Attendance one) {
        return new Part(
                one.section().entry().digits(),
                new Addresses(one.term().code()).sheet(one.section().entry(), Brief.EVERYTHING),
                one.leads()
                        ? one.toString()
                        : "with " + one.section().kindName().toLowerCase(Locale.ROOT) + " "
                                + one.section().code(),
                one.leads() ? one.section().course().title() : "",
                when(one));
    }

    private List<String> when(Attendance one) {
        return one.section().meetings().stream()
                .map(meeting -> Words.when(
                        meeting.timing(), student.visit().preferences().clock()))
                .distinct()
                .toList();
    }

    /** Of what is no longer posted only the number is known. */
    private Part part(Entry entry) {
        return entry.in(student.posted())
                .map(this::part)
                .orElseGet(() -> new Part(entry.number(), "", entry.toString(), "", List.of()));
    }

    private static Act act(Request request) {
        return new Act(UUID.randomUUID().toString(), RequestTokens.of(request));
    }

    private Waited waited(Registration.Waiting waiting) {
        Entry entry = waiting.place().part();
        return new Waited(part(entry), StandingWords.place(waiting.place()), act(Request.drop(List.of(entry))));
    }

    private Offered offered(Registration.Offer offer) {
        LocalDateTime until =
                LocalDateTime.ofInstant(offer.until(), schedule.institution().zone());
        return new Offered(
                part(offer.part()),
                Words.moment(until) + ", " + OpeningWords.in(student.visit().now(schedule), until),
                Duration.between(now, offer.until()).compareTo(SOON) < 0,
                act(takeUp(offer)),
                act(Request.drop(List.of(offer.part()))));
    }

    /** In place of what the student has of its course, if there is any. */
    private Request takeUp(Registration.Offer offer) {
        List<Attendance> set = offer.set().stream()
                .flatMap(entry -> entry.in(student.posted()).stream())
                .toList();
        List<Entry> out = registered().stream()
                .filter(one -> set.stream().anyMatch(one::sameCourse) && !set.contains(one))
                .map(Entry::of)
                .toList();
        return out.isEmpty() ? Request.takeUp(offer.set()) : Request.swap(out, offer.set());
    }

    private Submitted submitted(Submission submission) {
        return new Submitted(
                submission.id(),
                Words.moment(LocalDateTime.ofInstant(
                        submission.at(), schedule.institution().zone())),
                submission.lines().stream()
                        .map(line -> new RegistrationPage.Asked(
                                Words.capitalised(AnswerWords.request(line.request(), student.posted())),
                                AnswerWords.said(line.request(), line.answer(), student.posted())))
                        .toList());
    }

    private String clock(Instant moment) {
        return Words.clock(moment.atZone(schedule.institution().zone()));
    }

    /** Of the course that a registered section is of; empty for one that is not. */
    Optional<ChangePage> change(Entry entry) {
        List<Attendance> registered = registered();
        return entry.in(student.posted())
                .filter(registered::contains)
                .map(one -> change(registered.stream().filter(one::sameCourse).toList()));
    }

    private ChangePage change(List<Attendance> set) {
        Attendance lead = set.get(0);
        Foretold foretold = student.foretold();
        Request drop = Request.drop(Entry.of(set));
        List<List<Attendance>> others =
                student.posted().setsOf(lead.section().course().code(), lead.schedule()).stream()
                        .filter(other -> !set.containsAll(other))
                        .toList();
        List<Swap> swaps = new ArrayList<>();
        List<Swap> fulls = new ArrayList<>();
        for (List<Attendance> other : others) {
            Request swap = Request.swap(
                    Entry.of(set.stream().filter(one -> !other.contains(one)).toList()), Entry.of(other));
            Request wait = Request.wait(Entry.of(other));
            if (foretold.answer(swap, now).outcome() == Outcome.DONE) {
                swaps.add(swap(other, set, swap));
            } else if (foretold.answer(wait, now).outcome() == Outcome.WAITING) {
                fulls.add(swap(other, set, wait));
            }
        }
        return new ChangePage(
                schedule.term().code().text(),
                "/" + schedule.term().code() + "/registration",
                lead + ", " + lead.section().course().title(),
                set.stream().map(this::part).toList(),
                costs(lead),
                foretold.answer(drop, now).refusals().stream()
                        .map(Refusal::words)
                        .toList(),
                act(drop),
                swaps.stream().limit(MOST_SWAPS).toList(),
                fulls.stream().limit(MOST_SWAPS).toList());
    }

    private Swap swap(List<Attendance> other, List<Attendance> set, Request request) {
        List<Attendance> fresh =
                other.stream().filter(one -> !set.contains(one)).toList();
        return new Swap(
                fresh.stream().map(Object::toString).collect(Collectors.joining(" and ")),
                fresh.stream().flatMap(one -> when(one).stream()).toList(),
                act(request));
    }

    /** What giving a section up costs now, and until when. What is over since is marked. */
    private List<Said> costs(Attendance lead) {
        LocalDate today = LocalDateTime.ofInstant(
                        now, lead.schedule().institution().zone())
                .toLocalDate();
        return BindingDate.of(lead.section().span(), lead.schedule().lists().bindingRules()).stream()
                .filter(date -> Stream.of(Purpose.REFUND, Purpose.DROP, Purpose.WITHDRAW)
                        .anyMatch(date.rule().purpose()::equals))
                .map(date -> cost(date, today.isAfter(date.date())))
                .toList();
    }

    private static Said cost(BindingDate date, boolean over) {
        String meaning = date.rule().meaning().map(" "::concat).orElse("");
        return over
                ? new Said(
                        "fails", "Over: %s was %s.%s".formatted(date.rule().name(), Words.date(date.date()), meaning))
                : new Said("", "%s: %s.%s".formatted(date.rule().name(), Words.date(date.date()), meaning));
    }

    /** A confirmation to save, as plain text. */
    String confirmation(String name) {
        List<Attendance> registered = registered();
        StringBuilder text = new StringBuilder();
        text.append("Registration of %s, as the registrar has it at %s%n"
                .formatted(
                        name,
                        Words.moment(LocalDateTime.ofInstant(
                                student.has().asOf(), schedule.institution().zone()))));
        for (OfTerm term : ofTerms(registered)) {
            text.append("%n%s: %s%n".formatted(term.name(), term.credits()));
            term.lines()
                    .forEach(line -> line.parts()
                            .forEach(part -> text.append("  %s  %s%s%s%n"
                                    .formatted(
                                            part.entry(),
                                            part.name(),
                                            part.title().isEmpty() ? "" : ", " + part.title(),
                                            part.when().isEmpty() ? "" : "; " + String.join("; ", part.when())))));
        }
        student.has()
                .waiting()
                .forEach(waiting -> text.append("%nWaiting, %s: %s%n"
                        .formatted(
                                StandingWords.place(waiting.place()),
                                AnswerWords.names(List.of(waiting.place().part()), student.posted()))));
        return text.toString();
    }
}
