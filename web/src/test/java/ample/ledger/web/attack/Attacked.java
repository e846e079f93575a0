package ample.ledger.web.attack;

import ample.ledger.web.ServerProcess;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/**
 * The application that is attacked, and its database.
 *
 * @param cluster the folder of its database cluster
 */
record Attacked(ServerProcess process, Path cluster) {

    /** What is in use after a collection, in MB. */
    long heap() throws IOException, InterruptedException {
        return process.heap() / 1024;
    }

    /** Sends a signal to the database and all that belongs to it, as {@code kill} names it: -STOP, -CONT. */
    void signal(String signal) throws IOException, InterruptedException {
        long server = Long.parseLong(Files.readAllLines(cluster.resolve("data/postmaster.pid"))
                .get(0)
                .strip());
        List<String> command = new ArrayList<>(List.of("kill", signal, Long.toString(server)));
        ProcessHandle.of(server).orElseThrow().children().forEach(child -> command.add(Long.toString(child.pid())));
        ServerProcess.run(command.toArray(String[]::new));
    }
}
