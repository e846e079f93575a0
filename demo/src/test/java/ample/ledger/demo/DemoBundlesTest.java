package ample.ledger.demo;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.edition.PostingChecks;
import ample.ledger.core.edition.Warning;
import ample.ledger.core.exchange.BundleWriter;
import ample.ledger.core.exchange.ScheduleBundle;
import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.schedule.Section;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.function.Predicate;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** The demo's bundles: the same each time, of the size they claim, life-like, and without a warning that is not wanted. */
class DemoBundlesTest {

    private static final Path COMMITTED = Schedules.repository().resolve("demo/bundles");

    @TempDir
    private Path folder;

    @Test
    void theGeneratorWritesWhatIsCommittedByteByByte() throws IOException {
        new DemoBundles(Schedules.kernel(), 2031).write(folder);

        try (Stream<Path> written = Files.walk(folder)) {
            List<Path> files = written.filter(Files::isRegularFile).toList();
            assertThat(files).hasSizeGreaterThan(100);
            for (Path file : files) {
                assertThat(COMMITTED.resolve(folder.relativize(file).toString()))
                        .hasSameBinaryContentAs(file);
            }
        }
    }

    @ParameterizedTest
    @CsvSource({
        "autumn-2031-1, 2300, 2500, 4",
        "autumn-2031-2, 2300, 2500, 0",
        "autumn-2031-3, 2350, 2450, 0",
        "spring-2032, 2150, 2250, 0",
        "summer-2032, 340, 360, 0",
        "quarter-autumn-2031, 290, 310, 0"
    })
    void eachBundleHasItsSizeAndOnlyTheWarningsThatAreWanted(String bundle, int least, int most, int wanted) {
        ScheduleBundle read = ScheduleBundle.read(COMMITTED.resolve(bundle));

        assertThat(read.schedule().sections()).hasSizeBetween(least, most);
        assertThat(PostingChecks.warningsOf(read.schedule()))
                .hasSize(wanted)
                .allMatch(warning -> warning.kind() == Warning.Kind.ROOM_TWICE);
    }

    @Test
    void seatsAreScarcerInTheMorningThanInTheEvening() {
        ScheduleBundle autumn = ScheduleBundle.read(COMMITTED.resolve("autumn-2031-3"));

        double morning = full(autumn, section -> starts(section) >= 9 && starts(section) < 12);
        double evening = full(autumn, section -> starts(section) >= 17);
        assertThat(morning).isGreaterThan(1.5 * evening);
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6})
    void bundlesOfOtherSeedsComeBackFromAZipAsTheyWere(long seed) throws IOException {
        ScheduleBundle made = ScheduleBundle.of(new DemoBundles(Schedules.kernel(), seed).autumn(400));
        Path zip = folder.resolve("bundle.zip");
        try (OutputStream out = Files.newOutputStream(zip)) {
            BundleWriter.toZip(made.tables(), out);
        }

        ScheduleBundle read = ScheduleBundle.read(zip);

        assertThat(read.checksum()).isEqualTo(made.checksum());
        assertThat(read.schedule().sections()).isEqualTo(made.schedule().sections());
    }

    private static double full(ScheduleBundle bundle, Predicate<Section> which) {
        return bundle.schedule().sections().stream()
                .filter(which)
                .mapToInt(section ->
                        section.pool().count().enrolled() >= section.pool().capacity() ? 1 : 0)
                .average()
                .orElseThrow();
    }

    private static int starts(Section section) {
        return section.meetings().stream()
                .flatMap(meeting -> meeting.timing().time().stream())
                .mapToInt(time -> time.start().getHour())
                .findFirst()
                .orElse(0);
    }
}
