package ample.ledger.core.browse.quick;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.browse.brief.BriefAddress;
import ample.ledger.core.browse.brief.Topic;
import ample.ledger.core.browse.index.TermIndex;
import ample.ledger.core.fixtures.Schedules;
import java.util.List;
import java.util.stream.Collectors;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.From;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.ShrinkingMode;
import net.jqwik.api.constraints.StringLength;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvFileSource;
import org.junit.jupiter.params.provider.ValueSource;

class QuickFindTest {

    private static final TermIndex INDEX = Schedules.kernelIndex();
    private static final QuickFind FIND = new QuickFind(INDEX);
    private static final QuickFind ELSEWHERE = new QuickFind(new TermIndex(Schedules.samiq(), Schedules.TODAY));

    @ParameterizedTest
    @CsvFileSource(resources = "quick-find.csv", delimiter = '|', numLinesToSkip = 1)
    void readsALineAsABrief(String text, @Nullable String brief, @Nullable String notUnderstood) {
        assertReads(FIND, text, brief, notUnderstood);
    }

    /** Where the weekend is on Friday and Saturday, codes have dots, names are of three scripts, and classes begin at 7:10. */
    @ParameterizedTest
    @CsvFileSource(resources = "quick-find-elsewhere.csv", delimiter = '|', numLinesToSkip = 1)
    void readsItByTheConventionsOfTheInstitution(String text, @Nullable String brief, @Nullable String notUnderstood) {
        assertReads(ELSEWHERE, text, brief, notUnderstood);
    }

    private static void assertReads(
            QuickFind find, String text, @Nullable String brief, @Nullable String notUnderstood) {
        QuickFind.Reading reading = find.read(text);

        assertThat(reading.brief().parameters().entrySet().stream()
                        .map(parameter -> parameter.getKey() + "=" + parameter.getValue())
                        .collect(Collectors.joining("&")))
                .isEqualTo(brief == null ? "" : brief);
        assertThat(reading.notUnderstood())
                .extracting(QuickFind.Piece::text)
                .isEqualTo(notUnderstood == null ? List.of() : List.of(notUnderstood.split(";")));
    }

    @Test
    void saysWhichStretchMeantWhatAndTakesItBack() {
        QuickFind.Reading reading = FIND.read("glac 1xx  wed, after noon open");

        assertThat(reading.pieces())
                .extracting(QuickFind.Piece::text)
                .containsExactly("glac 1xx", "wed", "after noon", "open");
        QuickFind.Reading without =
                FIND.read(reading.without(List.of(reading.pieces().get(1))));
        assertThat(without.brief()).isEqualTo(reading.brief().without(Topic.DAYS));
    }

    @Test
    void namesAnotherTermAndWhatIsLeftOfTheLine() {
        QuickPlaces places = new QuickPlaces(List.of(
                new QuickPlaces.Named("Spring 2032", "spring-2032"),
                new QuickPlaces.Named("Saltern College", "quarter"),
                new QuickPlaces.Named("Saltern", "quarter")));

        assertThat(places.find("tide spring 2032 wed")).hasValueSatisfying(found -> {
            assertThat(found.place().path()).isEqualTo("spring-2032");
            assertThat(found.rest()).isEqualTo("tide wed");
        });
        assertThat(places.find("at saltern college, labs"))
                .hasValueSatisfying(found -> assertThat(found.rest()).isEqualTo("at , labs"));
        assertThat(places.find("not Saltern")).isEmpty();
        assertThat(places.find("tide spring")).isEmpty();
    }

    @Test
    void suggestsWhatTheEndOfTheTextBegins() {
        assertThat(labels("gl")).startsWith("GLAC Glaciology").anyMatch(label -> label.startsWith("GLAC 1"));
        assertThat(labels("glac 24")).isNotEmpty().allMatch(label -> label.startsWith("GLAC 24"));
        assertThat(labels("estu")).anyMatch(label -> label.contains("Estuary Hydraulics"));
        assertThat(labels("mon wed oko")).containsExactly("Okonjo-Reyes");
        assertThat(FIND.suggest("mon wed oko", 5))
                .extracting(QuickFind.Suggestion::text)
                .containsExactly("mon wed Okonjo-Reyes");
        assertThat(labels("4012")).isNotEmpty().allMatch(label -> label.startsWith("4012"));
        assertThat(labels("")).isEmpty();
        assertThat(labels("zzzz")).isEmpty();
        assertThat(FIND.suggest("t", 3)).hasSize(3);
    }

    private static List<String> labels(String text) {
        return FIND.suggest(text, 20).stream().map(QuickFind.Suggestion::label).toList();
    }

    @Property(tries = 1500, shrinking = ShrinkingMode.OFF)
    void neverFails(@ForAll @StringLength(max = 400) String text) {
        check(text);
    }

    /** Signs that Unicode takes apart into letters and others are read as those letters. */
    @ParameterizedTest
    @ValueSource(strings = {"⒣", "not ⒯", "Ⓦ ㏀ ﷺ", "about ⒜⒝"})
    void neverFailsOnSignsMadeOfLetters(String text) {
        check(text);
    }

    /** Texts made of pieces that mean something, in any order, so that more of the reader is reached. */
    @Property(tries = 1500, shrinking = ShrinkingMode.OFF)
    void neverFailsOnPiecesThatMeanSomething(@ForAll List<@From("words") String> words) {
        check(String.join(" ", words));
    }

    @Provide
    Arbitrary<String> words() {
        return Arbitraries.of(
                "glac", "240", "2xx", "mon", "MWF", "not", "no", "at", "least", "most", "3", "seats", "weeks", "after",
                "before", "between", "and", "9", "9-12", "15:30", "pm", "upper", "fell", "level", "year", "credits",
                "starts", "ends", "oct", "31", "feb", "or", "all", "of", "open", "waiting", "-", "24:00", "untimed",
                "set", "times");
    }

    private static void check(String text) {
        QuickFind.Reading reading = FIND.read(text);
        for (QuickFind.Piece piece : reading.pieces()) {
            assertThat(reading.text().substring(piece.start(), piece.end())).isEqualTo(piece.text());
        }
        assertThat(FIND.suggest(text, 5)).hasSizeLessThanOrEqualTo(5);
        assertThat(BriefAddress.read(
                                reading.brief().parameters().entrySet().stream()
                                        .collect(Collectors.toMap(
                                                each -> each.getKey(), each -> List.of(each.getValue()))),
                                INDEX.vocabulary())
                        .brief())
                .isEqualTo(reading.brief());
    }
}
