package ample.ledger.core.exchange;

import static ample.ledger.core.fixtures.SectionBuilder.section;
import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.calendar.DateRange;
import ample.ledger.core.calendar.Days;
import ample.ledger.core.calendar.TermCalendar;
import ample.ledger.core.calendar.TermCalendar.ExceptionalDay;
import ample.ledger.core.calendar.TimeRange;
import ample.ledger.core.calendar.Timing;
import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.plan.PlanDate;
import ample.ledger.core.plan.PlannedWeek;
import ample.ledger.core.plan.PlansOfTheKernel;
import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.Institution;
import ample.ledger.core.schedule.Meeting;
import ample.ledger.core.schedule.Place;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Section;
import ample.ledger.core.schedule.Term;
import java.io.IOException;
import java.io.StringReader;
import java.nio.charset.StandardCharsets;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.time.temporal.Temporal;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Random;
import java.util.TreeSet;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.data.ParserException;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.Component;
import net.fortuna.ical4j.model.Period;
import net.fortuna.ical4j.model.component.VEvent;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.dmfs.rfc5545.DateTime;
import org.dmfs.rfc5545.recur.InvalidRecurrenceRuleException;
import org.dmfs.rfc5545.recur.RecurrenceRule;
import org.dmfs.rfc5545.recur.RecurrenceRuleIterator;
import org.junit.jupiter.api.Test;

/** What is written, read back by ical4j and expanded by it and by lib-recur: RFC 5545. */
class CalendarFileTest {

    private static final Instant NOW = Instant.parse("2031-06-17T08:41:00Z");
    private static final Schedule KERNEL = Schedules.kernelSchedule();
    private static final ZoneId LISBON = ZoneId.of("Europe/Lisbon");

    @Test
    void everyLineIsFoldedBeforeItIsTooLong() {
        String file = CalendarFile.of(KERNEL.sections(), KERNEL, 3, NOW);

        assertThat(file.lines().map(line -> line.getBytes(StandardCharsets.UTF_8).length))
                .allMatch(octets -> octets <= 75);
        assertThat(file).contains("\r\n ").doesNotContainPattern("(?<!\r)\n").doesNotContain("VALARM");
    }

    /** The dates of every timed section of the kernel: Harvest Week left out, Tuesday the 9th as a Monday, both halves. */
    @Test
    void everySectionOfTheKernelComesBackOnItsDates() throws Exception {
        for (Section posted : KERNEL.sections()) {
            List<LocalDateTime> wanted = new ArrayList<>();
            List<Meeting> all = new ArrayList<>(posted.meetings());
            all.addAll(posted.exams());
            for (Meeting meeting : all) {
                meeting.timing()
                        .time()
                        .ifPresent(time -> KERNEL.term()
                                .calendar()
                                .datesOf(meeting.timing())
                                .forEach(date -> wanted.add(date.atTime(time.start()))));
            }
            assertThat(starts(CalendarFile.of(List.of(posted), KERNEL, 3, NOW)))
                    .as("%s", posted)
                    .containsExactlyInAnyOrderElementsOf(wanted);
        }
    }

    /** RFC 5545 asks for at least one component: sections without a set time leave that of the zone. */
    @Test
    void everyFileHasAComponent() {
        for (Section posted : KERNEL.sections()) {
            assertThat(CalendarFile.of(List.of(posted), KERNEL, 3, NOW)).contains("\r\nBEGIN:V");
        }
    }

    @Test
    void theDatesOfAPlanComeAlongAsDaysThatTakeNoTime() throws Exception {
        PlannedWeek week = PlansOfTheKernel.week("TIDE 110 T1");
        List<PlanDate> dates = PlanDate.of(week, PlansOfTheKernel::notYetOpen);
        List<VEvent> without = events(CalendarFile.of(week.attended(), List.of(), term -> 3, NOW));
        List<VEvent> with = events(CalendarFile.of(week.attended(), dates, term -> 3, NOW));

        assertThat(with)
                .filteredOn(event -> without.stream()
                        .noneMatch(one ->
                                one.getUid().orElseThrow().equals(event.getUid().orElseThrow())))
                .extracting(event -> event.getDateTimeStart().getValue() + " "
                        + event.getSummary().getValue() + " "
                        + event.getTimeTransparency().getValue())
                .containsExactly(
                        "20310618T080000 Registration opens for 1 to 29 credits TRANSPARENT",
                        "20310917 Last day to drop with a full refund: TIDE 110 TRANSPARENT",
                        "20310919 Last day to add: TIDE 110 TRANSPARENT",
                        "20310927 Enrolment count: TIDE 110 TRANSPARENT",
                        "20311006 Last day to drop without a mark: TIDE 110 TRANSPARENT",
                        "20311118 Last day to withdraw: TIDE 110 TRANSPARENT");
    }

