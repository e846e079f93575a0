package ample.ledger.web.plan;

import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.browse.brief.ClearOf;
import ample.ledger.core.calendar.Days;
import ample.ledger.core.calendar.WeekForm;
import ample.ledger.core.plan.Attendance;
import ample.ledger.core.plan.BusyTime;
import ample.ledger.core.plan.FullSection;
import ample.ledger.core.plan.Judgement;
import ample.ledger.core.plan.Load;
import ample.ledger.core.plan.Obstacle;
import ample.ledger.core.plan.Obstacles;
import ample.ledger.core.plan.Plan;
import ample.ledger.core.plan.PlanBook;
import ample.ledger.core.plan.PlanDate;
import ample.ledger.core.plan.PlannedWeek;
import ample.ledger.core.plan.Standing;
import ample.ledger.core.plan.Swap;
import ample.ledger.core.reading.StatusReading;
import ample.ledger.core.registrar.Hold;
import ample.ledger.core.schedule.Campus;
import ample.ledger.core.schedule.Term;
import ample.ledger.store.Shares;
import ample.ledger.web.guest.Kept;
import ample.ledger.web.plan.WeekPage.Busy;
import ample.ledger.web.plan.WeekPage.DayChoice;
import ample.ledger.web.plan.WeekPage.OtherPlan;
import ample.ledger.web.plan.WeekPage.Phone;
import ample.ledger.web.plan.WeekPage.Selected;
import ample.ledger.web.preferences.Preferences;
import ample.ledger.web.term.Addresses;
import ample.ledger.web.term.Terms;
import ample.ledger.web.visit.OpeningWords;
import ample.ledger.web.visit.Visit;
import ample.ledger.web.words.Words;
import java.time.DayOfWeek;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Puts My week together. */
final class WeekPages {

    private static final int MOST_TROUBLES = 20;

    private final Terms terms;
    private final PlannedWeek week;
    private final Kept kept;
    private final Term term;
    private final WeekAsk ask;
    private final Visit visit;
    private final Preferences preferences;
    private final WeekForm form;
    private final WeavePages.Result woven;
    private final ObstacleWords words;
    private final PlannedSections sections;

    WeekPages(Terms terms, PlannedWeek week, Term term, WeekAsk ask, Visit visit, WeavePages.Result woven) {
        this.visit = visit;
        this.terms = terms;
        this.week = week;
        this.kept = visit.kept();
        this.term = term;
        this.ask = ask;
        this.preferences = visit.preferences();
        this.form = preferences.week(terms.get(term.code()).schedule());
        this.woven = woven;
        this.sections = new PlannedSections(terms, week, term, visit);
        this.words = new ObstacleWords(week, ask, preferences.clock(), this::reading);
    }

    /** @param told sentences on what was just done */
    WeekPage page(List<String> told, BusyController.Typed typed, List<Shares.Share> shares) {
        Optional<Attendance> at = Stream.concat(week.attended().stream(), week.beside().stream())
                .filter(attendance -> PlanTokens.of(attendance, term.code()).equals(ask.at()))
                .findFirst();
        List<Swap> swaps = at.map(selected -> Swap.of(selected, week)).orElse(List.of());
        Load load = Load.of(week, form);
        return new WeekPage(
                term.code().text(),
                term.season().name(),
                ask.address(),
                told,
                plan(shares),
                drawn(swaps),
                weeks(load),
                at.map(selected -> selected(selected, swaps)),
                wrong(),
                new DatesOfPlan(
                                week,
                                preferences.clock(),
                                terms.get(term.code()).index().today())
                        .words(PlanDate.of(week, this::reading)),
                loads(load),
                sections.page(),
                busy(typed),
                onward(),
                woven.page());
    }

    private WeekPage.PlanShown plan(List<Shares.Share> shares) {
        PlanBook book = kept.plans();
        Plan plan = week.plan();
        return new WeekPage.PlanShown(
                book.version(),
                plan.id(),
                plan.name(),
                plans(book, plan),
                book.past().isEmpty()
                        ? ""
                        : book.past().get(book.past().size() - 1).words(),
                plan.picks().isEmpty()
                        && week.goingOn().isEmpty()
                        && plan.busy().isEmpty(),
                plan.notes(),
                shares);
    }

    private WeekPage.Drawn drawn(List<Swap> swaps) {
        Bands bands = new BandDrawing(week, term, ask, form, preferences, sections.has(), swaps, woven.weeks()).draw();
        DayOfWeek day = day(bands);
        return new WeekPage.Drawn(
                bands,
                phone(bands, day),
                bands.days().stream()
                        .filter(band -> band.code().equals(code(day)))
                        .findFirst()
                        .orElseThrow());
    }

    private WeekPage.Weeks weeks(Load load) {
        WeeksOfTerm weeks = new WeeksOfTerm(week, term, form, ask);
        return new WeekPage.Weeks(
                weeks.scrub(load),
                ask.week().isEmpty(),
                ask.inWeek(Optional.empty()).address() + "#bands",
                weeks.around());
    }

    private WeekPage.Wrong wrong() {
        Judgement judgement = Judgement.of(week, student(), this::reading, sections::isRegistered);
        String well = judgement.allKnown() ? "None. This week will stand." : "None that is known here.";
        return new WeekPage.Wrong(
                troubles(Stream.of(
                                visit.holds().stream().map(this::trouble),
                                judgement.stopping().stream().map(this::trouble),
                                judgement.full().stream().map(this::trouble))
                        .flatMap(some -> some)),
                troubles(judgement.toKnow().stream().map(this::trouble)),
                judgement.nothingWrong()
                                && visit.holds().isEmpty()
                                && !week.taken().isEmpty()
                        ? well
                        : "",
                NotKnown.of(judgement),
                Addresses.with("/record", "back", ask.address()),
                homes());
    }

