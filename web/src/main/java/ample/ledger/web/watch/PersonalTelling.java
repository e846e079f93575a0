package ample.ledger.web.watch;

import ample.ledger.core.plan.PlanDate;
import ample.ledger.core.plan.PostedSchedules;
import ample.ledger.core.reading.OwnOpening;
import ample.ledger.core.registrar.Registrar;
import ample.ledger.core.registrar.RegistrarAwayException;
import ample.ledger.core.registrar.Registration;
import ample.ledger.core.registrar.RoundStanding;
import ample.ledger.core.registrar.StudentFile;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.watch.Concern;
import ample.ledger.core.watch.PersonalNotice;
import ample.ledger.core.watch.PersonalNotices;
import ample.ledger.store.Notices;
import ample.ledger.store.Telling;
import ample.ledger.store.Visitors;
import ample.ledger.web.guest.Keeping;
import ample.ledger.web.guest.Kept;
import ample.ledger.web.guest.KeptStudents;
import ample.ledger.web.guest.LetterChoice;
import ample.ledger.web.term.Places;
import ample.ledger.web.term.PostedTerm;
import ample.ledger.web.term.Terms;
import ample.ledger.web.visit.Visit;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.context.event.EventListener;
import org.springframework.security.authentication.event.AuthenticationSuccessEvent;
import org.springframework.stereotype.Component;

/** Tells students what the registrar, and time, bring them. */
@Component
class PersonalTelling {

    private static final int MOST = 200;
    private static final int MOST_ASKED = 50;

    /** A student who could not be asked about is asked about again after this. */
    private static final Duration AGAIN = Duration.ofSeconds(10);

    private final Telling telling;
    private final Students students;
    private final KeptStudents kept;
    private final Registrar registrar;
    private final Terms terms;
    private final Places places;
    private final Clock clock;

    PersonalTelling(
            Telling telling,
            Students students,
            KeptStudents kept,
            @Qualifier("freshRegistrar") Registrar registrar,
            Terms terms,
            Places places,
            Clock clock) {
        this.telling = telling;
        this.students = students;
        this.kept = kept;
        this.registrar = registrar;
        this.terms = terms;
        this.places = places;
        this.clock = clock;
    }

    /** Asks about everybody for whom something is different, and tells them what. */
    void tellChanges() {
        if (terms.all().isEmpty()) {
            return;
        }
        for (Telling.ToAsk one : telling.toAsk(AGAIN, MOST_ASKED)) {
            ask(one.owner(), one.changes());
        }
    }

    /** Notes that a student has signed in: the institution is asked about them, and from then on it is known what is different later. */
    @EventListener
    void signedIn(AuthenticationSuccessEvent event) {
        if (event.getAuthentication().getAuthorities().stream()
                .anyMatch(role -> ("ROLE_" + Keeping.STUDENT).equals(role.getAuthority()))) {
            telling.arrived(Visitors.student(event.getAuthentication().getName()));
        }
    }

    private void ask(String owner, long changes) {
        String student = Visitors.studentOf(owner).orElseThrow();
        try {
            Optional<StudentFile> file = registrar.student(student);
            Registration has = registrar.registration(student).orElseGet(() -> Registration.nothing(clock.instant()));
            List<RoundStanding> rounds = rounds(student);
            file.ifPresentOrElse(
                    known -> telling.person(owner, changes, before -> heard(owner, known, has, rounds, before)),
                    () -> telling.nobody(owner, changes));
        } catch (RegistrarAwayException away) {
            // What is different stays noted, and is asked for again.
            return;
        }
    }

    /** Asked for only where some round has ended. */
    private List<RoundStanding> rounds(String student) {
        boolean some = terms.all().stream()
                .map(PostedTerm::schedule)
                .anyMatch(schedule -> schedule.lists().wishRounds().stream()
                        .anyMatch(round -> !round.closes()
                                .atZone(schedule.institution().zone())
                                .toInstant()
                                .isAfter(clock.instant())));
        return some ? registrar.rounds(student) : List.of();
    }

