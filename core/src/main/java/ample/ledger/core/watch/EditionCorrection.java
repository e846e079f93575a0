package ample.ledger.core.watch;

import ample.ledger.core.edition.SectionChange;
import ample.ledger.core.edition.SectionChanges;
import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Section;
import ample.ledger.core.schedule.TermCode;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * One edition of a term instead of another.
 *
 * @param changes of each section that is posted now, and differs; by entry number
 * @param removed the sections that are no longer posted, as they were
 */
public record EditionCorrection(
        Schedule before,
        Schedule now,
        Map<EntryNumber, List<SectionChange>> changes,
        Map<EntryNumber, Section> removed) {

    /** @param before of the same term as {@code now}. Cost: linear in the sections of both */
    public static EditionCorrection of(Schedule before, Schedule now) {
        Map<EntryNumber, Section> removed = before.sections().stream()
                .filter(section -> now.section(section.entry()).isEmpty())
                .collect(Collectors.toMap(Section::entry, section -> section, (one, same) -> one, LinkedHashMap::new));
        return new EditionCorrection(before, now, SectionChanges.between(before, now), removed);
    }

    public TermCode term() {
        return now.term().code();
    }

    /** All that a {@link Concern} can be about which this may matter to; empty where nothing is different. */
    public Set<String> abouts() {
        Set<String> abouts = new LinkedHashSet<>();
        Stream.concat(
                        removed.values().stream(),
                        changes.keySet().stream().flatMap(entry -> now.section(entry).stream()))
                .forEach(section -> {
                    abouts.add(section.entry().digits());
                    abouts.add(section.course().code().toString());
                });
        if (!changes.isEmpty()) {
            abouts.add(Concern.BRIEF);
        }
        return abouts;
    }
}
