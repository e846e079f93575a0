package ample.ledger.core.edition;

import static ample.ledger.core.fixtures.SectionBuilder.section;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.groups.Tuple.tuple;

import ample.ledger.core.edition.Warning.Kind;
import ample.ledger.core.exchange.BundleTable;
import ample.ledger.core.exchange.BundleTables;
import ample.ledger.core.exchange.ScheduleBundle;
import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.fixtures.SectionBuilder;
import ample.ledger.core.schedule.Delivery;
import ample.ledger.core.schedule.Section;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Small postings with one thing in them that is probably not meant. */
class PostingChecksTest {

    private static final LocalDate SATURDAY = LocalDate.of(2031, 9, 20);

    @Test
    void theKernelHasNothingToWarnOf() {
        assertThat(PostingChecks.warningsOf(Schedules.kernelSchedule())).isEmpty();
    }

    @Test
    void twoSectionsInOneRoomAtOnce() {
        assertThat(warnings(
                        section("TIDE 110").entry("40101").meets("Mon Wed", "9:00-10:20"),
                        section("TIDE 214").entry("40102").meets("Wed Fri", "10:00-11:20"),
                        section("TIDE 235").entry("40103").meets("Mon Fri", "11:20-12:40")))
                .containsExactly("ROOM_TWICE: TIDE 110 T1 and TIDE 214 T1: Sluice Hall 101, on 15 dates, the first Wed"
                        + " 10 Sep.");
    }

    @Test
    void oncePerPairHoweverLongTheyMeet() {
        assertThat(warnings(
                        section("TIDE 110").entry("40101").meets("Mon", "9:00-16:00"),
                        section("TIDE 214").entry("40102").meets("Mon", "10:00-11:00"),
                        section("TIDE 235").entry("40103").meets("Mon", "12:00-13:00")))
                .hasSize(2)
                .allMatch(warning -> warning.startsWith("ROOM_TWICE: TIDE 110 T1 and "));
    }

    @Test
    void cancelledSectionsNeedNoRoom() {
        assertThat(warnings(
                        section("TIDE 110").entry("40101").meets("Mon", "9:00-10:20"),
                        section("TIDE 214")
                                .entry("40102")
                                .meets("Mon", "9:00-10:20")
                                .cancelled()))
                .isEmpty();
    }

    @Test
    void onePersonInTwoPlaces() {
        assertThat(warnings(
                        section("TIDE 110")
                                .entry("40101")
                                .taughtBy("Abara")
                                .meetsOnline("Sat", "9:00-10:20")
                                .declared(Delivery.ONLINE_TIMED),
                        section("GLAC 120").entry("40102").taughtBy("Abara").meetsOnce(SATURDAY, "8:00-16:00")))
                .containsExactly("PERSON_TWICE: TIDE 110 T1 and GLAC 120 T1: Abara, on 1 date, the first Sat 20 Sep.");
    }

    @Test
    void aCompanionThatNobodyCanReach() {
        var lead = section("LIMN 130").entry("40101").code("T1").meetsOnline("Mon", "9:00-10:20");
        var other = section("LIMN 130").entry("40102").code("T2").meetsOnline("Mon", "10:30-11:50");
        var lab = section("LIMN 130").entry("40103").code("L-a").meets("Mon", "9:30-11:00");
        lead.declared(Delivery.ONLINE_TIMED);
        other.declared(Delivery.ONLINE_TIMED);

        assertThat(warnings(lead, other, lab.companion("lab", Optional.empty())))
                .containsExactly("COMPANION_OUT_OF_REACH: LIMN 130 L-a: It meets in the time of T1, T2.");
        assertThat(warnings(lead, other, lab.companion("lab", Optional.of("40102"))))
                .containsExactly("COMPANION_OUT_OF_REACH: LIMN 130 L-a: It meets in the time of T2.");
        assertThat(warnings(lead, other.cancelled(), lab.companion("lab", Optional.of("40102"))))
                .containsExactly("COMPANION_OUT_OF_REACH: LIMN 130 L-a: Nothing is posted that it can be taken with.");
    }

