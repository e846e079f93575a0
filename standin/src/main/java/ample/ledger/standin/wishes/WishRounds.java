package ample.ledger.standin.wishes;

import ample.ledger.core.plan.PostedSchedules;
import ample.ledger.core.registrar.Entry;
import ample.ledger.core.registrar.Registration;
import ample.ledger.core.registrar.RoundReport;
import ample.ledger.core.registrar.RoundStanding;
import ample.ledger.core.registrar.round.Ballot;
import ample.ledger.core.registrar.round.Contest;
import ample.ledger.core.registrar.round.Distribution;
import ample.ledger.core.registrar.round.Explanation;
import ample.ledger.core.registrar.round.Lottery;
import ample.ledger.core.registrar.round.RoundFile;
import ample.ledger.core.registrar.rules.Book;
import ample.ledger.core.registrar.rules.Fact;
import ample.ledger.core.registrar.rules.RoundName;
import ample.ledger.core.registrar.rules.WishRules;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.WishRound;
import ample.ledger.standin.wishes.WishMapper.WishRow;
import java.security.SecureRandom;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/**
 * The wish rounds of all terms. What changes them is done while nobody else decides: see {@link ample.ledger.standin.submission.Registry}.
 */
@Component
public class WishRounds {

    private static final int SEED_BYTES = 32;

    private final WishMapper mapper;
    private final JsonMapper json;
    private final Map<RoundName, Round> rounds = new LinkedHashMap<>();

    /** What was worked out once: it never changes. */
    private final Map<RoundName, RoundFile> files = new ConcurrentHashMap<>();

    private final Map<String, List<RoundStanding.Missed>> explained = new ConcurrentHashMap<>();

    WishRounds(PostedSchedules posted, WishMapper mapper, JsonMapper json) {
        this.mapper = mapper;
        this.json = json;
        posted.all()
                .forEach(schedule -> schedule.lists().wishRounds().forEach(round -> {
                    RoundName name = new RoundName(schedule.term().code().text(), round.code());
                    mapper.offerSeed(name.term(), name.code(), freshSeed());
                    rounds.put(
                            name, new Round(name, schedule, round, new Lottery(mapper.seed(name.term(), name.code()))));
                }));
    }

    /** A round as it is posted, and its lottery. */
    public record Round(RoundName name, Schedule schedule, WishRound posted, Lottery lottery) {

        Instant opens() {
            return moment(posted.opens());
        }

        Instant closes() {
            return moment(posted.closes());
        }

        private Instant moment(LocalDateTime wall) {
            return wall.atZone(schedule.institution().zone()).toInstant();
        }

        boolean isOpen(Instant now) {
            return !now.isBefore(opens()) && now.isBefore(closes());
        }
    }

    private static String freshSeed() {
        byte[] seed = new byte[SEED_BYTES];
        new SecureRandom().nextBytes(seed);
        return HexFormat.of().formatHex(seed);
    }

    public List<Round> all() {
        return List.copyOf(rounds.values());
    }

    public Optional<Round> of(RoundName name) {
        return Optional.ofNullable(rounds.get(name));
    }

    /**
     * Takes what a student wishes.
     *
     * @return why not, in a sentence; empty where it is taken
     */
    public Optional<String> wish(Round round, String student, List<String> groups, Instant now) {
        if (now.isBefore(round.opens())) {
            return Optional.of(
                    "Wishes are taken from %s on.".formatted(round.posted().opens()));
        }
        if (!now.isBefore(round.closes())) {
            return Optional.of("The period ended at %s: wishes are taken no more."
                    .formatted(round.posted().closes()));
        }
        String words = String.join(" ", groups);
        WishRow before = mapper.lastOf(round.name().term(), round.name().code(), student);
        if (before == null || !before.groups().equals(words)) {
            mapper.add(now, round.name().term(), round.name().code(), student, words);
        }
        return Optional.empty();
    }

    /** Whether anybody has ever said anything. */
    public boolean hasWishes(Round round) {
        return mapper.words(round.name().term(), round.name().code()) > 0;
    }

    private Map<String, List<String>> wishes(Round round) {
        Map<String, List<String>> wishes = new TreeMap<>();
        mapper.last(round.name().term(), round.name().code()).stream()
                .filter(row -> !row.groups().isEmpty())
                .forEach(row -> wishes.put(row.student(), groups(row)));
        return wishes;
    }

    private static List<String> groups(WishRow row) {
        return row.groups().isEmpty() ? List.of() : List.of(row.groups().split(" "));
    }

    /** The rounds whose period is over and whose places are not distributed, as far as this program knows. */
    public List<Round> due(Instant now) {
        return rounds.values().stream()
                .filter(round -> !now.isBefore(round.closes()))
                .filter(round -> !files.containsKey(round.name()))
                .toList();
    }

    /** Whether its places are distributed, by this program or by another. */
    public boolean isDecided(Round round) {
        return mapper.isDecided(round.name().term(), round.name().code());
    }

