package ample.ledger.core.exchange;

import ample.ledger.core.calendar.ClockTime;
import ample.ledger.core.calendar.TimeRange;
import ample.ledger.core.calendar.Timing;
import ample.ledger.core.reading.SeatAccount;
import ample.ledger.core.schedule.Instructor;
import ample.ledger.core.schedule.Meeting;
import ample.ledger.core.schedule.Section;
import de.siegmar.fastcsv.writer.CsvWriter;
import de.siegmar.fastcsv.writer.LineDelimiter;
import java.io.IOException;
import java.io.Writer;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Writes a list of sections as CSV after RFC 4180, one line a section, for people who go on in a spreadsheet. Text that a
 * spreadsheet would run as a formula is preceded by an apostrophe, which it shows as text.
 */
public final class SectionCsv {

    /** The head of every file. */
    public static final List<String> COLUMNS = List.of(
            "entry",
            "course",
            "section",
            "title",
            "kind",
            "credits",
            "campus",
            "delivery",
            "meetings",
            "instructors",
            "first_day",
            "last_day",
            "status",
            "seats_open",
            "capacity",
            "enrolled",
            "waiting",
            "language",
            "free_materials",
            "counts_toward",
            "companion_of",
            "term",
            "edition",
            "seats_at");

    private SectionCsv() {}

    /** @param out stays open */
    public static void write(SectionList list, Writer out) throws IOException {
        CsvWriter csv = CsvWriter.builder().lineDelimiter(LineDelimiter.CRLF).build(out);
        csv.writeRecord(COLUMNS);
        list.sections()
                .forEach(line -> csv.writeRecord(
                        line(list, line).map(SectionCsv::harmless).toList()));
        csv.flush();
    }

    private static Stream<String> line(SectionList list, SectionList.Line line) {
        Section section = line.section();
        SeatAccount seats = line.reading().seats();
        return Stream.of(
                section.entry().digits(),
                section.course().written(),
                section.code(),
                section.course().title(),
                section.kind().code(),
                section.course().credits().toPlainString(),
                section.campus().name(),
                section.delivery().label(),
                section.meetings().stream().map(SectionCsv::meeting).collect(Collectors.joining("; ")),
                section.instructors().stream().map(Instructor::name).collect(Collectors.joining("; ")),
                section.span().dates().first().toString(),
                section.span().dates().last().toString(),
                line.reading().status().label(),
                String.valueOf(line.reading().open()),
                String.valueOf(seats.capacity()),
                String.valueOf(seats.enrolled()),
                String.valueOf(seats.waiting()),
                section.language().toLanguageTag(),
                String.valueOf(section.freeMaterials()),
                String.join("; ", section.course().requirements()),
                section.companion()
                        .map(companion ->
                                companion.boundTo().map(Object::toString).orElse("any"))
                        .orElse(""),
                list.schedule().term().code().text(),
                String.valueOf(list.edition()),
                list.seatsAt().toString());
    }

    /** "mon wed 09:30-10:50 Sluice Hall 204". */
    private static String meeting(Meeting meeting) {
        return when(meeting.timing()) + " " + meeting.place().inWords();
    }

    private static String when(Timing timing) {
        if (timing instanceof Timing.Weekly weekly) {
            String days = weekly.days().join(" ").toLowerCase(Locale.ROOT) + " " + hours(weekly.hours());
            return weekly.everyWeeks() == 1 ? days : "every other week " + days;
        }
        return timing instanceof Timing.Once once
                ? once.date() + " " + hours(once.hours())
                : ((Timing.Arranged) timing).hoursPerWeek().toPlainString() + " h a week, no set time";
    }

    private static String hours(TimeRange hours) {
        return ClockTime.formatForPrograms(hours.start()) + "-" + ClockTime.formatForPrograms(hours.end());
    }

    /** As the OWASP page on CSV injection asks (from memory): nothing begins with what starts a formula. */
    private static String harmless(String cell) {
        return !cell.isEmpty() && "=+-@\t\r".indexOf(cell.charAt(0)) >= 0 ? "'" + cell : cell;
    }
}
