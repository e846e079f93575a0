package ample.ledger.web.browse;

import ample.ledger.core.browse.answer.SeasonFindings;
import ample.ledger.core.browse.brief.Condition;
import ample.ledger.core.browse.brief.Wording;
import ample.ledger.core.browse.quick.QuickFind;
import ample.ledger.web.browse.BrowsePage.Heard;
import ample.ledger.web.browse.BrowsePage.Stretch;
import ample.ledger.web.preferences.Preferences;
import ample.ledger.web.term.Addresses;
import ample.ledger.web.term.Place;
import ample.ledger.web.visit.Visit;
import ample.ledger.web.words.Words;
import java.util.List;
import java.util.Optional;

/** Says how a line of text is read, before and after it is taken. */
public final class QuickWording {

    private static final int MOST_SUGGESTIONS = 8;

    private QuickWording() {}

    /**
     * What a line of text would give.
     *
     * @param count "44 sections"; empty while nothing was understood
     */
    public record Preview(Heard heard, String count, List<Suggested> suggestions) {}

    /** Something that the text may be going to say. */
    public record Suggested(String kind, String label, String text) {}

    static Heard heard(Place place, String text, Preferences preferences) {
        QuickFind.Reading reading = place.quickFind().read(text);
        Wording wording = preferences.wording(place.vocabulary());
        return new Heard(
                reading.text(),
                reading.pieces().stream()
                        .map(piece -> new Stretch(
                                piece.text(),
                                piece.topic()
                                        .flatMap(topic -> reading.brief().about(topic))
                                        .map(condition -> said(condition, wording))
                                        .orElse(null),
                                find(place, reading.without(piece))))
                        .toList());
    }

    static Preview preview(Place place, String text, Visit visit) {
        Heard heard = heard(place, text, visit.preferences());
        boolean some = heard.stretches().stream()
                .anyMatch(stretch -> Optional.ofNullable(stretch.means()).isPresent());
        return new Preview(
                heard,
                some
                        ? Words.count(
                                SeasonFindings.count(
                                        visit.of(place.terms()),
                                        place.quickFind().read(text).brief()),
                                "section")
                        : "",
                place.quickFind().suggest(text, MOST_SUGGESTIONS).stream()
                        .map(found -> new Suggested(kind(found.kind()), found.label(), found.text()))
                        .toList());
    }

    /** The address that reads {@code text}. */
    static String find(Place place, String text) {
        return Addresses.with("/" + place.path() + "/find", "text", text);
    }

    private static String said(Condition condition, Wording wording) {
        return condition.phrase(wording).standingAlone();
    }

    private static String kind(QuickFind.Kind kind) {
        return switch (kind) {
            case SUBJECT -> "subject";
            case COURSE -> "course";
            case PERSON -> "person";
            case ENTRY_NUMBER -> "entry number";
        };
    }
}
