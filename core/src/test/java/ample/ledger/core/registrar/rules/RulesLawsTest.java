package ample.ledger.core.registrar.rules;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.fixtures.RandomSchedules;
import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.plan.CompleteSets;
import ample.ledger.core.plan.PostedSchedules;
import ample.ledger.core.readiness.Foretold;
import ample.ledger.core.readiness.Readiness;
import ample.ledger.core.readiness.Steps;
import ample.ledger.core.readiness.Steps.Step;
import ample.ledger.core.registrar.Answer;
import ample.ledger.core.registrar.Answer.Outcome;
import ample.ledger.core.registrar.Entry;
import ample.ledger.core.registrar.Refusal;
import ample.ledger.core.registrar.Registration;
import ample.ledger.core.registrar.Request;
import ample.ledger.core.requirement.StudentRecord;
import ample.ledger.core.schedule.Course;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.SeatPool;
import ample.ledger.core.schedule.Section;
import ample.ledger.core.schedule.StudentGroup.About;
import java.math.BigDecimal;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.lifecycle.AfterContainer;

/** Random students ask random things of random schedules, hour after hour. */
class RulesLawsTest {

    private static final Map<String, String> PROGRAMMES =
            Map.of("ada", "glaciology", "ben", "tidal-engineering", "cleo", "", "dora", "glaciology", "eli", "");
    private static final int MOST_CREDITS = 6;
    private static final int HOURS = 24;
    private static final Map<Outcome, Integer> SEEN = new EnumMap<>(Outcome.class);
    private static final Set<String> REASONS = new TreeSet<>();

    @Property(tries = 600)
    void everyAnswerIsThatOfAPlainReading(@ForAll("schedules") Schedule schedule, @ForAll Random dice) {
        PostedSchedules posted = new PostedSchedules(List.of(schedule));
        Map<String, Registrant> students = students(schedule);
        Rules rules = new Rules(posted, Duration.ofHours(HOURS), name -> Optional.ofNullable(students.get(name)));
        Book book = rules.book();
        pools(schedule).keySet().forEach(pool -> book.pool(new PoolName("autumn-2031", pool)));
        PlainRegistrar plain = new PlainRegistrar(schedule, PROGRAMMES, MOST_CREDITS, HOURS);
        List<Fact> journal = new ArrayList<>();
        Instant now = Schedules.NOW.toInstant(ZoneOffset.UTC);
        plain.seats().time(now);
        journal.addAll(rules.due(book, now));
        for (int i = 0; i < 40; i++) {
            String student = List.copyOf(new TreeMap<>(PROGRAMMES).keySet()).get(dice.nextInt(PROGRAMMES.size()));
            Request request = request(schedule, book.registration(student, now), dice);
            boolean foretell = dice.nextInt(4) == 0;
            Optional<Answer> foretold =
                    foretell ? foretold(posted, students.get(student), book, request, now) : Optional.empty();

            Decision decision = rules.submit(book, students.get(student), request, now);
            Set<String> why = plain.ask(student, request, now);

            assertThat(codes(decision.answer()))
                    .as("%s asks %s", student, request)
                    .isEqualTo(why);
            foretold.ifPresent(answer -> assertThat(answer).isEqualTo(decision.answer()));
            journal.addAll(decision.facts());
            SEEN.merge(decision.answer().outcome(), 1, Integer::sum);
            REASONS.addAll(why);
            if (dice.nextInt(8) == 0) {
                now = now.plus(Duration.ofHours(dice.nextInt(20)));
                plain.seats().time(now);
                journal.addAll(rules.due(book, now));
            }
            assertThat(counts(schedule, book)).isEqualTo(plain.seats().counts());
            nothingIsOversold(schedule, book);
        }
        Book again = rules.book();
        pools(schedule).keySet().forEach(pool -> again.pool(new PoolName("autumn-2031", pool)));
        journal.forEach(again::apply);
        assertThat(counts(schedule, again)).isEqualTo(counts(schedule, book));
        for (String student : PROGRAMMES.keySet()) {
            assertThat(again.registration(student, now)).isEqualTo(book.registration(student, now));
        }
    }

    /** By what the student and this program can know: how seats stand and what the student has. */
    private static Optional<Answer> foretold(
            PostedSchedules posted, Registrant who, Book book, Request request, Instant now) {
        Registration has = book.registration(who.student(), now);
        Foretold foretold =
                new Foretold(posted, who, has, pool -> book.pool(pool).standing());
        Step step = new Step(
                request.set().stream()
                        .map(entry -> entry.in(posted).orElseThrow())
                        .toList(),
                Optional.of(request));
        return Readiness.of(new Steps(List.of(step), List.of()), foretold, now)
                .lines()
                .get(0)
                .now();
    }

