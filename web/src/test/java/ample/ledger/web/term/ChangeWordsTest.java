package ample.ledger.web.term;

import static ample.ledger.core.fixtures.SectionBuilder.section;
import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.browse.index.TermIndex;
import ample.ledger.core.calendar.ClockStyle;
import ample.ledger.core.calendar.DateRange;
import ample.ledger.core.edition.Edition;
import ample.ledger.core.edition.SectionChanges;
import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.fixtures.SectionBuilder;
import ample.ledger.core.requirement.CourseGraph;
import ample.ledger.core.schedule.Campus;
import ample.ledger.core.schedule.CampusCode;
import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.TermCode;
import ample.ledger.web.term.EditionComparisons.Correction;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** What an edition changed of a section, as its line and its sheet say it. */
class ChangeWordsTest {

    private static final EntryNumber ENTRY = new EntryNumber("40101");

    @ParameterizedTest
    @MethodSource
    void everyChangeIsSaidByWhatItWasBefore(SectionBuilder before, SectionBuilder now, String words) {
        PostedTerm posted = posted(edition(2), Schedules.of(before.build()), Schedules.of(now.build()));

        assertThat(new ChangeWords(posted, ClockStyle.HOURS_24).of(ENTRY)).isEqualTo(words);
    }

    static Stream<Arguments> everyChangeIsSaidByWhatItWasBefore() {
        return Stream.of(
                Arguments.of(lecture(), lecture(), ""),
                Arguments.of(
                        plain().meets("Mon Wed", "9:30-10:50"),
                        plain().meets("Tue Thu", "9:30-10:50"),
                        "was Mon Wed 9:30–10:50"),
                Arguments.of(
                        plain().meets("Mon", "9:30-10:50").arrangedOnline("2"),
                        plain().meets("Mon", "9:30-10:50"),
                        "was Mon 9:30–10:50; No set time, 2 h a week; was Sluice Hall 101, Tidewall; online"),
                Arguments.of(
                        plain(),
                        plain().meets("Mon", "9:30-10:50"),
                        "was at no announced time; was at no announced place"),
                Arguments.of(lecture().taughtBy("Brimsole"), lecture().taughtBy("Okonjo-Reyes"), "was Brimsole"),
                Arguments.of(lecture(), lecture().taughtBy("Okonjo-Reyes"), "was without an announced instructor"),
                Arguments.of(lecture(), lecture().cancelled(), "cancelled in edition 2"),
                Arguments.of(lecture().cancelled(), lecture(), "held after all"),
                Arguments.of(lecture().code("T1"), lecture().code("T2"), "was Title of TIDE 110 T1"),
                Arguments.of(lecture().titled("Tides"), lecture().titled("Tides and Currents"), "was Tides T1"),
                Arguments.of(
                        lecture()
                                .runs(
                                        "first-half",
                                        new DateRange(LocalDate.of(2031, 9, 8), LocalDate.of(2031, 10, 24))),
                        lecture(),
                        "was first-half"));
    }

    private static SectionBuilder plain() {
        return section("TIDE 110").entry("40101");
    }

    private static SectionBuilder lecture() {
        return plain().meets("Mon Wed", "9:30-10:50");
    }

    @Test
    void aSectionThatWasNotThereIsNew() {
        Schedule before = Schedules.of(section("TIDE 110").entry("40102").build());
        Schedule now = Schedules.of(
                section("TIDE 110").entry("40102").build(), lecture().build());

        assertThat(new ChangeWords(posted(edition(3), before, now), ClockStyle.HOURS_24).of(ENTRY))
                .isEqualTo("new in edition 3");
    }

    @Test
    void aPlaceIsSaidWithItsCampus() {
        Campus fell = new Campus(new CampusCode("upper-fell"), "Upper Fell", false);
        PostedTerm posted = posted(
                edition(2),
                Schedules.of(plain().at(fell).meets("Mon", "9:30-10:50").build()),
                Schedules.of(plain().meetsOnline("Mon", "9:30-10:50").build()));

        assertThat(new ChangeWords(posted, ClockStyle.HOURS_24).of(ENTRY)).startsWith("was Sluice Hall 101");
    }

    @Test
    void ofAllEditionsTheLatestComesFirstWithItsMoment() {
        Schedule first = Schedules.of(plain().meets("Mon", "9:30-10:50").build());
        Schedule second = Schedules.of(plain().meets("Tue", "13:30-14:50").build());
        Schedule third = Schedules.of(plain().meets("Wed", "13:30-14:50").build());
        PostedTerm posted = new PostedTerm(
                edition(3),
                new TermIndex(third, Schedules.TODAY),
                new CourseGraph(List.of()),
                Optional.of(List.of(
                        new Correction(edition(3), SectionChanges.between(second, third)),
                        new Correction(edition(2), SectionChanges.between(first, second)))));

        ChangeWords words = new ChangeWords(posted, ClockStyle.HOURS_12);

        assertThat(words.ofAllEditions(ENTRY))
                .containsExactly(
                        "Edition 3, Tue 3 Jun, 9:41: was Tue 1:30–2:50 pm",
                        "Edition 2, Mon 2 Jun, 9:41: was Mon 9:30–10:50 am");
        assertThat(words.of(ENTRY)).isEqualTo("was Tue 1:30–2:50 pm");
        assertThat(words.ofAllEditions(new EntryNumber("40102"))).isEmpty();
    }

    /** Until the editions have been compared nothing is said, rather than that nothing changed. */
    @Test
    void whatIsNotComparedYetIsNotSaid() {
        PostedTerm posted = new PostedTerm(
                edition(2),
                new TermIndex(Schedules.of(lecture().build()), Schedules.TODAY),
                new CourseGraph(List.of()),
                Optional.empty());

        assertThat(new ChangeWords(posted, ClockStyle.HOURS_24).of(ENTRY)).isEmpty();
        assertThat(new ChangeWords(posted, ClockStyle.HOURS_24).ofAllEditions(ENTRY))
                .isEmpty();
    }

    private static PostedTerm posted(Edition edition, Schedule before, Schedule now) {
        return new PostedTerm(
                edition,
                new TermIndex(now, Schedules.TODAY),
                new CourseGraph(List.of()),
                Optional.of(List.of(new Correction(edition, SectionChanges.between(before, now)))));
    }

    private static Edition edition(int number) {
        return new Edition(
                number,
                "test",
                new TermCode("autumn-2031"),
                number,
                Instant.parse("2031-06-0" + number + "T09:41:00Z"),
                "",
                "",
                "");
    }
}
