package ample.ledger.store;

import ample.ledger.core.schedule.SeasonCode;
import ample.ledger.core.schedule.TermCode;
import javax.sql.DataSource;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.type.TypeHandler;
import org.mybatis.spring.annotation.MapperScan;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/** What an application imports to reach the store; the data source is its own. */
@Configuration(proxyBeanMethods = false)
@MapperScan(basePackageClasses = EditionMapper.class, annotationClass = Mapper.class)
public class StoreConfiguration {

    /** How the mappers keep codes and numbers; for whoever builds MyBatis without Spring Boot. */
    public static TypeHandler<?>[] codes() {
        return new TypeHandler<?>[] {new CodeHandler.OfTerms(), new CodeHandler.OfSeasons(), new NumbersHandler()};
    }

    @Bean
    TypeHandler<TermCode> termCodes() {
        return new CodeHandler.OfTerms();
    }

    @Bean
    TypeHandler<SeasonCode> seasonCodes() {
        return new CodeHandler.OfSeasons();
    }

    @Bean
    TypeHandler<Object> numbers() {
        return new NumbersHandler();
    }

    @Bean
    Editions editions(
            EditionMapper mapper,
            TellingMapper telling,
            DataSource dataSource,
            PlatformTransactionManager transactions) {
        return new Editions(mapper, telling, dataSource, new TransactionTemplate(transactions));
    }

    @Bean
    SeatWords seatWords(SeatWordMapper mapper, PlatformTransactionManager transactions) {
        return new SeatWords(mapper, new TransactionTemplate(transactions));
    }

    @Bean
    Uploads uploads(UploadMapper mapper, DataSource dataSource, PlatformTransactionManager transactions) {
        return new Uploads(mapper, dataSource, new TransactionTemplate(transactions));
    }

    @Bean
    Visitors visitors(
            VisitorMapper mapper, Concerns concerns, PlatformTransactionManager transactions, Retention retention) {
        return new Visitors(mapper, concerns, new TransactionTemplate(transactions), retention);
    }

    @Bean
    Concerns concerns(ConcernMapper mapper) {
        return new Concerns(mapper);
    }

    @Bean
    Notices notices(NoticeMapper mapper) {
        return new Notices(mapper);
    }

    @Bean
    Telling telling(
            TellingMapper mapper,
            Concerns concerns,
            ConcernMapper looks,
            Notices notices,
            PlatformTransactionManager transactions) {
        return new Telling(mapper, concerns, looks, notices, new TransactionTemplate(transactions));
    }

    @Bean
    PrivateAddresses privateAddresses(PrivateAddressMapper mapper) {
        return new PrivateAddresses(mapper);
    }

    @Bean
    Letters letters(LetterMapper mapper, PlatformTransactionManager transactions) {
        return new Letters(mapper, new TransactionTemplate(transactions));
    }

    @Bean
    AskedSubmissions askedSubmissions(AskedMapper mapper) {
        return new AskedSubmissions(mapper);
    }

    @Bean
    OwnData ownData(OwnDataMapper mapper, PlatformTransactionManager transactions, Retention retention) {
        return new OwnData(mapper, new TransactionTemplate(transactions), retention);
    }

    @Bean
    DeskActs deskActs(DeskActMapper mapper) {
        return new DeskActs(mapper);
    }

    @Bean
    Shares shares(ShareMapper mapper) {
        return new Shares(mapper);
    }
}
