package ample.ledger.core.browse.answer;

import static ample.ledger.core.fixtures.SectionBuilder.section;
import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.browse.brief.BriefAddress;
import ample.ledger.core.browse.brief.NumberPattern;
import ample.ledger.core.browse.brief.Numbers;
import ample.ledger.core.browse.brief.TermChange;
import ample.ledger.core.browse.brief.Topic;
import ample.ledger.core.browse.brief.Wording;
import ample.ledger.core.browse.index.Facet;
import ample.ledger.core.browse.index.TermIndex;
import ample.ledger.core.browse.index.Vocabulary;
import ample.ledger.core.calendar.DateRange;
import ample.ledger.core.fixtures.RandomBriefs;
import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Season;
import ample.ledger.core.schedule.SeasonCode;
import ample.ledger.core.schedule.Section;
import ample.ledger.core.schedule.Term;
import ample.ledger.core.schedule.TermCode;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.ShrinkingMode;
import org.junit.jupiter.api.Test;

/** A season of terms side by side, a brief taken from one term to another, and courses that a term does not offer. */
class SeveralTermsTest {

    private static final Schedule KERNEL = Schedules.kernelSchedule();

    /** Two halves of the kernel as two terms say together what the whole says, but for sets; those stay whole by course. */
    private static final List<TermIndex> HALVES = List.of(half(true), half(false));

    private static final TermIndex WHOLE = new TermIndex(KERNEL, Schedules.TODAY);

    private static TermIndex half(boolean first) {
        List<Section> sections = KERNEL.sections().stream()
                .filter(section -> section.course().code().subject().compareTo("LIMN") < 0 == first)
                .toList();
        return new TermIndex(
                new Schedule(
                        KERNEL.institution(),
                        KERNEL.term(),
                        KERNEL.codeKey(),
                        KERNEL.lists(),
                        KERNEL.courses(),
                        sections),
                Schedules.TODAY);
    }

    @Property(tries = 500, shrinking = ShrinkingMode.OFF)
    void aSeasonSaysWhatOneTermOfAllItsSectionsWouldSay(@ForAll("briefs") Brief brief) {
        SeasonFindings season =
                SeasonFindings.of(HALVES.stream().map(Schedules::now).toList(), brief);
        Findings whole = Findings.of(Schedules.now(WHOLE), brief);

        assertThat(season.size()).isEqualTo(whole.size());
        assertThat(season.account()).isEqualTo(whole.account());
        assertThat(season.waysBack()).isEqualTo(whole.waysBack());
        assertThat(SeasonFindings.count(HALVES.stream().map(Schedules::now).toList(), brief))
                .isEqualTo(whole.size());
        for (Facet facet : Facet.values()) {
            assertThat(season.valueCounts().of(facet))
                    .containsAllEntriesOf(whole.valueCounts().of(facet));
        }
        for (DayOfWeek day : DayOfWeek.values()) {
            assertThat(season.valueCounts().of(day))
                    .isEqualTo(whole.valueCounts().of(day));
            assertThat(season.density().fitting(day, 20))
                    .isEqualTo(whole.density().fitting(day, 20));
            assertThat(season.density().open(day, 20)).isEqualTo(whole.density().open(day, 20));
        }
    }

    /** Of sections in both halves only clashes with a plan reach across. */
    @Provide
    Arbitrary<Brief> briefs() {
        return RandomBriefs.of(KERNEL).map(brief -> brief.without(Topic.PLAN));
    }

    @Test
    void aBriefTakenToAnotherTermKeepsWhatMakesSenseThereAndSaysWhatDoesNot() {
        Schedule there = Schedules.of(
                section("GLAC 120").build(), section("TIDE 214").entry("40220").build());
        Brief brief = BriefAddress.read(
                        Map.of(
                                "subject", List.of("glac,limn"),
                                "at", List.of("tidewall"),
                                "starts", List.of("2031-11-03"),
                                "entry", List.of("40101"),
                                "from", List.of("9:00"),
                                "instructor", List.of("vantreight")),
                        WHOLE.vocabulary())
                .brief();

        TermChange change = TermChange.of(brief, Vocabulary.of(there));

        assertThat(change.kept().parameters()).isEqualTo(Map.of("subject", "glac", "at", "tidewall", "from", "09:00"));
        assertThat(change.dropped())
                .extracting(condition -> condition.phrase(Wording.of(KERNEL)).standingAlone())
                .contains("In Limnology", "With entry number 40101", "Starting on 3 Nov or later");
    }

    @Test
    void aCourseWithoutSectionsSaysWhenItLastWasAndWhereElseItIs() {
        Section tide = section("TIDE 214").entry("40220").build();
        Section glac = section("GLAC 120").build();
        Schedule now = term("now", 2031, List.of(glac), List.of(glac, tide));
        Schedule before = term("before", 2030, List.of(tide, glac), List.of(glac, tide));
        Schedule longBefore = term("long-before", 2029, List.of(tide), List.of(tide));
        Schedule after = term("after", 2032, List.of(tide), List.of(tide));
        Brief brief = Brief.of(new Numbers(List.of(
                NumberPattern.parse("tide:214").orElseThrow(),
                NumberPattern.parse("glac:120").orElseThrow(),
                NumberPattern.parse("2xx").orElseThrow())));

        assertThat(NotOffered.of(brief, now, List.of(after, longBefore, now, before)))
                .singleElement()
                .satisfies(missing -> {
                    assertThat(missing.course()).isEqualTo(tide.course());
                    assertThat(missing.last()).contains(before);
                    assertThat(missing.next()).containsExactly(after);
                });
    }

    private static Schedule term(String code, int year, List<Section> sections, List<Section> known) {
        DateRange dates = new DateRange(LocalDate.of(year, 9, 1), LocalDate.of(year, 12, 19));
        return new Schedule(
                KERNEL.institution(),
                new Term(
                        new TermCode(code),
                        code,
                        new Season(new SeasonCode(code), code),
                        dates,
                        KERNEL.term().calendar()),
                KERNEL.codeKey(),
                KERNEL.lists(),
                known.stream().map(Section::course).distinct().toList(),
                sections);
    }
}
