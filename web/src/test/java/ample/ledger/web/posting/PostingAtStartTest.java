package ample.ledger.web.posting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import ample.ledger.core.fixtures.Schedules;
import ample.ledger.store.Editions;
import ample.ledger.store.TestDatabase;
import ample.ledger.web.LedgerApplication;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
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
        copyOfTheDemo("sections.csv", ",lecture,tidewall,", ",lecure,moon,");

        String said = standardErrorOf(() -> assertThatThrownBy(() -> post(folder)));

        assertThat(said)
                .contains("The bundle was not posted; nothing has changed.")
                .contains("sections.csv, row 2, column kind, “lecure”: It must be one of: lecture, lab")
                .doesNotContain("\tat ");
        try (var context = post(Schedules.kernel())) {
            assertThat(context.getBean(Editions.class).current("autumn-2031"))
                    .hasValueSatisfying(edition -> assertThat(edition.number()).isEqualTo(1));
        }
    }

    @Test
    void aCorrectedBundleBecomesTheNextEdition() throws IOException {
        post(Schedules.kernel()).close();
        copyOfTheDemo("courses.csv", "How Tides Work", "How Tides Really Work");

        try (var context = post(folder)) {
            Editions editions = context.getBean(Editions.class);
            assertThat(editions.current("autumn-2031")).hasValueSatisfying(edition -> {
                assertThat(edition.number()).isEqualTo(2);
                assertThat(editions.schedule(edition).sections())
                        .anyMatch(section -> section.course().title().equals("How Tides Really Work"));
            });
        }
    }

    @Test
    void theDemoDoesNotComeBackOverWhatWasPostedSince() throws IOException {
        start("--ledger.demo=" + Schedules.kernel()).close();
        copyOfTheDemo("courses.csv", "How Tides Work", "How Tides Really Work");
        post(folder).close();

        try (var context = start("--ledger.demo=" + Schedules.kernel())) {
            assertThat(context.getBean(Editions.class).current("autumn-2031"))
                    .hasValueSatisfying(edition -> assertThat(edition.number()).isEqualTo(2));
        }
    }

    private ConfigurableApplicationContext post(Path bundle) {
        return start("--ledger.post=" + bundle);
    }

    private ConfigurableApplicationContext start(String option) {
        return SpringApplication.run(
                LedgerApplication.class,
                "--spring.main.web-application-type=none",
                "--spring.main.banner-mode=off",
                "--spring.datasource.url=" + database.url(),
                "--spring.datasource.password=" + database.appPassword(),
                "--spring.flyway.password=" + database.ownerPassword(),
                "--logging.level.root=error",
                option);
    }

    private void copyOfTheDemo(String file, String from, String to) throws IOException {
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
