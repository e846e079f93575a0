package ample.ledger.web.browse;

import ample.ledger.core.browse.answer.CourseFindings;
import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.reading.ClassHours;
import ample.ledger.core.schedule.Companion;
import ample.ledger.core.schedule.Course;
import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.PostedPrerequisite;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Section;
import ample.ledger.web.browse.BrowsePage.CourseHead;
import ample.ledger.web.browse.BrowsePage.Essentials;
import ample.ledger.web.browse.BrowsePage.Fact;
import ample.ledger.web.browse.BrowsePage.Line;
import ample.ledger.web.browse.BrowsePage.SubjectHead;
import ample.ledger.web.preferences.Preferences;
import ample.ledger.web.term.Addresses;
import ample.ledger.web.term.ChangeWords;
import ample.ledger.web.term.Picked;
import ample.ledger.web.term.PostedTerm;
import ample.ledger.web.visit.InTheWay;
import ample.ledger.web.visit.Visit;
import ample.ledger.web.words.CodeWords;
import ample.ledger.web.words.OfSubject;
import ample.ledger.web.words.SeatWords;
import ample.ledger.web.words.Strip;
import ample.ledger.web.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Writes the lines and heads of one term's sections in a list. */
public final class LineWords {

    private final Visit visit;
    private final PostedTerm posted;
    private final Schedule schedule;
    private final Preferences preferences;
    private final Addressing addresses;
    private final Strip.Ground ground;
    private final Set<Option> options;
    private final Set<EntryNumber> week;
    private final InTheWay inTheWay;
    private final ChangeWords changes;

    /** What is different from the plain line of one term's list. */
    enum Option {
        /** Other terms stand in the same list, so that calendars must be told apart. */
        AMONG_TERMS,
        /** The term is not the first of those browsed, so that a line must say which it is from. */
        LATER_TERM,
        /** Lines open in place. */
        OPENS_IN_PLACE
    }

    LineWords(PostedTerm posted, Addressing addresses, Strip.Ground ground, Set<Option> options, Visit visit) {
        this.visit = visit;
        this.options = options;
        this.week = Set.copyOf(visit.kept().week(posted.edition().term()));
        this.posted = posted;
        this.changes = new ChangeWords(posted, visit.preferences().clock());
        this.schedule = posted.schedule();
        this.inTheWay = visit.inTheWay(schedule);
        this.preferences = visit.preferences();
        this.addresses = addresses;
        this.ground = ground;
    }

    /**
     * All sections of one course, on a page of its own: nothing opens in place there.
     *
     * @param brief what the student is looking for, kept in the addresses of the sheets
     */
    public static List<Line> ofCourse(PostedTerm posted, Course course, Brief brief, Strip.Ground ground, Visit visit) {
        Addresses term = new Addresses(posted.edition().term());
        LineWords words = new LineWords(
                posted, new Addressing(term, brief, List.of(), BrowseView.USUAL), ground, Set.of(), visit);
        return CourseFindings.of(posted.schedule().sectionsOf(course.code()), posted.schedule()).stream()
                .flatMap(found -> found.lines().stream())
                .map(words::underCourse)
                .toList();
    }

    /** "Saltern College, Autumn quarter 2031: 10 weeks, Mon 29 Sep to Fri 5 Dec 2031". */
    String term() {
        return "%s, %s: %s, %s"
                .formatted(
                        schedule.institution().name(),
                        schedule.term().name(),
                        Words.count(schedule.term().dates().weeks(), "week"),
                        Words.dates(schedule.term().dates()));
    }

    String sheet(Section section) {
        return new Addresses(schedule.term().code()).sheet(section.entry(), addresses.brief());
    }

    CourseHead head(CourseFindings found, boolean firstOfSubject) {
        Course course = found.course();
        return new CourseHead(
                "course-" + course.code().subject() + "-" + course.code().number(),
                firstOfSubject ? subject(course) : null,
                course.written(),
                CodeWords.of(schedule.codeKey(), "course", course.written()),
                new Addresses(schedule.term().code()).course(course.code(), addresses.brief()),
                course.title(),
                Words.credits(course.credits()),
                schedule.requirements().stream()
                        .filter(requirement -> course.requirements().contains(requirement.code()))
                        .map(requirement -> requirement.name())
                        .collect(Collectors.joining(", ")),
                course.rules().prerequisites().isEmpty()
                        ? "No prerequisite."
                        : "Needs "
                                + course.rules().prerequisites().stream()
                                        .map(PostedPrerequisite::sentence)
                                        .collect(Collectors.joining(" ")),
                found.lines().size() == found.posted()
                        ? "all " + found.posted() + " fit"
                        : found.lines().size() + " of " + found.posted() + " fit");
    }

    private SubjectHead subject(Course course) {
        OfSubject of = OfSubject.of(course, schedule);
        List<String> notes = of.notes();
        return new SubjectHead(
                "subject-" + course.code().subject(),
                of.name(),
                notes.isEmpty() ? "" : notes.get(0),
                notes.isEmpty() ? List.of() : notes.subList(1, notes.size()));
    }

