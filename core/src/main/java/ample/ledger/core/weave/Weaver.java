package ample.ledger.core.weave;

import ample.ledger.core.plan.Attendance;
import ample.ledger.core.plan.PostedSchedules;
import ample.ledger.core.schedule.CourseCode;
import ample.ledger.core.schedule.SeasonCode;
import java.time.DayOfWeek;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;

/** Finds all weeks that hold the wanted courses, how many there are, and the best of them. */
public final class Weaver {

    private static final int DAYS = 7;

    /** Of the work of one weaving, the part that finding the best is said to be; counting is the rest. */
    private static final double BEST_SHARE = 0.5;

    private final WeaveRequest request;
    private final Options options;

    /** By group what can be chosen; the last group is what is kept. */
    private final List<List<Options.Option>> groups;

    private final Compatibility compatibility;

    /** @param season the code of the season whose sections are taken */
    public Weaver(WeaveRequest request, SeasonCode season, PostedSchedules posted) {
        this(request, new Options(request, season, posted));
    }

    private Weaver(WeaveRequest request, Options options) {
        this.request = request;
        this.options = options;
        List<List<Options.Option>> open = new ArrayList<>();
        for (int want = 0; want < request.wants().size(); want++) {
            open.add(options.of(want).stream()
                    .filter(option -> option.broken().isEmpty())
                    .toList());
        }
        open.add(List.of(options.kept()));
        Compatibility all = compatibility(open);
        List<Integer> first = new ArrayList<>();
        this.groups = merged(open, all, first);
        this.compatibility = new Compatibility(
                groups.stream().mapToInt(List::size).toArray(),
                (one, other) -> all.together(first.get(one), first.get(other)));
    }

    /** @param proven whether there is none better that is not among them */
    public record Best(List<Weave> weeks, boolean proven) {}

    /**
     * What was found.
     *
     * @param count the weeks; those that differ only in sections of the same times are one there, and weighed by their variants
     * @param best the best first
     * @param proven whether there is none better that is not among them
     */
    public record Woven(Compatibility.Count count, List<Weave> best, boolean proven) {}

    /**
     * Weaves.
     *
     * @param season the code of the season whose sections are taken
     * @param most how many of the best weeks are wanted
     * @param watch may stop it; then the best so far are given, and they are not proven
     */
    public static Woven weave(WeaveRequest request, SeasonCode season, PostedSchedules posted, int most, Watch watch) {
        Weaver weaver = new Weaver(request, season, posted);
        Best best = weaver.best(most, part(watch, 0, BEST_SHARE));
        return new Woven(weaver.count(part(watch, BEST_SHARE, 1 - BEST_SHARE)), best.weeks(), best.proven());
    }

    /** The same, not solved. */
    public static WeaveModel model(WeaveRequest request, SeasonCode season, PostedSchedules posted) {
        Weaver weaver = new Weaver(request, season, posted);
        return new WeaveModel(
                weaver.compatibility,
                weaver.groups.stream()
                        .flatMap(List::stream)
                        .map(option -> WeaveModel.Option.of(option.footprint()))
                        .toList(),
                weaver.options.weeks().weeksOf());
    }

    /** Why there is no week, and what would give one. */
    public static Impossibility whyNone(WeaveRequest request, SeasonCode season, PostedSchedules posted) {
        return Impossibility.of(
                new Options(request, season, posted), request.wants().size());
    }

    /**
     * The best weeks alone, which is most of the time much sooner done than counting all of them.
     *
     * @param most how many are wanted
     * @param watch may stop it; then the best so far are given, and they are not proven
     */
    public Best best(int most, Watch watch) {
        BestWeeks.Result best = new BestWeeks(
                        compatibility,
                        groups.stream()
                                .flatMap(List::stream)
                                .map(Options.Option::footprint)
                                .toArray(Footprint[]::new),
                        options.wishing(),
                        options.weeks().weeksOf(),
                        most,
                        watch)
                .find();
        return new Best(best.best().stream().map(this::weave).toList(), best.exact());
    }

