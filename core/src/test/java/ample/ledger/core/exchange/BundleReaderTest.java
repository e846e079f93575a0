package ample.ledger.core.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.schedule.Schedule;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class BundleReaderTest {

    @TempDir
    private Path folder;

    @BeforeEach
    void copyTheDemo() throws IOException {
        try (var files = Files.list(Schedules.demoBundle())) {
            for (Path file : (Iterable<Path>) files::iterator) {
                Files.copy(file, folder.resolve(file.getFileName().toString()));
            }
        }
    }

    @Test
    void readsTheDemo() {
        Schedule schedule = Schedules.demo();

        assertThat(schedule.sections()).hasSizeGreaterThanOrEqualTo(90);
        assertThat(schedule.sections().stream().map(section -> section.course()).distinct())
                .hasSize(40);
        assertThat(schedule.subjects()).hasSize(8);
    }

    @Test
    void theDemoCarriesTheFormatUnchanged() throws IOException {
        assertThat(Files.readString(folder.resolve(BundleFormat.DESCRIPTOR))).isEqualTo(BundleFormat.descriptorText());
    }

    /** RFC 4180, section 2: quoted fields, doubled quotes, CRLF; the last line may lack its end. Practice adds the mark. */
    @Test
    void readsWhatSpreadsheetsWrite() throws IOException {
        Files.writeString(
                folder.resolve("subjects.csv"),
                ("\uFEFF" + Files.readString(folder.resolve("subjects.csv")).strip())
                        .replace("GLAC,Glaciology", "\"GLAC\",\"Ice, so called \"\"Glaciology\"\"\"")
                        .replace("\n", "\r\n"));

        assertThat(ScheduleAssembler.assemble(BundleReader.read(folder)).subjects())
                .filteredOn(subject -> subject.code().equals("GLAC"))
                .singleElement()
                .satisfies(subject -> assertThat(subject.name()).isEqualTo("Ice, so called \"Glaciology\""));
    }

    /** One fault put into the demo, and what the reader must say of it. The first {@code from} of the file is replaced. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "sections.csv   | lecture           | lecure              | sections.csv, row 2, column kind, “lecure”: It must be one of: lecture, lab",
                "sections.csv   | 40108             | 40101               | sections.csv, row 3, column entry, “40101”: Row 2 has the same entry",
                "sections.csv   | tidewall          | moon                | sections.csv, row 2, column campus, “moon”: campuses.csv has no row for moon",
                "sections.csv   | ,false            | ,no                 | column cancelled, “no”: It must be true or false.",
                "sections.csv   | entry,term        | entry,tern          | sections.csv, row 1, column tern: The format has no such column",
                "sections.csv   | 40101,            | 4O101,              | It is not of the form [0-9]{3,9}, as in 40127.",
                "courses.csv    | ,3,1              | ,many,1             | column credits, “many”: It is not a number, as in 8.",
                "courses.csv    | ,3,1              | ,3,0                | column level, “0”: It must be at least 1.",
                "courses.csv    | ,3,1              | ,3                  | courses.csv, row 2: It has 5 cells where the head has 6.",
                "terms.csv      | 2031-12-19        | 2031-02-30          | It is not a date of the calendar, as yyyy-mm-dd, as in 2031-12-19.",
                "terms.csv      | 2031-12-19        | 2030-12-19          | column last_day, “2030-12-19”: It must not come before the first day, 2031-09-08.",
                "meetings.csv   | 09:30,10:50       | 10:50,09:30         | A meeting must end after it starts, and this one starts at 10:50.",
                "meetings.csv   | 09:30,10:50       | 25:30,10:50         | column starts, “25:30”: It is not a time from 00:00 to 23:59",
                "meetings.csv   | mon wed           | mon we              | column days, “mon we”: It is not of the form",
                "meetings.csv   | weekly,mon wed    | weekly,             | column days: This cell must not be empty in a row with pattern weekly",
                "meetings.csv   | sluice-hall,101   | ,101                | column building: This cell must not be empty",
                "institution.csv| Atlantic/Madeira  | Atlantic/Atlantis   | It is not an IANA time zone",
                "companions.csv | lab,40129         | lab,40101               | A companion is bound to a section of its own course, TIDE 214; this is one of TIDE 110.",
                "prerequisites.csv | .,CART 210 and | .,CART 210 und | column expression, “CART 210 und NUMB 115”: At character 10: Here stands “und” where",
                "code_key.csv   | [A-Z]{4}          | [A-Z{4}             | It is not a regular expression",
                "seat_pools.csv | 40101,80          | 40101,-80           | column capacity, “-80”: It must be at least 0.",
                "datapackage.json | \"version\": \"1\" | \"version\": \"9\" | It must say \"name\": \"schedule-bundle\" and \"version\": \"1\"",
                "datapackage.json | {               | [                   | It is not JSON",
            })
    void saysWhatIsWrongWhereAndWhatWouldBeRight(String file, String from, String to, String message)
            throws IOException {
        String text = Files.readString(folder.resolve(file));
        assertThat(text).contains(from);
        Files.writeString(
                folder.resolve(file),
                text.replaceFirst(Pattern.quote(from), to == null ? "" : Matcher.quoteReplacement(to)));

        assertThat(faults()).anySatisfy(fault -> assertThat(fault.toString()).contains(message));
    }

    @Test
    void reportsEveryFaultAtOnce() throws IOException {
        Files.writeString(
                folder.resolve("subjects.csv"),
                Files.readString(folder.resolve("subjects.csv")) + "glac,Small letters\nTOOLONGCODE,\n");
        Files.delete(folder.resolve("notes.csv"));
        Files.write(folder.resolve("campuses.csv"), "campus\u00e9".getBytes(StandardCharsets.ISO_8859_1));

        assertThat(faults())
                .extracting(fault -> fault.file() + " " + fault.row() + " " + fault.column())
                .contains(
                        "subjects.csv 10 subject",
                        "subjects.csv 11 subject",
                        "subjects.csv 11 name",
                        "notes.csv 0 ",
                        "campuses.csv 0 ");
    }

    @Test
    void refusesAFolderThatIsNoBundle() {
        assertThat(catchThrowableOfType(FaultyBundleException.class, () -> BundleReader.read(folder.resolve("nowhere")))
                        .getMessage())
                .contains("There is no such folder or zip");
    }

    private List<Fault> faults() {
        return catchThrowableOfType(
                        FaultyBundleException.class, () -> ScheduleAssembler.assemble(BundleReader.read(folder)))
                .faults();
    }
}