    /**
     * Distributes the places of a round by the wishes that count when its period ends. It is applied to the book.
     *
     * @param after the number of the last fact in the journal
     */
    public List<Fact> decide(Round round, Book book, WishRules rules, long after, Instant now) {
        WishRules.Counted counted =
                rules.count(book, round.name(), round.posted(), wishes(round), round.lottery(), round.closes());
        Distribution distribution = Distribution.of(counted.contest());
        RoundFile file =
                RoundFile.of(round.name().term(), round.posted(), now, round.lottery(), distribution, counted.struck());
        mapper.decide(round.name().term(), round.name().code(), now, after, json.writeValueAsString(file));
        List<Fact> facts = rules.register(book, round.name(), round.posted(), distribution, round.closes());
        mapper.changed(wishes(round).keySet().toArray(String[]::new));
        return facts;
    }

    /**
     * A round whose places are distributed.
     *
     * @param after the number of the last fact before it
     */
    public record Decided(Round round, long after, Distribution distribution) {}

    /** All that are distributed, the first first. */
    public List<Decided> decided() {
        List<Decided> decided = new ArrayList<>();
        for (WishMapper.ResultRow row : mapper.results()) {
            RoundName name = new RoundName(row.term(), row.round());
            of(name).ifPresent(round -> {
                RoundFile file = json.readValue(row.file(), RoundFile.class);
                files.put(name, file);
                decided.add(new Decided(round, row.after(), file.distribution()));
            });
        }
        return decided;
    }

    /** All that the places were distributed by; empty while they are not. */
    public Optional<RoundFile> file(RoundName name) {
        return Optional.ofNullable(files.get(name));
    }

    /** How a round stands as a whole. Before its places are distributed, as it would come out now, by another lottery. */
    public RoundReport report(Round round, Book book, WishRules rules, Instant now) {
        RoundFile file = files.get(round.name());
        String commitment = round.lottery().commitment();
        if (file != null) {
            return RoundReport.of(
                    round.name().term(),
                    round.name().code(),
                    commitment,
                    Optional.of(file.seed()),
                    Optional.of(file.decided()),
                    file.distribution(),
                    file.struck().size());
        }
        WishRules.Counted counted =
                rules.count(book, round.name(), round.posted(), wishes(round), new Lottery(commitment), now);
        return RoundReport.of(
                round.name().term(),
                round.name().code(),
                commitment,
                Optional.empty(),
                Optional.empty(),
                Distribution.of(counted.contest()),
                counted.struck().size());
    }

    /** How a round stands to a student who has {@code registration}. */
    public RoundStanding standing(Round round, String student, Registration registration) {
        WishRow last = mapper.lastOf(round.name().term(), round.name().code(), student);
        RoundFile file = files.get(round.name());
        return new RoundStanding(
                round.name().term(),
                round.name().code(),
                round.lottery().commitment(),
                last == null ? List.of() : groups(last),
                Optional.ofNullable(last).map(WishRow::at),
                file != null || round.posted().showsWishes() ? wished(round) : List.of(),
                Optional.ofNullable(file).map(known -> outcome(round, known, student, registration)));
    }

    private List<RoundStanding.Wished> wished(Round round) {
        Map<String, List<String>> wishes = wishes(round);
        return round.posted().groups().stream()
                .map(group -> new RoundStanding.Wished(
                        group.code(),
                        (int) wishes.values().stream()
                                .filter(groups -> groups.contains(group.code()))
                                .count(),
                        (int) wishes.values().stream()
                                .filter(groups -> groups.get(0).equals(group.code()))
                                .count()))
                .toList();
    }

    private RoundStanding.Outcome outcome(Round round, RoundFile file, String student, Registration registration) {
        Optional<RoundFile.Line> line = file.ballots().stream()
                .filter(each -> each.student().equals(student))
                .findFirst();
        return new RoundStanding.Outcome(
                file.decided(),
                file.seed(),
                line.map(RoundFile.Line::draw),
                line.flatMap(RoundFile.Line::got),
                round.posted().groups().stream()
                        .filter(group ->
                                Entry.of(round.name().term(), group).stream().allMatch(registration::isRegistered))
                        .map(WishRound.Group::code)
                        .findFirst(),
                file.struck().stream()
                        .filter(each -> each.student().equals(student))
                        .map(each -> new RoundStanding.Struck(each.group(), each.refusals()))
                        .toList(),
                line.isEmpty()
                        ? List.of()
                        : explained.computeIfAbsent(
                                round.name() + " " + student,
                                absent -> missed(file, file.ballots().indexOf(line.get()))));
    }

    private static List<RoundStanding.Missed> missed(RoundFile file, int ballot) {
        Contest contest = file.contest();
        Ballot own = contest.ballots().get(ballot);
        return Explanation.of(file.distribution(), ballot).missed().stream()
                .map(missed -> RoundStanding.Missed.of(
                        contest.groups().get(missed.group()).code(),
                        contest.groups().get(missed.group()).places(),
                        own.wishes().get(own.place(missed.group())).priority(),
                        missed,
                        file.classes()))
                .toList();
    }
}