    /** How many weeks there are; those that differ only in sections of the same times are one, and weighed by their variants. */
    public Compatibility.Count count(Watch watch) {
        int[] weights = groups.stream()
                .flatMap(List::stream)
                .mapToInt(option -> Math.max(1, option.members().size()))
                .toArray();
        return compatibility.count(weights, watch);
    }

    private static Watch part(Watch watch, double from, double share) {
        return new Watch() {
            @Override
            public boolean stopped() {
                return watch.stopped();
            }

            @Override
            public void reached(double done) {
                watch.reached(from + share * done);
            }
        };
    }

    /**
     * With the options of a group as one that are alike in their times and in what they go with: rooms set them apart no more.
     *
     * @param all what goes together before that
     * @param firstOfEach gets the number there of the first of each
     */
    private List<List<Options.Option>> merged(
            List<List<Options.Option>> open, Compatibility all, List<Integer> firstOfEach) {
        List<List<Options.Option>> merged = new ArrayList<>();
        int first = 0;
        for (List<Options.Option> group : open) {
            int from = first;
            List<Integer> places = IntStream.range(0, group.size()).boxed().toList();
            Collection<List<Integer>> alike = Options.alike(
                    places,
                    place -> List.of(
                            course(group.get(place).first()),
                            options.times(group.get(place).first()),
                            Arrays.stream(all.row(from + place)).boxed().toList()));
            alike.forEach(some -> firstOfEach.add(from + some.get(0)));
            merged.add(alike.stream()
                    .map(some -> together(some.stream().map(group::get).toList()))
                    .toList());
            first += group.size();
        }
        return merged;
    }

    /** Of which course the set is; empty for one that holds nothing. */
    private static List<CourseCode> course(List<Attendance> set) {
        return set.stream()
                .limit(1)
                .map(attendance -> attendance.section().course().code())
                .toList();
    }

    private static Options.Option together(List<Options.Option> alike) {
        Options.Option best = Collections.min(
                alike, Comparator.comparingLong(option -> option.footprint().own()));
        List<Options.Option> others = new ArrayList<>(alike);
        others.remove(best);
        List<List<Attendance>> members = new ArrayList<>(best.members());
        others.forEach(option -> members.addAll(option.members()));
        return new Options.Option(best.courses(), members, best.broken(), best.footprint());
    }

    private Compatibility compatibility(List<List<Options.Option>> some) {
        List<Options.Option> all = some.stream().flatMap(List::stream).toList();
        // What is kept goes with every option that is open: those that do not are none.
        int kept = all.size() - 1;
        return new Compatibility(
                some.stream().mapToInt(List::size).toArray(),
                (one, other) -> other == kept || options.together(all.get(one), all.get(other)));
    }

    private Weave weave(BestWeeks.Found found) {
        List<Options.Option> chosen = new ArrayList<>();
        for (int group = 0; group < groups.size(); group++) {
            chosen.add(groups.get(group).get(found.options()[group] - compatibility.firstOf(group)));
        }
        List<Options.Option> wanted = chosen.subList(0, request.wants().size());
        return new Weave(
                wanted.stream().map(Options.Option::first).toList(),
                wanted.stream().map(Options.Option::members).toList(),
                found.points(),
                request.wishes().stream().map(wish -> measure(wish, chosen)).toList());
    }

    private Weave.Measure measure(Wish wish, List<Options.Option> chosen) {
        int[] weeksOf = options.weeks().weeksOf();
        long points = 0;
        for (int cell = 0; cell < weeksOf.length * DAYS; cell++) {
            int at = cell;
            long[] classes = chosen.stream()
                    .map(Options.Option::footprint)
                    .flatMapToLong(footprint -> IntStream.range(0, footprint.cells().length)
                            .filter(i -> footprint.cells()[i] == at)
                            .mapToLong(i -> footprint.classes()[i]))
                    .sorted()
                    .toArray();
            points += (long) weeksOf[cell / DAYS]
                    * options.wishing().points(wish, DayOfWeek.of(cell % DAYS + 1), classes, classes.length, 0);
        }
        int own = 0;
        for (int want = 0; want < request.wants().size(); want++) {
            own += options.own(wish, chosen.get(want).first(), want);
        }
        return new Weave.Measure(wish, (double) points / options.weeks().all() + own);
    }
}
