package ample.ledger.bench;

import ample.ledger.core.edition.PostingChecks;
import ample.ledger.core.exchange.BundleFormat;
import ample.ledger.core.exchange.BundleTable;
import ample.ledger.core.exchange.BundleTables;
import ample.ledger.core.exchange.BundleWriter;
import ample.ledger.core.exchange.ScheduleBundle;
import ample.ledger.core.exchange.TableSchema;
import ample.ledger.demo.DemoBundles;
import ample.ledger.store.Editions;
import ample.ledger.store.Retention;
import ample.ledger.store.StoreConfiguration;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Objects;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;
import javax.sql.DataSource;
import org.apache.ibatis.session.Configuration;
import org.apache.ibatis.session.SqlSessionFactory;
import org.flywaydb.core.Flyway;
import org.mybatis.spring.SqlSessionFactoryBean;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Level;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.TearDown;
import org.openjdk.jmh.annotations.Warmup;
import org.postgresql.PGConnection;
import org.postgresql.copy.CopyManager;
import org.postgresql.ds.PGSimpleDataSource;
import org.springframework.context.annotation.AnnotatedBeanDefinitionReader;
import org.springframework.context.support.GenericApplicationContext;
import org.springframework.core.io.ClassPathResource;
import org.springframework.jdbc.datasource.DataSourceTransactionManager;
import org.springframework.transaction.PlatformTransactionManager;

