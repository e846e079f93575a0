package ample.ledger.core.browse.brief;

import static ample.ledger.core.fixtures.SectionBuilder.days;
import static ample.ledger.core.fixtures.SectionBuilder.section;
import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.browse.answer.Findings;
import ample.ledger.core.browse.index.Facet;
import ample.ledger.core.browse.index.Vocabulary;
import ample.ledger.core.calendar.ClockTime;
import ample.ledger.core.calendar.WeekHours;
import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.fixtures.SectionBuilder;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ConditionsTest {

    private static final SectionBuilder MON_WED = section("TIDE 214").meets("Mon Wed", "9:30-10:50");
    private static final SectionBuilder MON_WED_FRI = section("NUMB 112").meets("Mon Wed Fri", "10:00-10:50");
    private static final SectionBuilder UNTIMED = section("MYCO 101").arrangedOnline("2.5");

    @Test
    void onlyMeansOnNoOtherDayNotEvenOnce() {
        var only = new OnDays(OnDays.Rule.ONLY, days("Mon Wed"));

        assertThat(fits(MON_WED, only)).isTrue();
        assertThat(fits(section("RHET 101").meets("Mon", "9:00-10:20"), only)).isTrue();
        assertThat(fits(MON_WED_FRI, only)).isFalse();
        assertThat(fits(
                        section("TIDE 341")
                                .meets("Mon", "9:00-10:50")
                                .meetsOnce(LocalDate.of(2031, 9, 27), "8:00-16:00"),
                        only))
                .isFalse();
    }

    @Test
    void allMeansEveryOneOfThem() {
        var all = new OnDays(OnDays.Rule.ALL, days("Mon Wed"));

        assertThat(fits(MON_WED_FRI, all)).isTrue();
        assertThat(fits(section("RHET 101").meets("Mon", "9:00-10:20"), all)).isFalse();
    }

    @Test
    void anyMeansAtLeastOne() {
        var any = new OnDays(OnDays.Rule.ANY, days("Fri Sat"));

        assertThat(fits(MON_WED_FRI, any)).isTrue();
        assertThat(fits(MON_WED, any)).isFalse();
    }

    @Test
    void untimedSectionsStayUntilTheBriefLeavesThemOut() {
        assertThat(fits(UNTIMED, new OnDays(OnDays.Rule.ONLY, days("Mon")))).isTrue();
        assertThat(fits(UNTIMED, new OnDays(OnDays.Rule.ALL, days("Mon")))).isTrue();
        assertThat(fits(UNTIMED, between("9:00", "10:00"))).isTrue();
        assertThat(fits(UNTIMED, new Timed())).isFalse();
        assertThat(fits(MON_WED, new Timed())).isTrue();
    }

    /** Common practice, no source: such a search asks for sections that meet within those hours on those days. */
    @Test
    void mondayWednesdayFridayBetweenEightAndTwelve() {
        var brief = Brief.of(new OnDays(OnDays.Rule.ONLY, days("Mon Wed Fri")), between("8:00", "12:00"));

        assertThat(fits(MON_WED_FRI, brief)).isTrue();
        assertThat(fits(MON_WED, brief)).isTrue();
        assertThat(fits(section("RHET 101").meets("Mon Wed Fri", "11:30-12:20"), brief))
                .isFalse();
        assertThat(fits(section("RHET 101").meets("Tue Thu", "9:00-10:20"), brief))
                .isFalse();
        assertThat(fits(section("RHET 101").meets("Mon Wed", "8:00-12:00"), brief))
                .isTrue();
    }

    /** Common practice, no source: a safe pick has at least three seats open and nobody waiting. */
    @Test
    void aSafePick() {
        var safe = new Seats(3, OptionalInt.of(0));

        assertThat(fits(section("GLAC 120").seats(45, 42, 0), safe)).isTrue();
        assertThat(fits(section("GLAC 120").seats(45, 43, 0), safe)).isFalse();
        assertThat(fits(section("GLAC 120").seats(12, 7, 9), safe)).isFalse();
        assertThat(fits(section("GLAC 120").seats(45, 10, 0).held("majors", 33, Schedules.TODAY), safe))
                .isFalse();
        assertThat(fits(section("GLAC 120").seats(45, 10, 0).cancelled(), safe)).isFalse();
    }

    @Test
    void closedHoursAreClosedToTheQuarter() {
        assertThat(fits(MON_WED, closed("mon:8:00-9:30"))).isTrue();
        assertThat(fits(MON_WED, closed("mon:8:00-9:45"))).isFalse();
        assertThat(fits(MON_WED, closed("wed:10:45-11:00"))).isFalse();
        assertThat(fits(MON_WED, closed("wed:11:00-24:00"))).isTrue();
        assertThat(fits(MON_WED, closed("tue:8:00-18:00"))).isTrue();
        assertThat(fits(UNTIMED, closed("mon:0:00-24:00"))).isTrue();
    }

    @Test
    void turnedRoundItKeepsWhatItWouldRemove() {
        assertThat(fits(MON_WED, new Not(new OnDays(OnDays.Rule.ONLY, days("Mon")))))
                .isTrue();
        assertThat(fits(MON_WED, new Not(between("9:00", "11:00")))).isFalse();
        assertThat(fits(MON_WED, new Not(between("10:00", "11:00")))).isTrue();
        assertThat(fits(UNTIMED, new Not(between("10:00", "11:00")))).isTrue();
        assertThat(fits(UNTIMED, new Not(new Timed()))).isTrue();
        assertThat(fits(MON_WED, new Not(new Timed()))).isFalse();
        assertThat(fits(MON_WED, new Not(closed("mon:9:00-10:00")))).isTrue();
    }

    private static Closed closed(String stretch) {
        return new Closed(WeekHours.parse(stretch).orElseThrow());
    }

    @ParameterizedTest
    @CsvSource({
        "240, GLAC 240d, true",
        "240d, GLAC 240d, true",
        "240D, GLAC 240d, true",
        "240m, GLAC 240d, false",
        "200-299, GLAC 240d, true",
        "200-299, GLAC 312, false",
        "2xx, GLAC 240d, true",
        "2XX, GLAC 312, false",
        "24, GLAC 240d, false",
    })
    void numbersAreExactOrRanges(String number, String course, boolean fits) {
        var condition = new Numbers(List.of(NumberPattern.parse(number).orElseThrow()));

        assertThat(fits(section(course).meets("Mon", "9:00-10:00"), condition)).isEqualTo(fits);
    }

    @Test
    void noPrerequisiteTurnedRoundIsAPrerequisite() {
        Wording wording = Wording.of(Schedules.kernelSchedule());
        Condition none = Having.any(Facet.PREREQUISITE, Set.of("no-prerequisite"));

        assertThat(none.phrase(wording).whole()).isEqualTo("with no prerequisite");
        assertThat(new Not(none).phrase(wording).whole()).isEqualTo("with a prerequisite");
        assertThat(fits(section("GLAC 240d").needs("GLAC 120"), none)).isFalse();
        assertThat(fits(section("GLAC 120"), none)).isTrue();
    }

    @Test
    void readsAsASentence() {
        var schedule = Schedules.kernelSchedule();

        assertThat(BriefAddress.read(
                                Map.of(
                                        "at", List.of("tidewall,upper-fell"),
                                        "days", List.of("all:mon,thu"),
                                        "from", List.of("9"),
                                        "toward", List.of("field-practice,making,quantitative"),
                                        "seats", List.of("3"),
                                        "waiting", List.of("0"),
                                        "closed", List.of("mon:12:00-13:00"),
                                        "weeks", List.of("8"),
                                        "kind", List.of("lecture"),
                                        "not", List.of("kind")),
                                Vocabulary.of(schedule))
                        .brief()
                        .conditions())
                .extracting(condition -> condition.phrase(Wording.of(schedule)).standingAlone())
                .containsExactly(
                        "Not of kind lecture",
                        "At Tidewall or Upper Fell",
                        "On all of Mon and Thu",
                        "From 9:00",
                        "Not Mon 12:00–13:00",
                        "Lasting at most 8 weeks",
                        "Counting toward Quantitative, Field practice or Making",
                        "With 3 or more seats and nobody waiting");
    }

    private static Between between(String from, String to) {
        return new Between(ClockTime.parse(from), ClockTime.parse(to));
    }

    private static boolean fits(SectionBuilder section, Condition condition) {
        return fits(section, Brief.of(condition));
    }

    private static boolean fits(SectionBuilder section, Brief brief) {
        return !Findings.of(Schedules.now(Schedules.indexOf(section.build())), brief)
                .fitting()
                .isEmpty();
    }
}
