package ample.ledger.web.ready;

import ample.ledger.core.calendar.ClockStyle;
import ample.ledger.core.plan.Attendance;
import ample.ledger.core.plan.Load;
import ample.ledger.core.readiness.Readiness;
import ample.ledger.core.readiness.Readiness.Line;
import ample.ledger.core.reading.StatusReading;
import ample.ledger.core.registrar.Answer;
import ample.ledger.core.registrar.Entry;
import ample.ledger.core.registrar.Refusal;
import ample.ledger.core.registrar.Refusal.Reason;
import ample.ledger.core.registrar.StudentFile;
import ample.ledger.core.requirement.Evaluation;
import ample.ledger.core.schedule.Corequisite;
import ample.ledger.core.schedule.CourseCode;
import ample.ledger.core.schedule.PostedPrerequisite;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Term;
import ample.ledger.web.ready.ReadyPage.Cell;
import ample.ledger.web.visit.StandingWords;
import ample.ledger.web.visit.Visit;
import ample.ledger.web.words.Words;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** The word in each cell of Readiness. What the registrar would refuse stands in the column that it belongs to. */
final class CellWords {

    private final AtRegistrar student;
    private final Readiness readiness;
    private final Instant now;

    CellWords(AtRegistrar student, Readiness readiness, Instant now) {
        this.student = student;
        this.readiness = readiness;
        this.now = now;
    }

    private static List<Refusal> of(Line line, Reason... reasons) {
        return line.then().stream()
                .flatMap(answer -> answer.refusals().stream())
                .filter(refusal -> refusal.reason()
                        .filter(Arrays.asList(reasons)::contains)
                        .isPresent())
                .toList();
    }

    private static List<String> words(List<Refusal> refusals) {
        return refusals.stream().map(Refusal::words).distinct().toList();
    }

    /** Hold, restriction, opening, last day to add. */
    Cell open(Line line) {
        if (line.step().request().isEmpty()) {
            return Cell.met("yes");
        }
        List<Refusal> not = of(
                line,
                Reason.HOLD,
                Reason.RESTRICTED,
                Reason.CLOSED,
                Reason.CANCELLED,
                Reason.BY_WISHES,
                Reason.NOT_YET_OPEN);
        if (!not.isEmpty()) {
            return Cell.fails(not.get(0).reason().map(CellWords::openWord).orElse("no"), words(not));
        }
        if (line.opened().isAfter(now)) {
            Schedule schedule = line.step().lead().schedule();
            LocalDateTime from = LocalDateTime.ofInstant(
                    line.opened(), schedule.institution().zone());
            return Cell.later("from " + Words.moment(from, student.visit().now(schedule)));
        }
        return Cell.met("yes");
    }

    private static String openWord(Reason reason) {
        return switch (reason) {
            case HOLD -> "a hold";
            case RESTRICTED -> "not to you";
            case CLOSED -> "closed";
            case CANCELLED -> "cancelled";
            case BY_WISHES -> "by wishes";
            default -> "not yet";
        };
    }

    Cell prerequisite(Line line) {
        List<Refusal> not = of(line, Reason.PREREQUISITE, Reason.NEEDS_PERMISSION);
        if (!not.isEmpty()) {
            return Cell.fails(
                    not.get(0).is(Reason.NEEDS_PERMISSION) ? "a permission" : "not met",
                    not.stream().flatMap(refusal -> refusal.what().stream()).toList());
        }
        List<PostedPrerequisite> posted =
                line.step().lead().section().course().rules().prerequisites();
        if (posted.isEmpty()) {
            return Cell.met("none");
        }
        Evaluation.Verdict worst = posted.stream()
                .flatMap(one -> one.expression().stream())
                .map(condition -> evaluation(line)
                        .judge(line.step().lead().section().course(), condition)
                        .verdict())
                .max(Evaluation.Verdict::compareTo)
                .orElse(Evaluation.Verdict.UNKNOWN);
        String[] sentences = posted.stream().map(PostedPrerequisite::sentence).toArray(String[]::new);
        return worst == Evaluation.Verdict.UNKNOWN
                ? Cell.plain("the department decides", sentences)
                : Cell.met(worst == Evaluation.Verdict.PLANNED ? "taken beside" : worst.label(), sentences);
    }

    private Evaluation evaluation(Line line) {
        Set<CourseCode> beside = Stream.concat(
                        readiness.lines().stream().flatMap(other -> other.sections().stream()),
                        student.has().registered().stream().flatMap(entry -> entry.in(student.posted()).stream()))
                .map(one -> one.section().course().code())
                .collect(Collectors.toSet());
        return new Evaluation(student.who().record(), beside, line.step().lead().schedule());
    }

    /** What it must be taken with, and what takes its place. */
    Cell with(Line line) {
        List<Refusal> not = of(
                line,
                Reason.COREQUISITE,
                Reason.COMPANION_MISSING,
                Reason.COMPANION_OF_ANOTHER,
                Reason.SAME_COURSE,
                Reason.TWIN,
                Reason.EXCLUDED);
        if (!not.isEmpty()) {
            return Cell.fails(not.get(0).reason().map(CellWords::withWord).orElse("no"), words(not));
        }
        List<Corequisite> corequisites =
                line.step().lead().section().course().rules().corequisites();
        return corequisites.isEmpty()
                ? Cell.met("nothing")
                : Cell.met(
                        corequisites.stream()
                                .map(one -> one.course().toString())
                                .collect(Collectors.joining(", ")),
                        corequisites.stream().map(one -> where(one.course())).toArray(String[]::new));
    }