    /** A line under the head of its course. */
    Line underCourse(CourseFindings.Line line) {
        return line(line.section(), "", kind(line), line.role() != CourseFindings.Role.LEAD);
    }

    /** A line by itself, in whatever order. */
    Line alone(Section section) {
        Course course = section.course();
        return line(
                section,
                course.written() + " " + course.title(),
                section.kindName(),
                section.companion().isPresent());
    }

    private Line line(Section section, String course, String kind, boolean companion) {
        boolean open = addresses.view().looks().contains(section.entry());
        return new Line(
                "e" + section.entry(),
                section.entry().toString(),
                section.code(),
                CodeWords.of(schedule.codeKey(), "section", section.code()),
                sheet(section),
                course,
                kind,
                companion,
                section.cancelled(),
                twins(section),
                Strip.of(section, ground),
                section.meetings().stream()
                        .map(meeting -> Words.when(meeting.timing(), preferences.clock()))
                        .toList(),
                Words.where(section),
                away(section),
                Words.who(section),
                seats(section),
                runs(section),
                changes.of(section.entry()),
                options.contains(Option.OPENS_IN_PLACE) ? lookingAt(section, open) : null,
                options.contains(Option.LATER_TERM)
                        ? Picked.elsewhere(posted.edition().term(), section.entry())
                        : section.entry().toString(),
                week.contains(section.entry()),
                week.contains(section.entry()) || section.cancelled()
                        ? ""
                        : inTheWay.words(visit.posted().attendance(section, schedule)),
                open ? essentials(section) : null);
    }

    /** Opens it in place, or closes it. */
    private String lookingAt(Section section, boolean open) {
        BrowseView view = addresses.view();
        return addresses.seen(open ? view.onPage(1) : view.looking(section.entry())) + "#e" + section.entry();
    }

    SeatWords seats(Section section) {
        return visit.seats(posted, section);
    }

    /** The courses that it is posted for too. */
    private String twins(Section section) {
        return section.listing().isEmpty()
                ? ""
                : schedule.twinsOf(section).stream()
                        .map(Section::toString)
                        .collect(Collectors.joining(" and ", "the same class as ", ""));
    }

    private String runs(Section section) {
        String runs = Words.runs(section.span(), schedule.classDates());
        return options.contains(Option.AMONG_TERMS)
                ? runs + ", from\u00a0" + Words.day(section.span().dates().first())
                : runs;
    }

    /** Said only where it can matter: at a place that is not the student's own campus. */
    private String away(Section section) {
        boolean matters = visit.home().isPresent()
                && !section.campus().remote()
                && !visit.home().equals(Optional.of(section.campus().code()));
        return matters ? "not your campus" : "";
    }

    private Essentials essentials(Section section) {
        List<Fact> facts = new ArrayList<>();
        facts.add(new Fact("Code", CodeWords.ofSection(schedule.codeKey(), section)));
        facts.add(new Fact(
                "Dates",
                section.span().name() + ", " + Words.dates(section.span().dates())));
        facts.add(new Fact(
                "Hours", Words.inClass(ClassHours.of(section, schedule.term().calendar()))));
        section.exams()
                .forEach(exam -> facts.add(new Fact(
                        "Exam",
                        Words.when(exam.timing(), preferences.clock()) + ", "
                                + Words.lowered(exam.place().inWords()))));
        facts.add(new Fact("Delivery", Words.capitalised(section.delivery().label())));
        String asks = Stream.of(
                        section.course().rules().prerequisites().stream().map(needs -> "Needs " + needs.sentence()),
                        section.course().rules().corequisites().stream().map(with -> with.sentence()),
                        section.course().rules().restrictions().stream().map(rule -> rule.sentence()),
                        section.restrictions().stream().map(rule -> rule.sentence()))
                .flatMap(sentences -> sentences)
                .distinct()
                .collect(Collectors.joining(" "));
        facts.add(new Fact("Asks", asks.isEmpty() ? "No prerequisite, and open to everyone." : asks));
        String notes = Stream.concat(section.notes().stream(), section.course().notes().stream())
                .collect(Collectors.joining(" "));
        if (!notes.isEmpty()) {
            facts.add(new Fact("Notes", notes));
        }
        return new Essentials(section.course().description(), facts, seats(section), sheet(section));
    }

    private String kind(CourseFindings.Line line) {
        Section section = line.section();
        String kind = section.kindName();
        return switch (line.role()) {
            case LEAD -> kind;
            case BOUND_COMPANION -> kind + ", 1 of " + siblings(section);
            case OPEN_COMPANION -> kind + ", for any";
            case LEAD_LEFT_OUT ->
                section.companion()
                        .flatMap(Companion::boundTo)
                        .flatMap(schedule::section)
                        .map(lead -> kind + "; its " + lead.code() + " is left out")
                        .orElse(kind + "; what it goes with is left out");
        };
    }

    /** How many companions of the same lead there are to choose from. */
    private long siblings(Section companion) {
        return schedule.leadsOf(companion).stream()
                .flatMap(lead -> schedule.companionsOf(lead).stream())
                .distinct()
                .count();
    }
}