    /** Which campus is one's own matters as soon as one has to be on one of several. */
    private List<Campus> homes() {
        List<Campus> campuses = week.posted().schedule(term.code()).stream()
                .flatMap(schedule -> schedule.campuses().stream())
                .filter(campus -> !campus.remote())
                .toList();
        boolean matters = campuses.size() > 1
                && week.attended().stream()
                        .anyMatch(attendance -> !attendance.section().campus().remote());
        return matters && !preferences.saidHome() && visit.home().isEmpty() ? campuses : List.of();
    }

    private WeekPage.Loads loads(Load load) {
        LoadWords words = new LoadWords(preferences.clock(), sections.has());
        return new WeekPage.Loads(
                load.terms().stream().map(words::load).toList(), words.say(load), LoadWords.weeks(load));
    }

    private WeekPage.BusyTimes busy(BusyController.Typed typed) {
        return new WeekPage.BusyTimes(
                busy(week.plan()),
                typed,
                form.days().stream()
                        .map(one -> new DayChoice(
                                code(one), Days.shortName(one), typed.day().contains(code(one))))
                        .toList());
    }

    private WeekPage.Onward onward() {
        return new WeekPage.Onward(
                clear(),
                new Addresses(term.code())
                        .lineUp(kept.week(terms.get(term.code()).schedule()).stream(), ask.address()));
    }

    private Supplier<WeekPage.Trouble> trouble(Hold hold) {
        return () -> new WeekPage.Trouble(OpeningWords.hold(hold, visit.whom()), true, "", List.of(), List.of());
    }

    private Supplier<WeekPage.Trouble> trouble(Obstacle obstacle) {
        return () -> words.trouble(obstacle);
    }

    private Supplier<WeekPage.Trouble> trouble(FullSection full) {
        return () -> words.trouble(full, sections.seats(full.attendance()).sentence());
    }

    /** The first of them; what mends one takes time to find, and nobody mends a hundred. */
    private static List<WeekPage.Trouble> troubles(Stream<Supplier<WeekPage.Trouble>> all) {
        List<Supplier<WeekPage.Trouble>> known = all.toList();
        return Stream.concat(
                        known.stream().limit(MOST_TROUBLES).map(Supplier::get),
                        known.size() > MOST_TROUBLES
                                ? Stream.of(ObstacleWords.more(known.size() - MOST_TROUBLES))
                                : Stream.of())
                .toList();
    }

    private Obstacles.Student student() {
        return new Obstacles.Student(
                visit.home(), term, visit.record(terms.get(term.code()).schedule()));
    }

    private static List<OtherPlan> plans(PlanBook book, Plan current) {
        List<OtherPlan> plans = book.ofSeason(current.season()).stream()
                .map(plan -> new OtherPlan(plan.id(), plan.name(), plan.id().equals(current.id())))
                .toList();
        return plans.isEmpty() ? List.of(new OtherPlan(current.id(), current.name(), true)) : plans;
    }

    private DayOfWeek day(Bands bands) {
        List<DayOfWeek> drawn = form.days().stream()
                .filter(day ->
                        bands.days().stream().anyMatch(band -> band.code().equals(code(day))))
                .toList();
        return ask.day()
                .filter(drawn::contains)
                .or(() -> drawn.stream()
                        .filter(day -> bands.days().stream()
                                .anyMatch(band -> band.code().equals(code(day)) && band.busy()))
                        .findFirst())
                .orElse(drawn.get(0));
    }

    private static String code(DayOfWeek day) {
        return Days.shortName(day).toLowerCase(Locale.ROOT);
    }

    private List<Phone> phone(Bands bands, DayOfWeek chosen) {
        return bands.days().stream()
                .map(band -> new Phone(
                        band.name().substring(0, 3),
                        band.summary(),
                        ask.on(Days.parseDay(band.code()).orElseThrow()).address() + "#day",
                        band.code().equals(code(chosen)),
                        band))
                .toList();
    }

    private Selected selected(Attendance selected, List<Swap> swaps) {
        int sets = week.posted()
                .setsOf(selected.section().course().code(), selected.schedule())
                .size();
        return new Selected(
                PlanTokens.of(selected, term.code()),
                selected.toString(),
                selected.section().course().title(),
                PlannedSections.sheet(selected),
                selected.section().meetings().stream()
                        .map(meeting -> Words.when(meeting.timing(), preferences.clock()))
                        .toList(),
                Words.where(selected.section()) + " · " + Words.who(selected.section()),
                sections.seats(selected),
                week.standing(selected).map(Standing::code).orElse(""),
                words.bySeats(swaps).map(words::other).toList(),
                Math.max(0, sets - swaps.size() - 1),
                ask.at("").address());
    }

    private StatusReading reading(Attendance attendance) {
        return visit.reading(terms.get(attendance.term().code()), attendance.section());
    }

    private List<Busy> busy(Plan plan) {
        List<Busy> busy = new ArrayList<>();
        for (BusyTime time : plan.busy()) {
            busy.add(new Busy(
                    busy.size(),
                    time.label(),
                    Words.when(time.timing(), preferences.clock())
                            + (time.except().isEmpty()
                                    ? ""
                                    : ", not on "
                                            + time.except().stream()
                                                    .map(Words::day)
                                                    .collect(Collectors.joining(", ")))));
        }
        return busy;
    }

    private String clear() {
        Brief brief = ClearOf.of(week.attended(), term.code()).map(Brief::of).orElse(Brief.EVERYTHING);
        return new Addresses(term.code()).browse(brief);
    }
}
