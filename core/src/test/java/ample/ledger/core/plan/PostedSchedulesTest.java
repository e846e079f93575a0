package ample.ledger.core.plan;

import static ample.ledger.core.fixtures.SectionBuilder.TIDEWALL;
import static ample.ledger.core.fixtures.SectionBuilder.section;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import ample.ledger.core.calendar.DateRange;
import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.schedule.Building;
import ample.ledger.core.schedule.Campus;
import ample.ledger.core.schedule.CampusCode;
import ample.ledger.core.schedule.Place;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.SeasonCode;
import ample.ledger.core.schedule.Section;
import ample.ledger.core.schedule.TermCode;
import java.time.LocalDate;
import java.util.List;
import java.util.NoSuchElementException;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What is read of several terms together. */
class PostedSchedulesTest {

    private static final Section TIDE =
            section("TIDE 214").entry("40001").meets("Mon", "9:00-9:50").build();
    private static final Section ICE = section("GLAC 240d").entry("40002").build();
    private static final Schedule HERE = Schedules.of(TIDE, ICE);
    private static final Schedule THERE = Schedules.of(
            "autumn-quarter-2031", List.of(section("TIDE 214").entry("40003").build()));
    private static final PostedSchedules BOTH = new PostedSchedules(List.of(HERE, THERE));

    private static final Campus FELL = new Campus(new CampusCode("upper-fell"), "Upper Fell", false);

    @Test
    void coursesAreFoundByTheirCodeHoweverItIsWritten() {
        assertThat(BOTH.coursesWritten("glac240D", new SeasonCode("autumn-2031")))
                .containsExactly(ICE.course());
        assertThat(BOTH.coursesWritten("TIDE 214", new SeasonCode("autumn-2031")))
                .hasSize(2);
        assertThat(BOTH.coursesWritten("TIDE 214", new SeasonCode("spring-2032")))
                .isEmpty();
        assertThat(BOTH.coursesWritten("TIDE 2", new SeasonCode("autumn-2031"))).isEmpty();
    }

    @Test
    void coursesAreFoundByTheirTitleOrByWordsOfIt() {
        Schedule schedule = Schedules.of(
                section("TIDE 214").titled("Estuary Hydraulics").entry("40001").build(),
                section("TIDE 341")
                        .titled("Estuary Hydraulics, Advanced")
                        .entry("40002")
                        .build(),
                section("GLAC 120")
                        .titled("Ice, Snow and Meltwater")
                        .entry("40003")
                        .build());
        PostedSchedules posted = new PostedSchedules(List.of(schedule, schedule));
        SeasonCode season = new SeasonCode("autumn-2031");

        assertThat(posted.coursesTitled(" estuary  HYDRAULICS ", season))
                .as("just this title")
                .extracting(course -> course.written())
                .containsExactly("TIDE 214");
        assertThat(posted.coursesTitled("hydraulics", season))
                .extracting(course -> course.written())
                .containsExactlyInAnyOrder("TIDE 214", "TIDE 341");
        assertThat(posted.coursesTitled("lava", season)).isEmpty();
        assertThat(posted.coursesTitled("hydraulics", new SeasonCode("spring-2032")))
                .isEmpty();
        assertThat(posted.course(TIDE.course().code()).orElseThrow().title()).isEqualTo("Estuary Hydraulics");
        assertThat(posted.course(PlansOfTheKernel.code("MYCO", "101"))).isEmpty();
    }

    @Test
    void yearsAreWholeAndOfAllTerms() {
        assertThat(BOTH.years()).isEqualTo(new DateRange(LocalDate.of(2031, 1, 1), LocalDate.of(2031, 12, 31)));
        assertThatThrownBy(() -> new PostedSchedules(List.of()).years()).isInstanceOf(NoSuchElementException.class);
    }

    @Test
    void aWayIsWalkedWhereBuildingsAreKnownAndNoneIsKnownToOtherCampuses() {
        Spot here = new Spot(TIDEWALL, Optional.empty());
        Spot there = new Spot(FELL, Optional.empty());
        Spot hall = new Spot(TIDEWALL, Optional.of(new Building("hall", "Hall", TIDEWALL, 0, 0)));
        Spot pier = new Spot(TIDEWALL, Optional.of(new Building("pier", "Pier", TIDEWALL, 0, 0.01)));
        Spot hut = new Spot(FELL, Optional.of(new Building("hut", "Hut", FELL, 0, 0.01)));

        assertThat(BOTH.way(here, here)).as("on one campus").contains(new PostedSchedules.Way(0, ""));
        assertThat(BOTH.way(here, hall))
                .as("one of the buildings is not known")
                .contains(new PostedSchedules.Way(0, ""));
        assertThat(BOTH.way(hall, pier)).contains(new PostedSchedules.Way(18, "on foot"));
        assertThat(BOTH.way(hall, hut))
                .as("nothing is posted between campuses")
                .contains(new PostedSchedules.Way(18, "on foot"));
        assertThat(BOTH.way(here, there)).isEmpty();
        assertThat(BOTH.way(hall, there)).isEmpty();
    }

    @Test
    void noOneHasToBeAnywhereOnline() {
        Attendance online = new Attendance(
                section("TIDE 301").meetsOnline("Tue", "9:00-9:50").build(), HERE);
        Attendance outside = new Attendance(
                section("TIDE 302")
                        .at(FELL)
                        .meetsOnce(LocalDate.of(2031, 9, 20), "9:00-12:00")
                        .build(),
                HERE);
        Campus net = new Campus(new CampusCode("online"), "Online", true);
        Building nowhere = new Building("n", "N", net, 0, 0);

        assertThat(online.stays()).singleElement().matches(stay -> stay.spot().isEmpty());
        assertThat(outside.stays())
                .singleElement()
                .satisfies(stay -> assertThat(stay.spot()).contains(new Spot(FELL, Optional.empty())));
        assertThat(Spot.of(new Place.RoomToBeAnnounced(nowhere), TIDE)).isEmpty();
        assertThat(Spot.of(new Place.ToBeAnnounced(FELL), TIDE)).contains(new Spot(FELL, Optional.empty()));
        assertThat(Spot.of(new Place.RoomToBeAnnounced(new Building("hut", "Hut", FELL, 0, 0)), TIDE))
                .hasValueSatisfying(spot -> assertThat(spot.building()).isPresent());
    }

    @Test
    void aPickNamesASectionOfOneTerm() {
        Pick pick = new Pick(new TermCode("autumn-2031"), TIDE.entry(), Standing.TAKEN);

        assertThat(pick.isOf(new Attendance(TIDE, HERE))).isTrue();
        assertThat(pick.isOf(new Attendance(ICE, HERE))).isFalse();
        assertThat(pick.isOf(new Attendance(TIDE, THERE)))
                .as("the same number elsewhere")
                .isFalse();
        assertThat(new Attendance(TIDE, HERE))
                .isNotEqualTo(new Attendance(TIDE, THERE))
                .isNotEqualTo("TIDE 214 T1");
    }
}
