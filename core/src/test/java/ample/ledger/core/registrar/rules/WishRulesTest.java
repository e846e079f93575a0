package ample.ledger.core.registrar.rules;

import static ample.ledger.core.registrar.rules.StudentsOnFile.file;
import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.exchange.ScheduleBundle;
import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.plan.PostedSchedules;
import ample.ledger.core.readiness.Foretold;
import ample.ledger.core.registrar.Answer;
import ample.ledger.core.registrar.Entry;
import ample.ledger.core.registrar.Hold;
import ample.ledger.core.registrar.Refusal;
import ample.ledger.core.registrar.Refusal.Reason;
import ample.ledger.core.registrar.Registration;
import ample.ledger.core.registrar.Request;
import ample.ledger.core.registrar.StudentFile;
import ample.ledger.core.registrar.round.Ballot;
import ample.ledger.core.registrar.round.Contest;
import ample.ledger.core.registrar.round.Distribution;
import ample.ledger.core.registrar.round.Lottery;
import ample.ledger.core.registrar.round.RoundFile;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.WishRound;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.TreeMap;
import java.util.stream.IntStream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

/** Wishes that count, the registrations that come of them, and places that are given back, on the rounds of the demo. */
class WishRulesTest {

    private static final Schedule AUTUMN = ScheduleBundle.read(
                    Schedules.repository().resolve("demo/bundles/autumn-2031-3"))
            .schedule();
    private static final PostedSchedules POSTED = Schedules.alone(AUTUMN);
    private static final WishRound FIELD = round("field-courses");
    private static final WishRound SEMINARS = round("speaking-seminars");
    private static final Instant CLOSES = Instant.parse("2031-06-24T17:00:00Z");
    private static final Hold HOLD =
            new Hold("The library", "registering", "Two books are overdue.", LocalDate.of(2031, 6, 2), "");

    private static WishRound round(String code) {
        return AUTUMN.round(code).orElseThrow();
    }

    private static RoundName name(WishRound round) {
        return new RoundName("autumn-2031", round.code());
    }

    private static List<Entry> sections(WishRound.Group group) {
        return Entry.of("autumn-2031", group);
    }

    /** A world of some students: each has wishes, some a hold, and some a section that clashes with a group. */
    private static final class World {

        final Map<String, Registrant> students = new TreeMap<>();
        final Map<String, List<String>> wishes = new TreeMap<>();
        final Rules rules = new Rules(POSTED, Duration.ofHours(24), name -> Optional.ofNullable(students.get(name)));
        final Book book = rules.book();
        final List<Fact> facts = new ArrayList<>();

        World(WishRound round, int size, Random random) {
            for (int i = 0; i < size; i++) {
                String student = "s" + i;
                StudentFile plain = file(student, random.nextInt(3) == 0 ? "glaciology" : "cartography");
                students.put(
                        student,
                        Registrant.of(random.nextInt(9) == 0 ? StudentsOnFile.with(plain, HOLD) : plain, POSTED));
                List<String> codes = new ArrayList<>(
                        round.groups().stream().map(WishRound.Group::code).toList());
                Collections.shuffle(codes, random);
                wishes.put(student, codes.subList(0, 1 + random.nextInt(codes.size())));
            }
        }

        WishRules.Counted counted(WishRound round) {
            return rules.wishes().count(book, name(round), round, wishes, new Lottery("a seed"), CLOSES);
        }

        Distribution distribute(WishRound round) {
            Distribution distribution = Distribution.of(counted(round).contest());
            facts.addAll(rules.wishes().register(book, name(round), round, distribution, CLOSES));
            return distribution;
        }

        boolean has(String student, WishRound.Group group) {
            return book.registration(student, CLOSES).registered().containsAll(sections(group));
        }

        Answer ask(String student, Request request) {
            Decision decision = rules.submit(
                    book, Optional.ofNullable(students.get(student)).orElseThrow(), request, CLOSES.plusSeconds(60));
            facts.addAll(decision.facts());
            return decision.answer();
        }
    }

    private static List<Reason> reasons(Answer answer) {
        return answer.refusals().stream()
                .flatMap(refusal -> refusal.reason().stream())
                .toList();
    }