    private Telling.Heard heard(
            String owner,
            StudentFile file,
            Registration has,
            List<RoundStanding> rounds,
            Optional<Telling.Said> before) {
        Instant now = clock.instant();
        List<PersonalNotice> notices =
                before.map(said -> notices(said, file, has, rounds, now)).orElse(List.of());
        return new Telling.Heard(
                Students.said(owner, file, has), Concern.registered(has), drafts(owner, notices, letters(owner), now));
    }

    private List<PersonalNotice> notices(
            Telling.Said before, StudentFile file, Registration has, List<RoundStanding> rounds, Instant now) {
        Registration had = Students.registration(before);
        List<PersonalNotice> notices = new ArrayList<>(
                PersonalNotices.between(had, has, Students.file(before).holds(), file.holds(), now));
        terms.all().forEach(posted -> notices.addAll(PersonalNotices.rounds(posted.schedule(), had, rounds, now)));
        return notices;
    }

    private LetterChoice letters(String owner) {
        return kept.of(List.of(owner)).getOrDefault(owner, Kept.NOTHING).letters();
    }

    /**
     * Tells some students what the day brings, once for each day of the institution; others in the rounds after this one, so that seats and editions need not
     * wait for all of them.
     */
    void tellTime() {
        if (terms.all().isEmpty()) {
            return;
        }
        LocalDate today =
                LocalDate.ofInstant(clock.instant(), home().institution().zone());
        telling.day(today, this::ofDay, MOST);
    }

    /** Tells of offers in their last hours. */
    void tellEnds() {
        if (terms.all().isEmpty()) {
            return;
        }
        Instant now = clock.instant();
        List<Notices.Draft> drafts = new ArrayList<>();
        for (Telling.Said said : telling.peopleWithOffers()) {
            List<PersonalNotice> ending =
                    PersonalNotices.ending(Students.registration(said).offers(), now);
            if (!ending.isEmpty()) {
                drafts.addAll(drafts(said.owner(), ending, letters(said.owner()), now));
            }
        }
        if (!drafts.isEmpty()) {
            telling.write(drafts);
        }
    }

    private List<Notices.Draft> ofDay(List<String> owners) {
        List<Notices.Draft> drafts = new ArrayList<>();
        students.visits(owners, places.schedules())
                .forEach((owner, visit) ->
                        drafts.addAll(drafts(owner, ofDay(visit), visit.kept().letters(), visit.instant())));
        return drafts;
    }

    private List<PersonalNotice> ofDay(Visit visit) {
        List<PersonalNotice> notices = new ArrayList<>();
        Map<Schedule, OwnOpening> openings = new LinkedHashMap<>();
        for (PostedTerm posted : terms.all()) {
            if (!visit.kept().week(posted.schedule()).isEmpty()) {
                visit.opening(posted.schedule()).ifPresent(own -> openings.put(posted.schedule(), own));
            }
        }
        notices.addAll(PersonalNotices.opening(openings, visit.instant()));
        terms.all().stream()
                .map(posted -> posted.schedule().term().season().code())
                .distinct()
                .forEach(season -> notices.addAll(PersonalNotices.binding(
                        PlanDate.of(
                                visit.week(season),
                                attendance -> visit.reading(
                                        terms.get(attendance.term().code()), attendance.section())),
                        visit.instant())));
        return notices;
    }

    private List<Notices.Draft> drafts(String owner, List<PersonalNotice> notices, LetterChoice letters, Instant now) {
        if (notices.isEmpty()) {
            return List.of();
        }
        PostedSchedules posted = places.schedules();
        PersonalWords words = new PersonalWords(posted, home());
        return notices.stream()
                .map(notice -> Drafts.of(
                        owner,
                        notice.key(),
                        words.kind(notice),
                        words.term(notice),
                        words.about(notice),
                        words.of(notice),
                        now,
                        notice.past(),
                        letters,
                        home().institution().zone()))
                .toList();
    }

    private Schedule home() {
        return places.usual().orElseThrow().schedules().get(0);
    }
}
