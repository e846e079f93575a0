package ample.ledger.core.weave;

import ample.ledger.core.calendar.ClockTime;
import ample.ledger.core.calendar.WeekHours;
import ample.ledger.core.plan.Attendance;
import ample.ledger.core.plan.BusyTime;
import ample.ledger.core.schedule.Course;
import java.util.List;

/** Something that a woven week has to keep to. */
public sealed interface Demand {

    /**
     * A course that is wanted.
     *
     * @param courses one, or several of which one is wanted; the first names the want
     * @param required whether a week without it is none; otherwise weeks with it are better than all weeks without
     */
    record Want(List<Course> courses, boolean required) implements Demand {

        public Want {
            courses = List.copyOf(courses);
            if (courses.isEmpty()) {
                throw new IllegalArgumentException("A want names at least one course");
            }
        }
    }

    /** A section that must be in the week, where its course is. */
    record Pinned(Attendance section) implements Demand {}

    /** A section that must not be in the week. */
    record Refused(Attendance section) implements Demand {}

    /** Hours of the week that stay free of class. */
    record Closed(WeekHours.Stretch hours) implements Demand {

        public WeekHours asHours() {
            int from = ClockTime.minuteOfDay(hours.from());
            return WeekHours.of(hours.day(), from, from + hours.minutes());
        }
    }

    /** A busy time of the student's own. */
    record Busy(BusyTime time) implements Demand {}

    /** A section that is in the week whatever is woven. */
    record Kept(Attendance section) implements Demand {}

    /** That every section fits the brief. */
    record Brief() implements Demand {}

    /** That every section has a seat. */
    record Seats() implements Demand {}
}