    @Test
    void untilTheRoundEndsPlacesCanOnlyBeWished() {
        Registrant maris = Registrant.of(file("maris", "glaciology"), POSTED);
        Rules rules = new Rules(POSTED, Duration.ofHours(24), name -> Optional.of(maris));
        Request register = Request.register(sections(FIELD.groups().get(0)));

        Answer before = rules.decide(rules.book(), maris, register, CLOSES.minusSeconds(1))
                .answer();
        assertThat(reasons(before)).containsExactly(Reason.BY_WISHES);
        assertThat(before.refusals().get(0).words())
                .isEqualTo(
                        "Its places are distributed by wishes, in the round “Field courses in ice and fungi” until Tue 24 Jun 2031, 18:00.");
        assertThat(reasons(rules.decide(
                                rules.book(),
                                maris,
                                Request.wait(sections(FIELD.groups().get(0))),
                                CLOSES.minusSeconds(1))
                        .answer()))
                .contains(Reason.BY_WISHES);
        assertThat(rules.decide(rules.book(), maris, register, CLOSES).answer()).isEqualTo(Answer.DONE);
    }

    @Property(tries = 15)
    void whoGetsAPlaceIsRegisteredAndNobodyElse(@ForAll long seed) {
        Random random = new Random(seed);
        for (WishRound round : List.of(FIELD, SEMINARS)) {
            World world = new World(round, 20 + random.nextInt(150), random);
            WishRules.Counted counted = world.counted(round);
            Distribution distribution = world.distribute(round);

            assertThat(distribution.contest()).isEqualTo(counted.contest());
            List<Ballot> ballots = counted.contest().ballots();
            for (int i = 0; i < ballots.size(); i++) {
                int got = distribution.got().get(i);
                String student = ballots.get(i).student();
                for (int group = 0; group < round.groups().size(); group++) {
                    assertThat(world.has(student, round.groups().get(group))).isEqualTo(group == got);
                }
            }
            assertThat(counted.struck())
                    .extracting(RoundFile.Struck::student)
                    .allMatch(student -> ballots.stream()
                            .noneMatch(ballot -> ballot.student().equals(student)));
            withinTheSeats(world, round);
            fromTheFacts(world, round, distribution);
        }
    }

    private static void withinTheSeats(World world, WishRound round) {
        round.groups().stream()
                .flatMap(group -> sections(group).stream())
                .map(entry -> PoolName.of(entry.in(POSTED).orElseThrow()))
                .forEach(pool -> assertThat(world.book.pool(pool).free()).isNotNegative());
    }

    /** As the registry makes its book again when it starts. */
    private static void fromTheFacts(World world, WishRound round, Distribution distribution) {
        Book again = world.rules.book();
        again.distributed(name(round), round, distribution);
        world.facts.forEach(again::apply);
        world.students
                .keySet()
                .forEach(student -> assertThat(again.registration(student, CLOSES))
                        .isEqualTo(world.book.registration(student, CLOSES)));
        assertThat(again.round(name(round)).orElseThrow().has())
                .isEqualTo(world.book.round(name(round)).orElseThrow().has());
    }

    /** What readiness says of a group before is why a wish for it does not count, word for word. */
    @Property(tries = 15)
    void whatIsForetoldIsWhyWishesDoNotCount(@ForAll long seed) {
        World world = new World(FIELD, 12, new Random(seed));
        List<RoundFile.Struck> struck = world.counted(FIELD).struck();
        world.wishes.forEach((student, codes) -> {
            Foretold foretold = new Foretold(
                    POSTED,
                    Optional.ofNullable(world.students.get(student)).orElseThrow(),
                    Registration.nothing(CLOSES),
                    pool -> AUTUMN.pool(pool.code()).orElseThrow());
            for (String code : codes) {
                List<Refusal> said =
                        foretold.againstPlace(AUTUMN, FIELD, FIELD.group(code).orElseThrow());
                assertThat(struck.stream()
                                .filter(each -> each.student().equals(student)
                                        && each.group().equals(code))
                                .map(RoundFile.Struck::refusals)
                                .findFirst()
                                .orElse(List.of()))
                        .isEqualTo(said);
            }
        });
    }

