package ample.ledger.web.browse;

import ample.ledger.core.browse.Brief;
import ample.ledger.core.browse.Condition;
import ample.ledger.core.browse.Condition.Topic;
import ample.ledger.core.browse.SectionCondition;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.web.term.Addresses;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * The brief as a sentence whose phrases can be edited.
 *
 * @param pieces what the sentence is made of, in order
 * @param more editors of the conditions that the sentence does not mention yet
 */
public record BriefSentence(List<Piece> pieces, List<Editor> more) {

    /** Topics that the sentence mentions even where the brief asks for nothing. */
    private static final Set<Topic> ALWAYS = EnumSet.of(Topic.SUBJECT, Topic.CAMPUS, Topic.DAYS, Topic.TIMES);

    /**
     * A phrase with what leads to it.
     *
     * @param editor opens behind the phrase; null for a phrase that is a link
     * @param link where the phrase leads; null for a phrase with an editor
     * @param hint what following the link does
     */
    public record Piece(
            String lead,
            String text,
            @Nullable Editor editor,
            @Nullable String link,
            @Nullable String hint) {}

    static BriefSentence of(Brief brief, Schedule schedule, Editors editors, Addresses addresses) {
        List<Piece> pieces = new ArrayList<>();
        List<Editor> more = new ArrayList<>();
        for (Topic topic : Topic.values()) {
            Optional<Condition> condition = brief.about(topic);
            if (topic == Topic.UNTIMED) {
                untimed(brief, addresses).ifPresent(pieces::add);
            } else if (condition.isPresent() || ALWAYS.contains(topic)) {
                pieces.add(piece(topic, condition.map(set -> set.phrase(schedule)), editors.of(topic)));
            } else {
                more.add(editors.of(topic));
            }
        }
        return new BriefSentence(pieces, more);
    }

    private static Piece piece(Topic topic, Optional<Condition.Phrase> phrase, Editor editor) {
        String text = phrase.map(Condition.Phrase::text).orElseGet(() -> unset(topic));
        return new Piece(lead(topic, phrase), text, editor, null, null);
    }

    /** Whether untimed sections stay is said as soon as the brief asks for days or times, and one click turns it. */
    private static Optional<Piece> untimed(Brief brief, Addresses addresses) {
        if (brief.about(Topic.UNTIMED).isPresent()) {
            return Optional.of(new Piece(
                    ", ",
                    "leaving out sections with no set time",
                    null,
                    addresses.browse(brief.without(Topic.UNTIMED)),
                    "Keep them instead"));
        }
        if (brief.about(Topic.DAYS).isEmpty() && brief.about(Topic.TIMES).isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(new Piece(
                ", ",
                "keeping sections with no set time",
                null,
                addresses.browse(brief.with(new SectionCondition.Timed())),
                "Leave them out instead"));
    }

    private static String lead(Topic topic, Optional<Condition.Phrase> phrase) {
        return switch (topic) {
            case SUBJECT -> "Show ";
            case CAMPUS -> phrase.map(Condition.Phrase::lead).orElse("at").isEmpty() ? " " : " at ";
            case DAYS -> ", meeting ";
            case TIMES -> " ";
            case NUMBER, LEVEL, UNTIMED, DELIVERY, REQUIREMENT, SEATS ->
                phrase.map(known -> ", " + known.lead() + " ").orElse(", ");
        };
    }

    private static String unset(Topic topic) {
        return switch (topic) {
            case SUBJECT -> "any subject";
            case CAMPUS -> "any campus";
            case DAYS -> "on any day";
            case TIMES -> "at any time";
            case NUMBER, LEVEL, UNTIMED, DELIVERY, REQUIREMENT, SEATS -> "";
        };
    }
}
