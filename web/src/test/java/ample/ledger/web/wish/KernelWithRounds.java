package ample.ledger.web.wish;

import ample.ledger.core.fixtures.Schedules;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** The kernel of the demo with its wish rounds, which are only in the large bundle. */
final class KernelWithRounds {

    /** Rows of the courses, people and sections that the rounds have to themselves. */
    private static final Pattern THEIRS = Pattern.compile(
            "(410\\d\\d|RHET,226|GLAC,146m|GLAC,247m|MYCO,147m|MYCO,248m|quillon-hale|marsh-oduya|tarnwick|sorrell-nkemi),.*");

    private KernelWithRounds() {}

    /** @return {@code folder} */
    static Path in(Path folder) throws IOException {
        Path demo = Schedules.repository().resolve("demo/bundles/autumn-2031-3");
        try (Stream<Path> files = Files.list(Schedules.kernel())) {
            for (Path file : files.toList()) {
                String name = file.getFileName().toString();
                List<String> large = Files.readAllLines(demo.resolve(name));
                List<String> lines = name.startsWith("wish_")
                        ? large
                        : Stream.concat(
                                        Files.readAllLines(file).stream(),
                                        large.stream()
                                                .filter(line ->
                                                        THEIRS.matcher(line).matches()))
                                .toList();
                Files.writeString(folder.resolve(name), String.join("\n", lines) + "\n");
            }
        }
        return folder;
    }
}
