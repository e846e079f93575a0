package ample.ledger.web.wish;

import ample.ledger.web.words.RoundWords;
import ample.ledger.web.words.Strip;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A wish round, as a student or a guest sees it.
 *
 * @param here its address
 * @param says how it stands, in a sentence or two
 * @param signIn where a guest signs in to wish something; empty where there is nothing to sign in for
 * @param told what became of the last change
 * @param open whether who sees the page can wish something now
 * @param wishes the most wished first
 * @param groups all that can be wished
 * @param rule how places are distributed, a sentence each
 * @param classes who comes first, the first first; none where nobody does
 * @param digest of the lottery's seed
 * @param result what came of it; null before the places are distributed
 */
record RoundPage(
        String here,
        String name,
        String says,
        String signIn,
        List<String> told,
        boolean open,
        List<Group> wishes,
        List<Group> groups,
        Strip.Ground ground,
        List<String> rule,
        List<String> classes,
        String digest,
        @Nullable Result result) {

    /**
     * A group.
     *
     * @param rank at which place of the wishes it is, from 1; 0 where it is not wished
     * @param ranked the same in words: "your 2nd wish"; empty where it is not wished
     * @param places "12 places"
     * @param wished how many wish it; empty while nobody is told
     * @param against why the student could not have it now, a sentence each
     * @param beside what of the plan it would be in the way of
     */
    record Group(
            String code,
            String name,
            int rank,
            String ranked,
            List<Section> sections,
            Strip strip,
            String places,
            String wished,
            List<String> against,
            List<String> beside) {}

    /** A section of a group. */
    record Section(String entry, String sheet, String name, String title, List<String> when) {}

    /**
     * What came of a round.
     *
     * @param says what the student got, in a sentence or two
     * @param missed each wish above it, and why
     * @param seed of the lottery
     */
    record Result(String says, List<RoundWords.Missed> missed, String seed) {}
}
