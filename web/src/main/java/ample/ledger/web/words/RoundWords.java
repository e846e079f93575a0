package ample.ledger.web.words;

import ample.ledger.core.registrar.Refusal;
import ample.ledger.core.registrar.RoundStanding;
import ample.ledger.core.registrar.RoundStanding.Outcome;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.WishRound;
import ample.ledger.core.schedule.WishRound.Rule;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Says of a wish round how its places are distributed, and why a student got what they got. */
public record RoundWords(WishRound round) {

    /**
     * A wish that was not fulfilled.
     *
     * @param name "1st wish, Ice caves"
     * @param why a sentence each
     */
    public record Missed(String name, List<String> why) {}

    /** The page of the round. */
    public String address(Schedule schedule) {
        return "/" + schedule.term().code() + "/rounds/" + round.code();
    }

    /** Until when it is open; or that its period has not begun, or is over. */
    public String period(LocalDateTime now) {
        if (now.isBefore(round.opens())) {
            return "Wishes are taken from %s to %s."
                    .formatted(Words.moment(round.opens(), now), Words.moment(round.closes(), now));
        }
        return round.isOpen(now)
                ? "Open until %s. Speed does not matter: you can change your wishes until then."
                        .formatted(Words.moment(round.closes(), now))
                : "The period ended on %s.".formatted(Words.moment(round.closes()));
    }

    /** How places are distributed, a sentence each. */
    public List<String> rule() {
        List<String> sentences = new ArrayList<>();
        if (round.rule() == Rule.MOST_PLACED) {
            sentences.add("As many students as possible get a place.");
            if (!round.criteria().isEmpty()) {
                sentences.add("Where not everybody can have one, those who come first have it.");
            }
            if (round.even()) {
                sentences.add("Groups are filled as evenly as that allows.");
            }
            sentences.add("Then wishes are fulfilled as high on the lists as possible, in all.");
            sentences.add("What is still open after that is decided by lottery.");
            sentences.add(
                    "The more groups you wish, the likelier you get a place. You may get a lower wish so that somebody else gets a place at all.");
        } else {
            sentences.add(
                    "Every place goes to the student who comes first among those who wish it and got no higher wish.");
            sentences.add("Who comes first is decided by the list below, and by lottery among equals.");
            sentences.add("Nobody loses a higher wish by adding a lower one: rank the groups as you really wish them.");
        }
        sentences.add("Everybody gets one group at most.");
        if (round.groups().stream().anyMatch(group -> group.least() > 0)) {
            sentences.add(
                    "A group with too few students does not come about. They are distributed again among the others.");
        }
        sentences.add("A place that you get is a registration. Give it back, and the next on the list has it.");
        round.meaning().ifPresent(sentences::add);
        return sentences;
    }

    /** Who comes first, the first first. */
    public List<String> classes() {
        return round.criteria().isEmpty()
                ? List.of()
                : Stream.concat(
                                round.criteria().stream()
                                        .map(criterion -> criterion.name()
                                                + criterion
                                                        .group()
                                                        .map(code -> ", for " + name(code))
                                                        .orElse("")),
                                Stream.of("Everybody else"))
                        .toList();
    }

    /** A group as it is called. */
    public String name(String code) {
        return round.group(code).map(WishRound.Group::name).orElse(code);
    }

    /** What a student got, in a sentence or two. */
    public String got(RoundStanding standing, Outcome outcome) {
        if (standing.wishes().isEmpty()) {
            return "The places are distributed. You wished nothing.";
        }
        Optional<String> got = outcome.got();
        String says = got.map(code -> "You got your %s wish: %s."
                        .formatted(Words.ordinal(standing.wishes().indexOf(code) + 1), name(code)))
                .orElse("You got no place.");
        return says + now(outcome);
    }

    /** What has changed since the places were distributed. */
    private String now(Outcome outcome) {
        if (outcome.got().equals(outcome.has())) {
            return outcome.has().isPresent() ? " You are registered." : "";
        }
        return outcome.has()
                .map(code -> " Since then a place in %s has come to you, and you are registered there."
                        .formatted(name(code)))
                .orElse(" You have given it back since.");
    }

    /** Each wish that did not count or was not fulfilled, and why. */
    public List<Missed> missed(RoundStanding standing, Outcome outcome) {
        List<Missed> all = new ArrayList<>();
        int got = outcome.got()
                .map(standing.wishes()::indexOf)
                .orElse(standing.wishes().size());
        for (int i = 0; i < got; i++) {
            String code = standing.wishes().get(i);
            String name = Words.ordinal(i + 1) + " wish, " + name(code);
            outcome.struck().stream()
                    .filter(struck -> struck.group().equals(code))
                    .findFirst()
                    .ifPresent(struck -> all.add(new Missed(
                            name,
                            Stream.concat(
                                            Stream.of("It did not count when the period ended:"),
                                            struck.refusals().stream().map(Refusal::words))
                                    .toList())));
            outcome.missed().stream()
                    .filter(missed -> missed.group().equals(code))
                    .findFirst()
                    .ifPresent(missed -> all.add(new Missed(name, why(missed, outcome))));
        }
        return all;
    }

    private List<String> why(RoundStanding.Missed missed, Outcome outcome) {
        List<String> why = new ArrayList<>();
        why.add("%s, %s it, %s of them most."
                .formatted(
                        Words.count(missed.places(), "place"),
                        Words.count(missed.wished(), "student wished", "students wished"),
                        missed.first()));
        why.add(decisive(missed, outcome));
        if (!missed.why().equals("not-held")) {
            why.add(
                    missed.oneMore()
                            ? "With one place more there you would have had it, or a higher wish."
                            : "One place more there would not have changed that.");
        }
        return why;
    }

    private String decisive(RoundStanding.Missed missed, Outcome outcome) {
        int count = missed.count().orElse(0);
        String drew = outcome.draw().map(draw -> "you drew " + draw).orElse("");
        return switch (missed.why()) {
            case "not-held" ->
                "It does not come about: %s would have been in it, and it needs %d."
                        .formatted(
                                Words.count(count, "student"),
                                round.group(missed.group())
                                        .map(WishRound.Group::least)
                                        .orElse(0));
            case "no-places" -> "It has no places.";
            case "outranked" ->
                outranked(missed, drew)
                        + (count == 0
                                ? ""
                                : " %s between them and you."
                                        .formatted(Words.count(count, "more student stands", "more students stand")));
            case "fewer-placed" ->
                "With you in it, %s fewer would have a place.".formatted(Words.count(count, "student"));
            case "fewer-of-class" ->
                "With you in it, one fewer of “%s” would have a place, and they come before you."
                        .formatted(missed.priority().orElse(""));
            case "less-even" -> "With you in it, the groups would be less even in size.";
            case "lower-wishes" ->
                "With you in it, the wishes that are fulfilled would stand lower on their lists, by %s in all."
                        .formatted(Words.count(count, "place"));
            case "by-lot" ->
                "It was decided by lottery: you could have it only if somebody who drew %d or a lower number got less; %s."
                        .formatted(missed.draw().orElse(0), drew);
            default -> "Your registrar gives another reason: " + missed.why() + ".";
        };
    }

    private static String outranked(RoundStanding.Missed missed, String drew) {
        int last = missed.draw().orElse(0);
        String of = missed.priority().orElse("");
        return of.equals(missed.own())
                ? "The last who got one%s drew %d in the lottery; %s."
                        .formatted(of.equals("Everybody else") ? "" : " is of “" + of + "” as you are, and", last, drew)
                : "The last who got one is of “%s”, and comes before you: you are of “%s”.".formatted(of, missed.own());
    }
}
