package ample.ledger.web.plan;

import ample.ledger.core.calendar.DateRange;
import ample.ledger.core.calendar.Days;
import ample.ledger.core.calendar.TimeRange;
import ample.ledger.core.calendar.WeekForm;
import ample.ledger.core.plan.Attendance;
import ample.ledger.core.plan.BusyTime;
import ample.ledger.core.plan.Engagement;
import ample.ledger.core.plan.PlannedWeek;
import ample.ledger.core.plan.Standing;
import ample.ledger.core.plan.Stay;
import ample.ledger.core.plan.Swap;
import ample.ledger.core.registrar.Entry;
import ample.ledger.core.registrar.Registration;
import ample.ledger.core.schedule.Term;
import ample.ledger.core.weave.Weave;
import ample.ledger.web.preferences.Preferences;
import ample.ledger.web.words.Words;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Draws a planned week as bands: the whole term at once, its halves in an upper and a lower lane, or one week of it. */
final class BandDrawing {

    private static final int BAND = 66;

    private final PlannedWeek week;
    private final Term term;
    private final WeekAsk ask;
    private final WeekForm form;
    private final Optional<DateRange> shown;
    private final Registration has;
    private final Preferences preferences;
    private final List<Swap> ghosts;
    private final List<Weave> weaves;
    private final Tones tones;
    private final HourScale scale;
    private final BandMarks marks;
    private final FreeStretches free;
    private final BandWords words;

    /**
     * @param has what the student has at the registrar
     * @param ghosts what could be taken instead of what is selected
     */
    BandDrawing(
            PlannedWeek week,
            Term term,
            WeekAsk ask,
            WeekForm form,
            Preferences preferences,
            Registration has,
            List<Swap> ghosts,
            List<Weave> weaves) {
        this.has = has;
        this.week = week;
        this.term = term;
        this.ask = ask;
        this.form = form;
        this.shown = ask.dates(form);
        this.preferences = preferences;
        this.ghosts = ghosts;
        this.weaves = weaves;
        this.tones = new Tones(week, weaves);
        List<TimeRange> times = Stream.of(
                        week.engagements().stream(),
                        ghosts.stream().flatMap(swap -> swap.in().stream()),
                        week.beside().stream(),
                        weaves.stream().flatMap(weave -> weave.sections().stream()))
                .flatMap(some -> some)
                .flatMap(engagement -> engagement.stays().stream())
                .filter(this::isShown)
                .map(Stay::time)
                .toList();
        this.scale = HourScale.of(times);
        this.marks = new BandMarks(scale, week.posted());
        this.free = new FreeStretches(week, term, preferences.clock(), scale);
        this.words = new BandWords(week, term, ask, preferences, has, scale.minutes());
    }

    Bands draw() {
        List<Bands.Hour> hours = new ArrayList<>();
        for (int hour = scale.from() / 60; hour <= scale.to() / 60; hour++) {
            hours.add(new Bands.Hour(preferences.clock().formatHour(hour), scale.x(hour * 60)));
        }
        List<Bands.Band> days =
                form.days().stream().filter(this::isDrawn).map(this::band).toList();
        return new Bands(
                scale.from(),
                scale.to(),
                hours,
                days,
                new UntimedDrawing(week, term, ask, shown, weaves, tones, scale).draw());
    }

    private boolean isDrawn(DayOfWeek day) {
        return form.workdays().contains(day)
                || !items(week.engagements(), day).isEmpty()
                || !items(ghostSections(), day).isEmpty()
                || !items(keptBeside(), day).isEmpty()
                || weaves.stream()
                        .anyMatch(weave -> !items(weave.sections(), day).isEmpty());
    }

    private List<Attendance> ghostSections() {
        return ghosts.stream().flatMap(swap -> swap.in().stream()).distinct().toList();
    }

