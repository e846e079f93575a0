package ample.ledger.web.sheet;

import ample.ledger.core.browse.answer.Findings;
import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.exchange.LinkedData;
import ample.ledger.core.plan.CompleteSets;
import ample.ledger.core.reading.ClassHours;
import ample.ledger.core.schedule.Course;
import ample.ledger.core.schedule.Delivery;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Section;
import ample.ledger.web.guest.Kept;
import ample.ledger.web.preferences.Preferences;
import ample.ledger.web.requirement.Asks;
import ample.ledger.web.requirement.Judging;
import ample.ledger.web.sheet.SheetPage.MeetingRow;
import ample.ledger.web.sheet.SheetPage.Related;
import ample.ledger.web.term.Addresses;
import ample.ledger.web.term.ChangeWords;
import ample.ledger.web.term.PostedTerm;
import ample.ledger.web.visit.Visit;
import ample.ledger.web.words.CodeWords;
import ample.ledger.web.words.OfSubject;
import ample.ledger.web.words.RoundWords;
import ample.ledger.web.words.SeatWords;
import ample.ledger.web.words.Strip;
import ample.ledger.web.words.Words;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** Makes the sheet of one section. */
final class SheetPages {

    /** As many as a line-up holds. */
    private static final int MOST_LINED_UP = 6;

    private final PostedTerm posted;
    private final Schedule schedule;
    private final LocalDate today;
    private final Section section;
    private final Brief brief;
    private final Addresses addresses;
    private final Preferences preferences;
    private final Kept kept;
    private final Findings findings;
    private final Visit visit;
    private final Judging judging;

    private SheetPages(PostedTerm posted, Section section, Brief brief, Visit visit) {
        this.kept = visit.kept();
        this.visit = visit;
        this.findings = Findings.of(visit.of(posted), brief);
        this.posted = posted;
        this.preferences = visit.preferences();
        this.schedule = posted.schedule();
        this.today = posted.index().today();
        this.judging = Judging.of(schedule, visit);
        this.section = section;
        this.brief = brief;
        this.addresses = new Addresses(schedule.term().code());
    }

    static SheetPage page(PostedTerm posted, Section section, Brief brief, Visit visit) {
        return new SheetPages(posted, section, brief, visit).page();
    }

    private SheetPage page() {
        return new SheetPage(
                name(),
                taking(),
                standing(),
                meets(),
                dates(),
                about(),
                besides(),
                LinkedData.of(section, schedule, visit.ofNobody().reading(posted, section)));
    }

    private SheetPage.Name name() {
        Course course = section.course();
        return new SheetPage.Name(
                section.entry().toString(),
                course.written(),
                addresses.course(course.code(), brief),
                section.code(),
                course.title(),
                Words.where(section) + " · " + Words.who(section),
                code(),
                addresses.calendarFile(section.entry()),
                here(),
                addresses.browseAt(brief, section.entry()),
                brief.isEmpty() ? "Back to all sections" : "Back to your brief");
    }

    private String here() {
        return addresses.sheet(section.entry(), brief);
    }

    private SheetPage.Taking taking() {
        return new SheetPage.Taking(addresses.keep(), kept.week(schedule).contains(section), lineUp());
    }

    private SheetPage.Standing standing() {
        return new SheetPage.Standing(
                seats(section),
                new StatusWords(visit.reading(posted, section)).besides(),
                others(),
                section.cancelled(),
                schedule.roundOf(section.entry())
                        .map(round -> new SheetPage.Round(round.name(), new RoundWords(round).address(schedule)))
                        .orElse(null));
    }

    private SheetPage.Meets meets() {
        Strip.Ground ground = Strip.ground(section.days(), brief, preferences.frame(List.of(schedule)));
        return new SheetPage.Meets(
                Stream.concat(section.meetings().stream(), section.exams().stream())
                        .map(meeting -> new MeetingRow(
                                Words.when(meeting.timing(), preferences.clock()),
                                meeting.kindName() + ", "
                                        + Words.lowered(meeting.place().inWords())))
                        .toList(),
                new ChangeWords(posted, preferences.clock()).ofAllEditions(section.entry()),
                Words.inClass(ClassHours.of(section, schedule.term().calendar())),
                HoursWords.of(set(), schedule),
                ground,
                Strip.of(section, ground));
    }

    /** The section with what it is taken with, the leading one first; alone where nothing goes with it. */
    private List<Section> set() {
        return CompleteSets.of(schedule, section.course().code()).stream()
                .filter(set -> set.contains(section))
                .findFirst()
                .orElse(List.of(section));
    }

    private SheetPage.Dates dates() {
        DatesWords dates = new DatesWords(section, schedule.term().calendar(), preferences.week(schedule), today);
        return new SheetPage.Dates(
                section.span().name(),
                Words.dates(section.span().dates()),
                dates.binding(schedule.lists().bindingRules()),
                dates.weeks(),
                dates.held(),
                dates.leftOut());
    }

