package ample.ledger.web.plan;

import ample.ledger.core.calendar.ClockStyle;
import ample.ledger.core.calendar.Days;
import ample.ledger.core.calendar.WeekFrame;
import ample.ledger.core.plan.Attendance;
import ample.ledger.core.plan.PlannedWeek;
import ample.ledger.core.schedule.Course;
import ample.ledger.core.schedule.CourseCode;
import ample.ledger.core.schedule.SeasonCode;
import ample.ledger.core.weave.Compatibility;
import ample.ledger.core.weave.Demand;
import ample.ledger.core.weave.Weave;
import ample.ledger.core.weave.WeaveRequest;
import ample.ledger.core.weave.Weaver;
import ample.ledger.core.weave.Wish;
import ample.ledger.web.guest.Kept;
import ample.ledger.web.plan.WeavePage.Choice;
import ample.ledger.web.plan.WeavePage.Woven;
import ample.ledger.web.term.Terms;
import ample.ledger.web.visit.Visit;
import java.time.DayOfWeek;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Reads what is to be woven, has it woven, and says what came of it. */
@Component
class WeavePages {

    private static final int MOST_VARIANTS = 3;
    private static final int EXAMPLES = 3;

    /** So many wishes can be chosen at once; when all are, there is room for one more. */
    private static final int FEW_WISHES = 3;

    private final Terms terms;
    private final WeaveJobs jobs;

    WeavePages(Terms terms, WeaveJobs jobs) {
        this.terms = terms;
        this.jobs = jobs;
    }

    /**
     * What is woven, for the page and for its drawing.
     *
     * @param weeks those that are shown, the best first
     */
    record Result(WeavePage page, List<Weave> weeks) {}

    Result weave(WeekAsk ask, PlannedWeek week, Visit visit, WeaveJobs.Asker asker) {
        return new Reading(ask, week, visit, asker).result();
    }

    /** One request read. */
    private final class Reading {

        private final WeaveReading reading;
        private final WeekAsk ask;
        private final WeaveAsk weave;
        private final PlannedWeek week;
        private final Kept kept;
        private final ClockStyle clock;
        private final WeekFrame frame;
        private final WeaveWords words;
        private final List<Demand.Want> wants;
        private final WeaveJobs.Asker asker;

        Reading(WeekAsk ask, PlannedWeek week, Visit visit, WeaveJobs.Asker asker) {
            this.asker = asker;
            this.reading = new WeaveReading(terms, ask, week, visit);
            this.ask = ask;
            this.weave = ask.weave();
            this.week = week;
            this.kept = visit.kept();
            this.clock = visit.preferences().clock();
            this.frame =
                    visit.preferences().frame(week.posted().ofSeason(week.plan().season()));
            this.words = new WeaveWords(clock);
            this.wants = weave.asked() ? reading.wanted().wants() : List.of();
        }

        Result result() {
            if (!weave.asked()) {
                return nothing("");
            }
            if (wants.isEmpty() && reading.faults().isEmpty()) {
                reading.faults()
                        .add("Enter the courses you want, as in “%s, %s or %s”.".formatted((Object[]) examples()));
            }
            if (!reading.faults().isEmpty()) {
                return nothing("");
            }
            WeaveRequest request = reading.request(wants);
            if (!reading.faults().isEmpty()) {
                return nothing("");
            }
            WeaveJobs.Job job = jobs.job(reading.key(), asker, running -> weave(request, running));
            return job.result()
                    .map(done -> done(done, job.share()))
                    .orElseGet(() -> nothing(
                            job.waits()
                                    ? "Other weeks are being woven. Yours starts as soon as one of them is done."
                                    : "%d %% of the weeks checked.".formatted(Math.round(job.share() * 100))));
        }

