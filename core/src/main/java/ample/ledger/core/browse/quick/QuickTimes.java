package ample.ledger.core.browse.quick;

import ample.ledger.core.browse.brief.Topic;
import ample.ledger.core.calendar.Days;
import ample.ledger.core.calendar.WeekHours;
import java.time.LocalTime;
import java.util.Optional;
import java.util.Set;

/** Takes from a line of text what it says of times of day. */
final class QuickTimes {

    private static final Set<String> AFTER = Set.of("after", "from", "since", "past");
    private static final Set<String> BEFORE = Set.of("before", "until", "till", "by");
    private static final Set<String> TO = Set.of("to", "until", "till", "through", "thru", "-", "–");
    private static final Set<String> AT = Set.of("at", "around", "about");
    private static final LocalTime EARLY = LocalTime.of(9, 0);
    private static final LocalTime LATE_AFTERNOON = LocalTime.of(18, 0);
    private static final LocalTime EVENING = LocalTime.of(17, 0);
    private static final LocalTime AFTER_LUNCH = LocalTime.of(13, 0);

    /** Minutes: who meets at eight meets for so long from then on, at least. */
    private static final int A_MOMENT = 15;

    private final QuickLine line;
    private final int firstHour;

    /** @param firstHour that of which a student without "am" or "pm" means the morning */
    QuickTimes(QuickLine line, int firstHour) {
        this.line = line;
        this.firstHour = firstHour;
    }

    /** "after noon", "before 3pm", "between 9 and 12", "9-12", "mornings", "lunch", "8am". */
    Optional<Meant> at(int at) {
        return partOfDay(at)
                .or(() -> begun(at))
                .or(() -> bounded(at))
                .or(() -> range(at))
                .or(() -> single(at));
    }

    private Optional<Meant> partOfDay(int at) {
        String word = line.word(at).replaceFirst("s$", "");
        if (word.equals("early") && line.word(at + 1).matches("mornings?")) {
            return Optional.of(until(2, EARLY));
        }
        return switch (word) {
            case "morning" -> Optional.of(until(1, LocalTime.NOON));
            case "afternoon" -> Optional.of(window(1, LocalTime.NOON, LATE_AFTERNOON));
            case "evening", "night" -> Optional.of(from(1, EVENING));
            case "lunch", "lunchtime" -> {
                boolean apart = line.word(at + 1).matches("times?|hours?|break");
                Meant lunch = meeting(apart ? 2 : 1, LocalTime.NOON, AFTER_LUNCH, AFTER_LUNCH);
                // A break is what one has when there is no class.
                yield Optional.of(line.word(at + 1).equals("break") ? lunch.turned() : lunch);
            }
            default -> Optional.empty();
        };
    }

    private static Meant from(int tokens, LocalTime time) {
        return Meant.of(tokens, Topic.TIMES, brief -> brief.from(time))
                .denied(Topic.TIMES, brief -> brief.to(time, false));
    }

    private static Meant until(int tokens, LocalTime time) {
        return Meant.of(tokens, Topic.TIMES, brief -> brief.to(time, false))
                .denied(Topic.TIMES, brief -> brief.from(time));
    }

    private static Meant window(int tokens, LocalTime start, LocalTime end) {
        return Meant.of(tokens, Topic.TIMES, brief -> {
                    brief.from(start);
                    brief.to(end, false);
                })
                .denied(Topic.CLOSED, brief -> brief.closed(anyDay(start, end)));
    }

    /** It meets between {@code start} and {@code end}; denied, nothing meets until {@code free}. */
    private static Meant meeting(int tokens, LocalTime start, LocalTime end, LocalTime free) {
        return Meant.of(tokens, Topic.CLOSED, brief -> brief.meeting(anyDay(start, end)))
                .denied(Topic.CLOSED, brief -> brief.closed(anyDay(start, free)));
    }

    private static WeekHours anyDay(LocalTime start, LocalTime end) {
        int to = end.equals(LocalTime.MIDNIGHT) ? 24 * 60 : end.toSecondOfDay() / 60;
        return Days.ALL.list().stream()
                .map(day -> WeekHours.of(day, start.toSecondOfDay() / 60, to))
                .reduce(WeekHours.NONE, WeekHours::plus);
    }

