package ample.ledger.web.plan;

import ample.ledger.core.calendar.DateRange;
import ample.ledger.core.calendar.Timing;
import ample.ledger.core.plan.Attendance;
import ample.ledger.core.plan.PlannedWeek;
import ample.ledger.core.schedule.Meeting;
import ample.ledger.core.schedule.Term;
import ample.ledger.core.weave.Weave;
import ample.ledger.web.words.Words;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Draws what has no set time: beside the bands, as long as its hours in a week.
 *
 * @param shown the days of the week that is shown; empty for the whole term at once
 */
record UntimedDrawing(
        PlannedWeek week,
        Term term,
        WeekAsk ask,
        Optional<DateRange> shown,
        List<Weave> weaves,
        Tones tones,
        HourScale scale) {

    /** What has no set time in the plan, and then in each woven week beside it. */
    List<Bands.Untimed> draw() {
        List<Bands.Untimed> untimed = new ArrayList<>(untimed(week.attended(), 0));
        for (int weave = 1; weave <= weaves.size(); weave++) {
            untimed.addAll(untimed(
                    weaves.get(weave - 1).sections().stream()
                            .filter(attendance -> !week.attended().contains(attendance))
                            .toList(),
                    weave));
        }
        return untimed;
    }

    private List<Bands.Untimed> untimed(List<Attendance> some, int weave) {
        List<Bands.Untimed> untimed = new ArrayList<>();
        for (Attendance attendance : some) {
            BigDecimal hours = attendance.section().meetings().stream()
                    .map(Meeting::timing)
                    .filter(this::isInWeek)
                    .map(timing -> ((Timing.Arranged) timing).hoursPerWeek())
                    .reduce(BigDecimal.ZERO, BigDecimal::add);
            if (hours.signum() > 0 || attendance.section().untimed()) {
                String aWeek = hours.signum() > 0 ? Words.hours(hours) + " a week" : "times to be announced";
                String token = PlanTokens.of(attendance, term.code());
                untimed.add(new Bands.Untimed(
                        attendance.section().course().written(),
                        aWeek,
                        tones.style(attendance) + (ask.at().equals(token) ? " selected" : ""),
                        scale.share(Math.min(scale.minutes(), hours.doubleValue() * 60)),
                        attendance + ", no set time, " + aWeek,
                        weave > 0
                                ? null
                                : ask.at(ask.at().equals(token) ? "" : token).address(),
                        weave,
                        weave > 0 && ask.weave().shown() == weave));
            }
        }
        return untimed;
    }

    private boolean isInWeek(Timing timing) {
        return timing instanceof Timing.Arranged arranged
                && shown.map(dates -> arranged.dates().overlaps(dates)).orElse(true);
    }
}
