package ample.ledger.web.watch;

import ample.ledger.core.browse.answer.Findings;
import ample.ledger.core.browse.brief.BriefAddress;
import ample.ledger.core.browse.index.TermIndex;
import ample.ledger.core.edition.Edition;
import ample.ledger.core.plan.Attendance;
import ample.ledger.core.plan.PlanBook;
import ample.ledger.core.plan.PostedSchedules;
import ample.ledger.core.readiness.PlanAtRegistrar;
import ample.ledger.core.registrar.Registration;
import ample.ledger.core.requirement.CourseGraph;
import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Section;
import ample.ledger.core.watch.EditionCorrection;
import ample.ledger.core.watch.EditionNotice;
import ample.ledger.core.watch.EditionNotices;
import ample.ledger.core.watch.Recipient;
import ample.ledger.store.Editions;
import ample.ledger.store.Notices;
import ample.ledger.store.Telling;
import ample.ledger.store.Telling.EditionToTell;
import ample.ledger.web.guest.Kept.SavedBrief;
import ample.ledger.web.term.Addresses;
import ample.ledger.web.term.PostedTerm;
import ample.ledger.web.term.Terms;
import ample.ledger.web.visit.Visit;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Tells students what a new edition changed for them. */
@Component
class EditionTelling {

    /** So many students at once: their documents are in memory together, and what was made for them is lost where the program dies. */
    private static final int MOST = 300;

    private final Telling telling;
    private final Editions editions;
    private final Students students;
    private final Terms terms;
    private final Clock clock;

    /** The edition that is being told of, read once for all whom it concerns. */
    private @Nullable Comparison known;

    EditionTelling(Telling telling, Editions editions, Students students, Terms terms, Clock clock) {
        this.telling = telling;
        this.editions = editions;
        this.students = students;
        this.terms = terms;
        this.clock = clock;
    }

    /** Tells of every edition that is still to be told of. */
    void tell() {
        boolean more;
        do {
            more = telling.editions(edition -> comparison(edition).correction.abouts(), this::drafts, MOST);
        } while (more);
        known = null;
    }

    private Comparison comparison(EditionToTell told) {
        Comparison before = known;
        if (before != null && before.id == told.id()) {
            return before;
        }
        known = null;
        Comparison now = compare(told);
        known = now;
        return now;
    }

    private Comparison compare(EditionToTell told) {
        // A notice leads to pages that must show the edition. And both at the same time would leave Browse no
        // processor.
        terms.refresh();
        Edition earlier = editions.withId(told.term(), told.before()).orElseThrow();
        Edition later = editions.withId(told.term(), told.now()).orElseThrow();
        List<Schedule> others = terms.all().stream()
                .map(PostedTerm::schedule)
                .filter(schedule -> !schedule.term().code().equals(told.term()))
                .toList();
        Schedule before = editions.schedule(earlier);
        Schedule now = editions.schedule(later);
        List<Schedule> allBefore = with(before, others);
        List<Schedule> allNow = with(now, others);
        return new Comparison(told.id(), earlier, later, allBefore, allNow, clock.instant());
    }

    private static List<Schedule> with(Schedule one, List<Schedule> others) {
        List<Schedule> all = Stream.concat(Stream.of(one), others.stream()).toList();
        return Stream.concat(Stream.of(one.among(all)), others.stream()).toList();
    }

    /** Two editions of a term, each among the other terms; and the term in both as one looks for sections in it. */
    private static final class Comparison {

        private final long id;
        private final EditionCorrection correction;
        private final PostedSchedules now;
        private final PostedSchedules before;
        private final EditionNotices notices;
        private final Edition earlier;
        private final Edition later;
        private final LocalDate today;
        private @Nullable PostedTerm termBefore;
        private @Nullable PostedTerm termNow;

        Comparison(
                long id, Edition earlier, Edition later, List<Schedule> before, List<Schedule> now, Instant instant) {
            this.id = id;
            this.earlier = earlier;
            this.later = later;
            this.before = new PostedSchedules(before);
            this.now = new PostedSchedules(now);
            this.correction = EditionCorrection.of(before.get(0), now.get(0));
            this.notices = new EditionNotices(correction, this.before, this.now);
            this.today = LocalDate.ofInstant(instant, now.get(0).institution().zone());
        }

        /** Made only where somebody has saved a brief: an index is large. */
        synchronized PostedTerm termBefore() {
            if (termBefore == null) {
                termBefore = indexed(earlier, correction.before(), today);
            }
            return termBefore;
        }

