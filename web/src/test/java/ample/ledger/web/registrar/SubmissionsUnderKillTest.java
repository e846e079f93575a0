package ample.ledger.web.registrar;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.plan.CompleteSets;
import ample.ledger.core.registrar.Answer.Outcome;
import ample.ledger.core.registrar.Entry;
import ample.ledger.core.registrar.Registrar;
import ample.ledger.core.registrar.RegistrarAwayException;
import ample.ledger.core.registrar.Registration;
import ample.ledger.core.registrar.Request;
import ample.ledger.core.registrar.Request.Act;
import ample.ledger.core.registrar.Submission;
import ample.ledger.core.schedule.CourseCode;
import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.SeatPool;
import ample.ledger.core.schedule.Section;
import ample.ledger.web.Institution;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/**
 * Students ask for few seats at once while the institution is ended as by a failing machine, and comes back. Whoever hears no answer asks again under
 * the same name. In the end the journal, the tables and the answers that were heard agree; that they do is asked in SQL and counted from the answers.
 */
class SubmissionsUnderKillTest {

    private static final int AT_ONCE = 6;
    private static final int STUDENTS_OF_EACH = 25;
    private static final int SUBMISSIONS_OF_EACH = 4;
    private static final int KILLS = 3;
    private static final Schedule KERNEL = Schedules.kernelSchedule();

    /** By section: here each has a pool of its own. */
    private static final Map<Entry, PoolHistory> HISTORIES = new ConcurrentHashMap<>();

    private static Institution institution;

    @BeforeAll
    static void start() throws Exception {
        institution = Institution.start();
        institution.moveClock("2031-06-20T09:00");
    }

    @AfterAll
    static void stop() {
        institution.close();
    }

    private static Registrar registrar() {
        return new HttpRegistrar(
                new RegistrarSettings(
                        institution.registrar().toString(),
                        Institution.SECRET,
                        Duration.ofSeconds(5),
                        Duration.ofSeconds(2),
                        false),
                Clock.systemUTC());
    }

    /** What a student has heard. */
    private record Heard(String student, List<Submission> answers) {

        /** What they are registered in by the answers alone. */
        Set<Entry> registered() {
            Set<Entry> registered = new HashSet<>();
            for (Submission submission : answers) {
                for (Submission.Line line : submission.lines()) {
                    if (line.answer().outcome() == Outcome.DONE) {
                        registered.removeAll(line.request().instead());
                        if (line.request().act() == Act.DROP) {
                            registered.removeAll(line.request().set());
                        } else {
                            registered.addAll(line.request().set());
                        }
                    }
                }
            }
            return registered;
        }
    }

    @Test
    void nothingIsOversoldLostOrDoneTwice() throws Exception {
        ExecutorService students = Executors.newFixedThreadPool(AT_ONCE);
        Map<String, Heard> heard = new ConcurrentHashMap<>();
        List<Future<?>> all = new ArrayList<>();
        for (int i = 0; i < AT_ONCE; i++) {
            int group = i;
            all.add(students.submit(() -> ask(group, heard)));
        }
        for (int i = 0; i < KILLS; i++) {
            Thread.sleep(1_500);
            institution.kill();
            institution.startAgain();
        }
        for (Future<?> one : all) {
            one.get();
        }
        students.shutdown();

        assertThat(heard).hasSize(AT_ONCE * STUDENTS_OF_EACH);
        Registrar registrar = registrar();
        int done = 0;
        for (Heard one : heard.values()) {
            Registration has = registrar.registration(one.student()).orElseThrow();
            assertThat(has.registered()).containsExactlyInAnyOrderElementsOf(one.registered());
            done += one.registered().size();
        }
        assertThat(done).as("many got something").isGreaterThan(100);
        Heard some = heard.values().iterator().next();
        Submission first = some.answers().get(0);
        assertThat(registrar.submit(
                        some.student(),
                        first.id(),
                        first.lines().stream().map(Submission.Line::request).toList()))
                .as("the same name, the same answers")
                .isEqualTo(first);
        theTablesAgreeWithTheJournal();
        HISTORIES.forEach((entry, history) -> {
            SeatPool pool = KERNEL.section(new EntryNumber(entry.number()))
                    .orElseThrow()
                    .pool();
            assertThat(history.mostAtOnce())
                    .as("some order explains who got a seat of " + entry)
                    .isLessThanOrEqualTo(Math.max(
                            0,
                            pool.capacity()
                                    - pool.count().enrolled()
                                    - pool.count().promised()));
        });
    }

    private static void ask(int group, Map<String, Heard> heard) {
        Registrar registrar = registrar();
        Random dice = new Random(group);
        for (int i = 0; i < STUDENTS_OF_EACH; i++) {
            String student = "student-" + (1000 * (group + 1) + i);
            Heard own = new Heard(student, new ArrayList<>());
            for (int j = 0; j < SUBMISSIONS_OF_EACH; j++) {
                List<Request> requests = requests(own.registered(), dice);
                long asked = System.nanoTime();
                Submission answer = untilHeard(registrar, student, "s" + j, requests);
                answer.lines().forEach(line -> keep(line, asked, System.nanoTime()));
                own.answers().add(answer);
            }
            heard.put(student, own);
        }
    }

