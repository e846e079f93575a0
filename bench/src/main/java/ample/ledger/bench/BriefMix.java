package ample.ledger.bench;

import ample.ledger.core.browse.answer.Findings;
import ample.ledger.core.browse.brief.Between;
import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.browse.brief.Closed;
import ample.ledger.core.browse.brief.Condition;
import ample.ledger.core.browse.brief.Dates;
import ample.ledger.core.browse.brief.Having;
import ample.ledger.core.browse.brief.NumberPattern;
import ample.ledger.core.browse.brief.Numbers;
import ample.ledger.core.browse.brief.OnDays;
import ample.ledger.core.browse.brief.Seats;
import ample.ledger.core.browse.brief.Timed;
import ample.ledger.core.browse.index.Facet;
import ample.ledger.core.browse.index.TermIndex;
import ample.ledger.core.calendar.Days;
import ample.ledger.core.calendar.WeekHours;
import ample.ledger.core.schedule.Schedule;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Supplier;

/** The fixed mix of briefs that every engine answers: 200 of three to eight conditions, the same for one schedule. */
final class BriefMix {

    static final int BRIEFS = 200;

    private final Schedule schedule;
    private final Random dice = new Random(2031);

    private BriefMix(Schedule schedule) {
        this.schedule = schedule;
    }

    /** Nine of ten find something. */
    static List<Brief> of(TermIndex index) {
        BriefMix mix = new BriefMix(index.schedule());
        List<Brief> briefs = new ArrayList<>();
        while (briefs.size() < BRIEFS) {
            Brief brief = mix.brief();
            if (briefs.size() % 10 == 0 || Findings.count(Asker.now(index), brief) > 0) {
                briefs.add(brief);
            }
        }
        return List.copyOf(briefs);
    }

    private Brief brief() {
        List<Supplier<Condition>> kinds = new ArrayList<>(List.of(
                () -> having(Facet.SUBJECT, 6),
                () -> having(Facet.LEVEL, 2),
                () -> having(Facet.REQUIREMENT, 3),
                () -> having(Facet.DEPARTMENT, 3),
                () -> having(Facet.CREDITS, 3),
                () -> having(Facet.KIND, 3),
                () -> having(Facet.BUILDING, 4),
                () -> having(Facet.CAMPUS, 2),
                () -> having(Facet.DELIVERY, 2),
                () -> having(Facet.SPAN, 2),
                () -> having(Facet.MATERIALS, 1),
                () -> having(Facet.STATUS, 2),
                () -> having(Facet.MAY_TAKE, 2),
                this::numbers,
                this::onDays,
                this::onDays,
                this::between,
                this::between,
                this::closed,
                () -> new Timed(),
                this::dates,
                this::seats,
                this::seats));
        Collections.shuffle(kinds, dice);
        int wanted = 3 + dice.nextInt(6);
        Brief brief = Brief.EVERYTHING;
        for (Supplier<Condition> kind : kinds) {
            if (brief.conditions().size() < wanted) {
                brief = brief.with(kind.get());
            }
        }
        return brief;
    }

    private Condition having(Facet facet, int most) {
        List<Facet.Value> values = facet.values(schedule);
        Set<String> codes = new TreeSet<>();
        for (int i = 0; i <= dice.nextInt(most); i++) {
            codes.add(values.get(dice.nextInt(values.size())).code());
        }
        return Having.any(facet, codes);
    }

    private Condition numbers() {
        int low = 100 * (1 + dice.nextInt(4));
        return new Numbers(List.of(new NumberPattern(low, low + 99 + 100 * dice.nextInt(2), "")));
    }

    private Condition onDays() {
        OnDays.Rule rule = dice.nextInt(4) > 0 ? OnDays.Rule.ONLY : OnDays.Rule.values()[dice.nextInt(4)];
        return new OnDays(rule, new Days(1 + dice.nextInt(31)));
    }

    private Condition between() {
        int from = 16 + dice.nextInt(8);
        return new Between(Optional.of(halfHour(from)), Optional.of(halfHour(from + 6 + dice.nextInt(12))));
    }

    private Condition closed() {
        WeekHours hours = WeekHours.NONE;
        for (int i = 0; i <= dice.nextInt(4); i++) {
            int from = 8 * 60 + 30 * dice.nextInt(16);
            hours = hours.plus(
                    WeekHours.of(DayOfWeek.of(1 + dice.nextInt(5)), from, from + 60 * (1 + dice.nextInt(4))));
        }
        return new Closed(hours);
    }

    private Condition dates() {
        LocalDate first = schedule.term().dates().first();
        return dice.nextBoolean()
                ? new Dates(Optional.of(first.plusDays(dice.nextInt(50))), Optional.empty(), OptionalInt.empty())
                : new Dates(Optional.empty(), Optional.empty(), OptionalInt.of(7 + dice.nextInt(9)));
    }

    private Condition seats() {
        return new Seats(1 + dice.nextInt(4), dice.nextBoolean() ? OptionalInt.of(0) : OptionalInt.empty());
    }

    private static LocalTime halfHour(int count) {
        return LocalTime.MIDNIGHT.plusMinutes(30L * count);
    }
}
