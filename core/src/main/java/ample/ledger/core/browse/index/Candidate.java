package ample.ledger.core.browse.index;

import ample.ledger.core.calendar.Days;
import ample.ledger.core.calendar.Overlaps;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Section;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.IntUnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** One section in one of the complete sets that it can be taken in, at one moment. */
public final class Candidate {

    private final Moment moment;
    private final int position;
    private final int[] members;

    /** @param position of the candidate in the layout of the moment's index */
    public Candidate(Moment moment, int position) {
        this.moment = moment;
        this.position = moment.index().layout().sectionAt(position);
        this.members = moment.index().layout().setAt(position);
    }

    public Schedule schedule() {
        return moment.index().schedule();
    }

    public Section section() {
        return moment.index().section(position);
    }

    /** The whole set, the section among it. */
    public List<Section> set() {
        return moment.index().sections(members);
    }

    /** The codes of the values of {@code facet} that the section has. */
    public List<String> codes(Facet facet) {
        return codesOf(facet, position);
    }

    /** Those that the sections of the set have, in the order of the codes. */
    public Set<String> codesOfSet(Facet facet) {
        return Arrays.stream(members)
                .boxed()
                .flatMap(member -> codesOf(facet, member).stream())
                .collect(Collectors.toCollection(TreeSet::new));
    }

    private List<String> codesOf(Facet facet, int section) {
        return facet.codesOf(
                moment.index().section(section), schedule(), moment.seats().account(section));
    }

    /** The days on which the section meets. */
    public Days days() {
        return timetable().daysOf(position);
    }

    /** The days on which some section of the set meets. */
    public Days daysOfSet() {
        Days all = Days.NONE;
        for (int member : members) {
            all = all.plus(timetable().daysOf(member));
        }
        return all;
    }

    /** Minutes from midnight to the earliest start of the section on any day; 24 hours where it has no set time. */
    public int start() {
        return timetable().startOf(position);
    }

    /** Minutes from midnight to the latest end of the section; 0 where it has no set time. */
    public int end() {
        return timetable().endOf(position);
    }

    /** The same of the whole set as {@link #start}. */
    public int startOfSet() {
        return ofMembers(timetable()::startOf).min().orElseThrow();
    }

    /** The same of the whole set as {@link #end}. */
    public int endOfSet() {
        return ofMembers(timetable()::endOf).max().orElseThrow();
    }

    public Overlaps overlaps() {
        return timetable().overlaps();
    }

    /** Seats counted over companions, those with more than {@code waiting} people in their queue left out; less than 0 for none at all. */
    public int seatsOverCompanions(int waiting) {
        return moment.seats().overCompanions(position, waiting);
    }

    /** The fewest seats open in a section of the set; less than 0 where one is cancelled. */
    public int leastOpen() {
        return moment.seats().leastOpen(members);
    }

    /** The longest queue of a section of the set. */
    public int longestQueue() {
        return ofMembers(this::waiting).max().orElseThrow();
    }

    /** How long the queues are of the set, and of everything that could take a place in it. */
    public IntStream queues() {
        return IntStream.concat(Arrays.stream(members), moment.seats().alternatives(position))
                .map(this::waiting)
                .distinct();
    }

    private int waiting(int section) {
        return moment.seats().account(section).waiting();
    }

    private IntStream ofMembers(IntUnaryOperator value) {
        return Arrays.stream(members).map(value);
    }

    private Timetable timetable() {
        return moment.index().timetable();
    }
}