        private WeaveJobs.Done weave(WeaveRequest request, WeaveJobs.Job running) {
            SeasonCode season = week.plan().season();
            Weaver weaver = new Weaver(request, season, week.posted());
            Weaver.Best best = weaver.best(WeaveAsk.MANY, running);
            if (!best.weeks().isEmpty()) {
                running.show(new WeaveJobs.Done(
                        new Weaver.Woven(new Compatibility.Count(0, 0, false), best.weeks(), best.proven()),
                        false,
                        Optional.empty()));
            }
            Weaver.Woven woven = new Weaver.Woven(weaver.count(running), best.weeks(), best.proven());
            boolean none = woven.count().exact() && woven.count().choices() == 0;
            return new WeaveJobs.Done(
                    woven, true, none ? Optional.of(Weaver.whyNone(request, season, week.posted())) : Optional.empty());
        }

        /** Three courses that have sections, as they are written; some of them twice where there are fewer. */
        private String[] examples() {
            List<String> written = week.posted().ofSeason(week.plan().season()).stream()
                    .flatMap(schedule -> schedule.sections().stream())
                    .map(section -> section.course().written())
                    .distinct()
                    .limit(EXAMPLES)
                    .toList();
            return IntStream.range(0, EXAMPLES)
                    .mapToObj(at -> written.isEmpty() ? "" : written.get(at % written.size()))
                    .toArray(String[]::new);
        }

        /** The part without weeks. */
        private Result nothing(String progress) {
            return new Result(page(progress, "", List.of(), "", List.of(), List.of()), List.of());
        }

        private Result done(WeaveJobs.Done done, double share) {
            Weaver.Woven woven = done.woven();
            List<Weave> shown = woven.best().stream().limit(weave.most()).toList();
            boolean more = woven.best().size() > shown.size();
            Tones tones = new Tones(week, shown);
            WeavePictures pictures = new WeavePictures(frame, week, shown, tones);
            return new Result(
                    page(
                            done.counted() ? "" : "Counting: %d %% done.".formatted(Math.round(share * 100)),
                            words.count(woven, done.counted()),
                            IntStream.range(0, shown.size())
                                    .mapToObj(i -> woven(i + 1, shown.get(i), pictures))
                                    .toList(),
                            more ? ask.weaving(weave.more()).address() + "#weave" : "",
                            done.why().stream()
                                    .flatMap(why -> why.conflicts().stream())
                                    .map(words::conflict)
                                    .toList(),
                            done.why().stream()
                                    .flatMap(why -> why.loosenings().stream())
                                    .map(this::loosening)
                                    .toList()),
                    shown);
        }

        private Choice loosening(List<Demand> given) {
            String address = reading.without(given, wants)
                    .filter(looser -> !looser.courses().isEmpty())
                    .map(looser -> ask.weaving(looser).address() + "#weave")
                    .orElse("");
            return new Choice(address, words.loosening(given), false);
        }

        private Woven woven(int number, Weave found, WeavePictures pictures) {
            List<Attendance> coming = found.sections();
            List<Attendance> leaving = week.attended().stream()
                    .filter(attendance -> !week.goingOn().contains(attendance))
                    .filter(attendance ->
                            wanted().contains(attendance.section().course().code()))
                    .toList();
            boolean shown = weave.shown() == number;
            long variants = found.variantCount();
            return new Woven(
                    number,
                    words.reasons(found, wants),
                    pictures.bars(Stream.concat(
                                    coming.stream(),
                                    week.attended().stream().filter(attendance -> !leaving.contains(attendance)))
                            .toList()),
                    pictures.days(),
                    ask.weaving(weave.showing(shown ? 0 : number)).address() + "#bands",
                    shown,
                    PlanTokens.of(leaving, ask.term()),
                    PlanTokens.of(coming, ask.term()),
                    sections(found),
                    variants == 1 ? "" : words.big(variants) + " variants of the same times");
        }

        /** Of each want what is taken, and which sections of the same times could be taken instead. */
        private List<String> sections(Weave found) {
            return IntStream.range(0, found.sets().size())
                    .filter(want -> !found.sets().get(want).isEmpty())
                    .mapToObj(want -> names(found.sets().get(want)) + instead(found, want))
                    .toList();
        }

