package ample.ledger.core.browse.index;

import ample.ledger.core.calendar.Days;
import ample.ledger.core.calendar.Overlaps;
import ample.ledger.core.calendar.Timing;
import ample.ledger.core.calendar.WeekHours;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Section;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.atomic.AtomicReferenceArray;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * When the sections of one edition meet, by the few different timings and shapes of a week that thousands of sections share.
 *
 * <p>Sections are named by their position in the schedule.
 */
public final class Timetable {

    private static final int CELLS_A_HALF_HOUR = 30 / WeekHours.MINUTES;

    private final Candidates layout;
    private final Overlaps overlaps;
    private final List<Timing> timings;
    private final int[][] timingsOf;
    private final int[][] sectionsOf;
    private final List<WeekHours> shapes;
    private final int[][] halfHoursOf;

    /** By candidate the place of the shape of its section. */
    private final int[] shapeAt;

    private final int[] starts;
    private final int[] ends;
    private final Days[] days;
    private final @Nullable CandidateSet[] setsByCell = new CandidateSet[WeekHours.CELLS];

    /** For each timing those that are ever held at its time, found when first asked for. */
    private final AtomicReferenceArray<int @Nullable []> clashes;

    Timetable(Candidates layout, Schedule schedule) {
        this.layout = layout;
        this.overlaps = new Overlaps(schedule.term().calendar());
        Map<Timing, Integer> known = new LinkedHashMap<>();
        Map<WeekHours, Integer> knownShapes = new LinkedHashMap<>();
        List<List<Integer>> sections = new ArrayList<>();
        this.timingsOf = new int[schedule.sections().size()][];
        int[] shapeOf = new int[timingsOf.length];
        for (int section = 0; section < timingsOf.length; section++) {
            Section posted = schedule.sections().get(section);
            timingsOf[section] = posted.timings().stream()
                    .filter(timing -> timing.time().isPresent())
                    .mapToInt(timing -> place(known, timing))
                    .distinct()
                    .toArray();
            shapeOf[section] = place(knownShapes, WeekHours.of(posted.timings()));
            for (int timing : timingsOf[section]) {
                if (timing == sections.size()) {
                    sections.add(new ArrayList<>());
                }
                sections.get(timing).add(section);
            }
        }
        this.starts =
                schedule.sections().stream().mapToInt(MeetingColumns::start).toArray();
        this.ends = schedule.sections().stream().mapToInt(MeetingColumns::end).toArray();
        this.shapeAt = new int[layout.words() * Long.SIZE];
        layout.all().forEach(position -> shapeAt[position] = shapeOf[layout.sectionAt(position)]);
        this.days = schedule.sections().stream().map(Section::days).toArray(Days[]::new);
        this.timings = List.copyOf(known.keySet());
        this.shapes = List.copyOf(knownShapes.keySet());
        this.halfHoursOf = shapes.stream().map(Timetable::halfHours).toArray(int[][]::new);
        this.sectionsOf = sections.stream()
                .map(some -> some.stream().mapToInt(Integer::intValue).toArray())
                .toArray(int[][]::new);
        this.clashes = new AtomicReferenceArray<>(timings.size());
        BitSet[] cells = new BitSet[WeekHours.CELLS];
        layout.all()
                .forEach(position -> Arrays.stream(layout.setAt(position))
                        .flatMap(section -> shapes.get(shapeOf[section]).cells())
                        .forEach(cell -> {
                            if (cells[cell] == null) {
                                cells[cell] = new BitSet();
                            }
                            cells[cell].set(position);
                        }));
        for (int cell = 0; cell < cells.length; cell++) {
            if (cells[cell] != null) {
                setsByCell[cell] = new CandidateSet(layout, Arrays.copyOf(cells[cell].toLongArray(), layout.words()));
            }
        }
    }

    private static <T> int place(Map<T, Integer> known, T value) {
        return known.computeIfAbsent(value, absent -> known.size());
    }

    /** Minutes from midnight to the earliest start of the section on any day; 24 hours where it has no set time. */
    int startOf(int section) {
        return starts[section];
    }

    /** Minutes from midnight to the latest end of the section; 0 where it has no set time. */
    int endOf(int section) {
        return ends[section];
    }

    /** The days on which the section meets. */
    Days daysOf(int section) {
        return days[section];
    }

    /** The candidates whose set meets in one of these hours. Cost: one pass over a bitmap for each quarter hour. */
    CandidateSet setsMeetingIn(WeekHours hours) {
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
    CandidateSet sectionsMeetingIn(WeekHours hours) {
        boolean[] meets = new boolean[shapes.size()];
        for (int shape = 0; shape < meets.length; shape++) {
            meets[shape] = shapes.get(shape).meets(hours);
        }
        return layout.where(position -> meets[shapeAt[position]]);
    }

    /**
     * The candidates that clash with {@code section}: themselves, or in any section of their set. A section does not clash
     * with itself. Cost: the sections held at the same times.
     */
    CandidateSet clashing(int section, boolean inSet) {
        long[] bits = new long[layout.words()];
        for (int timing : timingsOf[section]) {
            for (int other : clashesOf(timing)) {
                for (int clashing : sectionsOf[other]) {
                    if (clashing != section) {
                        (inSet ? layout.together(clashing) : layout.ofSection(clashing))
                                .forEach(position -> bits[position >> 6] |= 1L << position);
                    }
                }
            }
        }
        return new CandidateSet(layout, bits);
    }

    Overlaps overlaps() {
        return overlaps;
    }

    private int[] clashesOf(int timing) {
        int[] known = clashes.get(timing);
        if (known == null) {
            List<Timing> one = List.of(timings.get(timing));
            known = IntStream.range(0, timings.size())
                    .filter(other ->
                            !overlaps.dates(one, List.of(timings.get(other))).isEmpty())
                    .toArray();
            clashes.set(timing, known);
        }
        return known;
    }

    /** The different shapes of a week that sections have. */
    public List<WeekHours> shapes() {
        return shapes;
    }

    /** The half hours of the week that share a minute with {@code hours}, counted from Monday 0:00; ascending. */
    private static int[] halfHours(WeekHours hours) {
        BitSet halves = new BitSet();
        hours.cells().forEach(cell -> halves.set(cell / CELLS_A_HALF_HOUR));
        return halves.stream().toArray();
    }

    /** The half hours of the week of the shape at {@code shape}. */
    public int[] halfHoursOf(int shape) {
        return halfHoursOf[shape];
    }

    /** The place among {@link #shapes()} of the shape of the section of a candidate. */
    public int shapeAt(int position) {
        return shapeAt[position];
    }
}
