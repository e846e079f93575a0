package ample.ledger.web.attack;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;

/**
 * The application that is attacked, and its database.
 *
 * @param process the number of its process
 * @param cluster the folder of its database cluster
 */
record Attacked(String process, Path cluster) {

    /** What is in use after a collection, in MB. */
    long heap() throws IOException, InterruptedException {
        run("jcmd", process, "GC.run");
        return Pattern.compile("used (\\d+)K")
                        .matcher(run("jcmd", process, "GC.heap_info"))
                        .results()
                        .limit(2)
                        .mapToLong(used -> Long.parseLong(used.group(1)))
                        .sum()
                / 1024;
    }

    /** Sends a signal to the database and all that belongs to it, as {@code kill} names it: -STOP, -CONT. */
    void signal(String signal) throws IOException, InterruptedException {
        long server = Long.parseLong(Files.readAllLines(cluster.resolve("data/postmaster.pid"))
                .get(0)
                .strip());
        List<String> command = new ArrayList<>(List.of("kill", signal, Long.toString(server)));
        ProcessHandle.of(server).orElseThrow().children().forEach(child -> command.add(Long.toString(child.pid())));
        run(command.toArray(String[]::new));
    }

    private static String run(String... command) throws IOException, InterruptedException {
        Process started = new ProcessBuilder(command).redirectErrorStream(true).start();
        String said = new String(started.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        started.waitFor();
        return said;
    }
}