/**
 * Posting an edition, beside a bare {@code COPY} of the same rows: into the same tables with their keys, and into bare ones
 * without. The bare loads get their bytes ready-made, in one transaction, and check nothing.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SingleShotTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 4)
@Measurement(iterations = 12)
@Fork(value = 1, jvmArgs = "-Xmx3g")
public class PostingBenchmark {

    private static final Instant NOW = Instant.parse("2031-06-17T08:41:00Z");

    @Param("20000")
    private int sections;

    private final PGSimpleDataSource asOwner = dataSource("ledger_owner", "LEDGER_OWNER_PASSWORD");
    private final GenericApplicationContext context = new GenericApplicationContext();
    private final Map<String, byte[]> ready = new LinkedHashMap<>();
    private Editions editions;
    private ScheduleBundle one;
    private ScheduleBundle other;
    private Path zip;
    private boolean turn;

    @Setup
    public void prepare() throws Exception {
        Flyway.configure()
                .dataSource(asOwner)
                .defaultSchema("ledger")
                .createSchemas(false)
                .placeholders(Map.of("app_role", "ledger_app"))
                .load()
                .migrate();
        DataSource asApplication = dataSource("ledger_app", "LEDGER_APP_PASSWORD");
        context.registerBean(DataSource.class, () -> asApplication);
        context.registerBean(PlatformTransactionManager.class, () -> new DataSourceTransactionManager(asApplication));
        context.registerBean(SqlSessionFactory.class, () -> sessions(asApplication));
        new AnnotatedBeanDefinitionReader(context).register(StoreConfiguration.class);
        context.registerBean(Retention.class, () -> new Retention(Duration.ofDays(60), Duration.ZERO));
        context.refresh();
        editions = context.getBean(Editions.class);
        DemoBundles demo = new DemoBundles(Path.of("demo/kernel"), 2031);
        BundleTables tables = demo.autumn(sections);
        one = ScheduleBundle.of(tables);
        other = ScheduleBundle.of(new DemoBundles(Path.of("demo/kernel"), 2032).autumn(sections));
        zip = Files.createTempFile("bench", ".zip");
        try (OutputStream out = Files.newOutputStream(zip)) {
            BundleWriter.toZip(tables, out);
        }
        try (Connection connection = asOwner.getConnection();
                Statement sql = connection.createStatement()) {
            for (BundleTable table : tables.tables().values()) {
                String name = table.schema().name();
                sql.execute("DROP TABLE IF EXISTS bare_" + name);
                sql.execute("CREATE TABLE bare_" + name + " AS SELECT * FROM " + name + " LIMIT 0");
            }
        }
    }

    @Setup(Level.Iteration)
    public void empty() throws SQLException {
        try (Connection connection = asOwner.getConnection();
                Statement sql = connection.createStatement()) {
            String tables = BundleFormat.current().tables().stream()
                    .map(TableSchema::name)
                    .collect(Collectors.joining(", "));
            sql.execute("TRUNCATE current_edition, edition, " + tables);
            sql.execute("TRUNCATE bare_" + tables.replace(", ", ", bare_"));
        }
    }

    @TearDown
    public void tidy() throws IOException {
        Files.delete(zip);
        context.close();
    }

    /** From a bundle in memory to the current edition. */
    @Benchmark
    public Editions.Posting post() {
        turn = !turn;
        return editions.post(turn ? one : other, "bench", "desk", NOW);
    }

    /** From the zip: read, checked, looked over for warnings, posted. */
    @Benchmark
    public Editions.Posting readLookOverAndPost() {
        ScheduleBundle read = ScheduleBundle.read(zip);
        PostingChecks.warningsOf(read.schedule());
        return editions.post(read, "bench", "desk", NOW);
    }

    /** The peer: the same rows into the same tables. */
    @Benchmark
    public long copyIntoTheSameTables() throws SQLException, IOException {
        return copy("");
    }

    /** The same rows into tables without any key. */
    @Benchmark
    public long copyIntoBareTables() throws SQLException, IOException {
        return copy("bare_");
    }

    private long copy(String prefix) throws SQLException, IOException {
        try (Connection connection = asOwner.getConnection();
                Statement sql = connection.createStatement()) {
            connection.setAutoCommit(false);
            long edition = newEdition(sql);
            CopyManager copies = connection.unwrap(PGConnection.class).getCopyAPI();
            long rows = 0;
            for (Map.Entry<String, byte[]> table : readyFor(edition).entrySet()) {
                rows += copies.copyIn(
                        "COPY " + prefix + table.getKey() + " FROM STDIN", new ByteArrayInputStream(table.getValue()));
            }
            connection.commit();
            return rows;
        }
    }

    private static long newEdition(Statement sql) throws SQLException {
        // Always the same number, so that the bytes can be made beforehand.
        try (ResultSet id = sql.executeQuery("INSERT INTO edition OVERRIDING SYSTEM VALUE"
                + " SELECT 1000000, 'autumn-2031', 1000000, now(), '', '', 'halvermere' RETURNING edition_id")) {
            id.next();
            return id.getLong(1);
        }
    }

    private Map<String, byte[]> readyFor(long edition) {
        if (ready.isEmpty()) {
            BundleFormat.current().tables().forEach(schema -> {
                StringBuilder text = new StringBuilder();
                int row = 0;
                for (BundleTable.Row each : one.tables().rows(schema.name())) {
                    text.append(edition).append('\t').append(++row);
                    for (Object cell : each.cells()) {
                        text.append('\t')
                                .append(cell == null ? "\\N" : cell.toString().replace("\\", "\\\\"));
                    }
                    text.append('\n');
                }
                ready.put(schema.name(), text.toString().getBytes(StandardCharsets.UTF_8));
            });
        }
        return ready;
    }

    private static SqlSessionFactory sessions(DataSource dataSource) {
        try {
            var factory = new SqlSessionFactoryBean();
            factory.setDataSource(dataSource);
            var configuration = new Configuration();
            configuration.setArgNameBasedConstructorAutoMapping(true);
            factory.setTypeHandlers(StoreConfiguration.codes());
            factory.setConfiguration(configuration);
            factory.setMapperLocations(new ClassPathResource("ample/ledger/store/EditionMapper.xml"));
            return Objects.requireNonNull(factory.getObject());
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }

    private static PGSimpleDataSource dataSource(String user, String password) {
        PGSimpleDataSource source = new PGSimpleDataSource();
        source.setUrl(System.getenv("LEDGER_DATABASE_URL"));
        source.setUser(user);
        source.setPassword(System.getenv(password));
        return source;
    }
}
