package ample.ledger.web.lineup;

import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.calendar.Days;
import ample.ledger.core.plan.Attendance;
import ample.ledger.core.plan.Clash;
import ample.ledger.core.plan.PostedSchedules;
import ample.ledger.core.reading.ClassHours;
import ample.ledger.core.schedule.PostedPrerequisite;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Section;
import ample.ledger.web.lineup.LineUpPage.Choice;
import ample.ledger.web.lineup.LineUpPage.Column;
import ample.ledger.web.lineup.LineUpPage.Row;
import ample.ledger.web.lineup.LineUpPage.Same;
import ample.ledger.web.preferences.Preferences;
import ample.ledger.web.term.Addresses;
import ample.ledger.web.term.PostedTerm;
import ample.ledger.web.visit.InTheWay;
import ample.ledger.web.visit.Visit;
import ample.ledger.web.words.CodeWords;
import ample.ledger.web.words.SeatWords;
import ample.ledger.web.words.Strip;
import ample.ledger.web.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Sets sections of one term side by side. */
final class LineUpPages {

    /** More than this do not fit side by side. */
    static final int MOST = 6;

    private final PostedTerm posted;
    private final Visit visit;
    private final Schedule schedule;
    private final List<Section> sections;
    private final Preferences preferences;
    private final List<Section> week;
    private final String back;

    LineUpPages(PostedTerm posted, List<Section> sections, Visit visit, String back) {
        this.visit = visit;
        this.posted = posted;
        this.schedule = posted.schedule();
        this.sections = sections;
        this.preferences = visit.preferences();
        this.week = visit.kept().week(schedule);
        this.back = back;
    }

    /** Its own address. */
    String here() {
        return with(sections);
    }

    private String with(List<Section> others) {
        return new Addresses(schedule.term().code()).lineUp(others.stream(), back);
    }

    /**
     * @param text what was typed to add a section
     * @param meant the sections that it can mean
     */
    LineUpPage page(List<String> say, String text, List<Section> meant) {
        List<Section> rest =
                week.stream().filter(kept -> !sections.contains(kept)).toList();
        Strip.Ground ground = Strip.ground(
                Stream.concat(sections.stream(), rest.stream())
                        .map(Section::days)
                        .reduce(Days.NONE, Days::plus),
                Brief.EVERYTHING,
                preferences.frame(List.of(schedule)));
        List<Row> rows = rows();
        PostedSchedules all = visit.posted();
        List<Attendance> shown = sections.stream()
                .map(section -> all.attendance(section, schedule))
                .toList();
        InTheWay inTheWay = visit.inTheWay(schedule).without(shown);
        return new LineUpPage(
                schedule.term().code().text(),
                schedule.term().name(),
                here(),
                sections.stream().map(section -> section.entry().digits()).collect(Collectors.joining(",")),
                sections.size() >= MOST,
                text,
                say,
                meant.stream()
                        .filter(section -> !sections.contains(section))
                        .map(section -> choice(
                                section,
                                with(Stream.concat(sections.stream(), Stream.of(section))
                                        .toList())))
                        .toList(),
                back,
                ground,
                sections.stream().map(section -> column(section, ground)).toList(),
                Strip.of(rest, ground),
                Strip.of(Stream.concat(sections.stream(), rest.stream()).toList(), ground),
                Strip.ofClashes(
                        Stream.concat(Clash.all(shown).stream(), shown.stream().flatMap(inTheWay::clashes))
                                .filter(clash -> !clash.exam())
                                .toList(),
                        ground),
                rows.stream().filter(row -> !same(row)).toList(),
                rows.stream()
                        .filter(LineUpPages::same)
                        .map(row -> new Same(row.label(), row.cells().get(0)))
                        .toList(),
                Stream.concat(InTheWay.among(shown, all), shown.stream().flatMap(inTheWay::sentences))
                        .toList(),
                Addresses.with(
                        "/" + schedule.term().code() + "/week?weave=1",
                        "want",
                        sections.stream()
                                .map(section -> section.course().written())
                                .distinct()
                                .collect(Collectors.joining(", "))));
    }

    private Column column(Section section, Strip.Ground ground) {
        Addresses addresses = new Addresses(schedule.term().code());
        return new Column(
                section.entry().toString(),
                section.toString(),
                CodeWords.ofSection(schedule.codeKey(), section),
                section.course().title(),
                addresses.sheet(section.entry(), Brief.EVERYTHING),
                addresses.course(section.course().code(), Brief.EVERYTHING),
                with(sections.stream().filter(other -> !other.equals(section)).toList()),
                week.contains(section),
                section.cancelled(),
                Strip.of(section, ground),
                schedule.sectionsOf(section.course().code()).stream()
                        .filter(other -> other.kind() == section.kind() && !other.cancelled())
                        .filter(other -> !sections.contains(other))
                        .map(other -> choice(other, with(replacing(section, other))))
                        .toList());
    }

    private List<Section> replacing(Section section, Section by) {
        return sections.stream().map(some -> some.equals(section) ? by : some).toList();
    }

    private Choice choice(Section section, String address) {
        return new Choice(section.entry().toString(), section.toString(), when(section), seats(section), address);
    }

    private String when(Section section) {
        return section.meetings().isEmpty()
                ? "Times to be announced"
                : section.meetings().stream()
                        .map(meeting -> Words.when(meeting.timing(), preferences.clock()))
                        .collect(Collectors.joining("; "));
    }

    private List<Row> rows() {
        List<Row> rows = new ArrayList<>();
        row(
                rows,
                "Course",
                section -> section.course().written() + " " + section.course().title());
        row(rows, "Kind", section -> section.kindName());
        row(rows, "When", this::when);
        row(rows, "Where", Words::where);
        row(rows, "Who", Words::who);
        row(rows, "Seats", section -> seats(section).sentence());
        row(
                rows,
                "Runs",
                section -> section.span().name() + ", "
                        + Words.dates(section.span().dates()));
        row(
                rows,
                "Hours",
                section -> Words.inClass(ClassHours.of(section, schedule.term().calendar())));
        row(rows, "Delivery", section -> Words.capitalised(section.delivery().label()));
        row(rows, "Credits", section -> Words.credits(section.course().credits()));
        row(
                rows,
                "Counts toward",
                section -> orNothing(schedule.requirements().stream()
                        .filter(requirement -> section.course().requirements().contains(requirement.code()))
                        .map(requirement -> requirement.name())));
        row(
                rows,
                "Needs",
                section -> orNothing(
                        section.course().rules().prerequisites().stream().map(PostedPrerequisite::sentence)));
        row(
                rows,
                "Taken with",
                section -> orNothing(
                        (section.companion().isPresent() ? schedule.leadsOf(section) : schedule.companionsOf(section))
                                .stream().map(Section::code)));
        row(
                rows,
                "Exam",
                section -> orNothing(
                        section.exams().stream().map(exam -> Words.when(exam.timing(), preferences.clock()))));
        row(rows, "Materials", section -> section.freeMaterials() ? "Free" : "To pay for");
        row(rows, "Notes", section -> orNothing(section.notes().stream()));
        return rows;
    }

    private void row(List<Row> rows, String label, Function<Section, String> cell) {
        rows.add(new Row(label, sections.stream().map(cell).toList()));
    }

    private static boolean same(Row row) {
        return row.cells().size() > 1 && row.cells().stream().distinct().count() == 1;
    }

    private static String orNothing(Stream<String> parts) {
        String text = parts.collect(Collectors.joining(", "));
        return text.isEmpty() ? "Nothing" : text;
    }

    private SeatWords seats(Section section) {
        return visit.seats(posted, section);
    }
}