    @Test
    void cancelledSectionSaysSo() throws Exception {
        Section cancelled = KERNEL.sections().stream()
                .filter(Section::cancelled)
                .findFirst()
                .orElseThrow();

        assertThat(events(CalendarFile.of(List.of(cancelled), KERNEL, 3, NOW)))
                .isNotEmpty()
                .allSatisfy(event -> {
                    assertThat(event.getStatus().getValue()).isEqualTo("CANCELLED");
                    assertThat(event.getSequence().getSequenceNo())
                            .as("of what was said before, this takes the place")
                            .isEqualTo(3);
                });
    }

    /** Lisbon leaves summer time on 26 October 2031: nine o'clock stays nine o'clock, and is an hour later in UTC. */
    @Test
    void meetingKeepsItsHourAcrossTheChangeOfSummerTime() throws Exception {
        Section posted = section("TIDE 110").meets("Mon", "9:00-10:00").build();

        List<VEvent> events = events(CalendarFile.of(List.of(posted), schedule(posted, TermCalendar.PLAIN), 3, NOW));
        List<ZonedDateTime> starts = periods(events.get(0)).stream().sorted().toList();
        assertThat(starts).allMatch(start -> start.getHour() == 9);
        assertThat(starts)
                .extracting(start -> start.getOffset().getTotalSeconds())
                .contains(3600, 0);
    }

    @Test
    void wordsAreEscapedAndComeBack() throws Exception {
        Section posted = KERNEL.section(new EntryNumber("40101")).orElseThrow();
        Meeting odd = new Meeting(
                posted.meetings().get(0).kind(),
                posted.meetings().get(0).kindName(),
                posted.meetings().get(0).timing(),
                new Place.Named("the pier; north, by the \\ bollard"));
        Section renamed = new Section(
                posted.entry(),
                posted.course(),
                posted.code(),
                posted.kind(),
                posted.kindName(),
                posted.campus(),
                posted.declared(),
                posted.span(),
                posted.cancelled(),
                posted.language(),
                posted.freeMaterials(),
                posted.marks(),
                posted.instructors(),
                List.of(odd),
                posted.exams(),
                posted.pool(),
                posted.listing(),
                posted.companion(),
                posted.restrictions(),
                posted.notes());

        VEvent event = events(CalendarFile.of(List.of(renamed), KERNEL, 3, NOW)).get(0);
        assertThat(event.getLocation().getValue()).isEqualTo("the pier; north, by the \\ bollard");
        assertThat(event.getSummary().getValue())
                .startsWith(posted + " " + posted.course().title());
    }

    /**
     * Random meetings on random calendars, eight on each, by two independent expanders. Of calendars there are only so many, since
     * ical4j has only so many names for the time zones that it reads.
     */
    @Property(tries = 400)
    void twoExpandersGiveTheDatesOfTheTermCalendar(@ForAll Random random) throws Exception {
        LocalDate start = LocalDate.of(2031, 1, 1).plusDays(random.nextInt(300));
        TermCalendar calendar = new TermCalendar(List.of(
                new ExceptionalDay(start.plusDays(random.nextInt(60)), Optional.empty(), "off"),
                new ExceptionalDay(
                        start.plusDays(60 + random.nextInt(60)),
                        Optional.of(DayOfWeek.of(1 + random.nextInt(7))),
                        "as another day")));
        List<Section> posted = new ArrayList<>();
        List<LocalDate> all = new ArrayList<>();
        for (int i = 0; i < 8; i++) {
            LocalDate first = start.plusDays(random.nextInt(60));
            Timing timing = new Timing.Weekly(
                    new Days(1 + random.nextInt(127)),
                    TimeRange.of("9:00", "10:20"),
                    new DateRange(first, first.plusDays(random.nextInt(120))),
                    1 + random.nextInt(2));
            Section section = meeting("4000" + i, timing);
            List<LocalDate> wanted = calendar.datesOf(timing);
            posted.add(section);
            all.addAll(wanted);

            String alone = CalendarFile.of(List.of(section), schedule(section, calendar), 3, NOW);
            assertThat(byLibRecur(alone)).containsExactlyElementsOf(wanted);
        }
        String file = CalendarFile.of(posted, schedule(posted.get(0), calendar), 3, NOW);
        assertThat(starts(file)).extracting(LocalDateTime::toLocalDate).containsExactlyInAnyOrderElementsOf(all);
    }