    @Test
    void examsOfCoursesThatAreTakenTogether() {
        var tides = section("TIDE 214").entry("40101").takenWith("NUMB 210").exam(SATURDAY, "9:00-12:00");
        var rates = section("NUMB 210").entry("40102").examIn("204").exam(SATURDAY, "11:00-13:00");
        var later = section("NUMB 210").entry("40103").code("T2").exam(SATURDAY, "14:00-16:00");

        assertThat(warnings(tides, rates))
                .containsExactly("EXAM_CLASH: TIDE 214, NUMB 210: They are taken together, and the exams of all"
                        + " their sections are at once, on Sat 20 Sep at 09:00.");
        assertThat(warnings(tides, rates, later)).as("T2 goes with it").isEmpty();
    }

    @Test
    void examsOfASectionAndItsCompanion() {
        assertThat(warnings(
                        section("LIMN 130").entry("40101").exam(SATURDAY, "9:00-12:00"),
                        section("LIMN 130")
                                .entry("40102")
                                .code("L-a")
                                .companion("lab", Optional.empty())
                                .examIn("204")
                                .exam(SATURDAY, "11:30-12:30")))
                .containsExactly("EXAM_CLASH: LIMN 130 T1 and LIMN 130 L-a: They are taken together, and their"
                        + " exams are at once, on Sat 20 Sep at 09:00.");
    }

    @Test
    void aClassDuringItsOwnExam() {
        var lecture = section("LIMN 130")
                .entry("40101")
                .meetsOnline("Sat", "9:00-10:20")
                .exam(SATURDAY, "10:00-12:00");
        var lab = section("LIMN 130").entry("40102").code("L-a").companion("lab", Optional.empty());
        var before = section("TIDE 110")
                .entry("40103")
                .meetsOnline("Sat", "8:00-10:00")
                .examIn("204")
                .exam(SATURDAY, "10:00-12:00");

        assertThat(warnings(
                        lecture.declared(Delivery.ONLINE_TIMED),
                        lab.meetsOnline("Sat", "11:00-13:00").declared(Delivery.ONLINE_TIMED),
                        before.declared(Delivery.ONLINE_TIMED)))
                .containsExactly(
                        "CLASS_DURING_EXAM: LIMN 130 T1: A class of it is held during its exam, on Sat 20 Sep 2031 at"
                                + " 10:00.",
                        "CLASS_DURING_EXAM: LIMN 130 T1 and LIMN 130 L-a: A class of the second is held during the exam"
                                + " of the first, on Sat 20 Sep 2031 at 10:00.");
    }

    @Test
    void anExamFarOutsideItsTerm() {
        assertThat(warnings(
                        section("TIDE 110").entry("40101").exam(LocalDate.of(2032, 1, 16), "9:00-12:00"),
                        section("TIDE 214").entry("40102").exam(LocalDate.of(2032, 1, 17), "9:00-12:00"),
                        section("GLAC 120").entry("40103").exam(LocalDate.of(2031, 1, 16), "9:00-12:00")))
                .containsExactly(
                        "EXAM_FAR_OFF: GLAC 120 T1: Its exam is on Thu 16 Jan 2031, more than 4 weeks from its term and"
                                + " its span.",
                        "EXAM_FAR_OFF: TIDE 214 T1: Its exam is on Sat 17 Jan 2032, more than 4 weeks from its term and"
                                + " its span.");
    }

    @Test
    void twoExamsInOneRoom() {
        assertThat(warnings(
                        section("TIDE 110").entry("40101").exam(SATURDAY, "9:00-12:00"),
                        section("GLAC 120").entry("40102").exam(SATURDAY, "11:00-13:00"),
                        section("CART 105").entry("40103").meets("Sat", "9:00-12:00")))
                .containsExactly(
                        "ROOM_TWICE: TIDE 110 T1 and GLAC 120 T1: Sluice Hall 101, on 1 date, the first Sat 20 Sep.");
    }

