package ample.ledger.core.browse.answer;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.browse.brief.BriefAddress;
import ample.ledger.core.browse.index.TermIndex;
import ample.ledger.core.fixtures.Schedules;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class CourseFindingsTest {

    private static final TermIndex INDEX = Schedules.kernelIndex();

    @Test
    void companionsStandUnderTheSectionTheyBelongTo() {
        assertThat(lines(Map.of("subject", List.of("tide"), "number", List.of("214"))))
                .containsExactly(
                        "T1 LEAD",
                        "T1-a BOUND_COMPANION",
                        "T1-b BOUND_COMPANION",
                        "T1-c BOUND_COMPANION",
                        "T2 LEAD",
                        "T2-a BOUND_COMPANION",
                        "T2-b BOUND_COMPANION");
    }

    @Test
    void companionsForAnyLectureComeAfterAllOfThem() {
        assertThat(lines(Map.of("subject", List.of("limn"), "number", List.of("130"))))
                .containsExactly(
                        "F1 LEAD",
                        "T1 LEAD",
                        "T2e LEAD",
                        "L-a OPEN_COMPANION",
                        "L-b OPEN_COMPANION",
                        "L-c OPEN_COMPANION",
                        "L-d OPEN_COMPANION");
    }

    @Test
    void aCompanionWhoseLectureIsLeftOutSaysSo() {
        assertThat(lines(Map.of("subject", List.of("tide"), "number", List.of("214"), "kind", List.of("lab"))))
                .contains("T1-a LEAD_LEFT_OUT", "T2-b LEAD_LEFT_OUT")
                .noneMatch(line -> line.endsWith(" LEAD"));
    }

    @Test
    void aLectureNoneOfWhoseLabsFitsIsNotShown() {
        assertThat(lines(Map.of(
                        "subject", List.of("tide"), "number", List.of("214"), "days", List.of("only:tue,thu,fri"))))
                .isEmpty();
    }

    private static List<String> lines(Map<String, List<String>> address) {
        Brief brief = BriefAddress.read(address, INDEX.vocabulary()).brief();
        return CourseFindings.of(Findings.of(Schedules.now(INDEX), brief).fitting(), INDEX.schedule()).stream()
                .flatMap(course -> course.lines().stream())
                .map(line -> line.section().code() + " " + line.role())
                .toList();
    }
}
