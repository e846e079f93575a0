package ample.ledger.core.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import ample.ledger.core.code.CodeKey;
import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.schedule.BindingRule;
import ample.ledger.core.schedule.BindingRule.Purpose;
import ample.ledger.core.schedule.BindingRule.Reckoning;
import ample.ledger.core.schedule.CampusCode;
import ample.ledger.core.schedule.Course;
import ample.ledger.core.schedule.CourseCode;
import ample.ledger.core.schedule.CreditShare;
import ample.ledger.core.schedule.CrossListing;
import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.Equivalent;
import ample.ledger.core.schedule.Journey;
import ample.ledger.core.schedule.Kind;
import ample.ledger.core.schedule.LoadRule;
import ample.ledger.core.schedule.Marks;
import ample.ledger.core.schedule.Meeting;
import ample.ledger.core.schedule.Opening;
import ample.ledger.core.schedule.Place;
import ample.ledger.core.schedule.Programme;
import ample.ledger.core.schedule.Restriction;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Season;
import ample.ledger.core.schedule.SeasonCode;
import ample.ledger.core.schedule.SeatPool;
import ample.ledger.core.schedule.Section;
import ample.ledger.core.schedule.StudentGroup;
import ample.ledger.core.schedule.StudentGroup.About;
import ample.ledger.core.schedule.TermCode;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What each table of the format says, as it arrives in the schedule. */
class WholeFormatTest {

    private static final Schedule KERNEL = Schedules.kernelSchedule();
    private static final Schedule SALTERN = ScheduleBundle.read(
                    Schedules.repository().resolve("demo/bundles/quarter-autumn-2031"))
            .schedule();

    @Test
    void termsOfTwoInstitutionsShareASeasonAndNothingElse() {
        assertThat(KERNEL.term().season())
                .isEqualTo(SALTERN.term().season())
                .isEqualTo(new Season(new SeasonCode("autumn-2031"), "Autumn 2031"));
        assertThat(SALTERN.term().code()).isNotEqualTo(KERNEL.term().code());
        assertThat(SALTERN.term().dates().first()).isEqualTo(LocalDate.of(2031, 9, 29));
        assertThat(SALTERN.term().calendar().exceptions())
                .extracting(day -> day.label())
                .containsExactly("Day of the Pans", "Exams", "Exams", "Exams");
    }

    @Test
    void eachInstitutionWritesItsCodesInItsOwnWayAndItsKeyExplainsThem() {
        Section section = SALTERN.sections().stream()
                .filter(each -> each.code().endsWith("+e"))
                .findFirst()
                .orElseThrow();

        assertThat(section.toString()).matches("[0-9]{2}-[0-9]{3}/[A-D]\\.[0-9]+\\+e");
        assertThat(SALTERN.codeKey().takeApart("course", section.course().written()))
                .extracting(CodeKey.Part::segment)
                .containsExactly(
                        Optional.of("department"), Optional.of("hyphen"), Optional.of("level"), Optional.of("number"));
        assertThat(SALTERN.codeKey().takeApart("section", section.code()))
                .last()
                .isEqualTo(new CodeKey.Part("e", Optional.of("flag"), Optional.of("in the evening")));
        assertThat(section("40220").toString()).isEqualTo("GLAC 240d F3e");
    }

    @Test
    void creditsOfACourseOverTwoTermsAreShared() {
        assertThat(course("GLAC", "240d").shares())
                .containsExactly(
                        new CreditShare(new TermCode("autumn-2031"), new BigDecimal("4")),
                        new CreditShare(new TermCode("spring-2032"), new BigDecimal("4")));
        assertThat(course("TIDE", "110").shares()).isEmpty();
    }

    @Test
    void whoMayTakeACourseAndWithWhat() {
        assertThat(course("TIDE", "390d").rules().restrictions())
                .containsExactly(
                        restricted(
                                true, About.PROGRAMME, List.of("tidal-engineering"), "Tidal Engineering majors only."),
                        restricted(true, About.LEVEL, List.of("3", "4", "5", "6"), "Third year or later."));
        assertThat(course("RHET", "101").rules().restrictions())
                .containsExactly(restricted(
                        false, About.COHORT, List.of("bridge-year"), "Not for the bridge year, which has its own."));
        assertThat(course("MYCO", "144m").rules().restrictions())
                .extracting(Restriction::until)
                .containsExactly(Optional.of(LocalDate.of(2031, 7, 1)));
        assertThat(course("NUMB", "285").rules().restrictions())
                .extracting(Restriction::rule)
                .as("left to people")
                .containsExactly(Optional.empty());
        assertThat(course("TIDE", "214").rules().corequisites())
                .extracting(corequisite -> corequisite.course().toString())
                .containsExactly("NUMB 210");
        assertThat(course("MYCO", "144m").rules().equivalents())
                .containsExactly(new Equivalent(
                        new CourseCode("MYCO", "245"),
                        Equivalent.Effect.NO_CREDIT_BESIDE,
                        "Not for credit beside MYCO 245."));
    }

