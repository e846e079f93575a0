package ample.ledger.core.plan;

import ample.ledger.core.requirement.Evaluation;
import ample.ledger.core.schedule.Campus;
import ample.ledger.core.schedule.Corequisite;
import ample.ledger.core.schedule.Equivalent;
import ample.ledger.core.schedule.LoadRule;
import ample.ledger.core.schedule.PostedPrerequisite;
import ample.ledger.core.schedule.Term;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;

/** What stands in the way of a plan, or what its student should know of it. */
public sealed interface Obstacle {

    /** Whether the plan cannot stand with it; otherwise it is only to be known. */
    default boolean stops() {
        return true;
    }

    /** The sections and busy times that it names; none where it is about all of a term, or about what is no longer posted. */
    List<Engagement> about();

    /** Two engagements at the same time; exams among them where the clash says so. */
    record SameTime(Clash clash) implements Obstacle {
        @Override
        public List<Engagement> about() {
            return List.of(clash.one(), clash.other());
        }
    }

    /** Too little time from one place to the next. */
    record NoTimeToTravel(Travel travel) implements Obstacle {
        @Override
        public List<Engagement> about() {
            return List.of(travel.from(), travel.to());
        }
    }

    /**
     * Several exams on one day.
     *
     * @param exams in their order of the day; of a section with two of them it stands twice
     */
    record ManyExams(LocalDate date, List<Attendance> exams) implements Obstacle {
        @Override
        public List<Engagement> about() {
            return List.copyOf(exams);
        }

        /** From so many on the day is hardly to be stood: common practice, no source. */
        public static final int TOO_MANY = 3;

        @Override
        public boolean stops() {
            return exams.size() >= TOO_MANY;
        }
    }

    /** Two sections of one course, of which a student takes one: two that lead, or two companions of one choice. */
    record SameCourse(Attendance one, Attendance other) implements Obstacle {
        @Override
        public List<Engagement> about() {
            return List.of(one, other);
        }
    }

    /** Two sections that are one class, posted twice. */
    record SharedListing(Attendance one, Attendance other) implements Obstacle {
        @Override
        public List<Engagement> about() {
            return List.of(one, other);
        }
    }

    /** Two courses for which credit is not given twice. */
    record CreditOnce(Attendance one, Attendance other, Equivalent equivalent) implements Obstacle {
        @Override
        public List<Engagement> about() {
            return List.of(one, other);
        }
    }

    /** A section without a companion that it needs. */
    record LacksCompanion(Attendance lead, String choice) implements Obstacle {
        @Override
        public List<Engagement> about() {
            return List.of(lead);
        }
    }

    /**
     * A companion without a section that it can go with.
     *
     * @param foreign the sections of its course that are there, with which it cannot go
     */
    record LacksLead(Attendance companion, List<Attendance> foreign) implements Obstacle {
        @Override
        public List<Engagement> about() {
            return List.of(companion);
        }
    }

    /** A course without another that must be taken with it. */
    record LacksCorequisite(Attendance attendance, Corequisite corequisite) implements Obstacle {
        @Override
        public List<Engagement> about() {
            return List.of(attendance);
        }
    }

    /**
     * A prerequisite that is not met, or of which it is not known whether it is.
     *
     * @param verdict what the record says; unknown where none was given, or where only people can judge
     */
    record LacksPrerequisite(Attendance attendance, PostedPrerequisite prerequisite, Evaluation.Verdict verdict)
            implements Obstacle {
        @Override
        public List<Engagement> about() {
            return List.of(attendance);
        }

        @Override
        public boolean stops() {
            return verdict != Evaluation.Verdict.UNKNOWN && verdict != Evaluation.Verdict.SUPPOSED;
        }
    }

    /** More credits in a term than are taken without asking. */
    record OverLoad(Term term, BigDecimal credits, LoadRule rule) implements Obstacle {
        @Override
        public List<Engagement> about() {
            return List.of();
        }
    }

    /**
     * A class that is held during an exam of its own course.
     *
     * @param held what is held then; the section itself, or a companion
     */
    record DuringOwnExam(Attendance exam, Attendance held, LocalDate date) implements Obstacle {
        @Override
        public List<Engagement> about() {
            return List.of(exam, held);
        }

        @Override
        public boolean stops() {
            return false;
        }
    }

    /** A section on another campus than the student's own. */
    record OtherCampus(Attendance attendance, Campus home) implements Obstacle {
        @Override
        public List<Engagement> about() {
            return List.of(attendance);
        }

        @Override
        public boolean stops() {
            return false;
        }
    }

    /** A section of another calendar than the student's own. */
    record OtherCalendar(Attendance attendance, Term home) implements Obstacle {
        @Override
        public List<Engagement> about() {
            return List.of(attendance);
        }

        @Override
        public boolean stops() {
            return false;
        }
    }

    /** A section that is not held. */
    record IsCancelled(Attendance attendance) implements Obstacle {
        @Override
        public List<Engagement> about() {
            return List.of(attendance);
        }
    }

    /** A section that the current edition no longer has. */
    record NoLongerPosted(Pick pick) implements Obstacle {
        @Override
        public List<Engagement> about() {
            return List.of();
        }
    }
}