    private static Set<String> codes(Answer answer) {
        return answer.refusals().stream().map(Refusal::code).collect(Collectors.toCollection(TreeSet::new));
    }

    private static Map<String, String> counts(Schedule schedule, Book book) {
        Map<String, String> counts = new TreeMap<>();
        pools(schedule).forEach((code, posted) -> {
            SeatPool.Count count = book.pool(new PoolName("autumn-2031", code)).count();
            counts.put(code, count.enrolled() + "/" + count.promised() + "/" + count.waiting());
        });
        return counts;
    }

    private static Map<String, SeatPool> pools(Schedule schedule) {
        return schedule.sections().stream()
                .map(Section::pool)
                .collect(Collectors.toMap(SeatPool::code, pool -> pool, (one, same) -> one));
    }

    /** A pool that was posted with more than it holds takes nobody else. */
    private static void nothingIsOversold(Schedule schedule, Book book) {
        pools(schedule).forEach((code, posted) -> {
            SeatPool.Count count = book.pool(new PoolName("autumn-2031", code)).count();
            int posteds = posted.count().enrolled() + posted.count().promised();
            assertThat(count.enrolled() + count.promised()).isLessThanOrEqualTo(Math.max(posted.capacity(), posteds));
        });
    }

    private static Request request(Schedule schedule, Registration has, Random dice) {
        List<Entry> set = some(schedule, dice);
        List<Entry> own = new ArrayList<>(has.registered());
        has.waiting().forEach(waiting -> own.add(waiting.place().part()));
        has.offers().forEach(offer -> own.add(offer.part()));
        Collections.shuffle(own, dice);
        if (!has.offers().isEmpty() && dice.nextInt(3) > 0) {
            List<Entry> offered = has.offers().get(0).set();
            return dice.nextInt(4) == 0 ? Request.drop(offered) : Request.takeUp(offered);
        }
        return switch (dice.nextInt(10)) {
            case 0, 1, 2, 3 -> Request.register(set);
            case 4, 5 -> Request.wait(set);
            case 6, 7 -> own.isEmpty() ? Request.drop(set) : Request.drop(own.subList(0, 1 + dice.nextInt(own.size())));
            case 8 -> Request.takeUp(set);
            default ->
                has.registered().isEmpty()
                        ? Request.register(set)
                        : Request.swap(
                                has.registered()
                                        .subList(
                                                0,
                                                1
                                                        + dice.nextInt(
                                                                has.registered().size())),
                                set);
        };
    }

    /** A complete set of a course; at times a section less, or any section. */
    private static List<Entry> some(Schedule schedule, Random dice) {
        Course course = schedule.courses().get(dice.nextInt(schedule.courses().size()));
        List<List<Section>> sets = CompleteSets.of(schedule, course.code());
        List<Section> set = new ArrayList<>(
                sets.isEmpty() || dice.nextInt(8) == 0
                        ? List.of(schedule.sections()
                                .get(dice.nextInt(schedule.sections().size())))
                        : sets.get(dice.nextInt(sets.size())));
        if (set.size() > 1 && dice.nextInt(8) == 0) {
            set.remove(dice.nextInt(set.size()));
        }
        return set.stream()
                .map(section -> new Entry("autumn-2031", section.entry().digits()))
                .toList();
    }

    private static Map<String, Registrant> students(Schedule schedule) {
        Map<String, Registrant> students = new HashMap<>();
        PROGRAMMES.forEach((name, programme) -> students.put(
                name,
                new Registrant(
                        StudentsOnFile.with(
                                StudentsOnFile.file(name, programme),
                                schedule.term().code().text(),
                                Optional.empty(),
                                Optional.of(MOST_CREDITS)),
                        new StudentRecord(
                                Set.of(StudentRecord.Part.values()),
                                List.of(),
                                Optional.of(BigDecimal.valueOf(46)),
                                Optional.of(2),
                                Set.of(),
                                Set.of(),
                                programme.isEmpty() ? Map.of() : Map.of(About.PROGRAMME, Set.of(programme))))));
        return students;
    }

    @AfterContainer
    static void everythingCameUp() {
        assertThat(SEEN.values())
                .hasSize(3)
                .allSatisfy(times -> assertThat(times).isGreaterThan(300));
        assertThat(REASONS)
                .contains(
                        "already-registered",
                        "already-waiting",
                        "cancelled",
                        "clash",
                        "companion-missing",
                        "full",
                        "full-waitlist-open",
                        "not-full",
                        "not-registered",
                        "offer-lapsed",
                        "over-limit",
                        "restricted",
                        "same-course",
                        "waitlist-full");
    }

    @Provide
    Arbitrary<Schedule> schedules() {
        return RandomSchedules.schedules();
    }
}
