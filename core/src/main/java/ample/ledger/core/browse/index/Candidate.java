package ample.ledger.core.browse.index;

import ample.ledger.core.calendar.Days;
import ample.ledger.core.plan.PostedSchedules;
import ample.ledger.core.reading.RecordReading;
import ample.ledger.core.reading.StatusReading;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Section;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.ToIntFunction;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** One section in one of the complete sets that it can be taken in, at one moment. */
public final class Candidate {

    private final Moment moment;
    private final SectionAt at;
    private final List<SectionAt> members;

    /** @param candidate in the layout of the moment's index */
    public Candidate(Moment moment, CandidateAt candidate) {
        this.moment = moment;
        this.at = moment.index().layout().sectionOf(candidate);
        this.members = moment.index().layout().setOf(candidate);
    }

    public Schedule schedule() {
        return moment.index().schedule();
    }

    /** The schedules of all terms at this moment, this one among them. */
    public PostedSchedules posted() {
        return moment.posted();
    }

    public Section section() {
        return moment.index().section(at);
    }

    /** The whole set, the section among it. */
    public List<Section> set() {
        return moment.index().sections(members);
    }

    /** The codes of the values of {@code facet} that the section has. */
    public List<String> codes(Facet facet) {
        return codesOf(facet, at);
    }

    /** Those that the sections of the set have, in the order of the codes. */
    public Set<String> codesOfSet(Facet facet) {
        return members.stream()
                .flatMap(member -> codesOf(facet, member).stream())
                .collect(Collectors.toCollection(TreeSet::new));
    }

    private List<String> codesOf(Facet facet, SectionAt section) {
        return moment.codes(facet, section);
    }

    /** The days on which the section meets. */
    public Days days() {
        return timetable().daysOf(at);
    }

    /** The days on which some section of the set meets. */
    public Days daysOfSet() {
        Days all = Days.NONE;
        for (SectionAt member : members) {
            all = all.plus(timetable().daysOf(member));
        }
        return all;
    }

    /** Minutes from midnight to the earliest start of the section on any day; 24 hours where it has no set time. */
    public int start() {
        return timetable().startOf(at);
    }

    /** Minutes from midnight to the latest end of the section; 0 where it has no set time. */
    public int end() {
        return timetable().endOf(at);
    }

    /** The same of the whole set as {@link #start}. */
    public int startOfSet() {
        return ofMembers(timetable()::startOf).min().orElseThrow();
    }

    /** The same of the whole set as {@link #end}. */
    public int endOfSet() {
        return ofMembers(timetable()::endOf).max().orElseThrow();
    }

    /** What sections are to the record of who asks. */
    public RecordReading record() {
        return moment.record();
    }

    /** What the section is to who asks. */
    public StatusReading reading() {
        return moment.seats().reading(at);
    }

    /** Seats counted over companions, those with more than {@code waiting} people in their queue left out; less than 0 for none at all. */
    public int seatsOverCompanions(int waiting) {
        return moment.seats().overCompanions(at, waiting);
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
        return Stream.concat(members.stream(), moment.seats().alternatives(at))
                .mapToInt(this::waiting)
                .distinct();
    }

    private int waiting(SectionAt section) {
        return moment.seats().reading(section).seats().waiting();
    }

    private IntStream ofMembers(ToIntFunction<SectionAt> value) {
        return members.stream().mapToInt(value);
    }

    private Timetable timetable() {
        return moment.index().timetable();
    }
}
