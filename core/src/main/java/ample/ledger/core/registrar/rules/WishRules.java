package ample.ledger.core.registrar.rules;

import ample.ledger.core.plan.Attendance;
import ample.ledger.core.plan.PostedSchedules;
import ample.ledger.core.registrar.Entry;
import ample.ledger.core.registrar.Refusal;
import ample.ledger.core.registrar.Refusal.Reason;
import ample.ledger.core.registrar.Request.Act;
import ample.ledger.core.registrar.round.Ballot;
import ample.ledger.core.registrar.round.Contest;
import ample.ledger.core.registrar.round.Distribution;
import ample.ledger.core.registrar.round.Lottery;
import ample.ledger.core.registrar.round.RoundFile;
import ample.ledger.core.registrar.round.Succession;
import ample.ledger.core.schedule.WishRound;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.IntStream;

/**
 * What goes for wish rounds: which wishes count, who is registered because of them, and who has the place that somebody gives back. A place asks for all that a
 * registration asks for, but that registration has opened to the student, and that a seat is free to everybody.
 */
public final class WishRules {

    private static final Set<Optional<Reason>> NOT_ASKED =
            Set.of(Optional.of(Reason.NOT_YET_OPEN), Optional.of(Reason.BY_WISHES));

    private final PostedSchedules posted;
    private final Function<String, Optional<Registrant>> students;

    WishRules(PostedSchedules posted, Function<String, Optional<Registrant>> students) {
        this.posted = posted;
        this.students = students;
    }

    /**
     * The wishes of a round that count, as the places are distributed by them.
     *
     * @param struck those that do not: the student could not have the place
     */
    public record Counted(Contest contest, List<RoundFile.Struck> struck) {

        public Counted {
            struck = List.copyOf(struck);
        }
    }

    /** What stands against a place in a group for a student who has none in its round; none where nothing does. Whether there are seats is not asked. */
    public List<Refusal> against(Book book, Registrant who, RoundName round, WishRound.Group group, Instant now) {
        return against(book, who, Entry.of(round.term(), group), List.of(), now);
    }

    /** The codes of the groups of a round that a student could have, in its order. Whether there are seats is not asked. */
    public List<String> possible(Book book, RoundName name, WishRound round, String student, Instant now) {
        return students.apply(student).stream()
                .flatMap(who -> round.groups().stream()
                        .filter(group -> against(book, who, name, group, now).isEmpty()))
                .map(WishRound.Group::code)
                .toList();
    }

    private List<Refusal> against(Book book, Registrant who, List<Entry> set, List<Entry> instead, Instant now) {
        return having(book, who, set, instead, now)
                .decide(one -> Optional.of(""), WishRules::isAsked)
                .answer()
                .refusals();
    }

    private Having having(Book book, Registrant who, List<Entry> set, List<Entry> instead, Instant now) {
        return new Having(new Asked(posted, book, who, attendances(set), attendances(instead), now), Act.SWAP);
    }

    private List<Attendance> attendances(List<Entry> entries) {
        return entries.stream().flatMap(entry -> entry.in(posted).stream()).toList();
    }

    private static boolean isAsked(Refusal refusal) {
        return !NOT_ASKED.contains(refusal.reason());
    }

    /**
     * Which wishes count at a moment, and in what order students come.
     *
     * @param wishes by student the codes of groups, the most wished first; at least one each
     * @param lottery in which everybody draws who has a wish, whether it counts or not
     */
    public Counted count(
            Book book,
            RoundName name,
            WishRound round,
            Map<String, List<String>> wishes,
            Lottery lottery,
            Instant now) {
        Map<String, Integer> draws = lottery.draws(wishes.keySet());
        List<Ballot> ballots = new ArrayList<>();
        List<RoundFile.Struck> struck = new ArrayList<>();
        wishes.forEach((student, ranked) -> {
            Optional<Registrant> who = students.apply(student);
            List<Ballot.Wish> counting = new ArrayList<>();
            for (String code : ranked) {
                WishRound.Group group = round.group(code).orElseThrow();
                List<Refusal> refusals =
                        who.map(some -> against(book, some, name, group, now)).orElse(List.of());
                if (who.isPresent() && refusals.isEmpty()) {
                    counting.add(new Ballot.Wish(round.groups().indexOf(group), priority(round, group, who.get())));
                } else {
                    struck.add(new RoundFile.Struck(student, code, refusals));
                }
            }
            if (!counting.isEmpty()) {
                ballots.add(new Ballot(student, draws.getOrDefault(student, 0), counting));
            }
        });
        return new Counted(new Contest(round.rule(), round.even(), groups(book, name.term(), round), ballots), struck);
    }