    private static Section meeting(String entry, Timing timing) {
        Section plain = section("TIDE 110").entry(entry).build();
        return new Section(
                plain.entry(),
                plain.course(),
                plain.code(),
                plain.kind(),
                plain.kindName(),
                plain.campus(),
                plain.declared(),
                plain.span(),
                false,
                plain.language(),
                false,
                plain.marks(),
                List.of(),
                List.of(new Meeting(plain.kind(), plain.kindName(), timing, new Place.Online())),
                List.of(),
                plain.pool(),
                Optional.empty(),
                Optional.empty(),
                List.of(),
                List.of());
    }

    private static Schedule schedule(Section posted, TermCalendar calendar) {
        Schedule plain = Schedules.of(posted);
        Institution of = plain.institution();
        Term term = plain.term();
        return new Schedule(
                new Institution(
                        of.code(), of.name(), LISBON, Locale.ENGLISH, of.codes(), of.week(), of.credit(), of.grades()),
                new Term(term.code(), term.name(), term.season(), term.dates(), calendar),
                plain.codeKey(),
                plain.lists(),
                plain.courses(),
                plain.sections());
    }

    private static List<VEvent> events(String file) throws IOException, ParserException {
        Calendar calendar = new CalendarBuilder().build(new StringReader(file));
        return calendar.getComponents(Component.VEVENT);
    }

    private static List<LocalDateTime> starts(String file) throws IOException, ParserException {
        List<LocalDateTime> starts = new ArrayList<>();
        for (VEvent event : events(file)) {
            periods(event).forEach(start -> starts.add(start.toLocalDateTime()));
        }
        return starts;
    }

    private static List<ZonedDateTime> periods(VEvent event) {
        ZonedDateTime from = LocalDate.of(2030, 1, 1).atStartOfDay(LISBON);
        return event.<ZonedDateTime>calculateRecurrenceSet(new Period<>(from, from.plusYears(3))).stream()
                .map(period -> (Temporal) period.getStart())
                .map(ZonedDateTime::from)
                .toList();
    }

    /** The first event's rule expanded by lib-recur, with the exceptions and additions read off its lines. */
    private static List<LocalDate> byLibRecur(String file) throws InvalidRecurrenceRuleException {
        String text = file.replace("\r\n ", "");
        if (!text.contains("BEGIN:VEVENT")) {
            return List.of();
        }
        TreeSet<LocalDate> dates = new TreeSet<>();
        LocalDate first = null;
        for (String line : text.substring(text.indexOf("BEGIN:VEVENT")).split("\r\n")) {
            String value = line.substring(line.indexOf(':') + 1);
            if (line.startsWith("DTSTART")) {
                first = date(value);
                dates.add(first);
            } else if (line.startsWith("RRULE")) {
                RecurrenceRuleIterator iterator = new RecurrenceRule(value)
                        .iterator(
                                DateTime.parse("Europe/Lisbon", first.toString().replace("-", "") + "T090000"));
                while (iterator.hasNext()) {
                    DateTime next = iterator.nextDateTime();
                    dates.add(LocalDate.of(next.getYear(), next.getMonth() + 1, next.getDayOfMonth()));
                }
            } else if (line.startsWith("EXDATE")) {
                List.of(value.split(",")).forEach(off -> dates.remove(date(off)));
            } else if (line.startsWith("RDATE")) {
                List.of(value.split(",")).forEach(more -> dates.add(date(more)));
            }
        }
        return List.copyOf(dates);
    }

    private static LocalDate date(String value) {
        return LocalDate.of(
                Integer.parseInt(value.substring(0, 4)),
                Integer.parseInt(value.substring(4, 6)),
                Integer.parseInt(value.substring(6, 8)));
    }
}
