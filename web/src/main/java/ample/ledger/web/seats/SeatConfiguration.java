package ample.ledger.web.seats;

import ample.ledger.store.News;
import java.time.Duration;
import javax.sql.DataSource;
import org.springframework.boot.autoconfigure.condition.ConditionalOnWebApplication;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Where the news of seats and notices comes from. */
@Configuration(proxyBeanMethods = false)
@ConditionalOnWebApplication
class SeatConfiguration {

    /** News is announced; this is how long it can take when an announcement is lost. */
    private static final Duration PATIENCE = Duration.ofSeconds(1);

    @Bean
    News seatNews(DataSource dataSource, SeatStreams streams) {
        return new News(News.Channel.SEATS, dataSource, PATIENCE, streams::refresh);
    }

    @Bean
    News noticeNews(DataSource dataSource, SeatStreams streams) {
        return new News(News.Channel.NOTICES, dataSource, PATIENCE, streams::refreshNotices);
    }
}