    /** The class of a student for a place in a group, 0 for the highest: the first criterion that speaks of them, or one after all. */
    public static int priority(WishRound round, WishRound.Group group, Registrant who) {
        return IntStream.range(0, round.criteria().size())
                .filter(each -> round.criteria().get(each).isFor(group)
                        && who.belongsTo(round.criteria().get(each).who()))
                .findFirst()
                .orElse(round.criteria().size());
    }

    /** No more places than there are seats, also where two groups share some. */
    private List<Contest.Group> groups(Book book, String term, WishRound round) {
        Map<PoolName, Integer> left = new HashMap<>();
        List<Contest.Group> groups = new ArrayList<>();
        for (WishRound.Group group : round.groups()) {
            List<PoolName> pools = attendances(Entry.of(term, group)).stream()
                    .map(PoolName::of)
                    .toList();
            int places = group.places();
            for (PoolName pool : pools) {
                places = Math.min(
                        places,
                        Math.max(
                                0,
                                left.computeIfAbsent(
                                        pool, name -> book.pool(name).free())));
            }
            for (PoolName pool : pools) {
                left.merge(pool, -places, Integer::sum);
            }
            groups.add(
                    group.least() > places
                            ? new Contest.Group(group.code(), 0, 0)
                            : new Contest.Group(group.code(), places, group.least()));
        }
        return groups;
    }

    /** Registers everybody who has got a place. All of it is applied to the book. */
    public List<Fact> register(Book book, RoundName name, WishRound round, Distribution distribution, Instant now) {
        book.distributed(name, round, distribution);
        List<Fact> facts = new ArrayList<>();
        for (int ballot = 0; ballot < distribution.got().size(); ballot++) {
            int group = distribution.got().get(ballot);
            if (group >= 0) {
                facts.addAll(place(book, name, ballot, group, now));
            }
        }
        return facts;
    }

    /** Nothing happens where a seat is missing, or something has come between. */
    private List<Fact> place(Book book, RoundName name, int ballot, int group, Instant now) {
        RoundBook round = book.round(name).orElseThrow();
        String student = round.contest().ballots().get(ballot).student();
        OptionalInt from = round.of(student);
        List<Fact> facts = having(
                        book,
                        students.apply(student).orElseThrow(),
                        round.sections(group),
                        from.isPresent() ? round.sections(from.getAsInt()) : List.of(),
                        now)
                .decide(one -> seat(book, one), WishRules::isAsked)
                .facts();
        facts.forEach(book::apply);
        return facts;
    }

    private static Optional<String> seat(Book book, Attendance one) {
        return book.pool(PoolName.of(one)).free() > 0 ? Optional.of("") : Optional.empty();
    }

    /**
     * Gives places that were given back to the next. All of it is applied to the book.
     *
     * @param happened what has just been applied to the book
     */
    List<Fact> succeed(Book book, List<Fact> happened, Instant now) {
        List<Fact> facts = new ArrayList<>();
        for (Map.Entry<RoundName, RoundBook> one : book.rounds().entrySet()) {
            RoundBook round = one.getValue();
            Set<Integer> free = new LinkedHashSet<>();
            for (Fact fact : happened) {
                if (fact.kind() == Fact.Kind.DROPPED) {
                    round.groupOf(fact.part()).ifPresent(free::add);
                }
            }
            for (int group : free) {
                facts.addAll(succeed(book, one.getKey(), round, group, now));
            }
        }
        return facts;
    }

    private boolean mayMove(Book book, RoundBook round, int ballot, int group, Instant now) {
        String student = round.contest().ballots().get(ballot).student();
        OptionalInt from = round.of(student);
        return against(
                        book,
                        students.apply(student).orElseThrow(),
                        round.sections(group),
                        from.isPresent() ? round.sections(from.getAsInt()) : List.of(),
                        now)
                .isEmpty();
    }

    private List<Fact> succeed(Book book, RoundName name, RoundBook round, int group, Instant now) {
        List<Integer> has = round.has();
        List<Succession.Move> moves = Succession.of(
                round.contest(),
                has,
                group,
                (ballot, to) -> !round.gaveBack(ballot) && mayMove(book, round, ballot, to, now));
        List<Fact> facts = new ArrayList<>();
        for (Succession.Move move : moves) {
            List<Fact> some = place(book, name, move.ballot(), move.to(), now);
            if (some.isEmpty()) {
                break;
            }
            facts.addAll(some);
        }
        return facts;
    }
}
