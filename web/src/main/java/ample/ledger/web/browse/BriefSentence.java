package ample.ledger.web.browse;

import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.browse.brief.Condition;
import ample.ledger.core.browse.brief.Not;
import ample.ledger.core.browse.brief.Phrase;
import ample.ledger.core.browse.brief.Timed;
import ample.ledger.core.browse.brief.Topic;
import ample.ledger.core.browse.brief.Wording;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * The brief as a sentence whose phrases can be edited.
 *
 * @param pieces what the sentence is made of, in order
 * @param add opens the list of conditions that the sentence does not mention yet
 */
public record BriefSentence(List<Piece> pieces, Adding add) {

    /** What the sentence mentions even where the brief asks for nothing about it, and what it says then. */
    private static final Map<Topic, String> ALWAYS = Map.of(
            Topic.SUBJECT, "any subject",
            Topic.CAMPUS, "any campus",
            Topic.DAYS, "on any day",
            Topic.TIMES, "at any time");

    /** Topics that close hours, so that it matters what happens to sections without any. */
    private static final Set<Topic> HOURS = EnumSet.of(Topic.DAYS, Topic.TIMES, Topic.CLOSED);

    /**
     * A phrase with what leads to it.
     *
     * @param id names it in the page
     * @param link opens or closes its editor; of a phrase without one, turns it round
     * @param hint what following the link does
     * @param edited whether it has an editor at all
     * @param editor open behind the phrase; null while closed
     */
    public record Piece(
            String id,
            String lead,
            String text,
            String link,
            String hint,
            boolean edited,
            @Nullable Editor editor) {}

    /**
     * The end of the sentence, where conditions are added.
     *
     * @param link opens or closes the list
     * @param offered the conditions to choose from; null while closed
     * @param editor of a condition that is about to be added; null for none
     */
    public record Adding(
            String link,
            @Nullable List<Offered> offered,
            @Nullable Editor editor) {}

    /** A condition that can be added. */
    public record Offered(String id, String title, String link) {}

    static BriefSentence of(Brief brief, Wording wording, BrowseView view, Editors editors, Addressing addresses) {
        List<Piece> pieces = new ArrayList<>();
        List<Offered> more = new ArrayList<>();
        Editor adding = null;
        for (Topic topic : Topic.values()) {
            Optional<Condition> condition = brief.about(topic);
            String link = addresses.editing(view.edits(topic) ? "" : topic.code());
            if (topic == Topic.UNTIMED) {
                untimed(brief, addresses).ifPresent(pieces::add);
            } else if (condition.isPresent() || ALWAYS.containsKey(topic)) {
                Optional<Phrase> phrase = condition.map(set -> set.phrase(wording));
                pieces.add(new Piece(
                        "phrase-" + topic.code(),
                        lead(topic, phrase),
                        phrase.map(Phrase::text).orElseGet(() -> ALWAYS.get(topic)),
                        link,
                        "Change: " + editors.title(topic),
                        true,
                        view.edits(topic) ? editors.of(topic) : null));
            } else {
                more.add(new Offered("add-" + topic.code(), editors.title(topic), link));
                adding = view.edits(topic) ? editors.of(topic) : adding;
            }
        }
        boolean open = view.edit().equals(BrowseView.MORE);
        return new BriefSentence(
                pieces, new Adding(addresses.editing(open ? "" : BrowseView.MORE), open ? more : null, adding));
    }

    /** Whether untimed sections stay is said as soon as the brief closes hours, and one click turns it. */
    private static Optional<Piece> untimed(Brief brief, Addressing addresses) {
        Optional<Condition> said = brief.about(Topic.UNTIMED);
        if (said.isEmpty()
                && HOURS.stream().allMatch(topic -> brief.about(topic).isEmpty())) {
            return Optional.empty();
        }
        boolean only = said.filter(Not.class::isInstance).isPresent();
        return Optional.of(new Piece(
                "phrase-untimed",
                ", ",
                said.isEmpty()
                        ? "keeping sections with no set time"
                        : only ? "only sections with no set time" : "leaving out sections with no set time",
                addresses.to(said.isEmpty() ? brief.with(new Timed()) : brief.without(Topic.UNTIMED)),
                said.isEmpty() ? "Leave them out instead" : "Keep all instead",
                false,
                null));
    }

    private static String lead(Topic topic, Optional<Phrase> phrase) {
        String lead = phrase.map(Phrase::lead).orElse("");
        if (topic == Topic.SUBJECT) {
            return lead.startsWith("not") ? "Show anything not in " : "Show ";
        }
        if (topic == Topic.TIMES) {
            return " ";
        }
        if (topic == Topic.CAMPUS) {
            String at = phrase.isEmpty() ? "at" : lead;
            return at.isEmpty() ? " " : " " + at + " ";
        }
        if (topic == Topic.DAYS) {
            return ", meeting ";
        }
        return lead.isEmpty() ? ", " : ", " + lead + " ";
    }
}
