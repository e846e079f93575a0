package ample.ledger.core.browse.index;

import ample.ledger.core.calendar.DateRange;
import ample.ledger.core.calendar.Days;
import ample.ledger.core.calendar.TimeRange;
import ample.ledger.core.schedule.Section;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.function.IntBinaryOperator;
import java.util.function.ToIntFunction;

/**
 * When each candidate meets: on which days of the week, from when to when, and over which dates. Of the section itself, or
 * of its whole set taken as one.
 *
 * @param untimed those without any set time
 * @param start minutes from midnight to the earliest start on any day; 24 hours where there is none
 * @param end minutes from midnight to the latest end; 0 where there is none
 * @param firstDay of the span, as {@link #day} counts
 * @param weeks of the longest span
 */
public record MeetingColumns(
        Candidates layout,
        List<CandidateSet> byDay,
        CandidateSet untimed,
        SlicedColumn start,
        SlicedColumn end,
        SlicedColumn firstDay,
        SlicedColumn lastDay,
        SlicedColumn weeks) {

    private static final int DAY_ENDS = 24 * 60;

    /** Of each section by itself. */
    static MeetingColumns ofSections(Candidates layout, List<Section> sections) {
        return of(
                layout,
                sections,
                (values, merge) ->
                        candidate -> values[layout.sectionOf(candidate).place()]);
    }

    /** Of each complete set as one. */
    static MeetingColumns ofSets(Candidates layout, List<Section> sections) {
        return of(
                layout,
                sections,
                (values, merge) -> candidate -> layout.setOf(candidate).stream()
                        .mapToInt(section -> values[section.place()])
                        .reduce(merge)
                        .orElseThrow());
    }

    /** How the numbers of sections become those of candidates. */
    private interface Folding {
        ToIntFunction<CandidateAt> over(int[] values, IntBinaryOperator merge);
    }

    private static MeetingColumns of(Candidates layout, List<Section> sections, Folding folding) {
        ToIntFunction<CandidateAt> days =
                folding.over(each(sections, section -> section.days().mask()), (one, other) -> one | other);
        List<CandidateSet> byDay = Arrays.stream(DayOfWeek.values())
                .map(day -> layout.where(candidate -> new Days(days.applyAsInt(candidate)).contains(day)))
                .toList();
        return new MeetingColumns(
                layout,
                byDay,
                layout.where(candidate -> days.applyAsInt(candidate) == 0),
                SlicedColumn.of(layout, folding.over(each(sections, MeetingColumns::start), Math::min)),
                SlicedColumn.of(layout, folding.over(each(sections, MeetingColumns::end), Math::max)),
                SlicedColumn.of(
                        layout,
                        folding.over(
                                each(sections, section -> day(dates(section).first())), Math::min)),
                SlicedColumn.of(
                        layout,
                        folding.over(
                                each(sections, section -> day(dates(section).last())), Math::max)),
                SlicedColumn.of(
                        layout,
                        folding.over(each(sections, section -> dates(section).weeks()), Math::max)));
    }

    /** A number for a date: the later, the greater. */
    public static int day(LocalDate date) {
        return Math.toIntExact(date.toEpochDay());
    }

    public CandidateSet onAny(Days days) {
        long[] bits = new long[layout.words()];
        for (int day = 0; day < 7; day++) {
            if ((days.mask() >> day & 1) == 1) {
                long[] meeting = byDay.get(day).bits();
                for (int word = 0; word < bits.length; word++) {
                    bits[word] |= meeting[word];
                }
            }
        }
        return new CandidateSet(layout, bits);
    }

    public CandidateSet onAll(Days days) {
        return days.list().stream().map(day -> byDay.get(day.getValue() - 1)).reduce(layout.all(), CandidateSet::and);
    }

    static int start(Section section) {
        return section.timings().stream()
                .flatMap(timing -> timing.time().stream())
                .mapToInt(TimeRange::startMinute)
                .min()
                .orElse(DAY_ENDS);
    }

    static int end(Section section) {
        return section.timings().stream()
                .flatMap(timing -> timing.time().stream())
                .mapToInt(TimeRange::endMinute)
                .max()
                .orElse(0);
    }

    private static DateRange dates(Section section) {
        return section.span().dates();
    }

    private static int[] each(List<Section> sections, ToIntFunction<Section> value) {
        return sections.stream().mapToInt(value).toArray();
    }
}
