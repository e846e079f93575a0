package ample.ledger.core.plan;

import ample.ledger.core.calendar.DateRange;
import ample.ledger.core.schedule.CourseCode;
import ample.ledger.core.schedule.SeasonCode;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Stream;

/**
 * A plan read against what is posted now.
 *
 * @param taken to be registered for, in the order of the plan
 * @param waitedFor the same of those on a waitlist
 * @param beside kept beside the plan
 * @param goingOn sections of other plans of the student that run on into this season: both terms
 * @param missing what the current edition no longer has
 * @param choices what was worked out of a course of it when it was first asked for, by term and course
 */
public record PlannedWeek(
        PostedSchedules posted,
        Plan plan,
        List<Attendance> taken,
        List<Attendance> waitedFor,
        List<Attendance> beside,
        List<Attendance> goingOn,
        List<Pick> missing,
        Map<String, Swap.Choices> choices) {

    /** What {@code book} holds for the season: its current plan, with what runs on from the other current ones. */
    public static PlannedWeek of(PlanBook book, SeasonCode season, PostedSchedules posted) {
        Plan plan = book.current(season);
        List<Attendance> goingOn = book.current().stream()
                .filter(other -> !other.season().equals(season))
                .flatMap(other -> other.picks().stream())
                .filter(pick -> pick.standing() == Standing.TAKEN)
                .flatMap(pick -> posted.find(pick.term(), pick.entry()).stream())
                .filter(attendance -> posted.ofSeason(season).stream()
                        .anyMatch(schedule -> schedule.term()
                                .dates()
                                .overlaps(attendance.section().span().dates())))
                .toList();
        return of(plan, goingOn, posted);
    }

    /** Of one plan by itself. */
    public static PlannedWeek of(Plan plan, List<Attendance> goingOn, PostedSchedules posted) {
        return new PlannedWeek(
                posted,
                plan,
                having(plan, Standing.TAKEN, posted),
                having(plan, Standing.WAITED_FOR, posted),
                having(plan, Standing.BESIDE, posted),
                List.copyOf(goingOn),
                plan.picks().stream()
                        .filter(pick -> posted.find(pick.term(), pick.entry()).isEmpty())
                        .toList(),
                new ConcurrentHashMap<>());
    }

    private static List<Attendance> having(Plan plan, Standing standing, PostedSchedules posted) {
        return plan.picks().stream()
                .filter(pick -> pick.standing() == standing)
                .flatMap(pick -> posted.find(pick.term(), pick.entry()).stream())
                .toList();
    }

    /** What takes the student's time in class: taken, waited for and going on from an earlier term. */
    public List<Attendance> attended() {
        return Stream.of(taken, waitedFor, goingOn).flatMap(List::stream).toList();
    }

    /** Whether any of it falls into the season: a course of two terms has field days that are not of this one. */
    public boolean isInSeason(Stay stay) {
        DateRange season = posted.dates(plan.season());
        return stay.dates().stream().anyMatch(season::contains);
    }

    /** The same with the student's busy times. */
    public List<Engagement> engagements() {
        List<Engagement> all = new ArrayList<>(attended());
        all.addAll(plan.busy());
        return all;
    }

    /** The sections of one course that are attended. */
    public List<Attendance> attended(CourseCode course) {
        return attended().stream()
                .filter(attendance -> attendance.section().course().code().equals(course))
                .toList();
    }

    /** How {@code attendance} is kept in the plan; empty where the plan does not hold it. */
    public Optional<Standing> standing(Attendance attendance) {
        return plan.standing(attendance.term().code(), attendance.section().entry());
    }

    /** Whether one can go to each of {@code some} beside all of {@code others}, and get from one to the other. */
    public boolean fits(List<Attendance> some, List<? extends Engagement> others) {
        return some.stream()
                .allMatch(one -> others.stream().allMatch(other -> Engagement.reachable(one, other, posted)));
    }
}
