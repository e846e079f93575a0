package ample.ledger.web.head;

import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.schedule.SeasonCode;
import ample.ledger.core.schedule.Term;
import ample.ledger.web.term.Addresses;
import ample.ledger.web.term.Place;
import ample.ledger.web.term.PostedTerm;
import ample.ledger.web.words.Words;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * What the head of a page says of the term that it is about, and where it leads.
 *
 * @param language the language of what is posted, a BCP 47 tag
 * @param edition which edition is shown and when it was posted
 * @param find the address that reads a line of text
 * @param example such a line
 * @param brief as {@link Addresses#query} writes it; empty for one without conditions
 * @param others every term and season that can be browsed, this one among them
 */
public record Where(
        String name,
        String language,
        String edition,
        List<Screen> screens,
        String find,
        String example,
        String brief,
        List<Other> others) {

    /** A screen that the head leads to. */
    public record Screen(String screen, String label, String title, String address, int count) {}

    /** A term or a season. */
    public record Other(String label, String title, String address, boolean chosen) {}

    /**
     * @param week how many sections the visitor keeps for the term
     */
    static Where of(List<PostedTerm> all, Place place, Brief brief, int week) {
        return new Where(
                place.name(),
                place.schedules().get(0).institution().language().toLanguageTag(),
                edition(place),
                List.of(
                        new Screen("browse", "Browse", "", place.addresses().browse(brief), 0),
                        new Screen(
                                "week",
                                "My week",
                                "Your plan as a week",
                                "/" + place.terms().get(0).edition().term() + "/week",
                                week),
                        new Screen(
                                "ready",
                                "Readiness",
                                "Check your plan before you submit it",
                                "/" + place.terms().get(0).edition().term() + "/ready",
                                0)),
                "/" + place.path() + "/find",
                place.example(),
                Addresses.query(brief),
                others(all, place, brief));
    }

    private static String edition(Place place) {
        if (place.season()) {
            return Words.count(place.terms().size(), "calendar");
        }
        PostedTerm posted = place.terms().get(0);
        return "Edition %d, posted %s".formatted(posted.edition().number(), posted.postedAt());
    }

    private static List<Other> others(List<PostedTerm> all, Place place, Brief brief) {
        List<Other> others = new ArrayList<>();
        Map<SeasonCode, List<PostedTerm>> seasons = new LinkedHashMap<>();
        for (PostedTerm posted : all) {
            Term term = posted.schedule().term();
            seasons.computeIfAbsent(term.season().code(), absent -> new ArrayList<>())
                    .add(posted);
            others.add(other(
                    term.name(),
                    posted.schedule().institution().name() + ", " + Words.dates(term.dates()),
                    term.code().text(),
                    place,
                    brief));
        }
        seasons.forEach((code, terms) -> {
            if (terms.size() > 1) {
                others.add(other(
                        terms.get(0).schedule().term().season().name() + ", all colleges",
                        terms.size() + " calendars side by side",
                        "season/" + code,
                        place,
                        brief));
            }
        });
        return others;
    }

    private static Other other(String label, String title, String path, Place place, Brief brief) {
        String address = new Addresses(path).browse(brief);
        boolean chosen = path.equals(place.path());
        return new Other(
                label,
                title,
                chosen || brief.isEmpty() ? address : Addresses.with(address, "came", place.path()),
                chosen);
    }
}
