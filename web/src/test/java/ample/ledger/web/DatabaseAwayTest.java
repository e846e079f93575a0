package ample.ledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.fixtures.Schedules;
import ample.ledger.store.TestDatabase;
import ample.ledger.web.LedgerInstance.Visitor;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** While the database is stopped, or stands still without a word: what needs none goes on, and the rest says so. */
class DatabaseAwayTest {

    private static final String AWAY = "Your plans cannot be loaded right now.";

    private static Path cluster;
    private static LedgerInstance ledger;

    /** How the database can be away. */
    enum Fault {
        /** Connections are refused at once. */
        STOPPED {
            @Override
            void begin() {
                TestDatabase.run("stop", cluster.toString());
            }

            @Override
            void end() {
                TestDatabase.run("start", cluster.toString(), "--throw-away");
            }
        },
        /** Connections are taken, and nothing is ever answered. */
        FROZEN {
            @Override
            void begin() throws Exception {
                signal("-STOP");
            }

            @Override
            void end() throws Exception {
                signal("-CONT");
            }
        };

        abstract void begin() throws Exception;

        abstract void end() throws Exception;
    }

    @BeforeAll
    static void startOnAClusterOfItsOwn() throws IOException {
        cluster = Files.createTempDirectory("ledger-away");
        TestDatabase.run("start", cluster.toString(), "--throw-away");
        ledger = LedgerInstance.start(
                TestDatabase.create(cluster),
                "--ledger.post=" + Schedules.kernel(),
                "--ledger.limits.at-once=1000",
                // As the program has them.
                "--spring.datasource.hikari.connection-timeout=2000",
                "--spring.datasource.hikari.data-source-properties.connectTimeout=2",
                "--spring.datasource.hikari.data-source-properties.loginTimeout=2",
                "--spring.datasource.hikari.data-source-properties.socketTimeout=2");
    }

    @AfterAll
    static void stop() {
        ledger.close();
        TestDatabase.run("destroy", cluster.toString());
    }

    @ParameterizedTest
    @EnumSource
    void whatNeedsNoneGoesOnAndTheRestSaysSo(Fault fault) throws Exception {
        Visitor guest = new Visitor(ledger.root());
        guest.post("/autumn-2031/week/add", "line", "40176", "back", "/");
        Visitor student = new Visitor(ledger.root());
        student.signIn("maris");
        student.post("/autumn-2031/week/notes", "notes", "hers", "back", "/");
        Visitor desk = new Visitor(ledger.root());
        desk.signIn("desk");
        int rows = guests();

        fault.begin();
        try {
            assertThatPagesOf(new Visitor(ledger.root()), false);
            assertThatPagesOf(guest, true);
            assertThatPagesOf(student, true);
            for (HttpResponse<String> refused : List.of(
                    guest.get("/autumn-2031/week"),
                    guest.get("/autumn-2031/week/plan.json"),
                    guest.post("/autumn-2031/week/add", "line", "40220", "back", "/"),
                    student.post("/autumn-2031/week/add", "line", "40220", "back", "/"),
                    desk.get("/desk"),
                    new Visitor(ledger.root()).get("/shared/abc"),
                    new Visitor(ledger.root()).signIn("odo"))) {
                assertThat(refused.statusCode()).as(refused.uri().toString()).isEqualTo(503);
                assertThat(refused.headers().firstValue("Retry-After")).isPresent();
                assertThat(refused.body())
                        .contains("Ample Ledger", "cannot be loaded right now", "Nothing of yours was lost");
            }
            assertThat(manyAtOnce(guest)).containsOnly(200);
            assertThat(new Visitor(ledger.root()).get("/spring-1999/browse").statusCode())
                    .as("asks no database")
                    .isEqualTo(404);
        } finally {
            fault.end();
        }
        awaitTheDatabase(guest);

        assertThat(guest.get("/autumn-2031/week/plan.json").body())
                .contains("40176")
                .doesNotContain("40220");
        assertThat(student.get("/autumn-2031/week/plan.json").body())
                .contains("hers")
                .doesNotContain("40220");
        assertThat(guests()).as("nothing of a student's was kept for a guest").isEqualTo(rows);
    }

    private static void assertThatPagesOf(Visitor visitor, boolean told) throws Exception {
        for (String page : List.of(
                "/autumn-2031/browse",
                "/autumn-2031/section/40220",
                "/autumn-2031/course/NUMB-112",
                "/autumn-2031/line-up?line=40220,40176",
                "/autumn-2031/browse/leaf?page=2",
                "/preferences",
                "/sign-in")) {
            HttpResponse<String> answer = visitor.get(page);
            assertThat(answer.statusCode()).as(page).isEqualTo(200);
            if (page.startsWith("/autumn-2031") && !page.contains("leaf")) {
                assertThat(answer.body().contains(AWAY)).as(page).isEqualTo(told);
            }
        }
    }

    /** More than there are threads, each with a cookie that has to be looked up. */
    private static List<Integer> manyAtOnce(Visitor visitor) throws Exception {
        List<CompletableFuture<HttpResponse<String>>> asked = new ArrayList<>();
        for (int i = 0; i < 230; i++) {
            asked.add(visitor.client()
                    .sendAsync(
                            visitor.request("/autumn-2031/browse?subject=glac").build(),
                            HttpResponse.BodyHandlers.ofString()));
        }
        List<Integer> statuses = new ArrayList<>();
        for (var one : asked) {
            statuses.add(one.get().statusCode());
        }
        return statuses;
    }

    private static void awaitTheDatabase(Visitor visitor) throws Exception {
        for (int i = 0; i < 200; i++) {
            if (visitor.get("/autumn-2031/week").statusCode() == 200) {
                return;
            }
            Thread.sleep(100);
        }
        throw new AssertionError("The database is back, and nobody has noticed");
    }

    private static int guests() throws Exception {
        try (var connection =
                        ledger.context().getBean(javax.sql.DataSource.class).getConnection();
                var sql = connection.createStatement();
                var rows = sql.executeQuery("SELECT count(*) FROM visitor")) {
            rows.next();
            return rows.getInt(1);
        }
    }

    /** To the server and to every process of its own. */
    private static void signal(String signal) throws Exception {
        long server = Long.parseLong(Files.readAllLines(cluster.resolve("data/postmaster.pid"))
                .get(0)
                .strip());
        List<Long> all = new ArrayList<>(List.of(server));
        ProcessHandle.of(server)
                .orElseThrow()
                .children()
                .map(ProcessHandle::pid)
                .forEach(all::add);
        for (long process : all) {
            new ProcessBuilder("kill", signal, Long.toString(process))
                    .inheritIO()
                    .start()
                    .waitFor();
        }
    }
}