    private static String withWord(Reason reason) {
        return switch (reason) {
            case COREQUISITE, COMPANION_MISSING -> "something is missing";
            case COMPANION_OF_ANOTHER -> "of another section";
            case SAME_COURSE -> "one too many";
            case TWIN -> "one class";
            default -> "no credit beside";
        };
    }

    private String where(CourseCode course) {
        int number = 0;
        for (Line line : readiness.lines()) {
            number += line.step().request().isPresent() ? 1 : 0;
            if (line.sections().stream()
                    .anyMatch(one -> one.section().course().code().equals(course))) {
                return line.step().request().isPresent() ? "in line " + number : "you have it";
            }
        }
        return student.who().record().passedOrInProgress().contains(course) ? "on your record" : "you have it";
    }

    /** The credits of its term after it, of those that the student may register for. */
    Cell credits(Line line) {
        Term term = line.step().lead().term();
        BigDecimal credits = upTo(line);
        Optional<BigDecimal> most =
                student.who().file().term(term.code().text()).flatMap(StudentFile.OfTerm::mostCredits);
        String word = credits.stripTrailingZeros().toPlainString()
                + most.map(some -> " of " + some.stripTrailingZeros().toPlainString())
                        .orElse("");
        List<Refusal> not = of(line, Reason.OVER_LIMIT);
        return not.isEmpty()
                ? line.waits() ? Cell.plain(word, "none while you wait") : Cell.met(word)
                : Cell.fails("too many", words(not));
    }

    /** What is had, and what would be had by the lines up to this one. */
    private BigDecimal upTo(Line until) {
        Term term = until.step().lead().term();
        List<Attendance> had = new ArrayList<>(student.has().registered().stream()
                .flatMap(entry -> entry.in(student.posted()).stream())
                .toList());
        for (Line line : readiness.lines()) {
            if (line.goesThrough()) {
                had.removeIf(one -> line.sections().stream().anyMatch(one::sameCourse));
                had.addAll(line.sections());
            }
            if (line.equals(until)) {
                break;
            }
        }
        return had.stream()
                .filter(Attendance::leads)
                .flatMap(one -> Load.creditsIn(term.code(), one).stream())
                .reduce(BigDecimal.ZERO, BigDecimal::add);
    }

    Cell time(Line line, Attendance section) {
        List<Refusal> not = of(line, Reason.CLASH).stream()
                .filter(refusal -> refusal.about().equals(Entry.of(section)))
                .toList();
        if (!not.isEmpty()) {
            return Cell.fails(
                    "clashes",
                    not.stream()
                            .map(refusal -> "%s, %s%s"
                                    .formatted(
                                            AnswerWords.names(refusal.with(), student.posted()),
                                            Words.count(refusal.minutes().orElse(0), "minute"),
                                            refusal.when()
                                                    .map(date -> ", first " + Words.date(date.toLocalDate()))
                                                    .orElse("")))
                            .toList());
        }
        return section.section().untimed() ? Cell.met("no set time") : Cell.met("clear");
    }

    Cell seat(Line line, Attendance section) {
        Entry entry = Entry.of(section);
        Visit visit = student.visit();
        if (student.has().isRegistered(entry)) {
            return Cell.met("you have it");
        }
        var offer = student.has().offerOf(entry);
        if (offer.isPresent()) {
            return Cell.later(
                    "kept for you",
                    "until "
                            + Words.moment(LocalDateTime.ofInstant(
                                    offer.get().until(),
                                    section.schedule().institution().zone())));
        }
        var waiting = student.has().waitingFor(entry);
        if (waiting.isPresent()) {
            return Cell.later("you wait, " + StandingWords.place(waiting.get().place()));
        }
        StatusReading reading = visit.reading(student.terms().get(section.term().code()), section.section());
        Optional<Answer.Place> place = line.then().stream()
                .flatMap(answer -> answer.places().stream())
                .filter(one -> one.part().equals(entry))
                .findFirst();
        if (place.isPresent()) {
            return Cell.later("full", "you would be " + StandingWords.place(place.get()));
        }
        boolean full = line.then().stream()
                .flatMap(answer -> answer.refusals().stream())
                .filter(refusal -> refusal.about().equals(entry))
                .anyMatch(refusal -> refusal.is(Reason.FULL)
                        || refusal.is(Reason.FULL_WAITLIST_OPEN)
                        || refusal.is(Reason.WAITLIST_FULL));
        int waits = reading.seats().waiting();
        if (full) {
            return Cell.fails(
                    waits == 0 ? "none for you" : "full, " + Words.number(waits) + " waiting",
                    reading.seats().waitlistCapacity() == 0 ? List.of("no waitlist") : List.of());
        }
        int open = Math.max(reading.seats().open(), 0);
        return Cell.met("%s of %s open"
                .formatted(Words.number(open), Words.number(reading.seats().capacity())));
    }

    /** Reasons that belong into no column. */
    List<String> notes(Line line) {
        return line.then().stream()
                .flatMap(answer -> answer.refusals().stream())
                .filter(refusal -> refusal.reason()
                        .map(reason -> switch (reason) {
                            case UNKNOWN_ENTRY,
                                    ALREADY_REGISTERED,
                                    ALREADY_WAITING,
                                    NOT_FULL,
                                    OFFER_LAPSED,
                                    NOT_REGISTERED,
                                    TOO_LATE_TO_DROP -> true;
                            default -> false;
                        })
                        .orElse(true))
                .map(Refusal::words)
                .distinct()
                .toList();
    }

    /** Sections with their weekly times. */
    List<String> when(Attendance section, ClockStyle clock) {
        return section.section().meetings().stream()
                .map(meeting -> Words.when(meeting.timing(), clock))
                .distinct()
                .toList();
    }
}
