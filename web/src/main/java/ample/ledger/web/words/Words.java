package ample.ledger.web.words;

import ample.ledger.core.calendar.ClockStyle;
import ample.ledger.core.calendar.DateRange;
import ample.ledger.core.calendar.Days;
import ample.ledger.core.calendar.Timing;
import ample.ledger.core.calendar.WeekForm;
import ample.ledger.core.plan.Clash;
import ample.ledger.core.reading.ClassHours;
import ample.ledger.core.schedule.Instructor;
import ample.ledger.core.schedule.Kind;
import ample.ledger.core.schedule.Meeting;
import ample.ledger.core.schedule.Place;
import ample.ledger.core.schedule.Section;
import ample.ledger.core.schedule.Span;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZonedDateTime;
import java.time.format.DateTimeFormatter;
import java.time.temporal.TemporalAccessor;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;

/** What is shown, in words and figures. A number always has its unit. */
public final class Words {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM", Locale.ENGLISH);
    private static final DateTimeFormatter DATE = DateTimeFormatter.ofPattern("EEE d MMM", Locale.ENGLISH);
    private static final DateTimeFormatter DATE_WITH_YEAR =
            DateTimeFormatter.ofPattern("EEE d MMM yyyy", Locale.ENGLISH);
    private static final DateTimeFormatter CLOCK = DateTimeFormatter.ofPattern("H:mm:ss", Locale.ENGLISH);
    private static final DateTimeFormatter MOMENT = DateTimeFormatter.ofPattern("EEE d MMM, H:mm", Locale.ENGLISH);

    private static final DateTimeFormatter MOMENT_OF_A_YEAR =
            DateTimeFormatter.ofPattern("EEE d MMM yyyy, H:mm", Locale.ENGLISH);

    private Words() {}

    /** "2,416". */
    public static String number(int number) {
        // Most figures need no comma, and a format costs as much as the rest of a line.
        return number > -1000 && number < 1000 ? Integer.toString(number) : "%,d".formatted(number);
    }

    /** "1st", "12th", "23rd". */
    public static String ordinal(int number) {
        int last = number % 10;
        boolean teen = number % 100 / 10 == 1;
        return number(number) + (teen ? "th" : last == 1 ? "st" : last == 2 ? "nd" : last == 3 ? "rd" : "th");
    }

    /** What an account takes away: "−612", or "0". */
    public static String less(int number) {
        return number == 0 ? "0" : "−" + number(number);
    }

    /** "1 section", "44 sections". */
    public static String count(int number, String noun) {
        return count(number, noun, noun + "s");
    }

    /** "1 near miss", "9 near misses". */
    public static String count(int number, String noun, String plural) {
        return number(number) + " " + (number == 1 ? noun : plural);
    }

    /**
     * "TIDE 214 T1 and LIMN 130 T1 clash: 20 minutes, 14 times, the first time on Wed 10 Sep."
     *
     * @param whose what is said of the second of them: " of your week"
     */
    public static String clash(Clash clash, String whose) {
        return "%s%s and %s%s clash: %s, %s, the first time on %s."
                .formatted(
                        clash.exam() ? "An exam: " : "",
                        clash.one(),
                        clash.other(),
                        whose,
                        count(clash.minutes(), "minute"),
                        clash.times() == 1 ? "once" : number(clash.times()) + " times",
                        date(clash.first()));
    }

    /** "4 credits", "1.5 credits". */
    public static String credits(BigDecimal credits) {
        String figure = credits.stripTrailingZeros().toPlainString();
        return figure + (figure.equals("1") ? " credit" : " credits");
    }

    /** "Sat 20 Sep". */
    public static String date(LocalDate date) {
        return DATE.format(date);
    }

    /** "20 Sep", on one line. */
    public static String day(LocalDate date) {
        return DAY.format(date).replace(' ', '\u00a0');
    }

    /** "Mon 8 Sep to Fri 19 Dec 2031". */
    public static String dates(DateRange range) {
        DateTimeFormatter first = range.first().getYear() == range.last().getYear() ? DATE : DATE_WITH_YEAR;
        return first.format(range.first()) + " to " + DATE_WITH_YEAR.format(range.last());
    }

    /** "Tue 17 Jun, 9:41". */
    public static String moment(TemporalAccessor moment) {
        return MOMENT.format(moment);
    }

    /** The same, with the year where it is another than {@code now}'s: "Tue 2 Mar 2032, 8:00". */
    public static String moment(LocalDateTime moment, LocalDateTime now) {
        return moment.getYear() == now.getYear() ? moment(moment) : MOMENT_OF_A_YEAR.format(moment);
    }

