package ample.ledger.store;

import ample.ledger.core.fixtures.Schedules;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Properties;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;
import org.postgresql.ds.PGSimpleDataSource;

/**
 * An empty database of a test's own, in a throw-away PostgreSQL cluster.
 *
 * <p>{@code ./ledger test} starts the cluster and names its folder in {@code LEDGER_TEST_CLUSTER}; in an IDE the first
 * test that needs one starts one, which goes away with the virtual machine.
 */
public record TestDatabase(String url, String ownerPassword, String appPassword, String standinPassword) {

    private static final long MOST_SECONDS = 120;

    private static @Nullable Path cluster;

    /** A new empty database, with the schema {@code ledger} and both roles, not migrated yet. */
    public static synchronized TestDatabase create() {
        return create(cluster());
    }

    /** As {@link #create()}, in the cluster of this folder. */
    public static TestDatabase create(Path folder) {
        String name = "test_" + UUID.randomUUID().toString().replace("-", "");
        run("database", folder.toString(), name);
        Properties connection = new Properties();
        try (InputStream in = Files.newInputStream(folder.resolve("connection.env"))) {
            connection.load(in);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return new TestDatabase(
                connection.getProperty("LEDGER_DATABASE_URL").replace("/ledger?", "/" + name + "?"),
                connection.getProperty("LEDGER_OWNER_PASSWORD"),
                connection.getProperty("LEDGER_APP_PASSWORD"),
                connection.getProperty("LEDGER_STANDIN_PASSWORD"));
    }

    /** Connections as the application's own role. */
    public PGSimpleDataSource asApplication() {
        return dataSource("ledger_app", appPassword);
    }

    /** Connections as the role that owns the tables. */
    public PGSimpleDataSource asOwner() {
        return dataSource("ledger_owner", ownerPassword);
    }

    private PGSimpleDataSource dataSource(String user, String password) {
        PGSimpleDataSource source = new PGSimpleDataSource();
        source.setUrl(url);
        source.setUser(user);
        source.setPassword(password);
        return source;
    }

    private static Path cluster() {
        String given = System.getenv("LEDGER_TEST_CLUSTER");
        if (given != null) {
            return Path.of(given);
        }
        if (cluster == null) {
            try {
                cluster = Files.createTempDirectory("ledger-test");
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
            String folder = cluster.toString();
            Runtime.getRuntime().addShutdownHook(new Thread(() -> run("destroy", folder)));
            run("start", folder, "--throw-away");
        }
        return cluster;
    }

    /** Runs the script that looks after clusters. */
    public static void run(String... arguments) {
        List<String> command = new ArrayList<>();
        command.add(Schedules.repository().resolve("tools/postgres.sh").toString());
        command.addAll(List.of(arguments));
        try {
            Process process = new ProcessBuilder(command).inheritIO().start();
            if (!process.waitFor(MOST_SECONDS, TimeUnit.SECONDS) || process.exitValue() != 0) {
                process.destroyForcibly();
                throw new IllegalStateException(String.join(" ", command) + " failed");
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }
}
