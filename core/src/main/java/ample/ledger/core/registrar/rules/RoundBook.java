package ample.ledger.core.registrar.rules;

import ample.ledger.core.registrar.Entry;
import ample.ledger.core.registrar.round.Ballot;
import ample.ledger.core.registrar.round.Contest;
import ample.ledger.core.registrar.round.Distribution;
import ample.ledger.core.schedule.WishRound;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.function.Predicate;
import java.util.stream.IntStream;

/** Who has which group of a wish round since its places were distributed, in a {@link Book}. */
final class RoundBook {

    /** What somebody has who had a place and gave it back: they are given none again. */
    private static final int GAVE_BACK = -2;

    private static final int NONE = -1;

    private final Distribution distribution;
    private final List<List<Entry>> groups;
    private final Map<String, Integer> ballots = new HashMap<>();
    private final int[] has;

    RoundBook(RoundName name, WishRound round, Distribution distribution) {
        this.distribution = distribution;
        this.groups = round.groups().stream()
                .map(group -> Entry.of(name.term(), group))
                .toList();
        List<Ballot> all = distribution.contest().ballots();
        for (int i = 0; i < all.size(); i++) {
            ballots.put(all.get(i).student(), i);
        }
        this.has = new int[all.size()];
        Arrays.fill(has, NONE);
    }

    Contest contest() {
        return distribution.contest();
    }

    List<Entry> sections(int group) {
        return groups.get(group);
    }

    /** The group that a section is of; empty where it is of none. */
    OptionalInt groupOf(Entry section) {
        return IntStream.range(0, groups.size())
                .filter(group -> groups.get(group).contains(section))
                .findFirst();
    }

    /** For each ballot the group that its student has; -1 for none. */
    List<Integer> has() {
        List<Integer> now = new ArrayList<>();
        for (int each : has) {
            now.add(Math.max(NONE, each));
        }
        return Collections.unmodifiableList(now);
    }

    boolean gaveBack(int ballot) {
        return has[ballot] == GAVE_BACK;
    }

    /** The group that a student has; empty for none, and for one who wished nothing. */
    OptionalInt of(String student) {
        Integer ballot = ballots.get(student);
        return ballot == null || has[ballot] < 0 ? OptionalInt.empty() : OptionalInt.of(has[ballot]);
    }

    /**
     * Takes over that a student has a section, or has it no longer.
     *
     * @param registered whether the student now has a section
     */
    void apply(Fact fact, Predicate<Entry> registered) {
        Integer ballot = ballots.get(fact.student());
        if (ballot == null) {
            return;
        }
        groupOf(fact.part()).ifPresent(group -> {
            if (groups.get(group).stream().allMatch(registered)) {
                has[ballot] = group;
            } else if (has[ballot] == group) {
                has[ballot] = GAVE_BACK;
            }
        });
    }
}
