package ample.ledger.core.edition;

import ample.ledger.core.calendar.Overlaps;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Section;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Companions that nobody can take, because they clash with every section they go with. */
final class CompanionsOutOfReach {

    private CompanionsOutOfReach() {}

    static Stream<Warning> of(Schedule schedule) {
        Overlaps overlaps = new Overlaps(schedule.term().calendar());
        return schedule.sections().stream()
                .filter(section -> section.companion().isPresent() && !section.cancelled())
                .filter(companion -> leads(schedule, companion).stream()
                        .noneMatch(lead -> overlaps.dates(lead.timings(), companion.timings())
                                .isEmpty()))
                .map(companion -> Warning.ofSections(
                        Warning.Kind.COMPANION_OUT_OF_REACH, sentence(schedule, companion), companion));
    }

    private static String sentence(Schedule schedule, Section companion) {
        List<Section> leads = leads(schedule, companion);
        return leads.isEmpty()
                ? "Nothing is posted that it can be taken with."
                : "It meets in the time of " + leads.stream().map(Section::code).collect(Collectors.joining(", "))
                        + ".";
    }

    private static List<Section> leads(Schedule schedule, Section companion) {
        return schedule.leadsOf(companion).stream()
                .filter(lead -> !lead.cancelled())
                .toList();
    }
}