    /**
     * After any number of places were given back, of those who gave none back: nobody without a place wishes one that is free. By priority, nobody wishes a
     * free place more than what they have, and nobody has a place that somebody who comes before them wishes more. Where groups are to be even, some that have a
     * place may wish a free one more.
     */
    @Property(tries = 12)
    void whatIsGivenBackGoesToTheNext(@ForAll long seed) {
        Random random = new Random(seed);
        for (WishRound round : List.of(FIELD, SEMINARS)) {
            World world = new World(round, 60 + random.nextInt(60), random);
            Distribution distribution = world.distribute(round);
            RoundBook book = world.book.round(name(round)).orElseThrow();
            List<Ballot> ballots = distribution.contest().ballots();
            List<String> gaveBack = new ArrayList<>();
            for (int turn = 0; turn < 8; turn++) {
                Ballot ballot = ballots.get(random.nextInt(ballots.size()));
                int has = book.has().get(ballots.indexOf(ballot));
                if (has >= 0) {
                    assertThat(world.ask(
                                    ballot.student(),
                                    Request.drop(sections(round.groups().get(has)))))
                            .isEqualTo(Answer.DONE);
                    gaveBack.add(ballot.student());
                    assertThat(book.has().get(ballots.indexOf(ballot))).isEqualTo(-1);
                }
            }
            nobodyIsPassedOver(round, distribution, book.has(), gaveBack);
            withinTheSeats(world, round);
            fromTheFacts(world, round, distribution);
        }
    }

    private static void nobodyIsPassedOver(
            WishRound round, Distribution distribution, List<Integer> has, List<String> gaveBack) {
        Contest contest = distribution.contest();
        for (int i = 0; i < has.size(); i++) {
            Ballot ballot = contest.ballots().get(i);
            if (gaveBack.contains(ballot.student()) || round.equals(SEMINARS) && has.get(i) >= 0) {
                continue;
            }
            int place = has.get(i) < 0 ? ballot.wishes().size() : ballot.place(has.get(i));
            for (Ballot.Wish wish : ballot.wishes().subList(0, place)) {
                int group = wish.group();
                int size = (int) has.stream().filter(each -> each == group).count();
                if (distribution.closed(group).isEmpty()) {
                    assertThat(size)
                            .as("no place is free in %s", contest.groups().get(group))
                            .isGreaterThanOrEqualTo(contest.groups().get(group).places());
                    if (round.equals(FIELD)) {
                        assertThat(IntStream.range(0, has.size())
                                        .filter(other -> has.get(other) == group)
                                        .mapToObj(contest.ballots()::get))
                                .allMatch(other -> comesFirst(other, ballot, group));
                    }
                }
            }
        }
    }

    private static boolean comesFirst(Ballot one, Ballot other, int group) {
        int first = one.wishes().get(one.place(group)).priority();
        int second = other.wishes().get(other.place(group)).priority();
        return first < second || first == second && one.draw() < other.draw();
    }

    /** Whoever has the file finds out that it was tampered with. */
    @Property(tries = 12)
    void theFileTellsWhatComesOutOtherwise(@ForAll long seed) {
        Random random = new Random(seed);
        for (WishRound round : List.of(FIELD, SEMINARS)) {
            World world = new World(round, 60 + random.nextInt(60), random);
            WishRules.Counted counted = world.counted(round);
            RoundFile file = RoundFile.of(
                    "autumn-2031",
                    round,
                    CLOSES,
                    new Lottery("a seed"),
                    Distribution.of(counted.contest()),
                    counted.struck());

            assertThat(file.faults()).isEmpty();
            assertThat(file.contest()).isEqualTo(counted.contest());
            assertThat(with(file, "another seed", file.ballots()).faults()).isNotEmpty();
            List<RoundFile.Line> lines = new ArrayList<>(file.ballots());
            RoundFile.Line one = lines.get(random.nextInt(lines.size()));
            lines.set(
                    lines.indexOf(one),
                    new RoundFile.Line(
                            one.student(),
                            one.draw(),
                            one.wishes(),
                            one.got().isPresent()
                                    ? Optional.empty()
                                    : Optional.of(one.wishes().get(0).group())));
            assertThat(with(file, file.seed(), lines).faults()).hasSize(1);
        }
    }

    private static RoundFile with(RoundFile file, String seed, List<RoundFile.Line> ballots) {
        return new RoundFile(
                file.term(),
                file.round(),
                file.rule(),
                file.even(),
                file.decided(),
                seed,
                file.commitment(),
                file.classes(),
                file.groups(),
                ballots,
                file.struck(),
                file.closed());
    }
}
