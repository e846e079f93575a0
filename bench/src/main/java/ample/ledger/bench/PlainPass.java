package ample.ledger.bench;

import ample.ledger.bench.Rows.Row;
import ample.ledger.bench.Rows.When;
import ample.ledger.core.browse.answer.Density;
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
import ample.ledger.core.browse.brief.Topic;
import ample.ledger.core.browse.index.Facet;
import ample.ledger.core.calendar.ClockTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.IntPredicate;
import java.util.function.Predicate;

/** One pass over the records in plain Java: for each row which conditions it fails, and everything else from that. */
final class PlainPass {

    private static final Set<Topic> HOURS = Set.of(Topic.DAYS, Topic.TIMES, Topic.CLOSED);

    private final Rows data;

    PlainPass(Rows data) {
        this.data = data;
    }

    Answer answer(Brief brief) {
        List<Condition> conditions = brief.conditions();
        List<Predicate<Row>> holds = conditions.stream().map(this::holds).toList();
        int all = (1 << conditions.size()) - 1;
        int[] masks = new int[data.rows.size()];
        for (int row = 0; row < masks.length; row++) {
            for (int i = 0; i < holds.size(); i++) {
                if (!holds.get(i).test(data.rows.get(row))) {
                    masks[row] |= 1 << i;
                }
            }
        }
        List<Integer> left = new ArrayList<>();
        for (int i = 0; i <= holds.size(); i++) {
            left.add(sections(masks, (1 << i) - 1).cardinality());
        }
        List<Integer> onlyThis = new ArrayList<>();
        int hours = 0;
        for (int i = 0; i < holds.size(); i++) {
            onlyThis.add(sections(masks, all & ~(1 << i)).cardinality() - left.get(holds.size()));
            hours |= HOURS.contains(conditions.get(i).topic()) ? 1 << i : 0;
        }
        Map<String, Map<String, Integer>> counts = new TreeMap<>();
        for (Facet facet : Answer.FACETS) {
            counts.put(facet.name(), counts(facet, masks, asked(facet, conditions, all)));
        }
        BitSet fitting = sections(masks, all);
        return new Answer(
                left,
                onlyThis,
                counts,
                density(fitting),
                density(sections(masks, all & ~hours)),
                fitting.stream()
                        .boxed()
                        .sorted(Comparator.comparingInt(section -> data.rank[section]))
                        .limit(Answer.LINES)
                        .map(section -> data.sections.get(section).entry().digits())
                        .toList());
    }

    private static int asked(Facet facet, List<Condition> conditions, int all) {
        for (int i = 0; i < conditions.size(); i++) {
            if (conditions.get(i).topic() == Topic.of(facet)) {
                return all & ~(1 << i);
            }
        }
        return all;
    }

    private BitSet sections(int[] masks, int asked) {
        BitSet sections = new BitSet();
        for (int row = 0; row < masks.length; row++) {
            if ((masks[row] & asked) == 0) {
                sections.set(data.rows.get(row).section());
            }
        }
        return sections;
    }

    private Map<String, Integer> counts(Facet facet, int[] masks, int asked) {
        int[][] values = data.values.get(facet);
        Map<Integer, BitSet> having = new HashMap<>();
        for (int row = 0; row < masks.length; row++) {
            if ((masks[row] & asked) == 0) {
                int section = data.rows.get(row).section();
                if (facet.scope() != Facet.Scope.SET) {
                    for (int value : values[section]) {
                        having.computeIfAbsent(value, absent -> new BitSet()).set(section);
                    }
                } else {
                    int value = values[section][0];
                    if (Arrays.stream(data.rows.get(row).members()).allMatch(member -> values[member][0] == value)) {
                        having.computeIfAbsent(value, absent -> new BitSet()).set(section);
                    }
                }
            }
        }
        Map<String, Integer> counts = new TreeMap<>();
        data.places.get(facet).forEach((code, place) -> {
            if (having.containsKey(place)) {
                counts.put(code, having.get(place).cardinality());
            }
        });
        return counts;
    }

    private int[] density(BitSet sections) {
        int[] density = new int[Answer.CELLS];
        sections.stream().forEach(section -> halfHours(section).stream().forEach(cell -> density[cell]++));
        return density;
    }

    /** The half hours of the week in which a section meets. */
    BitSet halfHours(int section) {
        BitSet cells = new BitSet(7 * Density.HALF_HOURS);
        data.sections
                .get(section)
                .timings()
                .forEach(timing -> timing.time()
                        .ifPresent(time -> timing.days()
                                .list()
                                .forEach(day -> cells.set(
                                        (day.getValue() - 1) * 48 + time.startMinute() / 30,
                                        (day.getValue() - 1) * 48 + (time.endMinute() - 1) / 30 + 1))));
        return cells;
    }

    private Predicate<Row> holds(Condition condition) {
        if (condition instanceof Having having && having.facet().scope() != Facet.Scope.SET) {
            return ofSection(having.facet(), having.codes());
        }
        if (condition instanceof Having having) {
            int[][] values = data.values.get(having.facet());
            Set<Integer> wanted = data.places(having.facet(), having.codes());
            return row -> Arrays.stream(row.members()).allMatch(member -> wanted.contains(values[member][0]));
        }
        if (condition instanceof Numbers numbers) {
            NumberPattern only = numbers.numbers().get(0);
            return row -> only.matches(data.sections.get(row.section()).course().code());
        }
        if (condition instanceof OnDays days) {
            IntPredicate rule = rule(days);
            return row -> (row.itself().untimed() || rule.test(row.itself().days()))
                    && (row.set().untimed() || rule.test(row.set().days()));
        }
        if (condition instanceof Between between) {
            int from = between.from().map(ClockTime::minuteOfDay).orElse(0);
            int to = between.to().map(ClockTime::minuteOfDay).orElse(24 * 60);
            return row -> row.set().start() >= from && row.set().end() <= to;
        }
        if (condition instanceof Closed closed) {
            return row -> !row.set().hours().meets(closed.hours());
        }
        if (condition instanceof Dates dates) {
            return row -> within(dates, row.set());
        }
        if (condition instanceof Timed) {
            return row -> !row.itself().untimed();
        }
        Seats seats = (Seats) condition;
        int[] spread = seats.waitingAtMost().isPresent() ? data.spreadOfUnqueued : data.spread;
        int waiting = seats.waitingAtMost().orElse(Integer.MAX_VALUE);
        return row -> spread[row.section()] >= seats.atLeast()
                && row.leastOpen() >= Math.min(1, seats.atLeast())
                && row.mostWaiting() <= waiting;
    }

    private Predicate<Row> ofSection(Facet facet, Set<String> codes) {
        int[][] values = data.values.get(facet);
        Set<Integer> wanted = data.places(facet, codes);
        return row -> Arrays.stream(values[row.section()]).anyMatch(wanted::contains);
    }

    private static IntPredicate rule(OnDays days) {
        int asked = days.days().mask();
        return switch (days.rule()) {
            case ONLY -> met -> (met & ~asked) == 0;
            case ALL -> met -> (met & asked) == asked;
            case ANY -> met -> (met & asked) != 0;
            case NONE -> met -> (met & asked) == 0;
        };
    }

    private static boolean within(Dates dates, When when) {
        return dates.startsFrom().map(date -> when.first() >= date.toEpochDay()).orElse(true)
                && dates.endsBy().map(date -> when.last() <= date.toEpochDay()).orElse(true)
                && when.weeks() <= dates.mostWeeks().orElse(Integer.MAX_VALUE);
    }
}
