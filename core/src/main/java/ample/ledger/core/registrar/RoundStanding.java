package ample.ledger.core.registrar;

import ample.ledger.core.registrar.round.Explanation;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.WishRound;
import java.time.Instant;
import java.util.List;
import java.util.Optional;

/**
 * How a wish round stands to one student.
 *
 * @param term the code of the term
 * @param round the code of the round
 * @param commitment the digest of the seed of its lottery, in hexadecimal digits: see {@link ample.ledger.core.registrar.round.Lottery}
 * @param wishes the codes of the groups that the student wishes, the most wished first; none for no wish
 * @param since when the student last said so; empty where they never said anything
 * @param wished how many wish each group; none while the round does not show it
 * @param outcome what came of it; empty until the places are distributed
 */
public record RoundStanding(
        String term,
        String round,
        String commitment,
        List<String> wishes,
        Optional<Instant> since,
        List<Wished> wished,
        Optional<Outcome> outcome) {

    public RoundStanding {
        wishes = List.copyOf(wishes);
        wished = wished == null ? List.of() : List.copyOf(wished);
    }

    /** Whether it is about this round of this term. */
    public boolean isOf(Schedule schedule, WishRound some) {
        return term.equals(schedule.term().code().text()) && round.equals(some.code());
    }

    /**
     * How many wish a group.
     *
     * @param group its code
     * @param students who wish it at all
     * @param first who wish it most
     */
    public record Wished(String group, int students, int first) {}

    /**
     * What a student got.
     *
     * @param at when the places were distributed, by the institution's clock
     * @param seed of the lottery
     * @param draw the student's number in it; empty for one who wished nothing
     * @param got the code of the group; empty for none
     * @param has the code of the group that the student has now; empty for none
     * @param struck wishes that did not count
     * @param missed the wishes above what they got, or all, the highest first
     */
    public record Outcome(
            Instant at,
            String seed,
            Optional<Integer> draw,
            Optional<String> got,
            Optional<String> has,
            List<Struck> struck,
            List<Missed> missed) {

        public Outcome {
            struck = struck == null ? List.of() : List.copyOf(struck);
            missed = missed == null ? List.of() : List.copyOf(missed);
        }
    }

    /**
     * A wish that did not count.
     *
     * @param group its code
     * @param refusals why the student could not have the place
     */
    public record Struck(String group, List<Refusal> refusals) {

        public Struck {
            refusals = List.copyOf(refusals);
        }
    }

    /**
     * A wish that was not fulfilled.
     *
     * @param group its code
     * @param places that the group has; 0 or more
     * @param wished how many students had it on their ballots
     * @param first how many of them as their highest wish
     * @param own the student's class of priority there, in words
     * @param why the code of a kind of {@link Explanation.Why}: "by-lot"
     * @param priority the class, in words, of the last who got a place, or that would have lost one; only where {@code why} speaks of one
     * @param draw of the last who got a place, or of the first who would have lost; only where {@code why} speaks of one
     * @param count students: who would have been there, who come before, who would have no place; or places on ballots that would be lost. Only where
     *     {@code why} speaks of some
     * @param oneMore whether one place more would have given the student this wish or a higher one
     */
    public record Missed(
            String group,
            int places,
            int wished,
            int first,
            String own,
            String why,
            Optional<String> priority,
            Optional<Integer> draw,
            Optional<Integer> count,
            boolean oneMore) {

        /**
         * Of what was worked out.
         *
         * @param classes of priority, in words
         * @param own the student's
         */
        public static Missed of(String group, int places, int own, Explanation.Missed missed, List<String> classes) {
            Optional<String> priority = Optional.empty();
            Optional<Integer> draw = Optional.empty();
            Optional<Integer> count = Optional.empty();
            if (missed.why() instanceof Explanation.Why.NotHeld held) {
                count = Optional.of(held.students());
            } else if (missed.why() instanceof Explanation.Why.Outranked last) {
                priority = Optional.of(classes.get(last.priority()));
                draw = Optional.of(last.draw());
                count = Optional.of(last.ahead());
            } else if (missed.why() instanceof Explanation.Why.FewerPlaced fewer) {
                count = Optional.of(fewer.fewer());
            } else if (missed.why() instanceof Explanation.Why.FewerOfClass some) {
                priority = Optional.of(classes.get(some.priority()));
            } else if (missed.why() instanceof Explanation.Why.LowerWishes lower) {
                count = Optional.of(lower.places());
            } else if (missed.why() instanceof Explanation.Why.ByLot lot) {
                draw = Optional.of(lot.draw());
            }
            return new Missed(
                    group,
                    places,
                    missed.wished(),
                    missed.first(),
                    classes.get(own),
                    missed.why().code(),
                    priority,
                    draw,
                    count,
                    missed.oneMore());
        }
    }
}
