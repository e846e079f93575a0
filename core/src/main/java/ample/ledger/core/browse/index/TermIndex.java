package ample.ledger.core.browse.index;

import ample.ledger.core.plan.PostedSchedules;
import ample.ledger.core.reading.Background;
import ample.ledger.core.reading.RecordReading;
import ample.ledger.core.schedule.Course;
import ample.ledger.core.schedule.CourseCode;
import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.SeatPool;
import ample.ledger.core.schedule.Section;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Collection;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Predicate;
import java.util.function.Supplier;
import java.util.function.ToLongFunction;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * One edition's sections, laid out so that a brief is answered without looking at them one by one. Built once for
 * each edition; immutable but for the seats.
 *
 * <p>Safe for any number of readers and one writer of seats: an answer is of one moment, and a change of seats shows in the
 * next answer.
 *
 * <p>What a condition can ask for by its value is a bitmap for each value; what is asked for as a range is a column of
 * numbers. Both are of candidates: see {@link Candidates}.
 */
public final class TermIndex {

    private final Schedule schedule;
    private final Vocabulary vocabulary;
    private final LocalDate today;
    private final List<Section> sections;
    private final Candidates layout;
    private final Map<Facet, FacetIndex> facets = new EnumMap<>(Facet.class);
    private final MeetingColumns meetings;
    private final MeetingColumns setMeetings;
    private final Timetable timetable;
    private final SlicedColumn numbers;
    private final List<Course> courses;
    private final Map<CourseCode, List<SectionAt>> sectionsOfCourse;
    private final Map<EntryNumber, SectionAt> sectionOfEntry;
    private final CourseWords words;
    private final CandidateSet cancelled;
    private final Map<Object, CandidateSet> kept = new ConcurrentHashMap<>();
    private final Map<Order, CandidatesInOrder> inOrder = new EnumMap<>(Order.class);
    private final Map<Order, int[]> ranks = new EnumMap<>(Order.class);
    private final SeatViews seats;
    private final RecordViews records;

    /** @param today the day on which seats are counted, since seats are held until a day */
    public TermIndex(Schedule schedule, LocalDate today) {
        this.schedule = schedule;
        this.vocabulary = Vocabulary.of(schedule);
        this.today = today;
        this.sections = schedule.sections();
        this.layout = Candidates.of(schedule);
        this.sectionOfEntry = new HashMap<>();
        this.sectionsOfCourse = new TreeMap<>();
        for (int place = 0; place < sections.size(); place++) {
            Section section = sections.get(place);
            sectionOfEntry.put(section.entry(), new SectionAt(place));
            sectionsOfCourse
                    .computeIfAbsent(section.course().code(), absent -> new ArrayList<>())
                    .add(new SectionAt(place));
        }
        this.courses = sectionsOfCourse.keySet().stream()
                .map(code -> schedule.course(code).orElseThrow())
                .toList();
        this.seats = new SeatViews(SeatView.Ground.of(layout, sections), schedule);
        this.records = new RecordViews(
                background -> new RecordView(layout, sections, new RecordReading(schedule, background)));
        for (Facet facet : Facet.values()) {
            if (facet.isPosted()) {
                facets.put(facet, index(facet));
            }
        }
        this.meetings = MeetingColumns.ofSections(layout, sections);
        this.setMeetings = MeetingColumns.ofSets(layout, sections);
        this.timetable = new Timetable(layout, schedule);
        this.numbers = SlicedColumn.of(
                layout,
                candidate ->
                        section(layout.sectionOf(candidate)).course().code().digits());
        this.words = new CourseWords(courses);
        this.cancelled =
                layout.where(candidate -> section(layout.sectionOf(candidate)).cancelled());
        for (Order order : Order.values()) {
            order.place(schedule).ifPresent(fixed -> keep(order, fixed));
        }
    }

    private FacetIndex index(Facet facet) {
        return new FacetIndex(
                layout,
                vocabulary.values(facet).stream().map(Facet.Value::code).toList(),
                section -> facet.codesOf(section(section), schedule),
                facet.scope() == Facet.Scope.SET);
    }

    private void keep(Order order, ToLongFunction<Section> fixed) {
        long[] places = sections.stream().mapToLong(fixed).toArray();
        int[] sorted = IntStream.range(0, sections.size())
                .boxed()
                .sorted(Comparator.comparingLong(section -> places[section]))
                .mapToInt(Integer::intValue)
                .toArray();
        int[] rank = new int[sorted.length];
        for (int place = 0; place < sorted.length; place++) {
            rank[sorted[place]] = place;
        }
        inOrder.put(
                order,
                new CandidatesInOrder(Arrays.stream(sorted)
                        .mapToObj(SectionAt::new)
                        .map(layout::representative)
                        .filter(Objects::nonNull)));
        ranks.put(order, rank);
    }

