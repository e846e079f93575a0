package ample.ledger.core.browse.index;

import ample.ledger.core.calendar.Days;
import ample.ledger.core.calendar.WeekHours;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Section;
import java.util.Arrays;
import java.util.BitSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * When the sections of one edition meet, by the few different shapes of a week that thousands of sections share.
 */
public final class Timetable {

    private static final int CELLS_A_HALF_HOUR = 30 / WeekHours.MINUTES;

    private final Candidates layout;
    private final List<WeekHours> shapes;
    private final int[][] halfHoursOf;

    /** By candidate the place of the shape of its section. */
    private final int[] shapeAt;

    private final int[] starts;
    private final int[] ends;
    private final Days[] days;
    private final @Nullable CandidateSet[] setsByCell = new CandidateSet[WeekHours.CELLS];

    Timetable(Candidates layout, Schedule schedule) {
        this.layout = layout;
        Map<WeekHours, Integer> knownShapes = new LinkedHashMap<>();
        int[] shapeOf = new int[schedule.sections().size()];
        for (int section = 0; section < shapeOf.length; section++) {
            WeekHours shape = WeekHours.of(schedule.sections().get(section).timings());
            shapeOf[section] = knownShapes.computeIfAbsent(shape, absent -> knownShapes.size());
        }
        this.starts =
                schedule.sections().stream().mapToInt(MeetingColumns::start).toArray();
        this.ends = schedule.sections().stream().mapToInt(MeetingColumns::end).toArray();
        this.shapeAt = new int[layout.words() * Long.SIZE];
        layout.all()
                .forEach(candidate -> shapeAt[candidate.position()] =
                        shapeOf[layout.sectionOf(candidate).place()]);
        this.days = schedule.sections().stream().map(Section::days).toArray(Days[]::new);
        this.shapes = List.copyOf(knownShapes.keySet());
        this.halfHoursOf = shapes.stream().map(Timetable::halfHours).toArray(int[][]::new);
        BitSet[] cells = new BitSet[WeekHours.CELLS];
        layout.all()
                .forEach(candidate -> layout.setOf(candidate).stream()
                        .flatMapToInt(
                                section -> shapes.get(shapeOf[section.place()]).cells())
                        .forEach(cell -> {
                            if (cells[cell] == null) {
                                cells[cell] = new BitSet();
                            }
                            cells[cell].set(candidate.position());
                        }));
        for (int cell = 0; cell < cells.length; cell++) {
            if (cells[cell] != null) {
                setsByCell[cell] = new CandidateSet(layout, Arrays.copyOf(cells[cell].toLongArray(), layout.words()));
            }
        }
    }

    /** Minutes from midnight to the earliest start of the section on any day; 24 hours where it has no set time. */
    int startOf(SectionAt section) {
        return starts[section.place()];
    }

    /** Minutes from midnight to the latest end of the section; 0 where it has no set time. */
    int endOf(SectionAt section) {
        return ends[section.place()];
    }

    /** The days on which the section meets. */
    Days daysOf(SectionAt section) {
        return days[section.place()];
    }

    /** The candidates whose set meets in one of these hours. Cost: one pass over a bitmap for each five minutes. */
    public CandidateSet setsMeetingIn(WeekHours hours) {
        long[] bits = new long[layout.words()];
        hours.cells().forEach(cell -> {
            CandidateSet meeting = setsByCell[cell];
            if (meeting != null) {
                long[] more = meeting.bits();
                for (int word = 0; word < bits.length; word++) {
                    bits[word] |= more[word];
                }
            }
        });
        return new CandidateSet(layout, bits);
    }

    /** The candidates whose section itself meets in one of these hours. */
    public CandidateSet sectionsMeetingIn(WeekHours hours) {
        boolean[] meets = new boolean[shapes.size()];
        for (int shape = 0; shape < meets.length; shape++) {
            meets[shape] = shapes.get(shape).meets(hours);
        }
        return layout.where(candidate -> meets[shapeAt[candidate.position()]]);
    }

    /** The half hours of the week that share a minute with {@code hours}, counted from Monday 0:00; ascending. */
    private static int[] halfHours(WeekHours hours) {
        BitSet halves = new BitSet();
        hours.cells().forEach(cell -> halves.set(cell / CELLS_A_HALF_HOUR));
        return halves.stream().toArray();
    }

    /**
     * How many of these sections meet in each half hour of the week, counted from Monday 0:00. Cost: one look at each section,
     * and at each half hour of each different shape of a week.
     */
    public int[] meetingByHalfHour(SectionSet sections) {
        int[] byShape = new int[shapes.size()];
        for (int position : sections.positions()) {
            byShape[shapeAt[position]]++;
        }
        int[] counts = new int[WeekHours.CELLS / CELLS_A_HALF_HOUR];
        for (int shape = 0; shape < byShape.length; shape++) {
            if (byShape[shape] > 0) {
                for (int halfHour : halfHoursOf[shape]) {
                    counts[halfHour] += byShape[shape];
                }
            }
        }
        return counts;
    }
}
