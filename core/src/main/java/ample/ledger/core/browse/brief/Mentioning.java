package ample.ledger.core.browse.brief;

import ample.ledger.core.browse.index.Candidate;
import ample.ledger.core.browse.index.CandidateSet;
import ample.ledger.core.browse.index.CourseWords;
import ample.ledger.core.browse.index.Moment;
import ample.ledger.core.browse.index.Parameter;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The title or the description of the course has every one of these words, as {@link CourseWords} finds them.
 *
 * @param text words with a blank between them; at least one letter or digit
 */
public record Mentioning(String text) implements Condition {

    private static final String WORDS = "words";

    static final List<Parameter> PARAMETERS =
            List.of(new Parameter(WORDS, "Words of the title or the description, all of them", "sea ice"));

    /** Longer texts are not read. */
    private static final int MOST_LETTERS = 200;

    public Mentioning {
        text = text.strip().replaceAll("\\s+", " ");
        if (CourseWords.tokens(text).isEmpty()) {
            throw new IllegalArgumentException("There is no word in “" + text + "”");
        }
    }

    static Optional<Condition> read(AddressReader address) {
        Optional<String> text = address.text(WORDS);
        boolean readable = text.filter(some -> some.length() <= MOST_LETTERS
                        && !CourseWords.tokens(some).isEmpty())
                .isPresent();
        if (text.isPresent() && !readable) {
            address.misread(
                    WORDS,
                    text.get(),
                    "Write words of a title or a description, at most " + MOST_LETTERS + " letters.");
        }
        return text.filter(some -> readable).map(Mentioning::new);
    }

    @Override
    public Topic topic() {
        return Topic.WORDS;
    }

    @Override
    public CandidateSet in(Moment moment) {
        return moment.index().mentioning(text);
    }

    @Override
    public Phrase phrase(Wording wording) {
        return new Phrase("about", quoted());
    }

    private String quoted() {
        return "“" + text + "”";
    }

    @Override
    public Map<String, String> parameters() {
        return Map.of(WORDS, text);
    }

    @Override
    public Unit leastShortfall() {
        return Unit.OTHER_COURSE;
    }

    @Override
    public Shortfall shortfall(Candidate candidate) {
        return Shortfall.whole(Unit.OTHER_COURSE, wording -> "does not mention " + quoted());
    }
}
