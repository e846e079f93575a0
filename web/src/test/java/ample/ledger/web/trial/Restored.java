package ample.ledger.web.trial;

import java.net.URI;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;

/** Looks up what was confirmed before a backup began, in an instance on the database that was restored from it. */
public final class Restored {

    private Restored() {}

    /**
     * Ends with status 1 where something is missing.
     *
     * @param arguments where the instance answers, the term, the file that {@link Trial} wrote, and when the backup began, in milliseconds since 1970
     */
    public static void main(String[] arguments) throws Exception {
        URI root = URI.create(arguments[0]);
        long began = Long.parseLong(arguments[3]);
        List<String[]> before = Files.readAllLines(Path.of(arguments[2])).stream()
                .map(line -> line.split(" ", -1))
                .filter(line -> Long.parseLong(line[0]) < began)
                .toList();
        int missing = 0;
        for (String[] line : before) {
            missing += new Guest(root, arguments[1], line[1]).planned().equals(Set.of(line[2])) ? 0 : 1;
        }
        System.out.printf(
                "Restored from a backup taken meanwhile: %d of %d that were confirmed before it began are missing.%n",
                missing, before.size());
        System.exit(missing == 0 && !before.isEmpty() ? 0 : 1);
    }
}
