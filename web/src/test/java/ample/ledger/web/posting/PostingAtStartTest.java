package ample.ledger.web.posting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.tuple;

import ample.ledger.core.edition.Edition;
import ample.ledger.core.exchange.ScheduleBundle;
import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.schedule.TermCode;
import ample.ledger.store.Editions;
import ample.ledger.store.TestDatabase;
import ample.ledger.store.Visitors;
import ample.ledger.web.LedgerApplication;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;

/** Posting a bundle as the command does it: by an application without pages. */
class PostingAtStartTest {

    private final TestDatabase database = TestDatabase.create();

    @TempDir
    private Path folder;

    @Test
    void aFaultyBundleSaysWhyAndChangesNothing() throws IOException {
        post(Schedules.kernel()).close();
        copyOfTheKernel("sections.csv", ",lecture,tidewall,", ",lecure,moon,");

        String said = standardErrorOf(() -> assertThatThrownBy(() -> post(folder)));

        assertThat(said)
                .contains("The bundle was not posted; nothing has changed.")
                .contains("sections.csv, row 2, column kind, “lecure”: It must be one of: lecture, lab")
                .doesNotContain("\tat ");
        try (var context = post(Schedules.kernel())) {
            assertThat(context.getBean(Editions.class).current(new TermCode("autumn-2031")))
                    .hasValueSatisfying(edition -> assertThat(edition.number()).isEqualTo(1));
        }
    }

    @Test
    void aCorrectedBundleBecomesTheNextEdition() throws IOException {
        post(Schedules.kernel()).close();
        copyOfTheKernel("courses.csv", "How Tides Work", "How Tides Really Work");

        try (var context = post(folder)) {
            Editions editions = context.getBean(Editions.class);
            assertThat(editions.current(new TermCode("autumn-2031"))).hasValueSatisfying(edition -> {
                assertThat(edition.number()).isEqualTo(2);
                assertThat(editions.schedule(edition).sections())
                        .anyMatch(section -> section.course().title().equals("How Tides Really Work"));
            });
        }
    }

    @Test
    void aCheckPostsNothing() throws IOException {
        copyOfTheKernel("companions.csv", "lab,40129", "lab,40139");
        try (var context = start("--ledger.post=" + folder, "--ledger.check=true")) {
            assertThat(context.getBean(Editions.class).allCurrent()).isEmpty();
        }
    }

    @Test
    void theDemoIsPostedOnceAndDoesNotComeBackOverWhatWasPostedSince() throws IOException {
        String demo = "--ledger.demo=" + Schedules.repository().resolve("demo/bundles");
        try (var context = start(demo)) {
            Editions editions = context.getBean(Editions.class);
            assertThat(editions.allCurrent())
                    .extracting(edition -> edition.term().text(), Edition::number)
                    .containsExactly(
                            tuple("autumn-2031", 3),
                            tuple("quarter-autumn-2031", 1),
                            tuple("spring-2032", 1),
                            tuple("summer-2032", 1));
            assertThat(editions.allCurrent())
                    .allSatisfy(edition -> assertThat(
                                    ScheduleBundle.of(editions.tables(edition)).checksum())
                            .isEqualTo(edition.checksum()));
        }
        post(Schedules.kernel()).close();

        try (var context = start(demo)) {
            assertThat(context.getBean(Visitors.class).find(Visitors.student("tamsin")))
                    .as("who works days")
                    .hasValueSatisfying(kept -> assertThat(kept.content()).contains("Work at the boat yard"));
            assertThat(context.getBean(Editions.class).current(new TermCode("autumn-2031")))
                    .hasValueSatisfying(edition -> assertThat(edition.number()).isEqualTo(4));
        }
    }

    private ConfigurableApplicationContext post(Path bundle) {
        return start("--ledger.post=" + bundle);
    }

    private ConfigurableApplicationContext start(String... options) {
        List<String> arguments = new ArrayList<>(List.of(
                "--spring.main.web-application-type=none",
                "--spring.main.banner-mode=off",
                "--spring.datasource.url=" + database.url(),
                "--spring.datasource.password=" + database.appPassword(),
                "--spring.flyway.password=" + database.ownerPassword(),
                "--logging.level.root=error"));
        arguments.addAll(List.of(options));
        return SpringApplication.run(LedgerApplication.class, arguments.toArray(String[]::new));
    }

    private void copyOfTheKernel(String file, String from, String to) throws IOException {
        try (var files = Files.list(Schedules.kernel())) {
            for (Path each : (Iterable<Path>) files::iterator) {
                Files.copy(each, folder.resolve(each.getFileName().toString()));
            }
        }
        Path changed = folder.resolve(file);
        Files.writeString(changed, Files.readString(changed).replaceFirst(from, to));
    }

    private static String standardErrorOf(Runnable action) {
        PrintStream before = System.err;
        var said = new ByteArrayOutputStream();
        System.setErr(new PrintStream(said, true, StandardCharsets.UTF_8));
        try {
            action.run();
        } finally {
            System.setErr(before);
        }
        return said.toString(StandardCharsets.UTF_8);
    }
}
