package ample.ledger.core.registrar.round;

import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * What one student wishes, as it stands when the period ends.
 *
 * @param student as they sign in
 * @param draw the student's number in the lottery, different for everybody; 0 or more, the lowest goes first
 * @param wishes the most wished first; at least one, each of another group
 */
public record Ballot(String student, int draw, List<Wish> wishes) {

    /**
     * One wish.
     *
     * @param group the position of the group in its round; 0 or more
     * @param priority the class of priority that the student has there; 0 is the highest
     */
    public record Wish(int group, int priority) {

        /** @throws IllegalArgumentException for numbers below 0 */
        public Wish {
            if (group < 0 || priority < 0) {
                throw new IllegalArgumentException("There is no group %d and no class %d".formatted(group, priority));
            }
        }
    }

    /** @throws IllegalArgumentException for no wish, a group that is wished twice, and a draw below 0 */
    public Ballot {
        wishes = List.copyOf(wishes);
        if (wishes.isEmpty() || draw < 0) {
            throw new IllegalArgumentException("A ballot has at least one wish, and a draw of 0 or more");
        }
        Set<Integer> groups = new HashSet<>();
        for (Wish wish : wishes) {
            if (!groups.add(wish.group())) {
                throw new IllegalArgumentException(student + " wishes group " + wish.group() + " twice");
            }
        }
    }

    /** At which place of the ballot a group is, from 0; -1 where it is not on it. */
    public int place(int group) {
        for (int i = 0; i < wishes.size(); i++) {
            if (wishes.get(i).group() == group) {
                return i;
            }
        }
        return -1;
    }

    /** The same one class further behind. */
    Ballot behind() {
        return new Ballot(
                student,
                draw,
                wishes.stream()
                        .map(wish -> new Wish(wish.group(), wish.priority() + 1))
                        .toList());
    }

    /** Whether they would rather have {@code group} than what they have at this place of the ballot; -1 for nothing. */
    boolean rather(int group, int has) {
        int place = place(group);
        return place >= 0 && (has < 0 || place < has);
    }
}
