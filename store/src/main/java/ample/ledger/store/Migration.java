package ample.ledger.store;

import java.util.Map;
import javax.sql.DataSource;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.output.MigrateResult;
import org.springframework.jdbc.datasource.DriverManagerDataSource;

/** The program that brings the schema of a database to what this version needs, apart from the application: it alone has the owner's password. */
public final class Migration {

    private static final String OWNER = "ledger_owner";
    private static final String APPLICATION = "ledger_app";
    private static final String SCHEMA = "ledger";

    private Migration() {}

    /** The environment says where: LEDGER_DATABASE_URL and LEDGER_OWNER_PASSWORD. */
    public static void main(String[] arguments) {
        MigrateResult result = migrate(owner());
        System.out.printf(
                "The schema is at version %s; %d migrations were made.%n",
                result.targetSchemaVersion == null ? result.initialSchemaVersion : result.targetSchemaVersion,
                result.migrationsExecuted);
    }

    /** The database as its owner reaches it. */
    static DataSource owner() {
        return new DriverManagerDataSource(wanted("LEDGER_DATABASE_URL"), OWNER, wanted("LEDGER_OWNER_PASSWORD"));
    }

    private static String wanted(String name) {
        String value = System.getenv(name);
        if (value == null || value.isBlank()) {
            System.err.println("Set " + name + ": see docs/operations.md.");
            System.exit(2);
        }
        return String.valueOf(value);
    }

    /** Makes the migrations that are missing. */
    static MigrateResult migrate(DataSource owner) {
        return Flyway.configure()
                .dataSource(owner)
                .defaultSchema(SCHEMA)
                .createSchemas(false)
                .placeholders(Map.of("app_role", APPLICATION))
                .load()
                .migrate();
    }
}