    /** "starts after 10", "ends by 4". That it starts before some time a brief can only deny. */
    private Optional<Meant> begun(int at) {
        boolean starts = line.word(at).matches("start(s|ing)?|begin(s|ning)?");
        boolean ends = line.word(at).matches("end(s|ing)?|finish(es|ing)?");
        boolean after = AFTER.contains(line.word(at + 1));
        if (!starts && !ends || !after && !BEFORE.contains(line.word(at + 1))) {
            return Optional.empty();
        }
        return QuickTime.at(line.tokens(), at + 2).map(time -> {
            LocalTime likely = time.likely(firstHour);
            Meant meant = after ? from(2 + time.tokens(), likely) : until(2 + time.tokens(), likely);
            return starts == after ? meant : new Meant(meant.tokens(), meant.topic(), Optional.empty(), meant.denied());
        });
    }

    /** "after 3", "from 9 to 12", "before 15:30", "later than 3", "earlier than 10". */
    private Optional<Meant> bounded(int at) {
        String word = line.word(at);
        boolean than = line.word(at + 1).equals("than");
        boolean after = AFTER.contains(word) || than && word.equals("later");
        boolean before = BEFORE.contains(word) || than && word.equals("earlier");
        int lead = than ? 2 : 1;
        Optional<QuickTime> time = after || before ? QuickTime.at(line.tokens(), at + lead) : Optional.empty();
        if (time.isEmpty()) {
            return Optional.empty();
        }
        int count = lead + time.get().tokens();
        LocalTime likely = time.get().likely(firstHour);
        if (before) {
            boolean unsaid = time.get().half().isEmpty() && !time.get().exact();
            return Optional.of(Meant.of(count, Topic.TIMES, brief -> brief.to(likely, unsaid))
                    .denied(Topic.TIMES, brief -> brief.from(likely)));
        }
        Optional<QuickTime> end =
                TO.contains(line.word(at + count)) ? QuickTime.at(line.tokens(), at + count + 1) : Optional.empty();
        return end.isPresent()
                ? window(time.get(), end.get(), count + 1 + end.get().tokens())
                : Optional.of(from(count, likely));
    }

    private Optional<Meant> range(int at) {
        Optional<QuickTime.Range> joined = QuickTime.range(line.word(at));
        if (joined.isPresent()) {
            return window(joined.get().from(), joined.get().to(), 1);
        }
        int lead = line.word(at).equals("between") ? 1 : 0;
        Optional<QuickTime> from = QuickTime.at(line.tokens(), at + lead);
        if (from.isEmpty()) {
            return Optional.empty();
        }
        int joint = at + lead + from.get().tokens();
        boolean joins =
                TO.contains(line.word(joint)) || lead == 1 && line.word(joint).equals("and");
        Optional<QuickTime> to = joins ? QuickTime.at(line.tokens(), joint + 1) : Optional.empty();
        return to.flatMap(end -> window(from.get(), end, lead + from.get().tokens() + 1 + end.tokens()));
    }

    private Optional<Meant> window(QuickTime from, QuickTime to, int count) {
        LocalTime start = from.likely(firstHour);
        LocalTime end = to.after(start, firstHour);
        return start.isBefore(end) ? Optional.of(window(count, start, end)) : Optional.empty();
    }

    /** "8am", "at 15:30", "around noon": it meets then. Denied, nothing meets in the hour that begins then. */
    private Optional<Meant> single(int at) {
        int lead = AT.contains(line.word(at)) ? 1 : 0;
        return QuickTime.at(line.tokens(), at + lead)
                .filter(QuickTime::isClearlyATime)
                .map(time -> {
                    LocalTime start = onCell(time.likely(firstHour));
                    return meeting(lead + time.tokens(), start, start.plusMinutes(A_MOMENT), hourAfter(start));
                });
    }

    private static LocalTime onCell(LocalTime time) {
        return time.minusMinutes(time.getMinute() % WeekHours.MINUTES);
    }

    private static LocalTime hourAfter(LocalTime start) {
        LocalTime end = start.plusHours(1);
        return end.isBefore(start) ? LocalTime.MIDNIGHT : end;
    }
}
