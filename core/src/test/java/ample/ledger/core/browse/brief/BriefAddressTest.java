package ample.ledger.core.browse.brief;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.browse.answer.Findings;
import ample.ledger.core.browse.index.Vocabulary;
import ample.ledger.core.calendar.ClockStyle;
import ample.ledger.core.fixtures.Schedules;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class BriefAddressTest {

    private static final Vocabulary VOCABULARY = Vocabulary.of(Schedules.kernelSchedule());

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "subject  | glax       | The subjects of Autumn 2031 are cart, glac",
                "number   | x2         | or a range, as in 200-299",
                "number   | 299-200    | or a range, as in 200-299",
                "level    | 0          | The levels of Autumn 2031 are 1, 2",
                "at       | moon       | The campuses of Autumn 2031 are tidewall",
                "days     | only:mox   | Days are mon, tue",
                "days     | never:mon  | Write only:, all:, any: or none:",
                "from     | 25:00      | from 0:00 to 23:59",
                "to       | late       | from 0:00 to 23:59",
                "untimed  | perhaps    | Write no to leave out",
                "delivery | by-post    | The deliveries of Autumn 2031 are on-site, mixed, online-timed, online-untimed",
                "toward   | degree     | The requirements of Autumn 2031 are natural-world",
                "seats    | -1         | from 0 to 100,000",
                "seats    | 1000000000 | from 0 to 100,000",
                "waiting  | few        | from 0 to 100,000",
                "number   | glax:240   | Write a number, as in 240 or glac:240d",
                "words    | ?!         | Write words of a title or a description",
                "entry    | 12         | 3 to 9 digits",
                "plan     | none       | 3 to 9 digits",
                "closed   | mon:9:03-10:00 | Write hours on the five minutes",
                "closed   | mon:12:00-9:00 | Write hours on the five minutes",
                "starts   | tomorrow   | Write a date, as in 2031-09-08",
                "weeks    | 0          | from 1 to 60",
                "may      | surely     | The answers are yes, with-what-if, not-known, by-permission, no.",
                "record   | done       | The answers are nothing, passed, in-progress, equivalent, not-passed",
                "credits  | many       | The numbers of credits of Autumn 2031 are",
                "kind     | talk       | The kinds of Autumn 2031 are lecture, lab",
                "instructor | nobody   | That is none of the",
                "language | xx         | The languages of Autumn 2031 are",
                "status   | closed     | open, open-to-some, open-but-not-to-you, full-waitlist-open, full, cancelled, not-yet-open, closed-to-late-entry, by-permission, by-wishes",
                "not      | campus     | There is no such condition here",
                "not      | fun        | Name the conditions to turn round",
            })
    void saysWhatItDoesNotUnderstandAndKeepsTheRest(String parameter, String value, String sentence) {
        var reading = BriefAddress.read(
                parameter.equals("subject")
                        ? Map.of(parameter, List.of(value + ",tide"))
                        : Map.of(parameter, List.of(value), "subject", List.of("tide")),
                VOCABULARY);

        assertThat(reading.misreads()).singleElement().satisfies(misread -> {
            assertThat(misread.parameter()).isEqualTo(parameter);
            assertThat(misread.sentence()).contains(sentence);
        });
        assertThat(reading.brief().parameters()).containsEntry("subject", "tide");
    }

    /** It makes sense to ask for it; that there is none is the answer. */
    @ParameterizedTest
    @CsvSource({
        "language, de, German",
        "language, cy, Welsh",
        "level, 7, 7",
        "credits, 99, 99 credits",
        "credits, 40-50, 40 to 50 credits",
        "kind, clinic, clinic"
    })
    void whatMakesSenseAndNothingHasGivesAnEmptyList(String parameter, String value, String said) {
        var reading = BriefAddress.read(Map.of(parameter, List.of(value)), VOCABULARY);

        assertThat(reading.misreads()).isEmpty();
        assertThat(reading.brief().parameters()).isEqualTo(Map.of(parameter, value));
        assertThat(Findings.of(Schedules.now(Schedules.kernelIndex()), reading.brief())
                        .fitting())
                .isEmpty();
        assertThat(reading.brief()
                        .conditions()
                        .get(0)
                        .phrase(new Wording(VOCABULARY, ClockStyle.HOURS_24))
                        .whole())
                .contains(said);
    }

    @Test
    void aPlanIsOnlySoLong() {
        String many = IntStream.range(10_000, 10_500).mapToObj(String::valueOf).collect(Collectors.joining(","));

        var reading = BriefAddress.read(Map.of("plan", List.of(many)), VOCABULARY);

        assertThat(reading.misreads())
                .singleElement()
                .satisfies(misread -> assertThat(misread.sentence()).isEqualTo("Name at most 30 sections."));
        assertThat(reading.brief().parameters().get("plan").split(",")).hasSize(30);
    }

    @Test
    void readsWhatPlainFormsSend() {
        var reading = BriefAddress.read(
                Map.of(
                        "days", List.of("any:", "mon", "wed"),
                        "at", List.of("tidewall", "upper-fell"),
                        "from", List.of(""),
                        "seats", List.of("")),
                VOCABULARY);

        assertThat(reading.misreads()).isEmpty();
        assertThat(reading.brief().parameters()).isEqualTo(Map.of("at", "tidewall,upper-fell", "days", "any:mon,wed"));
    }

    @Test
    void aDayThatEndsBeforeItStartsKeepsItsStart() {
        var reading = BriefAddress.read(Map.of("from", List.of("15:00"), "to", List.of("9:00")), VOCABULARY);

        assertThat(reading.brief().parameters()).isEqualTo(Map.of("from", "15:00"));
        assertThat(reading.misreads())
                .extracting(BriefAddress.Misread::sentence)
                .containsExactly("The day must end after it starts at 15:00.");
    }
}
