package ample.ledger.core.reading;

import static ample.ledger.core.fixtures.SectionBuilder.section;
import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.calendar.DateRange;
import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.fixtures.SectionBuilder;
import ample.ledger.core.requirement.RecordLines;
import ample.ledger.core.requirement.StudentRecord;
import ample.ledger.core.schedule.CourseCode;
import ample.ledger.core.schedule.PostedPrerequisite;
import ample.ledger.core.schedule.Prerequisite;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.StudentGroup.About;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

class WayOverTermsTest {

    private static final DateRange SPRING = new DateRange(LocalDate.of(2032, 1, 12), LocalDate.of(2032, 4, 30));
    private static final DateRange SUMMER = new DateRange(LocalDate.of(2032, 6, 7), LocalDate.of(2032, 8, 20));

    /** TIDE 214 asks for NUMB 112, which Autumn offers too. */
    private static final List<Schedule> TWO_TERMS = List.of(
            autumn(section("TIDE 214").needs("NUMB 112"), section("NUMB 112").entry("40002")),
            spring(section("TIDE 214").needs("NUMB 112"), section("NUMB 112").entry("40002")));

    @Test
    void whatIsMissingIsTakenInTheTermBefore() {
        assertThat(way("TIDE 214", "", TWO_TERMS)).contains("NUMB 112 autumn-2031, TIDE 214 spring-2032");
    }

    @Test
    void whatIsPassedOrGoesOnIsNotTakenAgain() {
        assertThat(way("TIDE 214", "NUMB 112 C", TWO_TERMS)).contains("TIDE 214 autumn-2031");
        assertThat(way("TIDE 214", "NUMB 112", TWO_TERMS)).contains("TIDE 214 autumn-2031");
        assertThat(way("TIDE 214", "NUMB 112 F", TWO_TERMS)).contains("NUMB 112 autumn-2031, TIDE 214 spring-2032");
    }

    @Test
    void whatIsOnlySupposedIsNoWay() {
        StudentRecord supposing = record("")
                .supposing(new RecordLines(TWO_TERMS).read("NUMB 112 A").courses());
        assertThat(way("TIDE 214", supposing, TWO_TERMS)).contains("NUMB 112 autumn-2031, TIDE 214 spring-2032");
    }

    /** One course asked for in summer is fewer than two in autumn, though it takes longer. */
    @Test
    void fewerCoursesGoBeforeAnEarlierEnd() {
        String asks = "(NUMB 112 and NUMB 115) or CART 105";
        List<Schedule> terms = List.of(
                autumn(section("NUMB 112").entry("40001"), section("NUMB 115").entry("40002")),
                spring(section("TIDE 214").needs(asks), section("CART 105").entry("40002")),
                summer(section("TIDE 214").needs(asks)));
        assertThat(way("TIDE 214", "", terms)).contains("CART 105 spring-2032, TIDE 214 summer-2032");
    }

    @Test
    void whatMayBeTakenAlongsideNeedsNoTermOfItsOwn() {
        String asks = "NUMB 112 alongside";
        assertThat(way(
                        "TIDE 214",
                        "",
                        List.of(autumn(
                                section("TIDE 214").needs(asks),
                                section("NUMB 112").entry("40002")))))
                .contains("NUMB 112 autumn-2031, TIDE 214 autumn-2031");
    }

    @Test
    void thereIsNoWayThroughWhatIsNotOfferedCancelledOrClosedToTheStudent() {
        assertThat(way("TIDE 214", "", List.of(spring(section("TIDE 214").needs("NUMB 112")))))
                .isEmpty();
        assertThat(way(
                        "TIDE 214",
                        "",
                        List.of(
                                autumn(section("NUMB 112").cancelled()),
                                spring(section("TIDE 214").needs("NUMB 112")))))
                .isEmpty();
        assertThat(way(
                        "TIDE 214",
                        "",
                        List.of(
                                autumn(section("NUMB 112").restricted("glaciology", false)),
                                spring(section("TIDE 214").needs("NUMB 112")))))
                .as("not for those of Glaciology")
                .isEmpty();
        assertThat(way("TIDE 214", "", List.of(spring(section("TIDE 214").needs("placement \"Functions\"")))))
                .as("no course meets it")
                .isEmpty();
    }

    /** Six courses at random in three terms, against every choice of them, placed in every way. */
    @Property(tries = 150)
    void noWayIsShorter(@ForAll @IntRange(min = 0, max = 1_000_000) int seed) {
        Random dice = new Random(seed);
        List<String> codes =
                IntStream.range(0, 6).mapToObj(i -> "TIDE " + (100 + i)).toList();
        List<String> asks = codes.stream().map(code -> asks(code, codes, dice)).toList();
        List<Schedule> terms = Stream.of(SectionBuilder.TERM, SPRING, SUMMER)
                .map(dates -> {
                    List<SectionBuilder> offered = new ArrayList<>();
                    for (int i = 0; i < codes.size(); i++) {
                        if (dice.nextInt(3) > 0) {
                            SectionBuilder one = section(codes.get(i)).entry("4000" + i);
                            offered.add(asks.get(i).isEmpty() ? one : one.needs(asks.get(i)));
                        }
                    }
                    offered.add(section("CART 105").entry("49999"));
                    return term(dates.first().toString(), dates, offered);
                })
                .toList();
        CourseCode target = code(codes.get(5));
        Optional<List<WayOverTerms.Step>> way = WayOverTerms.to(target, reading(record(""), terms), terms);
        assertThat(way.map(List::size)).isEqualTo(fewest(target, terms));
    }

