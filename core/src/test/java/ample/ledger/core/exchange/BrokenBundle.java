package ample.ledger.core.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.fixtures.Schedules;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * The kernel with one fault put into it, as a line of {@code broken-bundles.csv} says.
 *
 * @param from what is replaced in the file, the first time it stands there; empty: {@code to} is added as its last line
 * @param to what stands there instead; "gone" without {@code from}: the file is removed
 * @param machine whether any reader of Table Schemas must refuse it too
 * @param message what must be said of it
 */
record BrokenBundle(String file, String from, String to, boolean machine, String message) {

    static List<BrokenBundle> all() throws IOException {
        try (Stream<String> lines = Files.lines(Schedules.repository()
                .resolve("core/src/test/resources/ample/ledger/core/exchange/broken-bundles.csv"))) {
            return lines.skip(1)
                    .map(line -> line.split("\\|", -1))
                    .map(cells ->
                            new BrokenBundle(cells[0], cells[1], cells[2], Boolean.parseBoolean(cells[3]), cells[4]))
                    .toList();
        }
    }

    /** Writes it into the folder. */
    void make(Path folder) throws IOException {
        copyKernel(folder);
        Path broken = folder.resolve(file);
        String text = Files.readString(broken);
        if (from.isEmpty() && to.equals("gone")) {
            Files.delete(broken);
        } else if (from.isEmpty()) {
            Files.writeString(broken, text + to + "\n");
        } else {
            assertThat(text).contains(from);
            Files.writeString(broken, text.replaceFirst(Pattern.quote(from), Matcher.quoteReplacement(to)));
        }
    }

    static void copyKernel(Path folder) throws IOException {
        Files.createDirectories(folder);
        try (Stream<Path> files = Files.list(Schedules.kernel())) {
            for (Path each : (Iterable<Path>) files::iterator) {
                Files.copy(each, folder.resolve(each.getFileName().toString()));
            }
        }
    }
}
