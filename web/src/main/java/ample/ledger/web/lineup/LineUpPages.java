package ample.ledger.web.lineup;

import ample.ledger.core.browse.Brief;
import ample.ledger.core.calendar.Days;
import ample.ledger.core.plan.Clash;
import ample.ledger.core.reading.ClassHours;
import ample.ledger.core.schedule.PostedPrerequisite;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Section;
import ample.ledger.web.lineup.LineUpPage.Column;
import ample.ledger.web.lineup.LineUpPage.Row;
import ample.ledger.web.lineup.LineUpPage.Same;
import ample.ledger.web.preferences.Preferences;
import ample.ledger.web.term.Addresses;
import ample.ledger.web.term.Terms.PostedTerm;
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

    private final PostedTerm posted;
    private final Schedule schedule;
    private final List<Section> sections;
    private final Preferences preferences;
    private final String back;

    LineUpPages(PostedTerm posted, List<Section> sections, Preferences preferences, String back) {
        this.posted = posted;
        this.schedule = posted.schedule();
        this.sections = sections;
        this.preferences = preferences;
        this.back = back;
    }

    /** The address of a line-up. */
    static String address(String term, List<Section> sections, String back) {
        String lines =
                sections.stream().map(section -> section.entry().digits()).collect(Collectors.joining(","));
        return Addresses.with(Addresses.with("/" + term + "/line-up", "line", lines), "back", back);
    }

    LineUpPage page(List<String> say) {
        Strip.Ground ground = Strip.ground(
                sections.stream().map(Section::days).reduce(Days.NONE, Days::plus),
                Brief.EVERYTHING,
                preferences.week());
        List<Row> rows = rows();
        return new LineUpPage(
                schedule.term().name(),
                say,
                back,
                ground,
                sections.stream().map(section -> column(section, ground)).toList(),
                rows.stream().filter(row -> !same(row)).toList(),
                rows.stream()
                        .filter(LineUpPages::same)
                        .map(row -> new Same(row.label(), row.cells().get(0)))
                        .toList(),
                Clash.among(sections, schedule.term().calendar()).stream()
                        .map(Words::clash)
                        .toList());
    }

    private Column column(Section section, Strip.Ground ground) {
        List<Section> others =
                sections.stream().filter(other -> !other.equals(section)).toList();
        return new Column(
                section.entry().toString(),
                section.toString(),
                section.course().title(),
                new Addresses(schedule.term().code()).sheet(section.entry(), Brief.EVERYTHING),
                address(schedule.term().code(), others, back),
                Strip.of(section, ground));
    }

    private List<Row> rows() {
        List<Row> rows = new ArrayList<>();
        row(
                rows,
                "Course",
                section -> section.course().written() + " " + section.course().title());
        row(rows, "Kind", section -> section.kind().label());
        row(
                rows,
                "When",
                section -> section.meetings().isEmpty()
                        ? "Times to be announced"
                        : section.meetings().stream()
                                .map(meeting -> Words.when(meeting.timing(), preferences.clock()))
                                .collect(Collectors.joining("; ")));
        row(rows, "Where", Words::where);
        row(rows, "Who", Words::who);
        row(rows, "Seats for you", section -> seats(section).sentence());
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
        return SeatWords.of(section, posted.index().seatsOf(section.entry()).orElseThrow(), schedule.twinsOf(section));
    }
}
