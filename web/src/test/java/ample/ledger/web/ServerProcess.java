package ample.ledger.web;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.regex.Pattern;

/**
 * A Java program that runs, seen from outside.
 *
 * @param process the number of its process
 */
public record ServerProcess(String process) {

    /** What is in use after a collection, in KB. */
    public long heap() throws IOException, InterruptedException {
        run("jcmd", process, "GC.run");
        return Pattern.compile("used (\\d+)K")
                .matcher(run("jcmd", process, "GC.heap_info"))
                .results()
                .limit(2)
                .mapToLong(used -> Long.parseLong(used.group(1)))
                .sum();
    }

    /** What a command says. */
    public static String run(String... command) throws IOException, InterruptedException {
        Process started = new ProcessBuilder(command).redirectErrorStream(true).start();
        String said = new String(started.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        started.waitFor();
        return said;
    }
}
