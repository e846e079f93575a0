package ample.ledger.web.browse;

import ample.ledger.core.browse.answer.SeasonFindings;
import ample.ledger.core.browse.brief.Condition;
import ample.ledger.core.browse.brief.Topic;
import ample.ledger.core.browse.brief.Wording;
import ample.ledger.core.browse.quick.QuickFind;
import ample.ledger.core.browse.quick.QuickPlaces;
import ample.ledger.web.browse.BrowsePage.Heard;
import ample.ledger.web.browse.BrowsePage.Stretch;
import ample.ledger.web.preferences.Preferences;
import ample.ledger.web.term.Addresses;
import ample.ledger.web.term.Place;
import ample.ledger.web.term.Places;
import ample.ledger.web.visit.Visit;
import ample.ledger.web.words.Words;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

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

    static Heard heard(Place place, QuickFind.Reading reading, Preferences preferences) {
        Wording wording = preferences.wording(place.vocabulary());
        Map<Topic, List<QuickFind.Piece>> understood = new LinkedHashMap<>();
        reading.pieces()
                .forEach(piece -> piece.topic()
                        .ifPresent(topic -> understood
                                .computeIfAbsent(topic, absent -> new ArrayList<>())
                                .add(piece)));
        List<Stretch> stretches = new ArrayList<>();
        understood.forEach((topic, pieces) -> stretches.add(new Stretch(
                pieces.stream().map(QuickFind.Piece::text).collect(Collectors.joining(" · ")),
                reading.brief()
                        .about(topic)
                        .map(condition -> said(condition, wording))
                        .orElse(null),
                "",
                find(place, reading.without(pieces)))));
        reading.notUnderstood()
                .forEach(piece -> stretches.add(
                        new Stretch(piece.text(), null, why(piece), find(place, reading.without(List.of(piece))))));
        return new Heard(reading.text(), stretches, reading.brief().isEmpty());
    }

    private static String why(QuickFind.Piece piece) {
        return piece.text().equalsIgnoreCase("or") ? "not understood here: both are asked for" : "not understood";
    }

    static Preview preview(Places places, Place at, String line, Visit visit) {
        Optional<QuickPlaces.Found> other = places.named(at, line);
        Place place = other.map(found -> places.at(found.place().path())).orElse(at);
        String text = other.map(QuickPlaces.Found::rest).orElse(line);
        QuickFind.Reading reading = place.quickFind().read(text);
        Heard heard = heard(place, reading, visit.preferences());
        return new Preview(
                other.map(found -> heard.of(new Stretch(found.words(), "In " + place.name(), "", find(at, text))))
                        .orElse(heard),
                heard.nothing()
                        ? ""
                        : Words.count(SeasonFindings.count(visit.of(place.terms()), reading.brief()), "section"),
                at.quickFind().suggest(line, MOST_SUGGESTIONS).stream()
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