    @Test
    void whatMustBeReadBeforeOneChoosesInASubject() {
        assertThat(KERNEL.subject("GLAC").orElseThrow().notes())
                .as("of its department")
                .containsExactly(
                        "Sign the risk form before you travel to a field day. You get it in Cairn until the day before.");
        assertThat(KERNEL.subject("RHET").orElseThrow().notes())
                .containsExactly("If you miss the first class without telling us, your seat goes to the waitlist.");
        assertThat(KERNEL.subject("NUMB").orElseThrow().notes()).isEmpty();
    }

    @Test
    void departmentsAndProgrammes() {
        assertThat(KERNEL.subjects()).allMatch(subject -> subject.department().isPresent());
        assertThat(KERNEL.lists().programmes())
                .contains(new Programme("glaciology", "Glaciology", Optional.of("cold-sciences")));
        assertThat(course("LIMN", "244d").programmes()).containsExactly("limnology", "glaciology");
    }

    @Test
    void datesThatBindAreRules() {
        assertThat(KERNEL.lists().bindingRules())
                .extracting(BindingRule::code, BindingRule::purpose, BindingRule::reckoning)
                .contains(
                        tuple("add", Purpose.ADD, new Reckoning.DaysAfterFirst(11)),
                        tuple("census", Purpose.CENSUS, new Reckoning.ShareOfSpan(new BigDecimal("0.2"))),
                        tuple("add-both-terms", Purpose.ADD, new Reckoning.Fixed(LocalDate.of(2031, 9, 26))));
    }

    @Test
    void openingsByCreditsEarned() {
        assertThat(KERNEL.lists().openings())
                .contains(new Opening(
                        "from-60",
                        "60 to 89 credits",
                        60,
                        Optional.of(89),
                        LocalDate.of(2031, 6, 12).atTime(8, 0)));
    }

    @Test
    void loadsAndJourneys() {
        assertThat(KERNEL.lists().loads())
                .containsExactly(
                        new LoadRule(LoadRule.Sort.FULL_TIME, BigDecimal.valueOf(12), Optional.empty()),
                        new LoadRule(
                                LoadRule.Sort.OVER_LOAD,
                                BigDecimal.valueOf(18),
                                Optional.of("More than 18 credits need an adviser's signature.")));
        assertThat(KERNEL.lists().journeys())
                .contains(new Journey(new CampusCode("tidewall"), new CampusCode("upper-fell"), 55, "shuttle"))
                .allMatch(journey -> journey.joins(journey.to(), journey.from()));
    }

    @Test
    void examsStandBesideTheMeetings() {
        Section cellar = KERNEL.sectionsOf(new CourseCode("MYCO", "220")).get(0);

        assertThat(cellar.exams()).extracting(Meeting::kind).containsExactly(Kind.EXAM, Kind.EXAM);
        assertThat(cellar.exams().get(0).place()).isEqualTo(new Place.Named("the cellar of Press Hall, by torchlight"));
        assertThat(cellar.meetings()).extracting(Meeting::kind).doesNotContain(Kind.EXAM);
    }

    @Test
    void languageMaterialsMarksAndListing() {
        assertThat(section("40309").language()).isEqualTo(Locale.forLanguageTag("pt"));
        assertThat(section("40101").language()).isEqualTo(Locale.ENGLISH);
        assertThat(section("40101").freeMaterials()).isTrue();
        assertThat(section("40101").marks()).isEqualTo(new Marks(Optional.of("L"), Optional.empty(), List.of()));
        assertThat(section("40220").listing()).contains(new CrossListing("C-40220", true));
        assertThat(section("40376").listing()).contains(new CrossListing("C-40220", false));
    }

    @Test
    void seatsAreHeldForAGroupThatAProgramCanTell() {
        assertThat(section("40220").pool().held())
                .containsExactly(new SeatPool.Held(
                        "Glaciology majors",
                        Optional.of(new StudentGroup(About.PROGRAMME, List.of("glaciology"))),
                        5,
                        LocalDate.of(2031, 8, 1)));
    }

    private static Restriction restricted(boolean include, About about, List<String> anyOf, String sentence) {
        return new Restriction(
                Optional.of(new Restriction.Rule(include, new StudentGroup(about, anyOf))), Optional.empty(), sentence);
    }

    private static Course course(String subject, String number) {
        return KERNEL.course(new CourseCode(subject, number)).orElseThrow();
    }

    private static Section section(String entry) {
        return KERNEL.section(new EntryNumber(entry)).orElseThrow();
    }
}
