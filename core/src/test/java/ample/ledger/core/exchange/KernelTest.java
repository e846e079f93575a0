package ample.ledger.core.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.calendar.TimeRange;
import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.schedule.Course;
import ample.ledger.core.schedule.Delivery;
import ample.ledger.core.schedule.Place;
import ample.ledger.core.schedule.Prerequisite;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Section;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** What the demo's kernel must hold to be of use, and facts of the trade on it. */
class KernelTest {

    private static final Schedule DEMO = Schedules.kernelSchedule();

    /** Common practice, no source: a group of one lecture may not be combined with another lecture. */
    @Test
    void companionsBelongToTheirOwnLecture() {
        assertThat(codes(DEMO.companionsOf(section("TIDE 214", "T1")))).containsExactly("T1-a", "T1-b", "T1-c");
        assertThat(codes(DEMO.companionsOf(section("TIDE 214", "T2")))).containsExactly("T2-a", "T2-b");
        assertThat(codes(DEMO.leadsOf(section("TIDE 214", "T2-a")))).containsExactly("T2");
        assertThat(codes(DEMO.companionsOf(section("LIMN 130", "F1"))))
                .isEqualTo(codes(DEMO.companionsOf(section("LIMN 130", "T1"))))
                .hasSize(4);
    }

    /** Common practice, no source: a course over two terms is listed in the first and runs through both. */
    @Test
    void aCourseOverTwoTermsOutlastsTheTerm() {
        Section section = section("GLAC 240d", "F3e");

        assertThat(section.span().dates().first()).isEqualTo(DEMO.term().dates().first());
        assertThat(section.span().dates().last()).isAfter(DEMO.term().dates().last());
    }

    @Test
    void crossListedTwinsShareOnePool() {
        Section section = section("GLAC 240d", "F3e");

        assertThat(DEMO.twinsOf(section)).extracting(Section::toString).containsExactly("LIMN 244d F3e");
        assertThat(DEMO.twinsOf(section).get(0).pool()).isSameAs(section.pool());
    }

    @Test
    void meetingsSayTheDeliveryThatTheRegistrarDeclares() {
        assertThat(DEMO.sections())
                .allSatisfy(section -> assertThat(section.delivery()).isEqualTo(section.declared()));
        assertThat(DEMO.sections().stream().map(Section::delivery).distinct()).contains(Delivery.values());
    }

    @Test
    void prerequisitesSpeakOfCoursesThatArePosted() {
        assertThat(DEMO.courses().stream()
                        .flatMap(course -> course.rules().prerequisites().stream())
                        .flatMap(prerequisite -> prerequisite.expression().stream())
                        .flatMap(Prerequisite::courses))
                .isNotEmpty()
                .isSubsetOf(DEMO.courses().stream().map(Course::code).toList());
    }

    @Test
    void theCodeKeyExplainsEveryCode() {
        assertThat(DEMO.sections())
                .allSatisfy(section -> assertThat(DEMO.codeKey().takeApart("section", section.code()))
                        .allMatch(part -> part.explained()));
        assertThat(DEMO.sections())
                .allSatisfy(section -> assertThat(DEMO.codeKey()
                                .takeApart("course", section.course().written()))
                        .allMatch(part -> part.explained()));
    }

    @Test
    void nobodyAndNoRoomIsInTwoPlacesAtOnce() {
        Set<List<Object>> taken = new HashSet<>();
        for (Section section : DEMO.sections()) {
            if (section.cancelled() || DEMO.twinsOf(section).stream().anyMatch(twin -> comesBefore(twin, section))) {
                continue;
            }
            for (var meeting : section.meetings()) {
                List<Object> holders = new ArrayList<>(section.instructors());
                if (meeting.place() instanceof Place.Room room) {
                    holders.add(room);
                }
                for (LocalDate date : DEMO.term().calendar().datesOf(meeting.timing())) {
                    TimeRange time = meeting.timing().time().orElseThrow();
                    for (int minute = time.startMinute(); minute < time.endMinute(); minute++) {
                        for (Object holder : holders) {
                            assertThat(taken.add(Arrays.asList(holder, date, minute)))
                                    .as("%s: %s on %s at minute %d", section, holder, date, minute)
                                    .isTrue();
                        }
                    }
                }
            }
        }
    }

    private static boolean comesBefore(Section one, Section other) {
        return one.entry().compareTo(other.entry()) < 0;
    }

    private static List<String> codes(List<Section> sections) {
        return sections.stream().map(Section::code).toList();
    }

    private static Section section(String course, String code) {
        return DEMO.sections().stream()
                .filter(section -> section.course().code().toString().equals(course)
                        && section.code().equals(code))
                .findFirst()
                .orElseThrow();
    }
}
