package ample.ledger.web.plan;

import ample.ledger.core.calendar.ClockStyle;
import ample.ledger.core.plan.Attendance;
import ample.ledger.core.plan.PlanDate;
import ample.ledger.core.plan.PlannedWeek;
import ample.ledger.web.plan.WeekPage.Dated;
import ample.ledger.web.plan.WeekPage.Dates;
import ample.ledger.web.words.SeatWords;
import ample.ledger.web.words.Words;
import java.time.LocalDate;
import java.util.List;
import java.util.stream.Collectors;

/**
 * Puts the dates of a plan into words.
 *
 * @param today what is before it has gone by
 */
record DatesOfPlan(PlannedWeek week, ClockStyle clock, LocalDate today) {

    /** So many stand there before more is asked for: what is next matters, and the side of My week is long. */
    private static final int FEW = 4;

    Dates words(List<PlanDate> dates) {
        List<Dated> all = dates.stream().map(this::words).toList();
        List<Dated> next = all.stream().filter(date -> !date.past()).limit(FEW).toList();
        return new Dates(next, all.stream().filter(date -> !next.contains(date)).toList());
    }

    private Dated words(PlanDate date) {
        boolean past = date.at().toLocalDate().isBefore(today);
        String day = Words.date(date.at().toLocalDate())
                + (date.at().getYear()
                                == week.posted()
                                        .dates(week.plan().season())
                                        .first()
                                        .getYear()
                        ? ""
                        : " " + date.at().getYear());
        if (date instanceof PlanDate.Opens opens) {
            return new Dated(
                    day + ", " + clock.format(opens.at().toLocalTime()),
                    "Registration opens",
                    "for " + SeatWords.uncapitalised(opens.opening().name()),
                    "",
                    past);
        }
        if (date instanceof PlanDate.Sits sits) {
            return new Dated(
                    day + ", " + clock.format(sits.exam().time().start()),
                    "Exam",
                    sits.attendance().toString(),
                    "",
                    past);
        }
        PlanDate.Binds binds = (PlanDate.Binds) date;
        return new Dated(
                day,
                binds.rule().name(),
                courses(binds.sections()),
                binds.rule().meaning().orElse(""),
                past);
    }

    /** Which they are, where not all of the plan are. */
    private String courses(List<Attendance> bound) {
        long all = week.attended().stream()
                .filter(attendance -> !week.goingOn().contains(attendance))
                .map(attendance -> attendance.section().course().code())
                .distinct()
                .count();
        return bound.size() == all
                ? ""
                : bound.stream().map(one -> one.section().course().written()).collect(Collectors.joining(", "));
    }
}
