package ample.ledger.web.visit;

import ample.ledger.core.browse.index.Moment;
import ample.ledger.core.plan.PlannedWeek;
import ample.ledger.core.plan.PostedSchedules;
import ample.ledger.core.readiness.PlanAtRegistrar;
import ample.ledger.core.reading.Background;
import ample.ledger.core.reading.OwnOpening;
import ample.ledger.core.reading.Person;
import ample.ledger.core.reading.RecordReading;
import ample.ledger.core.reading.StatusReading;
import ample.ledger.core.registrar.Hold;
import ample.ledger.core.registrar.Registration;
import ample.ledger.core.registrar.StudentFile;
import ample.ledger.core.requirement.StudentRecord;
import ample.ledger.core.schedule.CampusCode;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.SeasonCode;
import ample.ledger.core.schedule.Section;
import ample.ledger.core.schedule.StudentGroup.About;
import ample.ledger.core.schedule.TermCode;
import ample.ledger.web.guest.Kept;
import ample.ledger.web.guest.KeptRecord;
import ample.ledger.web.preferences.Preferences;
import ample.ledger.web.term.PostedTerm;
import ample.ledger.web.words.SeatWords;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;

/**
 * One visit of one page: who asks, by what is kept for them, and what each term is to them at that moment. All that a page says of seats and
 * status comes from here, so that no two places of it, and no two pages, say different things.
 */
public final class Visit {

    private final Instant instant;
    private final Kept kept;
    private final Preferences preferences;
    private final PostedSchedules posted;
    private final Map<TermCode, Person> people = new ConcurrentHashMap<>();
    private final Map<TermCode, Moment> moments = new ConcurrentHashMap<>();

    private final FromRegistrar registrar;
    private final boolean another;

    Visit(Instant instant, Kept kept, Preferences preferences, PostedSchedules posted, FromRegistrar registrar) {
        this(instant, kept, preferences, posted, registrar, false);
    }

    /** @param another whether somebody else looks at what is a student's */
    Visit(
            Instant instant,
            Kept kept,
            Preferences preferences,
            PostedSchedules posted,
            FromRegistrar registrar,
            boolean another) {
        this.another = another;
        this.registrar = registrar;
        this.posted = posted;
        this.instant = instant;
        this.kept = kept;
        this.preferences = preferences;
    }

    public Instant instant() {
        return instant;
    }

    /** The same moment for somebody who belongs to no group, for whom lists and documents for programs are written. */
    public Visit ofNobody() {
        return new Visit(instant, Kept.NOTHING, Preferences.USUAL, posted, FromRegistrar.NOTHING);
    }

    public Kept kept() {
        return kept;
    }

    public Preferences preferences() {
        return preferences;
    }

    /** The home campus: as the registrar has it, or as the visitor has said; empty for none, and where neither is known. */
    public Optional<CampusCode> home() {
        return registrar
                .file()
                .flatMap(StudentFile::homeCampus)
                .map(CampusCode::new)
                .or(preferences::home);
    }

    /** What keeps a signed-in student from registering, as the institution says. */
    public List<Hold> holds() {
        return registrar.file().map(StudentFile::holds).orElse(List.of());
    }

    /** Of whom a page speaks to its reader: "you", or "them". */
    public String whom() {
        return another ? "them" : "you";
    }

    /** What the registrar has said of who asks. */
    public FromRegistrar registrar() {
        return registrar;
    }

    /**
     * When registration for {@code schedule} opens for who asks: as the registrar has it, or else by the credits. Empty where neither is
     * known, and where nothing opens.
     */
    public Optional<OwnOpening> opening(Schedule schedule) {
        return registrar.file().isPresent()
                ? registrar.file().flatMap(file -> file.opening(schedule))
                : record(schedule)
                        .flatMap(StudentRecord::creditsEarned)
                        .flatMap(earned -> OwnOpening.of(schedule.lists().openings(), earned));
    }

    /** What who asks has at the registrar; empty for a guest, and where the registrar takes no submissions or does not answer. */
    public Optional<Registration> registration() {
        return registrar.registration();
    }

    /** What the registrar has said of who asks and of one term. */
    public Optional<StudentFile.OfTerm> ofTerm(Schedule schedule) {
        return registrar.file().flatMap(file -> file.term(schedule.term().code().text()));
    }

    /** What time it is where the institution of {@code schedule} stands. */
    public LocalDateTime now(Schedule schedule) {
        return LocalDateTime.ofInstant(instant, schedule.institution().zone());
    }

    /**
     * The record: as the registrar has it, with what the student supposes; or as it was typed. Empty where there is neither.
     */
    public Optional<StudentRecord> record(Schedule schedule) {
        KeptRecord record = kept.record();
        if (registrar.file().isPresent()) {
            return registrar.file().map(file -> file.record(record.supposed(posted.all()), posted.all()));
        }
        return record.said() ? Optional.of(record.read(preferences.home(), schedule, posted.all())) : Optional.empty();
    }

    /** Who asks, as far as seats and status of this schedule depend on it. The home campus may be known where no record is. */
    public Person person(Schedule schedule) {
        return people.computeIfAbsent(
                schedule.term().code(),
                term -> Person.of(
                        schedule,
                        record(schedule).or(() -> preferences.home().map(Visit::ofCampus)),
                        opening(schedule).map(OwnOpening::opening),
                        ofTerm(schedule).flatMap(StudentFile.OfTerm::closes),
                        now(schedule)));
    }

    private static StudentRecord ofCampus(CampusCode campus) {
        return new StudentRecord(
                Set.of(),
                List.of(),
                Optional.empty(),
                Optional.empty(),
                Set.of(),
                Set.of(),
                Map.of(About.CAMPUS, Set.of(campus.text())));
    }

    /** The term as it is to who asks; the same whenever it is asked for in one visit. */
    public Moment of(PostedTerm term) {
        return moments.computeIfAbsent(
                term.edition().term(), code -> term.index().now(background(term.schedule()), posted));
    }

    private Background background(Schedule schedule) {
        return new Background(
                person(schedule),
                record(schedule),
                kept.week(schedule).stream()
                        .map(section -> section.course().code())
                        .collect(Collectors.toSet()));
    }

    /** What the courses and sections of {@code schedule} are to the record, and to what the visitor keeps for the term. */
    public RecordReading byRecord(Schedule schedule) {
        return new RecordReading(schedule, background(schedule));
    }

    /** Terms as they are to who asks, in their order. */
    public List<Moment> of(List<PostedTerm> terms) {
        return terms.stream().map(this::of).toList();
    }

    /** What the visitor keeps for a season, as it stands with the registrar. */
    public PlannedWeek week(SeasonCode season) {
        return PlannedWeek.of(
                registration()
                        .map(has -> kept.plans().read(plan -> PlanAtRegistrar.of(plan, has)))
                        .orElse(kept.plans()),
                season,
                posted);
    }

    /** What of the visitor's week stands in the way of one more section of {@code schedule}. */
    public InTheWay inTheWay(Schedule schedule) {
        return new InTheWay(week(schedule.term().season().code()).engagements(), posted);
    }

    /** The schedules of all terms. */
    public PostedSchedules posted() {
        return posted;
    }

    public StatusReading reading(PostedTerm posted, Section section) {
        return of(posted).reading(section);
    }

    /** The seats and the status of a section, in words. */
    public SeatWords seats(PostedTerm posted, Section section) {
        SeatWords words = SeatWords.of(section, reading(posted, section), person(posted.schedule()), posted.schedule());
        return registration()
                .map(has -> words.having(StandingWords.of(has, this.posted.attendance(section, posted.schedule()))))
                .orElse(words);
    }
}
