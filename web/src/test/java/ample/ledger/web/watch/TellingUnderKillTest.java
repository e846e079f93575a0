package ample.ledger.web.watch;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.registrar.SeatWord;
import ample.ledger.core.schedule.SeatPool;
import ample.ledger.core.schedule.TermCode;
import ample.ledger.store.SeatWords;
import ample.ledger.store.TestDatabase;
import ample.ledger.web.LedgerInstance;
import ample.ledger.web.LedgerInstance.Visitor;
import ample.ledger.web.watch.MortalLedger.Step;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * An edition and seats are told of by two instances at a time, which end at every step as by a failing machine and are started again, until the last
 * letter is with a real mail server.
 */
class TellingUnderKillTest {

    private static final List<String> STUDENTS = List.of("maris", "odo", "wren");

    /** Registration is open for these already. */
    private static final List<String> MAY_REGISTER = List.of("maris", "odo");

    private static final int MOST_SECONDS = 240;

    @TempDir
    private Path folder;

    @Test
    void eachNoticeIsThereOnceAndInOneLetter() throws Exception {
        TestDatabase database = TestDatabase.create();
        try (MailServer mail = new MailServer();
                LedgerInstance ledger = LedgerInstance.start(database, "--ledger.post=" + Schedules.kernel())) {
            mail.start();
            List<Visitor> students = new ArrayList<>();
            for (String name : STUDENTS) {
                Visitor student = new Visitor(ledger.root());
                student.signIn(name);
                students.add(student);
            }
            until(database, "SELECT 3 - count(file) FROM person");
            ledger.context().getBeansOfType(Rounds.class).values().forEach(Rounds::stop);
            for (Visitor student : students) {
                student.post("/notices/letters", "seats", "at_once", "changes", "at_once", "dates", "never");
                student.post("/autumn-2031/week/add", "line", "40129");
                student.post("/autumn-2031/watch", "line", "40139", "tell", "seat");
            }
            ChangedKernel.post(
                    ledger,
                    folder,
                    "meetings.csv",
                    "40129,1,lecture,weekly,mon wed,,11:00,12:20",
                    "40129,1,lecture,weekly,mon wed,,15:00,16:20");
            ledger.context()
                    .getBean(SeatWords.class)
                    .put(List.of(new SeatWord(
                            new TermCode("autumn-2031"),
                            "40139",
                            new SeatPool.Count(20, 0, 0),
                            Instant.parse("2031-06-17T09:00:30Z"))));
            Path steps = Files.createDirectory(folder.resolve("steps"));

            int started = untilAllIsDone(database, mail, steps);

            assertThat(started).as("each ended at a step but the last two").isGreaterThan(Step.values().length);
            theMailServerHas(mail.letters());
        }
    }

    /** @return how many programs were started */
    private int untilAllIsDone(TestDatabase database, MailServer mail, Path steps) throws Exception {
        List<Process> running = new ArrayList<>();
        int started = 0;
        long end = System.nanoTime() + MOST_SECONDS * 1_000_000_000L;
        try {
            while (!isDone(database, steps)) {
                assertThat(System.nanoTime())
                        .as("done within some minutes, with ends at " + reached(steps))
                        .isLessThan(end);
                running.removeIf(process -> !process.isAlive());
                while (running.size() < 2) {
                    running.add(run(database, mail, steps));
                    started++;
                }
                Thread.sleep(200);
            }
        } finally {
            running.forEach(Process::destroyForcibly);
        }
        return started;
    }

    private Process run(TestDatabase database, MailServer mail, Path steps) throws IOException {
        List<String> command = new ArrayList<>(List.of(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-XX:TieredStopAtLevel=1",
                "-XX:+UseSerialGC",
                "-Xmx384m",
                "-cp",
                System.getProperty("java.class.path"),
                MortalLedger.class.getName(),
                steps.toString()));
        command.addAll(LedgerInstance.options(database, mail.options().toArray(String[]::new)));
        return new ProcessBuilder(command)
                .redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.appendTo(
                        folder.resolve("programs.log").toFile()))
                .start();
    }

    private static Set<String> reached(Path steps) {
        try (Stream<Path> files = Files.list(steps)) {
            return new HashSet<>(
                    files.map(file -> file.getFileName().toString()).toList());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static boolean isDone(TestDatabase database, Path steps) throws SQLException {
        return reached(steps).size() == Step.values().length
                && number(
                                database,
                                "SELECT (SELECT count(*) FROM edition_to_tell)"
                                        + " + (SELECT abs(2 - count(*)) FROM notice WHERE kind = 'seats')"
                                        + " + (SELECT count(*) FROM notice WHERE letter_at IS NOT NULL)"
                                        + " + (SELECT count(*) FROM letter WHERE state = 'waiting')")
                        == 0;
    }

    private static void until(TestDatabase database, String left) throws SQLException, InterruptedException {
        for (int i = 0; number(database, left) > 0; i++) {
            assertThat(i).as("tenths of seconds until " + left + " is 0").isLessThan(300);
            Thread.sleep(100);
        }
    }

    private static int number(TestDatabase database, String question) throws SQLException {
        try (Connection connection = database.asApplication().getConnection();
                Statement sql = connection.createStatement();
                ResultSet answer = sql.executeQuery(question)) {
            answer.next();
            return answer.getInt(1);
        }
    }

    /**
     * Each notice of each student is in one letter, and those of them that came twice, which is where a program ended between the server's answer and
     * its note, have the same name.
     */
    private static void theMailServerHas(List<MailServer.Letter> came) {
        Map<String, MailServer.Letter> letters = new HashMap<>();
        came.forEach(letter -> letters.put(letter.id(), letter));
        assertThat(came.size() - letters.size())
                .as("one for each end at most")
                .isLessThanOrEqualTo(Step.values().length);
        for (String name : STUDENTS) {
            List<String> own = letters.values().stream()
                    .filter(letter -> letter.to().startsWith(name))
                    .map(MailServer.Letter::text)
                    .toList();
            assertThat(own)
                    .filteredOn(text -> text.contains("TIDE 214 T1 has changed"))
                    .as(name)
                    .hasSize(1);
            assertThat(own)
                    .filteredOn(text -> text.contains("Seats are open in TIDE 214 T2"))
                    .as(name)
                    .hasSize(MAY_REGISTER.contains(name) ? 1 : 0);
        }
    }
}