    private SheetPage.About about() {
        Course course = section.course();
        return new SheetPage.About(
                Words.capitalised(section.delivery().label()),
                section.declared() == section.delivery() ? null : declared(section.declared()),
                Words.credits(course.credits()),
                course.description(),
                Asks.of(judging, course, section.restrictions(), Addresses.with("/record", "back", here())),
                toward(course),
                Stream.concat(section.notes().stream(), course.notes().stream()).toList(),
                OfSubject.of(course, schedule));
    }

    private SheetPage.Besides besides() {
        boolean isCompanion = section.companion().isPresent();
        List<Section> goesWith = isCompanion ? schedule.leadsOf(section) : schedule.companionsOf(section);
        return new SheetPage.Besides(
                related(schedule.twinsOf(section)),
                companionsTitle(isCompanion, goesWith),
                related(goesWith),
                related(siblings(goesWith)));
    }

    private List<CodeWords.Part> code() {
        return Stream.concat(
                        CodeWords.parts(
                                schedule.codeKey(), "course", section.course().written())
                                .stream(),
                        CodeWords.parts(schedule.codeKey(), "section", section.code()).stream())
                .toList();
    }

    /** The other sections of the course of the same kind that will be held. */
    private List<Section> alike() {
        return schedule.sectionsOf(section.course().code()).stream()
                .filter(other -> !other.equals(section) && !other.cancelled() && other.kind() == section.kind())
                .toList();
    }

    private @Nullable String lineUp() {
        List<Section> alike = alike();
        return alike.isEmpty()
                ? null
                : addresses.lineUp(
                        Stream.concat(Stream.of(section), alike.stream()).limit(MOST_LINED_UP), here());
    }

    private String others() {
        List<Section> alike = alike();
        if (alike.isEmpty()) {
            return "It is the only " + section.kindName().toLowerCase(Locale.ROOT) + " of this course.";
        }
        int open = alike.stream()
                .mapToInt(other -> visit.reading(posted, other).open())
                .sum();
        return "%s of this kind %s %s open%s."
                .formatted(
                        Words.count(alike.size(), "other section"),
                        alike.size() == 1 ? "has" : "have",
                        open == 0 ? "no seats" : Words.count(open, "seat"),
                        alike.size() == 1 ? "" : " between them");
    }

    private static String declared(Delivery declared) {
        return "The registrar lists it as " + declared.label() + "; its meetings say otherwise.";
    }

    private String toward(Course course) {
        return schedule.requirements().stream()
                .filter(requirement -> course.requirements().contains(requirement.code()))
                .map(requirement -> requirement.name())
                .collect(Collectors.joining(" · "));
    }

    private static String companionsTitle(boolean isCompanion, List<Section> goesWith) {
        if (isCompanion) {
            return goesWith.size() == 1 ? "Taken together with" : "Taken together with one of these";
        }
        return "Complete the set: "
                + goesWith.stream()
                        .flatMap(companion -> companion.companion().stream())
                        .map(companion -> "one " + companion.choice())
                        .distinct()
                        .collect(Collectors.joining(" and "));
    }

    /** The other sections of the course, without those that the sheet names as companions already. */
    private List<Section> siblings(List<Section> goesWith) {
        return schedule.sectionsOf(section.course().code()).stream()
                .filter(other -> !other.equals(section) && !goesWith.contains(other))
                .filter(other ->
                        other.companion().isPresent() == section.companion().isPresent())
                .toList();
    }

    private List<Related> related(List<Section> sections) {
        return sections.stream()
                .map(other -> new Related(
                        other.entry().toString(),
                        other.course().equals(section.course())
                                ? other.code() + ", " + other.kindName().toLowerCase(Locale.ROOT)
                                : other.toString(),
                        CodeWords.ofSection(schedule.codeKey(), other),
                        addresses.sheet(other.entry(), brief),
                        other.meetings().stream()
                                .map(meeting -> Words.when(meeting.timing(), preferences.clock()))
                                .collect(Collectors.joining("; ")),
                        Words.where(other),
                        inTheWay(other),
                        seats(other)))
                .toList();
    }

    /** What stands in the way of taking it: the brief, and what of my week does not go with it. */
    private String inTheWay(Section other) {
        boolean outside = !brief.isEmpty() && !findings.fits(other.entry());
        String week = visit.inTheWay(schedule).words(visit.posted().attendance(other, schedule));
        return Stream.of(outside ? "outside your brief" : "", week)
                .filter(words -> !words.isEmpty())
                .collect(Collectors.joining("; "));
    }

    private SeatWords seats(Section of) {
        return visit.seats(posted, of);
    }
}