    private static void keep(Submission.Line line, long asked, long heard) {
        if (line.answer().outcome() == Outcome.DONE) {
            boolean drops = line.request().act() == Act.DROP;
            line.request().instead().forEach(out -> history(out).gaveBack(asked, heard));
            line.request().set().stream().map(SubmissionsUnderKillTest::history).forEach(history -> {
                if (drops) {
                    history.gaveBack(asked, heard);
                } else {
                    history.took(asked, heard);
                }
            });
        }
    }

    private static PoolHistory history(Entry entry) {
        return HISTORIES.computeIfAbsent(entry, absent -> new PoolHistory());
    }

    private static Submission untilHeard(Registrar registrar, String student, String id, List<Request> requests) {
        while (true) {
            try {
                return registrar.submit(student, id, requests);
            } catch (RegistrarAwayException away) {
                try {
                    Thread.sleep(200);
                } catch (InterruptedException e) {
                    throw new IllegalStateException(e);
                }
            }
        }
    }

    private static List<Request> requests(Set<Entry> registered, Random dice) {
        List<Entry> has = new ArrayList<>(registered);
        if (!has.isEmpty() && dice.nextInt(3) == 0) {
            return dice.nextBoolean()
                    ? List.of(Request.drop(has))
                    : List.of(Request.swap(has, wanted(dice)), Request.register(wanted(dice)));
        }
        return List.of(Request.register(wanted(dice)), Request.wait(wanted(dice)), Request.register(wanted(dice)));
    }

    /** A complete set of one of a few courses that anybody may take. */
    private static List<Entry> wanted(Random dice) {
        List<CourseCode> courses = List.of(
                new CourseCode("RHET", "101"),
                new CourseCode("MYCO", "101"),
                new CourseCode("LIMN", "130"),
                new CourseCode("CART", "105"),
                new CourseCode("LOOM", "115"),
                new CourseCode("TIDE", "110"));
        List<List<Section>> sets = CompleteSets.of(KERNEL, courses.get(dice.nextInt(courses.size())));
        return sets.get(dice.nextInt(sets.size())).stream()
                .map(section -> new Entry("autumn-2031", section.entry().digits()))
                .toList();
    }

    private static void theTablesAgreeWithTheJournal() throws SQLException {
        assertThat(none("""
                SELECT pool FROM seats WHERE enrolled + promised > most OR waiting < 0""")).as("oversold").isEmpty();
        assertThat(none("""
                SELECT j.student, j.entry FROM (
                  SELECT term, entry, student,
                    sum(CASE kind WHEN 'registered' THEN 1 WHEN 'dropped' THEN -1 ELSE 0 END) AS net
                  FROM journal GROUP BY term, entry, student) AS j
                LEFT JOIN registered AS r USING (term, entry, student)
                WHERE j.student LIKE 'student-%' AND (j.net NOT IN (0, 1) OR (j.net = 1) <> (r.student IS NOT NULL))"""))
                .as("registered, but not by the journal, or the other way round")
                .isEmpty();
        assertThat(none("""
                SELECT pool FROM seats JOIN (
                  SELECT term, pool,
                    sum(CASE kind WHEN 'offered' THEN 1 WHEN 'taken-up' THEN -1 WHEN 'declined' THEN -1
                      WHEN 'lapsed' THEN -1 ELSE 0 END) AS promised
                  FROM journal GROUP BY term, pool) AS j USING (term, pool)
                WHERE seats.promised < j.promised""")).as("promised, but not by the journal").isEmpty();
        assertThat(none("""
                SELECT number FROM (SELECT number, number - lag(number, 1, 0) OVER (ORDER BY number) AS step
                  FROM journal) AS j WHERE step <> 1""")).as("a gap in the journal").isEmpty();
        assertThat(none("SELECT submission FROM journal LEFT JOIN submission AS s ON s.id = submission"
                        + " AND s.student = journal.student WHERE journal.student LIKE 'student-%'"
                        + " AND journal.submission <> '' AND s.id IS NULL AND kind IN ('registered', 'queued')"))
                .as("something that nobody was answered")
                .isEmpty();
    }

    private static List<String> none(String query) throws SQLException {
        List<String> rows = new ArrayList<>();
        try (Connection connection = institution.tables().getConnection();
                Statement statement = connection.createStatement();
                ResultSet found = statement.executeQuery(query)) {
            while (found.next()) {
                rows.add(found.getString(1));
            }
        }
        return rows;
    }

    /** Whatever a later version of the program does: the journal is only added to. */
    @Test
    void theJournalCannotBeChanged() throws SQLException {
        registrar().submit("student-9", "j", List.of(Request.register(List.of(new Entry("autumn-2031", "40413")))));
        try (Connection connection = institution.tables().getConnection();
                Statement statement = connection.createStatement()) {
            assertThatThrownBy(() -> statement.executeUpdate("DELETE FROM journal"))
                    .hasMessageContaining("only added to");
        }
    }
}