    public Schedule schedule() {
        return schedule;
    }

    /** The codes that a brief can name here. */
    public Vocabulary vocabulary() {
        return vocabulary;
    }

    /** The day on which its seats are counted. */
    public LocalDate today() {
        return today;
    }

    /**
     * What it is at this moment to somebody.
     *
     * @param posted the schedules of all terms, this one among them
     */
    public Moment now(Background background, PostedSchedules posted) {
        return new Moment(this, seats.now(background.person()), records.of(background), posted);
    }

    /**
     * Takes over how the seats of some pools stand now. For one writer at a time; others wait.
     *
     * @param counts by the code of the pool; pools that this edition does not have are passed over
     */
    public void seatsNow(Map<String, SeatPool.Count> counts) {
        seats.seatsNow(counts);
    }

    /** A pool that is posted so, as it stands now. */
    public SeatPool standing(SeatPool posted) {
        return seats.standing(posted);
    }

    public Candidates layout() {
        return layout;
    }

    public Section section(SectionAt at) {
        return sections.get(at.place());
    }

    /** In the order given. */
    public List<Section> sections(Collection<SectionAt> wanted) {
        return wanted.stream().map(this::section).toList();
    }

    FacetIndex facet(Facet facet) {
        return Objects.requireNonNull(facets.get(facet));
    }

    /** When sections meet, each by itself. */
    public MeetingColumns meetings() {
        return meetings;
    }

    /** When complete sets meet. */
    public MeetingColumns setMeetings() {
        return setMeetings;
    }

    /**
     * The set of {@code key}, which seats do not change, worked out when it is first asked for. Only for the few that every answer
     * asks for.
     */
    public CandidateSet kept(Object key, Supplier<CandidateSet> found) {
        return kept.computeIfAbsent(key, absent -> found.get());
    }

    public Timetable timetable() {
        return timetable;
    }

    /** The representative of every section in an order that seats do not change; null for one that they do. */
    @Nullable CandidatesInOrder inOrder(Order order) {
        return inOrder.get(order);
    }

    /** The place of every section in an order that seats do not change; null for one that they do. */
    int @Nullable [] ranks(Order order) {
        return ranks.get(order);
    }

    /** The candidates whose section is cancelled. */
    public CandidateSet cancelled() {
        return cancelled;
    }

    /** The candidates of courses whose number, without letters, is one of these. */
    public CandidateSet numbered(int low, int high) {
        return numbers.atLeast(low).and(numbers.atMost(high));
    }

    /** Those of {@code some} whose course is {@code wanted}. */
    public CandidateSet ofCourses(CandidateSet some, Predicate<CourseCode> wanted) {
        return some.filter(candidate ->
                wanted.test(section(layout.sectionOf(candidate)).course().code()));
    }

    /** Whether some course has this word, as {@link CourseWords} finds words. */
    public boolean mentions(String word) {
        return words.has(word);
    }

    /** The same with a typo forgiven. */
    public boolean mentionsWithTypo(String word) {
        return !words.find(word).isEmpty();
    }

    public CandidateSet mentioning(String text) {
        BitSet found = words.find(text);
        return ofCourses(found.stream().mapToObj(courses::get).map(Course::code).toList());
    }

    public CandidateSet ofCourses(Collection<CourseCode> codes) {
        return ofSections(codes.stream().flatMap(code -> sectionsOfCourse.getOrDefault(code, List.of()).stream()));
    }

    public CandidateSet entered(Collection<EntryNumber> entries) {
        return ofSections(at(entries).stream());
    }

    /** The sections with these numbers, those left out that this edition does not have. */
    public List<SectionAt> at(Collection<EntryNumber> entries) {
        return entries.stream()
                .map(sectionOfEntry::get)
                .filter(Objects::nonNull)
                .toList();
    }

    /**
     * The candidates of some sections.
     *
     * @param places of the sections, in the order of the schedule
     * @param inSet whether also those that only have one of them in their set
     */
    CandidateSet ofSections(BitSet places, boolean inSet) {
        long[] bits = new long[layout.words()];
        places.stream()
                .mapToObj(SectionAt::new)
                .flatMap(section -> inSet ? layout.together(section) : layout.of(section))
                .forEach(candidate -> bits[candidate.word()] |= candidate.bit());
        return new CandidateSet(layout, bits);
    }

    private CandidateSet ofSections(Stream<SectionAt> wanted) {
        long[] bits = new long[layout.words()];
        wanted.flatMap(layout::of).forEach(candidate -> bits[candidate.word()] |= candidate.bit());
        return new CandidateSet(layout, bits);
    }
}
