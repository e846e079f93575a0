package ample.ledger.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.fixtures.RandomSchedules;
import ample.ledger.core.schedule.Course;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Section;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;

/** Complete sets against going through every choice of sections, whatever it is. */
class CompleteSetsLawsTest {

    @Property(tries = 200)
    void completeSetsAreThoseOfEveryChoice(@ForAll("schedules") Schedule schedule) {
        List<Set<Section>> found = CompleteSets.of(schedule).stream()
                .map(set ->
                        Arrays.stream(set).mapToObj(schedule.sections()::get).collect(Collectors.toSet()))
                .toList();

        assertThat(found).doesNotHaveDuplicates();
        assertThat(Set.copyOf(found)).isEqualTo(everyChoice(schedule));
        for (Course course : schedule.courses()) {
            assertThat(CompleteSets.of(schedule, course.code()).stream().map(Set::copyOf))
                    .containsExactlyElementsOf(found.stream()
                            .filter(set -> set.iterator().next().course().equals(course))
                            .toList());
            assertThat(CompleteSets.of(schedule, course.code()))
                    .allMatch(set -> set.get(0).companion().isEmpty(), "the leading section first");
        }
    }

    @Provide
    Arbitrary<Schedule> schedules() {
        return RandomSchedules.schedules();
    }

    /** Every set of one lead and one companion of each of its choices, less those that clash. */
    private static Set<Set<Section>> everyChoice(Schedule schedule) {
        Set<Set<Section>> all = new HashSet<>();
        for (Section lead : schedule.sections()) {
            if (lead.companion().isEmpty()) {
                Map<String, List<Section>> choices = schedule.companionsOf(lead).stream()
                        .collect(Collectors.groupingBy(
                                companion -> companion.companion().orElseThrow().choice()));
                Set<Set<Section>> begun = new HashSet<>(Set.of(Set.of(lead)));
                for (List<Section> choice : choices.values()) {
                    Set<Set<Section>> more = new HashSet<>();
                    for (Set<Section> set : begun) {
                        for (Section companion : choice) {
                            Set<Section> with = new HashSet<>(set);
                            with.add(companion);
                            more.add(with);
                        }
                    }
                    begun = more;
                }
                begun.removeIf(set -> clashes(set, schedule));
                all.addAll(begun);
            }
        }
        return all;
    }

    private static boolean clashes(Set<Section> set, Schedule schedule) {
        List<Attendance> all = Attendance.of(set, schedule);
        return Clash.all(all).stream().anyMatch(clash -> !clash.exam());
    }
}
