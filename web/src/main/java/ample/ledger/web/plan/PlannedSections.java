package ample.ledger.web.plan;

import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.plan.Attendance;
import ample.ledger.core.plan.PlannedWeek;
import ample.ledger.core.plan.SubmissionOrder;
import ample.ledger.core.registrar.Registration;
import ample.ledger.core.schedule.Term;
import ample.ledger.web.plan.WeekPage.Entry;
import ample.ledger.web.term.Addresses;
import ample.ledger.web.term.Terms;
import ample.ledger.web.visit.StandingWords;
import ample.ledger.web.visit.Visit;
import ample.ledger.web.words.SeatWords;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;

/** The sections of a plan one by one, with what the student has of them at the registrar. */
final class PlannedSections {

    private final Terms terms;
    private final PlannedWeek week;
    private final Term term;
    private final Visit visit;

    PlannedSections(Terms terms, PlannedWeek week, Term term, Visit visit) {
        this.terms = terms;
        this.week = week;
        this.term = term;
        this.visit = visit;
    }

    WeekPage.Sections page() {
        List<Entry> entries = SubmissionOrder.of(week).stream().map(this::entry).toList();
        return new WeekPage.Sections(
                entries,
                SubmissionOrder.of(week).stream()
                        .filter(one -> !isRegistered(one))
                        .map(Attendance::section)
                        .filter(section -> !section.cancelled())
                        .map(section -> section.entry().digits())
                        .collect(Collectors.joining("\n")),
                week.goingOn().stream().map(this::entry).toList(),
                registeredBeside().stream().map(this::entry).toList(),
                week.beside().stream().map(this::entry).toList());
    }

    private Entry entry(Attendance attendance) {
        boolean waited = week.waitedFor().contains(attendance);
        return new Entry(
                PlanTokens.of(attendance, term.code()),
                attendance.section().entry().toString(),
                attendance.leads()
                        ? attendance.toString()
                        : "with " + attendance.section().kindName().toLowerCase(Locale.ROOT) + " "
                                + attendance.section().code(),
                attendance.section().course().title(),
                sheet(attendance),
                seats(attendance),
                attendance.leads(),
                attendance.section().cancelled() ? "cancelled; not among the numbers" : standing(attendance, waited));
    }

    private String standing(Attendance attendance, boolean waited) {
        String there = StandingWords.shortly(has(), attendance);
        return there.isEmpty() && waited ? "waited for" : there;
    }

    /** What the student has at the registrar. */
    Registration has() {
        return visit.registration().orElseGet(() -> Registration.nothing(visit.instant()));
    }

    boolean isRegistered(Attendance one) {
        return has().isRegistered(ample.ledger.core.registrar.Entry.of(one));
    }

    /** What they have there in this season, and not in this plan. */
    private List<Attendance> registeredBeside() {
        return has().registered().stream()
                .flatMap(entry -> entry.in(week.posted()).stream())
                .filter(one -> one.term().season().code().equals(term.season().code()))
                .filter(one -> !week.taken().contains(one))
                .toList();
    }

    static String sheet(Attendance attendance) {
        return new Addresses(attendance.term().code())
                .sheet(attendance.section().entry(), Brief.EVERYTHING);
    }

    SeatWords seats(Attendance attendance) {
        return visit.seats(terms.get(attendance.term().code()), attendance.section());
    }
}