    private static String asks(String code, List<String> codes, Random dice) {
        List<String> earlier = codes.subList(0, codes.indexOf(code));
        if (earlier.isEmpty() || dice.nextInt(4) == 0) {
            return "";
        }
        String one = earlier.get(dice.nextInt(earlier.size()));
        String other = earlier.get(dice.nextInt(earlier.size()));
        return one.equals(other) ? one : one + (dice.nextBoolean() ? " and " : " or ") + other;
    }

    /** The fewest courses with which {@code target} can be had, itself counted, by trying every term for every course. */
    private static Optional<Integer> fewest(CourseCode target, List<Schedule> terms) {
        List<CourseCode> codes = IntStream.range(0, 6)
                .mapToObj(i -> new CourseCode("TIDE", "" + (100 + i)))
                .toList();
        int none = terms.size();
        int all = (int) Math.pow(none + 1, codes.size());
        Optional<Integer> fewest = Optional.empty();
        for (int choice = 0; choice < all; choice++) {
            Map<CourseCode, Integer> placed = new HashMap<>();
            int left = choice;
            for (CourseCode code : codes) {
                if (left % (none + 1) < none) {
                    placed.put(code, left % (none + 1));
                }
                left /= none + 1;
            }
            if (placed.containsKey(target)
                    && fewest.filter(known -> known <= placed.size()).isEmpty()
                    && placed.keySet().stream().allMatch(code -> stands(code, placed, terms))) {
                fewest = Optional.of(placed.size());
            }
        }
        return fewest;
    }

    private static boolean stands(CourseCode code, Map<CourseCode, Integer> placed, List<Schedule> terms) {
        int when = placed.getOrDefault(code, -1);
        Set<CourseCode> before = placed.keySet().stream()
                .filter(other -> placed.getOrDefault(other, 9) < when)
                .collect(Collectors.toSet());
        return terms.get(when).course(code).stream()
                .anyMatch(course -> course.rules().prerequisites().stream()
                        .flatMap((PostedPrerequisite posted) -> posted.expression().stream())
                        .allMatch(needed -> new PlainNeeds(before).met(needed)));
    }

    /** Whether conditions on courses alone are met by those passed. */
    private record PlainNeeds(Set<CourseCode> passed) {

        boolean met(Prerequisite needed) {
            return needed instanceof Prerequisite.AtLeast choice
                    ? choice.parts().stream().filter(this::met).count() >= choice.count()
                    : passed.contains(((Prerequisite.Passed) needed).course());
        }
    }

    private static Optional<String> way(String course, String lines, List<Schedule> terms) {
        return way(course, record(lines), terms);
    }

    private static Optional<String> way(String course, StudentRecord record, List<Schedule> terms) {
        return WayOverTerms.to(code(course), reading(record, terms), terms)
                .map(steps -> steps.stream()
                        .map(step -> step.course().code() + " " + step.term().code())
                        .collect(Collectors.joining(", ")));
    }

    private static CourseCode code(String course) {
        return new CourseCode(course.split(" ")[0], course.split(" ")[1]);
    }

    private static RecordReading reading(StudentRecord record, List<Schedule> terms) {
        Person person = Person.of(terms.get(0), Optional.of(record), Schedules.NOW);
        return new RecordReading(terms.get(0), new Background(person, Optional.of(record), Set.of()));
    }

    /** Of a student of Glaciology. */
    private static StudentRecord record(String lines) {
        return new StudentRecord(
                Set.of(StudentRecord.Part.values()),
                new RecordLines(TWO_TERMS).read(lines).courses(),
                Optional.empty(),
                Optional.of(2),
                Set.of(),
                Set.of(),
                Map.of(About.PROGRAMME, Set.of("glaciology")));
    }

    private static Schedule autumn(SectionBuilder... sections) {
        return term("autumn-2031", SectionBuilder.TERM, List.of(sections));
    }

    private static Schedule spring(SectionBuilder... sections) {
        return term("spring-2032", SPRING, List.of(sections));
    }

    private static Schedule summer(SectionBuilder... sections) {
        return term("summer-2032", SUMMER, List.of(sections));
    }

    private static Schedule term(String code, DateRange dates, List<SectionBuilder> sections) {
        return Schedules.of(
                code, code, dates, sections.stream().map(SectionBuilder::build).toList());
    }
}
