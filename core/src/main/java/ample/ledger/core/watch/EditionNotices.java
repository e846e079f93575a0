package ample.ledger.core.watch;

import ample.ledger.core.edition.SectionChange;
import ample.ledger.core.edition.SectionChange.What;
import ample.ledger.core.plan.Attendance;
import ample.ledger.core.plan.Obstacle;
import ample.ledger.core.plan.Obstacles;
import ample.ledger.core.plan.PlannedWeek;
import ample.ledger.core.plan.PostedSchedules;
import ample.ledger.core.plan.Swap;
import ample.ledger.core.registrar.Entry;
import ample.ledger.core.schedule.CourseCode;
import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.Place;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Section;
import ample.ledger.core.watch.Concern.Why;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.NavigableSet;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Two editions compared for one student: what of the difference concerns them, and what it does to their week. Safe for many threads.
 */
public final class EditionNotices {

    /** Of these it is worth saying what they do to a week, and that the section fits a brief no longer. */
    private static final Set<What> WHEN_AND_WHERE = EnumSet.of(What.MOVED, What.SPAN, What.PLACE, What.HELD_AFTER_ALL);

    private final EditionCorrection correction;
    private final PostedSchedules before;
    private final PostedSchedules now;

    /** All that is different, and where: what has changed in the order of the schedule, then what is no longer posted. */
    private final List<Section> touched;

    private final Map<EntryNumber, Integer> byEntry = new HashMap<>();
    private final Map<CourseCode, List<Integer>> byCourse = new HashMap<>();

    /**
     * @param before the schedules of all terms with the edition before
     * @param now the same with the edition after it
     */
    public EditionNotices(EditionCorrection correction, PostedSchedules before, PostedSchedules now) {
        this.correction = correction;
        this.before = before;
        this.now = now;
        this.touched = Stream.concat(
                        correction.now().sections().stream()
                                .filter(section -> correction.changes().containsKey(section.entry())),
                        correction.removed().values().stream())
                .toList();
        for (int at = 0; at < touched.size(); at++) {
            Section section = touched.get(at);
            byEntry.put(section.entry(), at);
            byCourse.computeIfAbsent(section.course().code(), absent -> new ArrayList<>())
                    .add(at);
        }
    }

    /** What this student is to be told, in the order of the schedule; empty where nothing concerns them. */
    public List<EditionNotice> of(Recipient who) {
        Map<EntryNumber, Set<Why>> why = why(who);
        List<Section> concerned = concerned(why.keySet(), who.watches());
        // What is only watched has no part in the week.
        Optional<Weeks> weeks = concerned.stream().anyMatch(section -> why.containsKey(section.entry()))
                ? Optional.of(weeks(who, concerned))
                : Optional.empty();
        List<EditionNotice> notices = new ArrayList<>();
        concerned.forEach(
                section -> notices.add(changed(section, why.getOrDefault(section.entry(), Set.of()), who, weeks)));
        who.watches().stream()
                .flatMap(watch -> newlyFitting(watch, who).stream())
                .forEach(notices::add);
        return notices;
    }

    /** The week now, and what stands in the way of sections that are elsewhere now, and did not with the edition before. */
    private record Weeks(PlannedWeek now, List<Obstacle> fresh) {}

    private Weeks weeks(Recipient who, List<Section> concerned) {
        PlannedWeek week = week(who, now);
        Set<Attendance> elsewhere = concerned.stream()
                .filter(this::isElsewhere)
                .map(this::attendance)
                .collect(Collectors.toSet());
        List<Obstacle> obstacles = elsewhere.isEmpty()
                ? List.of()
                : Obstacles.of(week, student(who, correction.now())).stream()
                        .filter(obstacle -> obstacle.about().stream().anyMatch(elsewhere::contains))
                        .filter(obstacle -> !(obstacle instanceof Obstacle.IsCancelled))
                        .toList();
        return new Weeks(week, obstacles.isEmpty() ? obstacles : fresh(obstacles, who));
    }

    private List<Obstacle> fresh(List<Obstacle> obstacles, Recipient who) {
        Set<Obstacle> known = new HashSet<>(Obstacles.of(week(who, before), student(who, correction.before())));
        return obstacles.stream().filter(obstacle -> !known.contains(obstacle)).toList();
    }

    private PlannedWeek week(Recipient who, PostedSchedules posted) {
        return PlannedWeek.of(who.plans(), correction.now().term().season().code(), posted);
    }

    private static Obstacles.Student student(Recipient who, Schedule schedule) {
        return new Obstacles.Student(who.home(), schedule.term(), who.record());
    }

    /** What concerns a student is looked up in what is different, not the other way round: a student has few sections, and an edition many changes. */
    private List<Section> concerned(Set<EntryNumber> own, List<Watch> watches) {
        NavigableSet<Integer> places = new TreeSet<>();
        own.stream()
                .map(byEntry::get)
                .filter(Objects::nonNull)
                .filter(at -> !isMerelyNew(touched.get(at)))
                .forEach(places::add);
        for (Watch watch : watches) {
            watchedPlaces(watch.about())
                    .filter(at -> tells(watch, touched.get(at)))
                    .forEach(places::add);
        }
        return places.stream().map(touched::get).toList();
    }