    @Test
    void namesTheRowsThatItSpeaksOf() {
        ScheduleBundle kernel = Schedules.kernelBundle();
        Section[] two = kernel.schedule().sections().stream().limit(2).toArray(Section[]::new);
        var warning = Warning.ofSections(Kind.ROOM_TWICE, "", two);

        assertThat(warning.lines(kernel.tables()))
                .containsExactlyElementsOf(kernel.tables().rows("sections").stream()
                        .filter(row -> Arrays.stream(two)
                                .anyMatch(section -> section.entry().digits().equals(row.text("entry"))))
                        .map(row -> row.line())
                        .toList())
                .hasSize(2);
        assertThat(warning.where(kernel.tables())).matches("sections\\.csv, rows [0-9]+ and [0-9]+");
        assertThat(warning.where(withoutLines(kernel.tables())))
                .isEqualTo(
                        "sections.csv, %s and %s",
                        two[0].entry().digits(), two[1].entry().digits());
    }

    /** The sections as they come from a database. */
    private static BundleTables withoutLines(BundleTables tables) {
        List<BundleTable.Row> rows = tables.rows("sections").stream()
                .map(row -> new BundleTable.Row(row.schema(), 0, row.cells()))
                .toList();
        return new BundleTables(Map.of("sections", new BundleTable(rows.get(0).schema(), rows)));
    }

    @Test
    void declarationsThatContradictTheRest() {
        assertThat(warnings(
                        section("MYCO 101").arrangedOnline("2.5"),
                        section("TIDE 341").entry("40102").meetsOnce(LocalDate.of(2032, 1, 10), "8:00-16:00"),
                        section("GLAC 240")
                                .entry("40103")
                                .seats(10, 0, 0)
                                .held("majors", 8, SATURDAY)
                                .held("minors", 3, SATURDAY)))
                .containsExactly(
                        "DELIVERY_CONTRADICTED: MYCO 101 T1: Declared on site; its meetings are online untimed.",
                        "OUTSIDE_SPAN: TIDE 341 T1: It meets from 2032-01-10 to 2032-01-10; its span is 2031-09-08 to"
                                + " 2031-12-19.",
                        "HELD_BEYOND_CAPACITY: Pool 40103: 11 seats are held of 10.");
    }

    @Test
    void aRequirementThatOnlyACancelledSectionCountsToward() {
        assertThat(warnings(section("RHET 385").toward("satire").cancelled()))
                .containsExactly(
                        "REQUIREMENT_NOT_OFFERED: Requirement satire: No section of Autumn 2031 counts toward it.");
    }

    @Test
    void prerequisitesThatAreNoCoursesOrGoRoundInACircle() {
        assertThat(warnings(
                        section("NUMB 112").entry("40101").needs("NUMB 210 or standing 2"),
                        section("NUMB 210").entry("40102").needs("2 of (NUMB 115, NUMB 303, placement \"Rates\")"),
                        section("NUMB 303").entry("40103").needs("NUMB 112"),
                        section("NUMB 285").entry("40104").needs("NUMB 285")))
                .containsExactly(
                        "PREREQUISITE_UNKNOWN: NUMB 210: It needs NUMB 115, which is not posted.",
                        "PREREQUISITE_CIRCLE: NUMB 112, NUMB 210, NUMB 303: Each of them is needed before the others.",
                        "PREREQUISITE_CIRCLE: NUMB 285: It needs itself.");
    }

    @Test
    void aCodeThatTheKeyDoesNotExplain() {
        assertThat(PostingChecks.warningsOf(
                        Schedules.of(section("GLAC 120").code("F1").build())))
                .extracting(Warning::kind, Warning::sentence)
                .containsExactly(tuple(Kind.CODE_NOT_EXPLAINED, "The code key does not have “GLAC 120”, “F1”."));
    }

    /** Without what is said of codes: these small postings have no key. */
    private static List<String> warnings(SectionBuilder... sections) {
        return PostingChecks.warningsOf(Schedules.of(
                        Arrays.stream(sections).map(SectionBuilder::build).toArray(Section[]::new)))
                .stream()
                .filter(warning -> warning.kind() != Kind.CODE_NOT_EXPLAINED)
                .map(warning -> warning.kind() + ": " + warning.about() + ": " + warning.sentence())
                .toList();
    }
}
