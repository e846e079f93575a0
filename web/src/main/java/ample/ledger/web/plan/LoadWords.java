package ample.ledger.web.plan;

import ample.ledger.core.calendar.ClockStyle;
import ample.ledger.core.plan.Load;
import ample.ledger.core.registrar.Entry;
import ample.ledger.core.registrar.Registration;
import ample.ledger.core.schedule.LoadRule;
import ample.ledger.web.plan.WeekPage.LoadLine;
import ample.ledger.web.plan.WeekPage.LoadOfTerm;
import ample.ledger.web.plan.WeekPage.LoadWeek;
import ample.ledger.web.words.Words;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;

/**
 * Says how much a plan is.
 *
 * @param has what the student has at the registrar
 */
record LoadWords(ClockStyle clock, Registration has) {

    private static final int BARS = 44;
    private static final int BAR_STEP = 13;

    /** The credits of one term, and what they mean. */
    LoadOfTerm load(Load.OfTerm load) {
        List<String> says = new ArrayList<>();
        load.fullTime()
                .ifPresent(rule -> says.add(
                        load.isFullTime().orElse(false)
                                ? "Full time, from " + Words.credits(rule.credits()) + " on."
                                : "Part time: full time begins at " + Words.credits(rule.credits()) + "."));
        load.overLoad().ifPresent(rule -> says.add(overLoad(load, rule)));
        return new LoadOfTerm(
                load.schedule().term().name(),
                load.lines().stream()
                        .map(line -> new LoadLine(
                                line.attendance().section().course().written()
                                        + (line.share() ? ", this term’s share" : "")
                                        + (line.waited() ? ", waited for" : "")
                                        + (has.isRegistered(Entry.of(line.attendance())) ? ", registered" : ""),
                                figure(line.credits())))
                        .toList(),
                figure(load.credits()),
                says.stream().filter(some -> !some.isEmpty()).collect(Collectors.joining(" ")));
    }

    private static String overLoad(Load.OfTerm load, LoadRule rule) {
        return load.isOverLoad()
                ? "Over-load, above %s. %s"
                        .formatted(Words.credits(rule.credits()), rule.meaning().orElse(""))
                        .strip()
                : "Over-load begins above " + Words.credits(rule.credits()) + ".";
    }

    private static String figure(BigDecimal credits) {
        return credits.signum() == 0 ? "0" : credits.stripTrailingZeros().toPlainString();
    }

    /** Its hours, in sentences. */
    List<String> say(Load load) {
        List<String> say = new ArrayList<>();
        load.heaviest()
                .ifPresent(heaviest -> say.add("Heaviest week, of %s: %s in class, about %s with study."
                        .formatted(
                                Words.day(heaviest.start()),
                                Words.hours(heaviest.classHours()),
                                Words.hours(heaviest.aboutHours()))));
        if (load.earliest().isPresent()) {
            say.add("Between %s and %s; %s."
                    .formatted(
                            clock.format(load.earliest().get()),
                            clock.format(load.latest().orElseThrow()),
                            load.freeDays().isEmpty()
                                    ? "no weekday free"
                                    : load.form().inOrder(load.freeDays()).stream()
                                                    .map(day -> day.getDisplayName(TextStyle.FULL, Locale.ENGLISH))
                                                    .collect(Collectors.joining(", "))
                                            + " free"));
        }
        load.tooMuch()
                .forEach(lead ->
                        say.add("The credits of %s would take more hours than a week has, so its study is not counted."
                                .formatted(lead.section().course().written())));
        load.longestGap()
                .ifPresent(gap -> say.add("Longest gap %s, on %s from %s."
                        .formatted(
                                Words.duration(gap.time().minutes()),
                                gap.day().getDisplayName(TextStyle.FULL, Locale.ENGLISH),
                                clock.format(gap.time().start()))));
        return say;
    }

    /** Its weeks as bars. */
    static List<LoadWeek> weeks(Load load) {
        BigDecimal most =
                load.heaviest().map(Load.Week::hours).orElse(BigDecimal.ONE).max(BigDecimal.ONE);
        List<LoadWeek> bars = new ArrayList<>();
        for (Load.Week one : load.weeks()) {
            bars.add(new LoadWeek(
                    "Week of %s: %s in class, %s with study"
                            .formatted(Words.day(one.start()), Words.hours(one.classHours()), Words.hours(one.hours())),
                    pixels(one.classHours(), most),
                    pixels(one.study(), most),
                    bars.size() * BAR_STEP));
        }
        return bars;
    }

    private static int pixels(BigDecimal hours, BigDecimal most) {
        return hours.multiply(BigDecimal.valueOf(BARS))
                .divide(most, 0, RoundingMode.HALF_UP)
                .intValue();
    }
}
