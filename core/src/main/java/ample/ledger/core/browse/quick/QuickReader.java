package ample.ledger.core.browse.quick;

import ample.ledger.core.browse.brief.Topic;
import ample.ledger.core.browse.index.Vocabulary;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;

/** Takes from a line of text, at one place after another, the longest stretch that means a condition. */
final class QuickReader {

    /** Behind something that is denied, these deny what comes next too: "no labs or fridays". */
    private static final Set<String> DENY_ON = Set.of("or", "nor");

    private final QuickLine line;
    private final QuickBrief brief;
    private final QuickNames names;
    private final QuickCourses courses;
    private final QuickSeats seats;
    private final QuickTimes times;
    private final QuickDays days;
    private final QuickDates dates;

    /** Where the last denial ended, and what it was about. */
    private int deniedUntil = -1;

    private Optional<Topic> deniedTopic = Optional.empty();

    /**
     * A stretch that was read.
     *
     * @param tokens how many words it has
     * @param topic of the condition that it became part of; empty where that cannot be asked for
     * @param denied whether it was turned round
     */
    record Taken(int tokens, Optional<Topic> topic, boolean denied) {}

    /** @param mentioned whether a word is in the title or the description of a course, rightly spelled */
    QuickReader(
            QuickWords words,
            Vocabulary vocabulary,
            List<QuickToken> tokens,
            QuickBrief brief,
            Predicate<String> mentioned) {
        this.line = new QuickLine(tokens);
        this.brief = brief;
        this.names = new QuickNames(line, words, mentioned);
        this.courses = new QuickCourses(line, vocabulary);
        this.seats = new QuickSeats(line);
        this.times = new QuickTimes(line, words.firstHour());
        this.days = new QuickDays(line, vocabulary.first().institution().week());
        this.dates = new QuickDates(line, vocabulary);
    }

    /** What begins at token {@code at}, put into the brief; empty where nothing does. */
    Optional<Taken> takeAt(int at) {
        if (goesOnDenying(at)) {
            return denied(at);
        }
        if (line.word(at).equals("free")
                && meant(at + 1).filter(QuickReader::canBeFree).isPresent()) {
            return denied(at);
        }
        if (!QuickWords.DENYING.contains(line.word(at))) {
            return meant(at).map(this::asked);
        }
        // A name may begin with such a word: "no prerequisite".
        Optional<Meant> named = names.at(at).filter(one -> one.tokens() > 1);
        return named.isPresent() ? named.map(this::asked) : denied(at);
    }

    /** "or" and "nor" behind a denial, and "and" before more of the same: "no labs and seminars". */
    private boolean goesOnDenying(int at) {
        if (at != deniedUntil) {
            return false;
        }
        return DENY_ON.contains(line.word(at))
                || line.word(at).equals("and")
                        && meant(afterJoining(at + 1)).map(Meant::topic).equals(deniedTopic);
    }

    private int afterJoining(int at) {
        int next = at;
        while (QuickWords.JOINING.contains(line.word(next))) {
            next++;
        }
        return next;
    }

    private Taken asked(Meant meant) {
        return taken(meant.tokens(), meant.asked(), false);
    }

    private Taken taken(int tokens, Optional<Meant.Effect> effect, boolean denied) {
        effect.ifPresent(one -> one.put().accept(brief));
        return new Taken(tokens, effect.map(Meant.Effect::topic), denied);
    }

    /** "no waitlist", "not at Tidewall", "nothing before 10". What cannot be denied is named together with its "not". */
    private Optional<Taken> denied(int at) {
        // "on" and "at" may belong to what comes: the reading that reaches farthest is right.
        int from = afterJoining(at + 1);
        Optional<Meant> next = Optional.empty();
        for (int start = at + 1; start <= from; start++) {
            int before = start - at;
            int longest = next.map(Meant::tokens).orElse(0);
            Optional<Meant> farther =
                    meant(start).map(one -> one.longer(before)).filter(one -> one.tokens() > longest);
            next = farther.isPresent() ? farther : next;
        }
        if (next.isEmpty()) {
            return Optional.empty();
        }
        Meant meant = next.get();
        deniedUntil = at + meant.tokens();
        deniedTopic = Optional.of(meant.topic());
        return Optional.of(taken(meant.tokens(), meant.denied(), true));
    }

    private Optional<Meant> meant(int at) {
        return first(at).map(one -> withOff(at, one));
    }

    private Optional<Meant> first(int at) {
        if (at >= line.size()) {
            return Optional.empty();
        }
        return courses.named(at)
                .or(() -> seats.at(at))
                .or(() -> names.at(at))
                .or(() -> courses.credits(at))
                .or(() -> dates.at(at))
                .or(() -> times.at(at))
                .or(() -> days.at(at))
                .or(() -> courses.figures(at))
                .or(() -> names.nearly(at));
    }

    /** "fridays off", "lunch free": turned round. */
    private Meant withOff(int at, Meant meant) {
        String next = line.word(at + meant.tokens());
        boolean free = next.equals("free")
                && canBeFree(meant)
                && !QuickWords.OF_MATERIALS.contains(line.word(at + meant.tokens() + 1));
        return next.equals("off") || free ? meant.turned().longer(1) : meant;
    }

    private static boolean canBeFree(Meant meant) {
        return meant.topic() == Topic.DAYS || meant.topic() == Topic.CLOSED || meant.topic() == Topic.TIMES;
    }
}
