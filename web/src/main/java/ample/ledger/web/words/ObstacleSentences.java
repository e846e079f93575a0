package ample.ledger.web.words;

import ample.ledger.core.calendar.ClockStyle;
import ample.ledger.core.plan.Attendance;
import ample.ledger.core.plan.BusyTime;
import ample.ledger.core.plan.Clash;
import ample.ledger.core.plan.Engagement;
import ample.ledger.core.plan.Obstacle;
import ample.ledger.core.plan.Stay;
import ample.ledger.core.plan.Travel;
import java.time.format.TextStyle;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;

/** Says what stands in the way of a plan, in a sentence. */
public record ObstacleSentences(ClockStyle clock) {

    public String of(Obstacle obstacle) {
        if (obstacle instanceof Obstacle.SameTime same) {
            return sameTime(same.clash());
        }
        if (obstacle instanceof Obstacle.NoTimeToTravel none) {
            return travel(none.travel());
        }
        if (obstacle instanceof Obstacle.ManyExams many) {
            return manyExams(many);
        }
        if (obstacle instanceof Obstacle.SameCourse same) {
            return "%s and %s are the same course%s; one of them is enough."
                    .formatted(
                            same.one(),
                            same.other(),
                            same.one().leads()
                                    ? ""
                                    : ", two of one choice ("
                                            + same.one()
                                                    .section()
                                                    .companion()
                                                    .orElseThrow()
                                                    .choice() + ")");
        }
        if (obstacle instanceof Obstacle.SharedListing shared) {
            return "%s and %s are one class posted under two subjects: credit counts once, under the subject you register in."
                    .formatted(shared.one(), shared.other());
        }
        if (obstacle instanceof Obstacle.CreditOnce once) {
            return "%s beside %s gives no credit twice: %s"
                    .formatted(once.one(), once.other(), once.equivalent().sentence());
        }
        if (obstacle instanceof Obstacle.LacksCompanion lacks) {
            return "%s needs a %s with it.".formatted(lacks.lead(), lacks.choice());
        }
        if (obstacle instanceof Obstacle.LacksLead lacks) {
            return lacks.foreign().isEmpty()
                    ? "%s must be taken with another section of its course, and none is in this plan."
                            .formatted(lacks.companion())
                    : "%s does not go with %s: it belongs to another."
                            .formatted(lacks.companion(), names(lacks.foreign()));
        }
        if (obstacle instanceof Obstacle.LacksCorequisite lacks) {
            return "%s: %s".formatted(lacks.attendance(), lacks.corequisite().sentence());
        }
        if (obstacle instanceof Obstacle.LacksPrerequisite lacks) {
            return prerequisite(lacks);
        }
        if (obstacle instanceof Obstacle.OverLoad over) {
            return "%s in %s are an over-load: it begins above %s. %s"
                    .formatted(
                            Words.credits(over.credits()),
                            over.term().name(),
                            Words.credits(over.rule().credits()),
                            over.rule().meaning().orElse(""))
                    .strip();
        }
        return toKnow(obstacle);
    }

    private static String prerequisite(Obstacle.LacksPrerequisite lacks) {
        String asks = lacks.attendance() + " needs " + lacks.prerequisite().sentence();
        return switch (lacks.verdict()) {
            case UNKNOWN -> asks + " We cannot check here whether you meet that.";
            case SUPPOSED -> asks + " That is met if the what-if lines come true.";
            case NEEDS_PERMISSION -> asks + " Somebody must be asked.";
            case NOT_MET, MET, WAIVED, IN_PROGRESS, PLANNED -> asks + " The record does not meet it.";
        };
    }

    private String toKnow(Obstacle obstacle) {
        if (obstacle instanceof Obstacle.OtherCampus other) {
            return "%s is at %s, not at the home campus %s."
                    .formatted(
                            other.attendance(),
                            other.attendance().section().campus().name(),
                            other.home().name());
        }
        if (obstacle instanceof Obstacle.OtherCalendar other) {
            return "%s follows another calendar, %s: %s."
                    .formatted(
                            other.attendance(),
                            other.attendance().term().name(),
                            Words.dates(other.attendance().section().span().dates()));
        }
        if (obstacle instanceof Obstacle.DuringOwnExam during) {
            return "The exam of %s is held during %s on %s. Ask the instructors which of the two will move."
                    .formatted(
                            during.exam(),
                            during.held().equals(during.exam()) ? "its own class" : during.held(),
                            Words.date(during.date()));
        }
        if (obstacle instanceof Obstacle.IsCancelled cancelled) {
            return "%s is cancelled.".formatted(cancelled.attendance());
        }
        Obstacle.NoLongerPosted gone = (Obstacle.NoLongerPosted) obstacle;
        return "Entry number %s is no longer posted.".formatted(gone.pick().entry());
    }

    private String sameTime(Clash clash) {
        String days = clash.hours().stream()
                .flatMap(hours -> hours.days().list().stream())
                .distinct()
                .sorted(Comparator.naturalOrder())
                .map(day -> day.getDisplayName(TextStyle.FULL, Locale.ENGLISH) + "s")
                .collect(Collectors.joining(" and "));
        String times = clash.times() == 1
                ? "once, on " + Words.date(clash.first())
                : "%s times%s, the first on %s"
                        .formatted(
                                Words.number(clash.times()),
                                days.isEmpty() || clash.exam() ? "" : " on " + days,
                                Words.date(clash.first()));
        return "%s%s and %s are held at the same time: %s shared, %s."
                .formatted(
                        clash.exam() ? "An exam: " : "",
                        who(clash.one()),
                        who(clash.other()),
                        Words.count(clash.minutes(), "minute"),
                        times);
    }

    private static String who(Engagement engagement) {
        return engagement instanceof BusyTime busy ? "your “" + busy.label() + "”" : engagement.toString();
    }

    private String travel(Travel travel) {
        return "From %s (until %s) to %s (from %s) it takes %s %s, and there are %s: %s, the first on %s."
                .formatted(
                        travel.from() + exam(travel.left()),
                        clock.format(travel.left().time().end()),
                        travel.to() + exam(travel.reached()),
                        clock.format(travel.reached().time().start()),
                        Words.count(travel.way().minutes(), "minute"),
                        "by " + travel.way().means(),
                        travel.minutes() == 0 ? "none" : String.valueOf(travel.minutes()),
                        Words.times(travel.dates().size()),
                        Words.date(travel.dates().first()))
                .replace("by on foot", "on foot");
    }

    private static String exam(Stay stay) {
        return stay.exam() ? ", exam" : "";
    }

    private String manyExams(Obstacle.ManyExams many) {
        String exams = many.exams().stream()
                .distinct()
                .map(attendance -> attendance
                        + attendance.stays().stream()
                                .filter(stay -> stay.exam() && stay.dates().contains(many.date()))
                                .map(stay -> " at " + clock.format(stay.time().start()))
                                .collect(Collectors.joining(" and")))
                .collect(Collectors.joining(", "));
        return "%s on %s: %s."
                .formatted(
                        Words.capitalised(inLetters(many.exams().size()) + " exams"), Words.date(many.date()), exams);
    }

    private static String inLetters(int number) {
        return switch (number) {
            case 2 -> "two";
            case 3 -> "three";
            case 4 -> "four";
            default -> String.valueOf(number);
        };
    }

    private static String names(List<Attendance> attendances) {
        return attendances.stream().map(Object::toString).collect(Collectors.joining(" and "));
    }
}
