package ample.ledger.web.registrar;

import ample.ledger.core.plan.Attendance;
import ample.ledger.core.plan.PostedSchedules;
import ample.ledger.core.plan.Together;
import ample.ledger.core.reading.OwnOpening;
import ample.ledger.core.registrar.Entry;
import ample.ledger.core.registrar.Registrar;
import ample.ledger.core.registrar.Request;
import ample.ledger.core.registrar.StudentFile;
import ample.ledger.core.requirement.Evaluation;
import ample.ledger.core.requirement.StudentRecord;
import ample.ledger.core.schedule.Course;
import ample.ledger.core.schedule.Opening;
import ample.ledger.core.schedule.Schedule;
import java.io.IOException;
import java.net.URI;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;

/** Plans that students of the demo could have: courses that they may take, at times that do not clash. The same number always plans the same. */
final class BelievablePlans {

    private static final int COURSES = 5;
    private static final int TRIED = 60;

    /** One student in this many uses the application's pages. The others ask the registrar as a program does. */
    private static final int AT_SCREENS = 20;

    private final URI application;
    private final Schedule schedule;
    private final PostedSchedules posted;

    BelievablePlans(URI application, Schedule schedule) {
        this.application = application;
        this.schedule = schedule;
        this.posted = new PostedSchedules(List.of(schedule));
    }

    /**
     * A student with a plan.
     *
     * @param screen of a student who has signed in to the application, and planned there
     */
    record Planned(String name, Opening opening, List<Request> requests, Optional<StudentAtScreen> screen) {}

    /** What student number {@code number} takes; empty for one who can take nothing, or to whom registration never opens. */
    Optional<Planned> of(int number, Registrar registrar) {
        String name = "student-" + number;
        StudentFile file = registrar.student(name).orElseThrow();
        StudentRecord record = file.record(List.of(), posted.all());
        Evaluation evaluation = new Evaluation(record, List.of(), schedule);
        Random dice = new Random(number);
        List<List<Attendance>> week = new ArrayList<>();
        for (int i = 0; i < TRIED && week.size() < COURSES; i++) {
            // The first courses are wanted by many: seats are short there.
            int at = (int) (schedule.courses().size() * Math.pow(dice.nextDouble(), 2));
            Course course = schedule.courses().get(at);
            List<List<Attendance>> sets = posted.setsOf(course.code(), schedule);
            if (!sets.isEmpty() && mayTake(course, record, evaluation)) {
                List<Attendance> set = sets.get(dice.nextInt(sets.size()));
                if (week.stream().allMatch(other -> Together.possible(set, other, posted))) {
                    week.add(set);
                }
            }
        }
        Optional<OwnOpening> own = file.opening(schedule);
        if (own.isEmpty() || week.isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(new Planned(
                name,
                own.get().opening(),
                week.stream().map(set -> Request.register(Entry.of(set))).toList(),
                number % AT_SCREENS == 0 ? Optional.of(screen(name, week)) : Optional.empty()));
    }

    /** A student who is put off tries again. */
    private StudentAtScreen screen(String name, List<List<Attendance>> week) {
        for (int tries = 1; ; tries++) {
            StudentAtScreen screen =
                    new StudentAtScreen(application, schedule.term().code().text());
            try {
                screen.signIn(name);
                screen.plan(week.stream().flatMap(set -> Entry.of(set).stream()).toList());
                return screen;
            } catch (IOException putOff) {
                if (tries == TRIED) {
                    throw new IllegalStateException(name + " cannot plan", putOff);
                }
                Rush.pause();
            } catch (InterruptedException e) {
                throw new IllegalStateException(e);
            }
        }
    }

    private static boolean mayTake(Course course, StudentRecord record, Evaluation evaluation) {
        return !record.passedOrInProgress().contains(course.code())
                && course.rules().corequisites().isEmpty()
                && course.rules().prerequisites().stream()
                        .flatMap(needs -> needs.expression().stream())
                        .allMatch(condition ->
                                evaluation.judge(condition).verdict().willDo());
    }
}
