package ample.ledger.web.watch;

import ample.ledger.core.plan.Attendance;
import ample.ledger.core.plan.PostedSchedules;
import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.Section;
import ample.ledger.core.schedule.TermCode;
import ample.ledger.store.Concerns;
import ample.ledger.store.Concerns.SeatWait;
import ample.ledger.store.Notices;
import ample.ledger.store.Telling;
import ample.ledger.web.seats.SeatsChanged;
import ample.ledger.web.term.Places;
import ample.ledger.web.term.PostedTerm;
import ample.ledger.web.term.SeatChanges;
import ample.ledger.web.term.Terms;
import ample.ledger.web.visit.Visit;
import ample.ledger.web.words.SeatWords;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Tells students that seats have opened which they wait for. */
@Component
class SeatTelling {

    private static final int MOST = 500;

    private final Concerns concerns;
    private final Telling telling;
    private final Students students;
    private final Terms terms;
    private final Places places;
    private final SeatChanges seats;
    private final Clock clock;
    private final Map<TermCode, Set<String>> changed = new HashMap<>();
    private @Nullable Instant lookedAt;

    SeatTelling(
            Concerns concerns,
            Telling telling,
            Students students,
            Terms terms,
            Places places,
            SeatChanges seats,
            Clock clock) {
        this.clock = clock;
        this.concerns = concerns;
        this.telling = telling;
        this.students = students;
        this.terms = terms;
        this.places = places;
        this.seats = seats;
    }

    /** Notes what to look at; looking takes longer than whoever tells this should wait. */
    @EventListener
    void seatsChanged(SeatsChanged news) {
        synchronized (changed) {
            news.sections()
                    .forEach((term, sections) -> sections.forEach(section -> {
                        Set<String> abouts = changed.computeIfAbsent(term, absent -> new HashSet<>());
                        abouts.add(section.entry().digits());
                        abouts.add(section.course().code().toString());
                    }));
        }
    }

    /** Looks at the seats that have changed, and at those that somebody has begun to wait for; at all where time may have opened some. */
    void tell() {
        long last = seats.last();
        Map<TermCode, Set<String>> some;
        synchronized (changed) {
            some = Map.copyOf(changed);
            changed.clear();
        }
        Instant now = clock.instant();
        boolean all = lookedAt == null || opensBetween(lookedAt, now);
        List<SeatWait> waits = new ArrayList<>(all ? concerns.allSeatWaits() : concerns.newSeatWaits(MOST));
        some.forEach((term, abouts) -> waits.addAll(concerns.seatWaits(term, abouts)));
        look(waits.stream().distinct().toList(), last);
        lookedAt = now;
    }

    /** Whether time opens seats: registration opens for some, or a day begins on which held seats fall free. */
    private boolean opensBetween(Instant before, Instant now) {
        return terms.all().stream().map(PostedTerm::schedule).anyMatch(schedule -> {
            LocalDateTime from =
                    LocalDateTime.ofInstant(before, schedule.institution().zone());
            LocalDateTime to =
                    LocalDateTime.ofInstant(now, schedule.institution().zone());
            return !from.toLocalDate().equals(to.toLocalDate())
                    || schedule.lists().openings().stream()
                            .anyMatch(opening -> opening.from().isAfter(from)
                                    && !opening.from().isAfter(to));
        });
    }

    private void look(List<SeatWait> waits, long last) {
        if (waits.isEmpty()) {
            return;
        }
        PostedSchedules posted = places.schedules();
        Map<String, Visit> visits =
                students.visits(waits.stream().map(SeatWait::owner).collect(Collectors.toSet()), posted);
        for (SeatWait wait : waits) {
            Visit visit = Objects.requireNonNull(visits.get(wait.owner()));
            Optional<PostedTerm> term = terms.all().stream()
                    .filter(one -> one.edition().term().equals(wait.term()))
                    .findFirst();
            // What is open to somebody is not known before the institution has said who they are; then it is looked
            // again.
            Optional<Section> open =
                    term.filter(one -> visit.registrar().file().isPresent()).flatMap(one -> open(wait, one, visit));
            telling.seats(
                    wait,
                    open.isPresent(),
                    last,
                    () -> draft(wait, term.orElseThrow(), open.orElseThrow(), visit, last));
        }
    }

    /** The first of the sections waited for that has as many seats open to the student. */
    private static Optional<Section> open(SeatWait wait, PostedTerm term, Visit visit) {
        return sections(wait, term)
                .filter(section ->
                        !section.cancelled() && visit.reading(term, section).open() >= wait.seats())
                .findFirst();
    }

    /** The section itself, or those of the course that one can begin with. */
    private static Stream<Section> sections(SeatWait wait, PostedTerm term) {
        return EntryNumber.parse(wait.about())
                .map(entry -> term.schedule().section(entry).stream())
                .orElseGet(() -> term.schedule().courseWritten(wait.about()).stream()
                        .flatMap(course -> term.schedule().sectionsOf(course.code()).stream())
                        .filter(section -> section.companion().isEmpty()));
    }

    private static Notices.Draft draft(SeatWait wait, PostedTerm term, Section section, Visit visit, long last) {
        SeatWords words =
                SeatWords.of(section, visit.reading(term, section), visit.person(term.schedule()), term.schedule());
        boolean planned = visit.kept().week(term.schedule()).contains(section);
        Attendance attendance = visit.posted().attendance(section, term.schedule());
        return Drafts.of(
                wait.owner(),
                "seats %s %s %d".formatted(wait.term(), wait.about(), last),
                Kind.SEATS,
                wait.term().text(),
                section.entry().digits(),
                PersonalWords.seats(attendance, words.sentence(), planned),
                visit.instant(),
                Optional.empty(),
                visit.kept().letters(),
                term.schedule().institution().zone());
    }
}