    /** In the whole term everything of it but exams is shown; in one week what is held in it. */
    private boolean isShown(Stay stay) {
        return shown.map(dates -> stay.dates().stream().anyMatch(dates::contains))
                .orElseGet(() -> isInTerm(stay));
    }

    private boolean isOn(Stay stay, DayOfWeek day) {
        return shown.map(dates -> stay.dates().contains(form.dateOf(day, dates.first())))
                .orElseGet(() -> isInTerm(stay) && stay.days().contains(day));
    }

    /** Busy times are the student's own, and shown whenever they are. */
    private boolean isInTerm(Stay stay) {
        return !stay.exam() && (stay.meeting().isEmpty() || week.isInSeason(stay));
    }

    private List<BandItem> items(List<? extends Engagement> engagements, DayOfWeek day) {
        List<BandItem> items = new ArrayList<>();
        for (Engagement engagement : engagements) {
            for (Stay stay : engagement.stays()) {
                if (isOn(stay, day)) {
                    items.add(BandItem.of(engagement, stay, words.lane(stay)));
                }
            }
        }
        items.sort(Comparator.comparing((BandItem item) -> item.stay().time().start())
                .thenComparing(item -> item.stay().time().end()));
        return BandItem.inColumns(items);
    }

    private Bands.Band band(DayOfWeek day) {
        List<BandItem> items = items(week.engagements(), day);
        int height = items.stream().mapToInt(BandItem::needs).reduce(BAND, Math::max);
        List<Bands.Block> blocks =
                items.stream().map(item -> block(item, height, "")).toList();
        return new Bands.Band(
                Days.shortName(day).toLowerCase(Locale.ROOT),
                day.getDisplayName(TextStyle.FULL, Locale.ENGLISH),
                note(day),
                height,
                blocks,
                marks.hatches(items, height),
                marks.ways(items, height),
                free.of(items, day),
                ghostBlocks(day, height),
                previews(day, height),
                rows(items, blocks, day));
    }

    private String note(DayOfWeek day) {
        if (shown.isEmpty()) {
            return "";
        }
        LocalDate date = form.dateOf(day, shown.get().first());
        return Words.day(date)
                + term.calendar().exceptions().stream()
                        .filter(exception -> exception.date().equals(date))
                        .map(exception -> exception
                                .follows()
                                .map(follows -> ", as " + Days.shortName(follows))
                                .orElse(", off"))
                        .findFirst()
                        .orElse("");
    }

    private Bands.Block block(BandItem item, int height, String more) {
        Stay stay = item.stay();
        int tall = item.tall(height);
        if (item.engagement() instanceof BusyTime busy) {
            return new Bands.Block(
                    scale.x(stay.time().startMinute()),
                    scale.width(stay.time()),
                    item.y(height),
                    tall,
                    "own" + more,
                    List.of(),
                    List.of(busy.label()),
                    busy.label() + ", busy, " + Words.when(busy.timing(), preferences.clock()),
                    "#busy");
        }
        Attendance attendance = (Attendance) item.engagement();
        String token = token(attendance);
        String standing = week.standing(attendance)
                .map(Standing::code)
                .orElse(week.goingOn().contains(attendance) ? "going-on" : "");
        return new Bands.Block(
                scale.x(stay.time().startMinute()),
                scale.width(stay.time()),
                item.y(height),
                tall,
                "%s %s%s%s%s"
                        .formatted(
                                tones.style(attendance),
                                standing,
                                has.isRegistered(Entry.of(attendance)) ? " registered" : "",
                                ask.at().equals(token) ? " selected" : "",
                                more),
                words.name(attendance, stay, tall),
                words.more(attendance, stay),
                words.label(attendance, stay),
                ask.at(ask.at().equals(token) ? "" : token).address());
    }