        synchronized PostedTerm termNow() {
            if (termNow == null) {
                termNow = indexed(later, correction.now(), today);
            }
            return termNow;
        }

        private static PostedTerm indexed(Edition edition, Schedule schedule, LocalDate today) {
            return new PostedTerm(
                    edition, new TermIndex(schedule, today), new CourseGraph(schedule.courses()), Optional.empty());
        }
    }

    private List<Notices.Draft> drafts(EditionToTell told, List<String> owners) {
        Comparison compared = comparison(told);
        Map<String, Visit> now = students.visits(owners, compared.now);
        Map<String, Visit> before =
                now.values().stream().anyMatch(visit -> !briefs(visit, compared).isEmpty())
                        ? students.visits(owners, compared.before)
                        : now;
        return owners.parallelStream()
                .flatMap(owner -> drafts(owner, visit(owner, now), visit(owner, before), compared).stream())
                .toList();
    }

    private static Visit visit(String owner, Map<String, Visit> visits) {
        return Objects.requireNonNull(visits.get(owner));
    }

    /** @param then what they would see of the edition before; the same as now where they have no brief */
    private List<Notices.Draft> drafts(String owner, Visit visit, Visit then, Comparison compared) {
        List<Recipient.FittedBrief> fitted = briefs(visit, compared).stream()
                .map(brief -> new Recipient.FittedBrief(
                        brief.name(),
                        fitting(brief, compared.termBefore(), then),
                        fitting(brief, compared.termNow(), visit)))
                .toList();
        Schedule schedule = compared.correction.now();
        Optional<Registration> has = visit.registration();
        PlanBook plans = has.map(some -> visit.kept().plans().read(plan -> PlanAtRegistrar.of(plan, some)))
                .orElse(visit.kept().plans());
        Recipient recipient = new Recipient(
                plans,
                has.orElse(Registration.nothing(visit.instant())),
                visit.kept().watches(),
                fitted,
                visit.home(),
                visit.record(schedule));
        EditionWords words = new EditionWords(attendance -> hasSeat(attendance, visit));
        return compared.notices.of(recipient).stream()
                .map(notice -> draft(owner, notice, visit, compared, words))
                .toList();
    }

    private boolean hasSeat(Attendance attendance, Visit visit) {
        return terms.all().stream()
                .filter(posted ->
                        posted.edition().term().equals(attendance.term().code()))
                .flatMap(
                        posted -> posted.schedule().section(attendance.section().entry()).stream()
                                .map(section -> visit.reading(posted, section)))
                .anyMatch(reading -> reading.open() > 0);
    }

    private static Notices.Draft draft(
            String owner, EditionNotice notice, Visit visit, Comparison compared, EditionWords words) {
        String key;
        String about;
        NoticeContent content;
        Kind kind;
        if (notice instanceof EditionNotice.Changed changed) {
            about = changed.section().section().entry().digits();
            key = "edition %d %s".formatted(compared.later.id(), about);
            content = words.of(changed);
            kind = Kind.CHANGES;
        } else {
            EditionNotice.Fits fits = (EditionNotice.Fits) notice;
            about = fits.brief();
            key = "edition %d fits %s".formatted(compared.later.id(), about);
            content = words.of(
                    fits,
                    visit.kept().briefs().stream()
                            .filter(brief -> brief.name().equals(fits.brief()))
                            .map(SavedBrief::address)
                            .findFirst()
                            .orElse("/"));
            kind = Kind.FITS;
        }
        return Drafts.of(
                owner,
                key,
                kind,
                compared.correction.term().text(),
                about,
                content,
                visit.instant(),
                Optional.empty(),
                visit.kept().letters(),
                compared.correction.now().institution().zone());
    }

    /** The saved briefs that look into the term, by itself or with others. */
    private static List<SavedBrief> briefs(Visit visit, Comparison compared) {
        Schedule schedule = compared.correction.now();
        String term = "/" + schedule.term().code() + "/";
        String season = "/season/" + schedule.term().season().code() + "/";
        return visit.kept().briefs().stream()
                .filter(brief ->
                        brief.address().startsWith(term) || brief.address().startsWith(season))
                .toList();
    }

    private static Set<EntryNumber> fitting(SavedBrief brief, PostedTerm term, Visit visit) {
        Map<String, List<String>> parameters =
                Addresses.parameters(brief.address()).orElse(Map.of());
        return Findings.of(
                        visit.of(term),
                        BriefAddress.read(parameters, term.index().vocabulary()).brief())
                .fitting()
                .stream()
                .map(Section::entry)
                .collect(Collectors.toSet());
    }
}
