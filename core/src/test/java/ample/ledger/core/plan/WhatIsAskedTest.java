package ample.ledger.core.plan;

import static ample.ledger.core.plan.PlansOfTheKernel.KERNEL;
import static ample.ledger.core.plan.PlansOfTheKernel.obstacles;
import static ample.ledger.core.plan.PlansOfTheKernel.week;
import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.requirement.StudentRecord;
import ample.ledger.core.schedule.GradeScale;
import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** What courses ask for before them and beside them, as it stops a plan. */
class WhatIsAskedTest {

    @Test
    void aCorequisiteIsMissedUnlessItWasPassed() {
        assertThat(obstacles("TIDE 214 T1", "TIDE 214 T1-a"))
                .filteredOn(WhatIsAskedTest::isOfCorequisites)
                .singleElement()
                .isInstanceOfSatisfying(
                        Obstacle.LacksCorequisite.class,
                        lacks -> assertThat(lacks.corequisite().course())
                                .isEqualTo(PlansOfTheKernel.code("NUMB", "210")));
        assertThat(withARecordOf("210", "B")).noneMatch(WhatIsAskedTest::isOfCorequisites);
        for (String grade : List.of("F", "")) {
            assertThat(withARecordOf("210", grade))
                    .as("failed, or going on")
                    .filteredOn(WhatIsAskedTest::isOfCorequisites)
                    .singleElement()
                    .isInstanceOf(Obstacle.LacksCorequisite.class);
        }
        assertThat(withARecordOf("112", "B"))
                .as("another course")
                .filteredOn(WhatIsAskedTest::isOfCorequisites)
                .hasSize(1);
    }

    private static boolean isOfCorequisites(Obstacle obstacle) {
        return obstacle instanceof Obstacle.LacksCorequisite;
    }

    /** TIDE 214 needs NUMB 112, or a placement in its place. */
    @Test
    void aPrerequisiteStopsAPlanWhereItIsKnownNotToBeMet() {
        assertThat(obstacles("TIDE 214 T1", "TIDE 214 T1-a"))
                .filteredOn(Obstacle.LacksPrerequisite.class::isInstance)
                .as("of nobody in particular")
                .isNotEmpty()
                .noneMatch(Obstacle::stops);
        assertThat(withARecordOf("210", "B"))
                .filteredOn(Obstacle.LacksPrerequisite.class::isInstance)
                .isNotEmpty()
                .allMatch(Obstacle::stops);
        assertThat(withARecordOf("112", "B")).noneMatch(Obstacle.LacksPrerequisite.class::isInstance);
        assertThat(obstacles("GLAC 120 F1"))
                .as("what asks for nothing")
                .noneMatch(Obstacle.LacksPrerequisite.class::isInstance);
    }

    /** What stands in the way of a course with NUMB 210 alongside, of which this is on the record. */
    private static List<Obstacle> withARecordOf(String number, String grade) {
        StudentRecord record = new StudentRecord(
                Set.of(StudentRecord.Part.values()),
                List.of(new StudentRecord.Taken(
                        PlansOfTheKernel.code("NUMB", number), GradeScale.LETTERS.parse(grade))),
                Optional.of(BigDecimal.ZERO),
                Optional.empty(),
                Set.of(),
                Set.of(),
                Map.of());
        return Obstacles.of(
                week("TIDE 214 T1", "TIDE 214 T1-a"),
                new Obstacles.Student(Optional.empty(), KERNEL.term(), Optional.of(record)));
    }

    private static List<Obstacle> obstacles(String... sections) {
        return Obstacles.of(week(sections), PlansOfTheKernel.ANYBODY);
    }
}
