package ample.ledger.web.plan;

import java.util.List;

/**
 * The part of My week that weaves.
 *
 * @param ask as it was asked
 * @param examples three courses, as they are written
 * @param faults what could not be read of it
 * @param wishes for each place in their order what can be chosen
 * @param pins the sections of the plan that can be kept
 * @param briefs those that the visitor has saved, by their addresses
 * @param progress how far it is, in words; empty when it is done or was not asked
 * @param again the address that shows how far it is
 * @param key by which it is stopped
 * @param count in words: how many weeks there are
 * @param weeks the best
 * @param more the address with more of them; empty where these are all
 * @param conflicts why there are none
 * @param loosenings what would give one; the value is the address that asks so, empty where it is done in the plan
 */
public record WeavePage(
        WeaveAsk ask,
        List<String> examples,
        List<String> faults,
        List<List<Choice>> wishes,
        List<Choice> pins,
        List<Choice> briefs,
        String progress,
        String again,
        String key,
        String count,
        List<Woven> weeks,
        String more,
        List<String> conflicts,
        List<Choice> loosenings) {

    /** Something to choose. */
    public record Choice(String value, String words, boolean chosen) {}

    /**
     * One week.
     *
     * @param number its rank
     * @param reasons why it has that rank
     * @param bars its picture
     * @param days how many days the picture shows, one below the other
     * @param preview the address that draws it into the plan, or takes it out again
     * @param out what leaves the plan for it, as forms send it
     * @param in what comes
     * @param sections what it holds, in words
     */
    public record Woven(
            int number,
            List<String> reasons,
            List<Bar> bars,
            int days,
            String preview,
            boolean shown,
            String out,
            String in,
            List<String> sections,
            String variants) {}

    /** One class in the picture of a week, in its own pixels. */
    public record Bar(int x, int y, int width, int height, String style) {}
}
