package ample.ledger.core.edition;

import ample.ledger.core.edition.SectionChange.What;
import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.Meeting;
import ample.ledger.core.schedule.Restriction;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Section;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * Two editions of one term compared: what is different of each section that the later one posts. How many seats
 * are taken is no difference; that changes all the time.
 */
public final class SectionChanges {

    private SectionChanges() {}

    /** By entry number, in the order of the later edition; sections without a difference are not there. Cost: linear. */
    public static Map<EntryNumber, List<SectionChange>> between(Schedule before, Schedule now) {
        Map<EntryNumber, List<SectionChange>> changes = new LinkedHashMap<>();
        for (Section section : now.sections()) {
            List<SectionChange> some = before.section(section.entry())
                    .map(earlier -> between(earlier, section))
                    .orElseGet(() -> List.of(new SectionChange(What.ADDED, Optional.empty())));
            if (!some.isEmpty()) {
                changes.put(section.entry(), some);
            }
        }
        return changes;
    }

    private static List<SectionChange> between(Section before, Section now) {
        List<What> what = new ArrayList<>();
        if (before.cancelled() != now.cancelled()) {
            what.add(now.cancelled() ? What.CANCELLED : What.HELD_AFTER_ALL);
        }
        if (!before.course().title().equals(now.course().title())
                || !before.code().equals(now.code())) {
            what.add(What.RENAMED);
        }
        if (!before.timings().equals(now.timings())) {
            what.add(What.MOVED);
        }
        if (!before.span().dates().equals(now.span().dates())) {
            what.add(What.SPAN);
        }
        if (differ(
                        before,
                        now,
                        section ->
                                section.meetings().stream().map(Meeting::place).collect(Collectors.toSet()))
                || differ(before, now, section -> section.campus().code())) {
            what.add(What.PLACE);
        }
        if (differ(before, now, Section::instructors)) {
            what.add(What.PEOPLE);
        }
        if (now.pool().capacity() < before.pool().capacity()) {
            what.add(What.FEWER_SEATS);
        }
        if (!restrictions(before).containsAll(restrictions(now))) {
            what.add(What.RESTRICTED);
        }
        return what.stream()
                .map(each -> new SectionChange(each, Optional.of(before)))
                .toList();
    }

    private static Set<Restriction> restrictions(Section section) {
        Set<Restriction> all = new HashSet<>(section.restrictions());
        all.addAll(section.course().rules().restrictions());
        return all;
    }

    private static boolean differ(Section before, Section now, Function<Section, Object> of) {
        return !of.apply(before).equals(of.apply(now));
    }
}