    /** "Mon Wed 9:30–10:50", "Every other Wed 14:30–16:30", "Sat 20 Sep 8:00–16:00" or "No set time, 2.5 h a week". */
    public static String when(Timing timing, ClockStyle clock) {
        if (timing instanceof Timing.Weekly weekly) {
            // Weeks are counted from the day that they begin with at the institution.
            String days = WeekForm.USUAL.from(weekly.counted().getDayOfWeek()).inOrder(weekly.days()).stream()
                            .map(Days::shortName)
                            .collect(Collectors.joining(" "))
                    + " " + clock.format(weekly.hours());
            return weekly.everyWeeks() == 1 ? days : "Every other " + days;
        }
        if (timing instanceof Timing.Once once) {
            return date(once.date()) + " " + clock.format(once.hours());
        }
        return "No set time, " + hours(((Timing.Arranged) timing).hoursPerWeek()) + " a week";
    }

    /** How many sections of a kind, by its name: "2 labs". An institution's own name stays as it is, for nobody here knows its plural. */
    public static String countOfKind(int count, String kindName) {
        boolean known =
                Arrays.stream(Kind.values()).anyMatch(kind -> kind.label().equals(kindName));
        String name = kindName.toLowerCase(Locale.ROOT);
        return known ? count(count, name) : number(count) + " " + name;
    }

    /** "9:41:07". */
    public static String clock(ZonedDateTime moment) {
        return CLOCK.format(moment);
    }

    /** "2.5 h". */
    public static String hours(BigDecimal hours) {
        return hours.stripTrailingZeros().toPlainString() + " h";
    }

    /** "78 h 18 min", "50 min", "2 h". */
    public static String duration(int minutes) {
        int hours = minutes / 60;
        int rest = minutes % 60;
        if (hours == 0) {
            return rest + " min";
        }
        return rest == 0 ? number(hours) + " h" : number(hours) + " h " + rest + " min";
    }

    /** The different places of a section's regular meetings, and its campus: "Sluice Hall 204, Tidewall; online". */
    public static String where(Section section) {
        List<Meeting> regular = section.meetings().stream()
                .filter(meeting -> !(meeting.timing() instanceof Timing.Once))
                .toList();
        List<Place> shown = (regular.isEmpty() ? section.meetings() : regular)
                .stream().map(Meeting::place).toList();
        List<Place> rooms =
                shown.stream().filter(place -> !(place instanceof Place.Online)).toList();
        boolean online = rooms.size() < shown.size();
        if (online && rooms.isEmpty()) {
            return "Online";
        }
        String places = rooms.stream().map(Place::inWords).distinct().collect(Collectors.joining("; "));
        return (places.isEmpty() ? "Place to be announced" : capitalised(places))
                + ", " + section.campus().name()
                + (online ? "; online" : "");
    }

    /** "Okonjo-Reyes, Brimsole", or "Instructor to be announced". */
    public static String who(Section section) {
        return section.instructors().isEmpty()
                ? "Instructor to be announced"
                : section.instructors().stream().map(Instructor::name).collect(Collectors.joining(", "));
    }

    /** In quotation marks; those within become single ones. */
    public static String quoted(String words) {
        return "“" + words.replace('“', '‘').replace('”', '’') + "”";
    }

    /** "once", "14 times". */
    public static String times(int count) {
        return count == 1 ? "once" : count(count, "time");
    }

    /** "14 wk" for what runs through all of {@code classes}, otherwise with the span's name: "First half, 7 wk"; number and unit stay together. */
    public static String runs(Span span, DateRange classes) {
        String weeks = span.dates().weeks() + "\u00a0wk";
        return span.dates().equals(classes) ? weeks : span.name() + ", " + weeks;
    }

    /** "29 meetings, 78 h 18 min in class", with "and 2.5 h a week at no set time" where there are such hours. */
    public static String inClass(ClassHours hours) {
        String timed = count(hours.meetings(), "meeting") + ", " + duration(hours.minutes()) + " in class";
        if (hours.arrangedPerWeek().signum() == 0) {
            return timed;
        }
        String arranged = hours(hours.arrangedPerWeek()) + " a week at no set time";
        return hours.meetings() == 0 ? arranged : timed + ", and " + arranged;
    }

    /** A place in the middle of a sentence: "online", "place to be announced", but "Sluice Hall 204". */
    public static String lowered(String place) {
        return place.equals("Online") || place.startsWith("Place") ? place.toLowerCase(Locale.ROOT) : place;
    }

    /** With its first letter in upper case. */
    public static String capitalised(String text) {
        return text.isEmpty() ? text : Character.toUpperCase(text.charAt(0)) + text.substring(1);
    }
}