    private Stream<Integer> watchedPlaces(Watched watched) {
        if (!watched.term().equals(correction.term())) {
            return Stream.empty();
        }
        if (watched instanceof Watched.OfSection section) {
            return Stream.ofNullable(byEntry.get(section.entry()));
        }
        return watched instanceof Watched.OfCourse course
                ? byCourse.getOrDefault(course.course(), List.of()).stream()
                : Stream.empty();
    }

    private boolean isMerelyNew(Section section) {
        return changes(section).stream().anyMatch(change -> change.what() == What.ADDED);
    }

    private List<SectionChange> changes(Section section) {
        return correction.changes().getOrDefault(section.entry(), List.of());
    }

    /** Why sections of the term concern a student, other than by a watch. */
    private Map<EntryNumber, Set<Why>> why(Recipient who) {
        Map<EntryNumber, Set<Why>> why = new HashMap<>();
        add(why, Why.REGISTERED, who.has().registered().stream());
        add(why, Why.WAITING, Concern.waitedFor(who.has()));
        add(
                why,
                Why.PLANNED,
                Concern.planned(who.plans())
                        .map(pick -> new Entry(pick.term().text(), pick.entry().digits())));
        return why;
    }

    private void add(Map<EntryNumber, Set<Why>> why, Why one, Stream<Entry> entries) {
        entries.filter(entry -> entry.term().equals(correction.term().text()))
                .flatMap(entry -> EntryNumber.parse(entry.number()).stream())
                .forEach(entry -> why.computeIfAbsent(entry, absent -> EnumSet.noneOf(Why.class))
                        .add(one));
    }

    private boolean tells(Watch watch, Section section) {
        boolean gone =
                !isPosted(section) || changes(section).stream().anyMatch(change -> change.what() == What.CANCELLED);
        return watch.tells(Tell.CHANGED)
                || watch.tells(Tell.CANCELLED) && gone
                || watch.tells(Tell.NAMED) && changes(section).stream().anyMatch(change -> names(change, section));
    }

    /** Whether a person or a place that was to be announced is known now. */
    private static boolean names(SectionChange change, Section now) {
        return switch (change.what()) {
            case PEOPLE ->
                change.before().filter(then -> then.instructors().isEmpty()).isPresent()
                        && !now.instructors().isEmpty();
            case PLACE -> change.before().filter(EditionNotices::isWithoutPlace).isPresent() && !isWithoutPlace(now);
            case ADDED, CANCELLED, HELD_AFTER_ALL, RENAMED, MOVED, SPAN, FEWER_SEATS, RESTRICTED -> false;
        };
    }

    private static boolean isWithoutPlace(Section section) {
        return section.meetings().stream().anyMatch(meeting -> meeting.place() instanceof Place.ToBeAnnounced);
    }

    private EditionNotice.Changed changed(Section section, Set<Why> why, Recipient who, Optional<Weeks> weeks) {
        boolean posted = isPosted(section);
        Attendance attendance = attendance(section);
        // What only lies in the way of a section that has moved is said of that section.
        List<Obstacle> obstacles = weeks.filter(known -> isElsewhere(section)).stream()
                .flatMap(known -> known.fresh().stream())
                .filter(obstacle -> obstacle.about().contains(attendance))
                .toList();
        return new EditionNotice.Changed(
                attendance,
                posted,
                why.isEmpty() ? EnumSet.of(Why.WATCHED) : why,
                changes(section),
                obstacles,
                weeks.map(known -> remedies(attendance, posted, why, obstacles, known.now()))
                        .orElse(List.of()),
                why.isEmpty() ? List.of() : left(section, who));
    }

    private Attendance attendance(Section section) {
        return isPosted(section)
                ? now.attendance(section, correction.now())
                : before.attendance(section, correction.before());
    }

    private boolean isPosted(Section section) {
        return !correction.removed().containsKey(section.entry());
    }

    private static List<Swap> remedies(
            Attendance attendance, boolean posted, Set<Why> why, List<Obstacle> obstacles, PlannedWeek week) {
        if (posted && attendance.section().cancelled() && !why.isEmpty()) {
            return Swap.of(attendance, week);
        }
        return obstacles.stream()
                .flatMap(obstacle -> Obstacles.remedies(obstacle, week).stream())
                .filter(swap -> !swap.in().isEmpty())
                .distinct()
                .toList();
    }

    private List<String> left(Section section, Recipient who) {
        return isElsewhere(section)
                ? who.briefs().stream()
                        .filter(brief -> brief.before().contains(section.entry())
                                && !brief.now().contains(section.entry()))
                        .map(Recipient.FittedBrief::name)
                        .toList()
                : List.of();
    }

    private boolean isElsewhere(Section section) {
        return changes(section).stream().anyMatch(change -> WHEN_AND_WHERE.contains(change.what()));
    }

    private Optional<EditionNotice.Fits> newlyFitting(Watch watch, Recipient who) {
        if (!(watch.about() instanceof Watched.OfBrief brief) || !brief.term().equals(correction.term())) {
            return Optional.empty();
        }
        List<Attendance> sections = who.briefs().stream()
                .filter(fitted -> fitted.name().equals(brief.name()))
                .flatMap(fitted -> correction.now().sections().stream()
                        .filter(section -> fitted.now().contains(section.entry())
                                && !fitted.before().contains(section.entry())))
                .map(section -> now.attendance(section, correction.now()))
                .toList();
        return sections.isEmpty() ? Optional.empty() : Optional.of(new EditionNotice.Fits(brief.name(), sections));
    }
}
