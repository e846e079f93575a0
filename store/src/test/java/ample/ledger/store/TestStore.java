package ample.ledger.store;

import ample.ledger.core.exchange.BundleFormat;
import ample.ledger.core.exchange.TableSchema;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import java.util.stream.Collectors;
import javax.sql.DataSource;
import org.apache.ibatis.session.Configuration;
import org.apache.ibatis.session.SqlSessionFactory;
import org.mybatis.spring.SqlSessionFactoryBean;
import org.mybatis.spring.SqlSessionTemplate;
import org.springframework.core.io.ClassPathResource;
import org.springframework.jdbc.datasource.DataSourceTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/** The store over a migrated database of its own, put together as the application does. */
final class TestStore {

    private final TestDatabase database;
    private final DataSource dataSource;
    private final Editions editions;
    private final Uploads uploads;
    private final Visitors visitors;
    private final Shares shares;
    private final OwnData ownData;
    private final SeatWords seatWords;
    private final Concerns concerns;
    private final Notices notices;
    private final Telling telling;
    private final Letters letters;
    private final PrivateAddresses privateAddresses;

    private static final Retention RETENTION = new Retention(Duration.ofDays(60), Duration.ofDays(400));

    TestStore() throws Exception {
        this(TestDatabase.create());
    }

    TestStore(TestDatabase database) throws Exception {
        this.database = database;
        this.dataSource = database.asApplication();
        Migration.migrate(database.asOwner());
        var factory = new SqlSessionFactoryBean();
        factory.setDataSource(dataSource);
        var configuration = new Configuration();
        configuration.setArgNameBasedConstructorAutoMapping(true);
        factory.setTypeHandlers(StoreConfiguration.codes());
        factory.setConfiguration(configuration);
        factory.setMapperLocations(new ClassPathResource("ample/ledger/store/EditionMapper.xml"));
        SqlSessionFactory sessions = factory.getObject();
        SqlSessionTemplate template = new SqlSessionTemplate(sessions);
        sessions.getConfiguration().addMapper(UploadMapper.class);
        sessions.getConfiguration().addMapper(VisitorMapper.class);
        sessions.getConfiguration().addMapper(ShareMapper.class);
        sessions.getConfiguration().addMapper(ConcernMapper.class);
        sessions.getConfiguration().addMapper(NoticeMapper.class);
        sessions.getConfiguration().addMapper(TellingMapper.class);
        sessions.getConfiguration().addMapper(LetterMapper.class);
        sessions.getConfiguration().addMapper(PrivateAddressMapper.class);
        sessions.getConfiguration().addMapper(OwnDataMapper.class);
        EditionMapper mapper = template.getMapper(EditionMapper.class);
        var transactions = new TransactionTemplate(new DataSourceTransactionManager(dataSource));
        uploads = new Uploads(template.getMapper(UploadMapper.class), dataSource, transactions);
        ConcernMapper concernMapper = template.getMapper(ConcernMapper.class);
        TellingMapper tellingMapper = template.getMapper(TellingMapper.class);
        concerns = new Concerns(concernMapper);
        notices = new Notices(template.getMapper(NoticeMapper.class));
        letters = new Letters(template.getMapper(LetterMapper.class), transactions);
        privateAddresses = new PrivateAddresses(template.getMapper(PrivateAddressMapper.class));
        telling = new Telling(tellingMapper, concerns, concernMapper, notices, transactions);
        visitors = new Visitors(template.getMapper(VisitorMapper.class), concerns, transactions, RETENTION);
        shares = new Shares(template.getMapper(ShareMapper.class));
        ownData = new OwnData(template.getMapper(OwnDataMapper.class), transactions, RETENTION);
        sessions.getConfiguration().addMapper(SeatWordMapper.class);
        seatWords = new SeatWords(template.getMapper(SeatWordMapper.class), transactions);
        editions = new Editions(mapper, tellingMapper, dataSource, transactions);
    }

    Visitors visitors() {
        return visitors;
    }

    Concerns concerns() {
        return concerns;
    }

    Notices notices() {
        return notices;
    }

    Letters letters() {
        return letters;
    }

    PrivateAddresses privateAddresses() {
        return privateAddresses;
    }

    Telling telling() {
        return telling;
    }

    OwnData ownData() {
        return ownData;
    }

    Shares shares() {
        return shares;
    }

    Uploads uploads() {
        return uploads;
    }

    SeatWords seatWords() {
        return seatWords;
    }

    Editions editions() {
        return editions;
    }

    /** Forgets every edition, as only the owner of the tables can. */
    void forgetEverything() throws SQLException {
        try (Connection connection = database.asOwner().getConnection();
                Statement sql = connection.createStatement()) {
            String tables = BundleFormat.current().tables().stream()
                    .map(TableSchema::name)
                    .collect(Collectors.joining(", "));
            sql.execute("TRUNCATE current_edition, edition, " + tables);
        }
    }

    TestDatabase database() {
        return database;
    }

    /** Connections as the application's own role. */
    DataSource dataSource() {
        return dataSource;
    }
}
