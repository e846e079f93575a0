package ample.ledger.web;

import ample.ledger.core.fixtures.Schedules;
import ample.ledger.store.TestDatabase;
import java.io.File;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.Socket;
import java.net.URI;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import javax.sql.DataSource;
import org.jspecify.annotations.Nullable;
import org.postgresql.ds.PGSimpleDataSource;

/** The demo's institution as it really runs: a program of its own, on a free port of the loopback address. */
public final class Institution implements AutoCloseable {

    /** Of everybody who signs in there. */
    public static final String PASSWORD = "neap tide";

    /** The key of its registrar, and the secret of its sign-on. */
    public static final String SECRET = "a key for tests";

    private static final int HALF_SECONDS = 240;

    private static @Nullable Institution shared;

    private final TestDatabase database;
    private final int port = FreePort.next();
    private final List<String> options;
    private Process process;

    private Institution(TestDatabase database, List<String> options) {
        this.database = database;
        this.options = options;
        this.process = run();
    }

    /** One for all tests that leave it as it is; it ends with the tests. */
    public static synchronized Institution shared() {
        if (shared == null) {
            shared = start();
            Runtime.getRuntime().addShutdownHook(new Thread(shared::close));
        }
        return shared;
    }

    /**
     * One of the test's own, which it may stop and start again.
     *
     * @param options which take the place of those that it has otherwise
     */
    public static Institution start(String... options) {
        Institution institution = new Institution(TestDatabase.create(), List.of(options));
        institution.await();
        return institution;
    }

    /** A second program on the same database. */
    public Institution beside() {
        return new Institution(database, options);
    }

    /** Its database, as it reaches it itself. */
    public DataSource tables() {
        PGSimpleDataSource tables = new PGSimpleDataSource();
        tables.setUrl(database.url().replace("currentSchema=ledger", "currentSchema=standin"));
        tables.setUser("ledger_standin");
        tables.setPassword(database.standinPassword());
        return tables;
    }

    /** Where people reach it. */
    public URI root() {
        return URI.create("http://127.0.0.1:" + port);
    }

    /** Where programs ask its registrar. */
    public URI registrar() {
        return root().resolve("/registrar/v1");
    }

    /**
     * Moves its clock on, as somebody does on the page of the clock.
     *
     * @param moment on its wall clock: "2031-06-18T08:00"
     */
    public void moveClock(String moment) throws Exception {
        ClockPage.moveTo(root(), moment);
    }

    /** Ends it as a machine does that fails. */
    public void kill() {
        process.destroyForcibly().onExit().join();
    }

    /** Starts it again where it was, with what it has kept. */
    public void startAgain() {
        process = run();
        await();
    }

    private Process run() {
        List<String> command = new ArrayList<>(List.of(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-Xmx256m",
                "-XX:+UseSerialGC",
                "-XX:TieredStopAtLevel=1",
                "-jar",
                jar().toString(),
                "--server.port=" + port,
                "--spring.datasource.url=" + database.url().replace("currentSchema=ledger", "currentSchema=standin"),
                "--spring.datasource.password=" + database.standinPassword(),
                "--standin.bundles=" + Schedules.kernel(),
                "--standin.clock=2031-06-17T08:41:00Z",
                "--standin.password=" + PASSWORD,
                "--standin.key=" + SECRET,
                "--standin.client=" + SECRET,
                "--logging.level.root=warn",
                "--spring.main.banner-mode=off"));
        // What is given twice would be taken for a list.
        command.removeIf(usual -> options.stream().anyMatch(own -> usual.startsWith(own.replaceFirst("=.*", "="))));
        command.addAll(options);
        try {
            return new ProcessBuilder(command)
                    .redirectErrorStream(true)
                    .redirectOutput(new File("/dev/null"))
                    .start();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** The one file that the build has made of it. */
    private static Path jar() {
        Path jar = Schedules.repository().resolve("standin/target/standin.jar");
        if (!Files.exists(jar)) {
            throw new IllegalStateException("The institution is not built: mvn -pl standin -am package");
        }
        return jar;
    }

    private void await() {
        for (int i = 0; i < HALF_SECONDS; i++) {
            try (Socket socket = new Socket(InetAddress.getLoopbackAddress(), port)) {
                if (socket.isConnected()) {
                    return;
                }
            } catch (IOException notYet) {
                pause();
            }
            if (!process.isAlive()) {
                throw new IllegalStateException("The institution has ended with status " + process.exitValue());
            }
        }
        throw new IllegalStateException("The institution does not start");
    }

    private static void pause() {
        try {
            Thread.sleep(500);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    @Override
    public void close() {
        process.destroy();
    }
}
