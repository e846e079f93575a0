package ample.ledger.core.weave;

import ample.ledger.core.calendar.WeekHours;
import ample.ledger.core.plan.Attendance;
import ample.ledger.core.plan.BusyTime;
import ample.ledger.core.schedule.CourseCode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.function.ToIntFunction;

/**
 * What is to be woven.
 *
 * @param wants in the order in which they are said
 * @param kept sections that stay as they are; no want is for their courses
 * @param closed hours of the week that stay free of class
 * @param brief what every section has to meet; empty for nothing
 * @param wishes the weightiest first, each weighing twice the next
 * @param safeSeats seats open to the student now in a section, none while people wait
 * @param seated whether a section has a seat for the student; empty to weave with full sections too. Pinned ones need none
 * @param settled courses that need not be woven where another asks for them beside it: they are passed, or in the plan
 */
public record WeaveRequest(
        List<Demand.Want> wants,
        List<Attendance> pinned,
        List<Attendance> refused,
        List<Attendance> kept,
        WeekHours closed,
        List<BusyTime> busy,
        Optional<Predicate<Attendance>> brief,
        List<Wish> wishes,
        ToIntFunction<Attendance> safeSeats,
        Optional<Predicate<Attendance>> seated,
        Set<CourseCode> settled) {

    /** More wants than these are not woven. */
    public static final int MOST_WANTS = 14;

    public WeaveRequest {
        if (wants.size() > MOST_WANTS) {
            throw new IllegalArgumentException(
                    "No more than " + MOST_WANTS + " courses can be woven, not " + wants.size());
        }
        wants = List.copyOf(wants);
        pinned = List.copyOf(pinned);
        refused = List.copyOf(refused);
        kept = List.copyOf(kept);
        busy = List.copyOf(busy);
        wishes = List.copyOf(wishes);
        settled = Set.copyOf(settled);
    }

    /** Of nothing but courses that are all required. */
    public static WeaveRequest of(List<Demand.Want> wants, List<Wish> wishes) {
        return new WeaveRequest(
                wants,
                List.of(),
                List.of(),
                List.of(),
                WeekHours.NONE,
                List.of(),
                Optional.empty(),
                wishes,
                attendance -> Wish.SAFE_SEATS,
                Optional.empty(),
                Set.of());
    }

    /** Everything that a week has to keep to: the wants first, then the rest. */
    List<Demand> demands() {
        List<Demand> demands = new ArrayList<>(wants);
        pinned.forEach(section -> demands.add(new Demand.Pinned(section)));
        refused.forEach(section -> demands.add(new Demand.Refused(section)));
        kept.forEach(section -> demands.add(new Demand.Kept(section)));
        closed.stretches().forEach(hours -> demands.add(new Demand.Closed(hours)));
        busy.forEach(time -> demands.add(new Demand.Busy(time)));
        brief.ifPresent(predicate -> demands.add(new Demand.Brief()));
        seated.ifPresent(predicate -> demands.add(new Demand.Seats()));
        return demands;
    }
}