    private List<Bands.Block> ghostBlocks(DayOfWeek day, int height) {
        List<Bands.Block> blocks = new ArrayList<>(items(keptBeside(), day).stream()
                .map(item -> block(item, height, " ghost"))
                .toList());
        Map<Object, List<Attendance>> alike = new LinkedHashMap<>();
        Map<Object, Stay> stays = new HashMap<>();
        for (Attendance ghost : ghostSections()) {
            for (Stay stay : ghost.stays()) {
                if (isOn(stay, day)) {
                    Object key = List.of(stay.time(), stay.dates());
                    alike.computeIfAbsent(key, absent -> new ArrayList<>()).add(ghost);
                    stays.putIfAbsent(key, stay);
                }
            }
        }
        List<BandItem> items = alike.entrySet().stream()
                .map(entry -> BandItem.of(
                        entry.getValue().get(0), Objects.requireNonNull(stays.get(entry.getKey())), BandItem.WHOLE))
                .sorted(Comparator.comparing(
                        (BandItem item) -> item.stay().time().start()))
                .toList();
        BandItem.inColumns(items).stream()
                .map(item -> ghost(
                        item,
                        alike.getOrDefault(
                                List.of(item.stay().time(), item.stay().dates()), List.of()),
                        height))
                .forEach(blocks::add);
        return blocks;
    }

    /** What is kept beside the plan, while nothing is selected that has alternatives of its own. */
    private List<Attendance> keptBeside() {
        return ghosts.isEmpty() ? week.beside() : List.of();
    }

    private Bands.Block ghost(BandItem item, List<Attendance> alike, int height) {
        Attendance first = alike.get(0);
        String codes = alike.size() <= 2
                ? alike.stream().map(one -> one.section().code()).collect(Collectors.joining(", "))
                : first.section().code() + " and " + (alike.size() - 1);
        return new Bands.Block(
                scale.x(item.stay().time().startMinute()),
                scale.width(item.stay().time()),
                item.y(height),
                item.tall(height),
                "ghost " + tones.style(first),
                List.of(codes),
                List.of(words.part(item.stay())).stream()
                        .filter(text -> !text.isEmpty())
                        .toList(),
                "Instead: "
                        + alike.stream()
                                .map(one -> words.label(one, item.stay()))
                                .collect(Collectors.joining("; ")),
                "#swap-" + token(first));
    }

    private List<Bands.Preview> previews(DayOfWeek day, int height) {
        List<Bands.Preview> previews = new ArrayList<>();
        for (int i = 0; i < weaves.size(); i++) {
            List<Bands.Block> blocks = items(weaves.get(i).sections(), day).stream()
                    .map(item -> block(item, height, " preview"))
                    .toList();
            previews.add(new Bands.Preview(i + 1, ask.weave().shown() == i + 1, blocks));
        }
        return previews;
    }

    private List<Bands.Row> rows(List<BandItem> items, List<Bands.Block> blocks, DayOfWeek day) {
        List<Bands.Row> rows = new ArrayList<>();
        int at = -1;
        for (int i = 0; i < items.size(); i++) {
            BandItem item = items.get(i);
            int begins = item.stay().time().startMinute();
            if (at >= 0 && begins - at >= FreeStretches.SHORTEST) {
                rows.add(new Bands.Row(
                        "",
                        Words.duration(begins - at) + " free",
                        "what fits here",
                        "gap",
                        false,
                        free.between(day, at, begins).address()));
            }
            at = Math.max(at, item.stay().time().endMinute());
            String when = preferences.clock().format(item.stay().time());
            if (item.engagement() instanceof BusyTime busy) {
                rows.add(new Bands.Row(when, busy.label(), "busy", "own", false, "#busy"));
            } else {
                Bands.Block block = blocks.get(i);
                rows.add(new Bands.Row(
                        when,
                        item.engagement().toString(),
                        String.join(", ", block.more()),
                        block.style(),
                        true,
                        block.address()));
            }
        }
        return rows;
    }

    /** How a form and an address name the section. */
    String token(Attendance attendance) {
        return PlanTokens.of(attendance, term.code());
    }
}
