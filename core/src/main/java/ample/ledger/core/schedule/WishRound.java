package ample.ledger.core.schedule;

import java.time.LocalDateTime;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Ranked requests, distributed after a period: where places are scarce and speed is not to decide.
 *
 * @param name as it is called: "Field courses"
 * @param opens from when wishes are taken, on the institution's wall clock
 * @param closes when the period ends and the places are distributed
 * @param even whether groups are to be as near in size as may be; only where the most are to be placed
 * @param showsWishes whether students see during the period how many wish each group
 * @param meaning what else students have to know, in the institution's own words
 * @param criteria who comes first; the class of a student is the first that speaks of them, or after all of them
 * @param groups at least one
 */
public record WishRound(
        String code,
        String name,
        LocalDateTime opens,
        LocalDateTime closes,
        Rule rule,
        boolean even,
        boolean showsWishes,
        Optional<String> meaning,
        List<Criterion> criteria,
        List<Group> groups) {

    /** How places are distributed. */
    public enum Rule implements Coded {
        /** As many students as possible get a place; by classes of priority, then by the ranks of the wishes, then by lottery. */
        MOST_PLACED,
        /** No place goes to somebody of lower priority than one who wished it more. */
        BY_PRIORITY
    }

    /**
     * Students who come before others.
     *
     * @param name who they are, in words: "Glaciology majors"
     * @param group the code of the only group that it is for; empty for all
     */
    public record Criterion(String name, StudentGroup who, Optional<String> group) {

        /** Whether it speaks of places in a group. */
        public boolean isFor(Group some) {
            return group.isEmpty() || group.get().equals(some.code());
        }
    }

    /**
     * What can be wished, and is had as a whole.
     *
     * @param places 0 or more
     * @param least with fewer students it does not come about; 0 where it does in any case
     * @param sections of one course or of several, with their companions; at least one
     */
    public record Group(String code, String name, int places, int least, List<EntryNumber> sections) {

        /** @throws IllegalArgumentException where that cannot be */
        public Group {
            sections = List.copyOf(sections);
            if (sections.isEmpty()) {
                throw new IllegalArgumentException("Group %s has no section.".formatted(code));
            }
            if (least > places) {
                throw new IllegalArgumentException(
                        "Group %s has %d places, and cannot have a least size of %d.".formatted(code, places, least));
            }
        }
    }

    /** @throws IllegalArgumentException with a sentence that says what cannot be */
    public WishRound {
        criteria = List.copyOf(criteria);
        groups = List.copyOf(groups);
        if (groups.isEmpty()) {
            throw new IllegalArgumentException("The round has no group.");
        }
        if (!closes.isAfter(opens)) {
            throw new IllegalArgumentException("The period must end after it begins.");
        }
        if (rule == Rule.BY_PRIORITY && even) {
            throw new IllegalArgumentException("Groups can be even only in a round that is most-placed.");
        }
        if (rule == Rule.MOST_PLACED
                && criteria.stream().anyMatch(each -> each.group().isPresent())) {
            throw new IllegalArgumentException("A criterion can be for one group only in a round that is by-priority.");
        }
        for (Criterion criterion : criteria) {
            if (groups.stream().noneMatch(criterion::isFor)) {
                throw new IllegalArgumentException("A criterion is for group %s, which the round does not have."
                        .formatted(criterion.group().orElse("")));
            }
        }
        Set<EntryNumber> seen = new HashSet<>();
        for (Group group : groups) {
            for (EntryNumber section : group.sections()) {
                if (!seen.add(section)) {
                    throw new IllegalArgumentException("Section %s is in two groups.".formatted(section));
                }
            }
        }
    }

    /** The group of this code. */
    public Optional<Group> group(String some) {
        return groups.stream().filter(group -> group.code().equals(some)).findFirst();
    }

    /** Whether wishes are taken at this moment of the institution's wall clock. */
    public boolean isOpen(LocalDateTime now) {
        return !now.isBefore(opens) && now.isBefore(closes);
    }
}