        private String instead(Weave found, int want) {
            List<List<Attendance>> others = found.variants().get(want).stream()
                    .filter(set -> !set.equals(found.sets().get(want)))
                    .toList();
            String shown = others.stream()
                    .limit(MOST_VARIANTS)
                    .map(set -> set.stream()
                            .map(attendance -> attendance.section().code())
                            .collect(Collectors.joining(" with ")))
                    .collect(Collectors.joining(", "));
            return (others.isEmpty() ? "" : ", or " + shown)
                    + (others.size() > MOST_VARIANTS ? " and " + (others.size() - MOST_VARIANTS) + " more" : "");
        }

        private static String names(List<Attendance> set) {
            return set.stream().map(Object::toString).collect(Collectors.joining(" with "));
        }

        private List<CourseCode> wanted() {
            return wants.stream()
                    .flatMap(want -> want.courses().stream())
                    .map(Course::code)
                    .toList();
        }

        private WeavePage page(
                String progress,
                String count,
                List<Woven> weeks,
                String more,
                List<String> conflicts,
                List<Choice> loosenings) {
            WeaveAsk shown = new WeaveAsk(
                    weave.asked(),
                    reading.courses(),
                    weave.wishes(),
                    weave.pinned(),
                    weave.refused(),
                    weave.closed(),
                    weave.brief(),
                    weave.full(),
                    weave.most(),
                    weave.shown());
            return new WeavePage(
                    shown,
                    List.of(examples()),
                    List.copyOf(reading.faults()),
                    wishes(),
                    pins(),
                    briefs(),
                    progress,
                    progress.isEmpty() ? "" : ask.address(),
                    progress.isEmpty() ? "" : reading.key(),
                    count,
                    weeks,
                    more,
                    conflicts,
                    loosenings);
        }

        private List<List<Choice>> wishes() {
            List<Wish> all = new ArrayList<>();
            all.add(new Wish.DaysFree(Days.ALL));
            for (DayOfWeek day : frame.form().inOrder(frame.form().workdays())) {
                all.add(new Wish.DaysFree(Days.of(day)));
            }
            IntStream.of(9, 10, 11, 12).forEach(hour -> all.add(new Wish.NotBefore(LocalTime.of(hour, 0))));
            IntStream.of(14, 15, 16, 17, 18).forEach(hour -> all.add(new Wish.NotAfter(LocalTime.of(hour, 0))));
            all.addAll(List.of(Wish.Plain.values()));
            reading.wanted().people().forEach(name -> all.add(new Wish.TaughtBy(name)));
            List<List<Choice>> places = new ArrayList<>();
            int fields = Math.min(
                    WeaveReading.WISHES, Math.max(FEW_WISHES, weave.wishes().size() + 1));
            for (int place = 0; place < fields; place++) {
                String chosen = place < weave.wishes().size() ? weave.wishes().get(place) : "";
                List<Choice> choices = new ArrayList<>();
                choices.add(new Choice("", "nothing more", chosen.isEmpty()));
                Stream.concat(all.stream(), Wish.parse(chosen).filter(wish -> !all.contains(wish)).stream())
                        .forEach(wish -> choices.add(new Choice(
                                wish.code(), wish.inWords(clock), wish.code().equals(chosen))));
                places.add(choices);
            }
            return places;
        }

        private List<Choice> pins() {
            return Stream.concat(week.taken().stream(), week.waitedFor().stream())
                    .map(attendance -> {
                        String token = PlanTokens.of(attendance, ask.term());
                        return new Choice(
                                token, attendance.toString(), weave.pinned().contains(token));
                    })
                    .toList();
        }

        private List<Choice> briefs() {
            return kept.briefs().stream()
                    .map(brief -> new Choice(
                            brief.address(), brief.name(), brief.address().equals(weave.brief())))
                    .toList();
        }
    }
}
