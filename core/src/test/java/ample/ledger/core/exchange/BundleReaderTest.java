package ample.ledger.core.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.Schedule;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class BundleReaderTest {

    @TempDir
    private Path folder;

    @BeforeEach
    void copyTheKernel() throws IOException {
        BrokenBundle.copyKernel(folder);
    }

    @Test
    void readsTheKernel() {
        Schedule schedule = Schedules.kernelSchedule();

        assertThat(schedule.sections()).hasSizeGreaterThanOrEqualTo(90);
        assertThat(schedule.sections().stream().map(section -> section.course()).distinct())
                .hasSize(40);
        assertThat(schedule.subjects()).hasSize(8);
    }

    @Test
    void theKernelCarriesTheFormatUnchanged() throws IOException {
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

        assertThat(ScheduleBundle.read(folder).schedule().subjects())
                .filteredOn(subject -> subject.code().equals("GLAC"))
                .singleElement()
                .satisfies(subject -> assertThat(subject.name()).isEqualTo("Ice, so called \"Glaciology\""));
    }

    /** A column that the format gains must not break who writes bundles already. */
    @Test
    void aColumnThatMayBeEmptyMayBeLeftOut() throws IOException {
        Path institution = folder.resolve("institution.csv");
        String emptied = Files.readString(institution).replaceAll("(?m),(?!credit_hours)[^,\n]*$", ",");
        Files.writeString(institution, emptied);
        ScheduleBundle empty = ScheduleBundle.read(folder);
        Files.writeString(institution, emptied.replaceAll("(?m),[^,\n]*$", ""));

        assertThat(Files.readString(institution)).endsWith("sat sun,semester\n");
        assertThat(ScheduleBundle.read(folder).checksum()).isEqualTo(empty.checksum());
    }

    /** Nor must a table that it gains. */
    @Test
    void aTableThatTheFormatGainedMayBeLeftOut() throws IOException {
        Files.delete(folder.resolve("subject_notes.csv"));

        assertThat(ScheduleBundle.read(folder).schedule().subjects())
                .hasSize(8)
                .allMatch(subject -> subject.notes().isEmpty());
    }

    /** The labs of GLAC 205 are held every other week, on Wednesdays; the term begins on Monday 8 September. */
    @Test
    void everyOtherWeekCountsFromTheSpanByTheInstitutionsOwnWeeks() throws IOException {
        Path institution = folder.resolve("institution.csv");
        Path meetings = folder.resolve("meetings.csv");
        assertThat(firstLabs()).containsExactly(LocalDate.of(2031, 9, 10), LocalDate.of(2031, 9, 24));

        Files.writeString(
                meetings,
                Files.readString(meetings)
                        .replaceFirst("(40218,1,lab,every-other-week,wed,,14:30,16:30),", "$1,2031-09-15"));
        assertThat(firstLabs())
                .as("whatever dates of its own it has")
                .containsExactly(LocalDate.of(2031, 9, 24), LocalDate.of(2031, 10, 8));

        Files.writeString(institution, Files.readString(institution).replace(",mon", ",wed"));
        assertThat(firstLabs())
                .as("from the week of Wednesday 3 September")
                .containsExactly(LocalDate.of(2031, 9, 17), LocalDate.of(2031, 10, 1));
    }

    private List<LocalDate> firstLabs() {
        Schedule schedule = ScheduleBundle.read(folder).schedule();
        return schedule.term()
                .calendar()
                .datesOf(schedule.section(new EntryNumber("40218"))
                        .orElseThrow()
                        .meetings()
                        .get(0)
                        .timing())
                .subList(0, 2);
    }

    @ParameterizedTest
    @MethodSource("ample.ledger.core.exchange.BrokenBundle#all")
    void saysWhatIsWrongWhereAndWhatWouldBeRight(BrokenBundle broken) throws IOException {
        broken.make(folder.resolve("broken"));

        assertThat(faultsOf(folder.resolve("broken")))
                .anySatisfy(fault -> assertThat(fault.toString()).contains(broken.message()));
    }

    @Test
    void reportsEveryFaultAtOnce() throws IOException {
        Files.writeString(
                folder.resolve("subjects.csv"),
                Files.readString(folder.resolve("subjects.csv")) + "glac,Small letters,,\nMUCHTOOLONGACODE,,,\n");
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

    /** Cells, keys and what only the whole can show, all in one go; and no fault is a mere echo of another. */
    @Test
    void faultsOfEveryKindAreReportedTogether() throws IOException {
        replace("sections.csv", "40101,autumn-2031,TIDE,110,T1,lecture,", "40101,autumn-2031,TIDE,110,T1,lecure,");
        replace("sections.csv", "T2,lecture,tidewall", "T2,lecture,moon");
        replace("meetings.csv", "17:30,18:50", "18:50,17:30");
        replace("binding_dates.csv", "share,,0.1,", "share,,,");

        assertThat(faults())
                .extracting(fault -> fault.file() + " " + fault.row() + " " + fault.column())
                .containsExactlyInAnyOrder(
                        "sections.csv 2 kind",
                        "sections.csv 3 campus",
                        "meetings.csv 4 ends",
                        "binding_dates.csv 5 share");
    }

    private void replace(String file, String from, String to) throws IOException {
        Path changed = folder.resolve(file);
        Files.writeString(
                changed, Files.readString(changed).replaceFirst(Pattern.quote(from), Matcher.quoteReplacement(to)));
    }

    @Test
    void refusesAFolderThatIsNoBundle() {
        assertThat(catchThrowableOfType(
                                FaultyBundleException.class, () -> ScheduleBundle.read(folder.resolve("nowhere")))
                        .getMessage())
                .contains("There is no folder or zip of this name");
    }

    private List<Fault> faults() {
        return faultsOf(folder);
    }

    private static List<Fault> faultsOf(Path bundle) {
        return catchThrowableOfType(FaultyBundleException.class, () -> ScheduleBundle.read(bundle))
                .faults();
    }
}
