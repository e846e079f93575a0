package ample.ledger.web.plan;

import ample.ledger.core.calendar.Days;
import ample.ledger.core.calendar.WeekFrame;
import ample.ledger.core.plan.Attendance;
import ample.ledger.core.plan.PlannedWeek;
import ample.ledger.core.plan.Stay;
import ample.ledger.core.weave.Weave;
import ample.ledger.web.plan.WeavePage.Bar;
import java.time.DayOfWeek;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.stream.Stream;

/** The small pictures of woven weeks: their days one below the other, hours from left to right. */
final class WeavePictures {

    private static final int DAY = 11;
    private static final int PICTURE = 128;

    private final WeekFrame frame;
    private final List<DayOfWeek> days;
    private final Tones tones;

    /** @param shown the woven weeks; their pictures show the same days */
    WeavePictures(WeekFrame frame, PlannedWeek week, List<Weave> shown, Tones tones) {
        this.frame = frame;
        this.days = drawn(frame, week, shown);
        this.tones = tones;
    }

    /** How many days they show. */
    int days() {
        return days.size();
    }

    /** The days that the pictures show: those of the weekend only where some week has class on them. */
    private static List<DayOfWeek> drawn(WeekFrame frame, PlannedWeek week, List<Weave> shown) {
        Days met = Stream.concat(week.attended().stream(), shown.stream().flatMap(weave -> weave.sections().stream()))
                .flatMap(attendance -> attendance.stays().stream())
                .filter(WeavePictures::isDrawn)
                .map(Stay::days)
                .reduce(frame.form().workdays(), Days::plus);
        return frame.form().inOrder(met);
    }

    private static boolean isDrawn(Stay stay) {
        return !stay.exam() && stay.dates().size() > 1;
    }

    List<Bar> bars(Collection<Attendance> sections) {
        List<Bar> bars = new ArrayList<>();
        for (Attendance attendance : sections) {
            for (Stay stay : attendance.stays()) {
                if (isDrawn(stay)) {
                    int x = offset(stay.time().startMinute());
                    int width = Math.max(3, offset(stay.time().endMinute()) - x);
                    String tone = tones.style(attendance);
                    stay.days()
                            .list()
                            .forEach(day ->
                                    bars.add(new Bar(x, days.indexOf(day) * (DAY + 2) + 1, width, DAY - 2, tone)));
                }
            }
        }
        return bars;
    }

    private int offset(int minute) {
        return (frame.nearest(minute) - frame.firstMinute()) * PICTURE / (frame.hours() * 60);
    }
}
