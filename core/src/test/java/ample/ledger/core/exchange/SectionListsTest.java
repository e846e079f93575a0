package ample.ledger.core.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.calendar.Timing;
import ample.ledger.core.fixtures.RandomSchedules;
import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.Meeting;
import ample.ledger.core.schedule.Place;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Section;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.NamedCsvRecord;
import java.io.IOException;
import java.io.StringWriter;
import java.math.BigDecimal;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.StreamSupport;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A list handed on as CSV and as JSON says the same, and what was posted; both are read by readers that are not ours. */
class SectionListsTest {

    private static final JsonMapper JSON = new JsonMapper();

    @Property(tries = 100)
    void bothSayTheSameOfEachSection(@ForAll("schedules") Schedule schedule) throws IOException {
        SectionList list = list(schedule);
        JsonNode json = json(list);
        List<NamedCsvRecord> lines = csv(list);

        assertThat(lines).hasSize(schedule.sections().size());
        assertThat(json.path("count").asInt()).isEqualTo(lines.size());
        for (int i = 0; i < lines.size(); i++) {
            NamedCsvRecord line = lines.get(i);
            JsonNode one = json.path("sections").get(i);
            for (String same : List.of("entry", "course", "section", "title", "kind", "status", "language")) {
                assertThat(shown(line, same)).as(same).isEqualTo(one.path(same).asString());
            }
            assertThat(new BigDecimal(line.getField("credits")))
                    .isEqualByComparingTo(one.path("credits").asDecimal());
            assertThat(line.getField("first_day"))
                    .isEqualTo(one.path("firstDay").asString());
            assertThat(line.getField("last_day")).isEqualTo(one.path("lastDay").asString());
            for (String count : List.of("capacity", "enrolled", "waiting")) {
                assertThat(line.getField(count))
                        .isEqualTo(one.path("seats").path(count).asString());
            }
            assertThat(line.getField("seats_open"))
                    .isEqualTo(one.path("seats").path("open").asString());
            assertThat(line.getField("counts_toward")).isEqualTo(joined(one.path("countsToward")));
        }
    }

    @Property(tries = 100)
    void theirDaysTimesAndDatesAreThosePosted(@ForAll("schedules") Schedule schedule) throws IOException {
        for (JsonNode one : json(list(schedule)).path("sections")) {
            Section section = schedule.section(new EntryNumber(one.path("entry").asString()))
                    .orElseThrow();
            List<Meeting> meetings = new ArrayList<>(section.meetings());
            meetings.addAll(section.exams());
            assertThat(one.path("meetings")).hasSameSizeAs(meetings);
            for (int i = 0; i < meetings.size(); i++) {
                isSaid(meetings.get(i), one.path("meetings").get(i));
            }
        }
    }

    private static void isSaid(Meeting meeting, JsonNode said) {
        Timing timing = meeting.timing();
        LocalDate first = LocalDate.parse(said.path("firstDay").asString());
        LocalDate last = LocalDate.parse(said.path("lastDay").asString());
        if (timing instanceof Timing.Weekly weekly) {
            assertThat(StreamSupport.stream(said.path("days").spliterator(), false)
                            .map(day -> day(day.asString()))
                            .toList())
                    .isEqualTo(weekly.days().list());
            assertThat(said.path("everyWeeks").asInt()).isEqualTo(weekly.everyWeeks());
            assertThat(List.of(first, last))
                    .containsExactly(weekly.dates().first(), weekly.dates().last());
        } else if (timing instanceof Timing.Once once) {
            assertThat(List.of(first, last)).containsOnly(once.date());
        } else {
            assertThat(said.path("hoursPerWeek").asDecimal())
                    .isEqualByComparingTo(((Timing.Arranged) timing).hoursPerWeek());
        }
        assertThat(said.has("starts")).isEqualTo(timing.time().isPresent());
        timing.time().ifPresent(time -> {
            assertThat(LocalTime.parse(said.path("starts").asString())).isEqualTo(time.start());
            assertThat(LocalTime.parse(said.path("ends").asString())).isEqualTo(time.end());
        });
        assertThat(said.has("room")).isEqualTo(meeting.place() instanceof Place.Room);
    }

    private static DayOfWeek day(String written) {
        return List.of(DayOfWeek.values()).stream()
                .filter(day -> day.name().toLowerCase(Locale.ROOT).startsWith(written))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void aLabSaysWhoseItIsAndTheListWhatItWasAskedBy() throws IOException {
        Schedule kernel = Schedules.kernelSchedule();
        Section lab = kernel.sections().stream()
                .filter(section -> section.toString().equals("TIDE 214 T1-a"))
                .findFirst()
                .orElseThrow();
        SectionList list =
                Schedules.list(kernel, 3, Instant.parse("2031-06-16T15:20:00Z"), "at=tidewall", List.of(lab));

        JsonNode json = json(list);

        assertThat(json.path("asked").asString()).isEqualTo("at=tidewall");
        assertThat(json.path("edition").asInt()).isEqualTo(3);
        assertThat(json.path("postedAt").asString()).isEqualTo("2031-06-16T15:20:00Z");
        assertThat(json.path("sections").get(0).path("companion").path("choice").asString())
                .isEqualTo("lab");
        assertThat(json.path("sections")
                        .get(0)
                        .path("companion")
                        .path("boundTo")
                        .asString())
                .isEqualTo("40129")
                .isEqualTo(csv(list).get(0).getField("companion_of"));
    }

    @Provide
    Arbitrary<Schedule> schedules() {
        return RandomSchedules.schedules();
    }

    private static SectionList list(Schedule schedule) {
        return Schedules.list(schedule, 7, Instant.EPOCH, "", schedule.sections());
    }

    private static JsonNode json(SectionList list) throws IOException {
        var out = new StringWriter();
        SectionJson.write(list, out);
        return JSON.readTree(out.toString());
    }

    private static List<NamedCsvRecord> csv(SectionList list) throws IOException {
        var out = new StringWriter();
        SectionCsv.write(list, out);
        try (CsvReader<NamedCsvRecord> reader = CsvReader.builder().ofNamedCsvRecord(out.toString())) {
            return reader.stream().toList();
        }
    }

    /** As a spreadsheet shows it: without the apostrophe that keeps it from being run. */
    private static String shown(NamedCsvRecord line, String column) {
        String cell = line.getField(column);
        return cell.startsWith("'") ? cell.substring(1) : cell;
    }

    private static String joined(JsonNode list) {
        List<String> all = new ArrayList<>();
        list.forEach(each -> all.add(each.asString()));
        return String.join("; ", all);
    }
}
