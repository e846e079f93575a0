package ample.ledger.web.term;

import ample.ledger.store.News;
import java.time.Duration;
import javax.sql.DataSource;
import org.springframework.boot.autoconfigure.condition.ConditionalOnWebApplication;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.DependsOn;

/** Keeps {@link Terms} up with what this and other instances post. */
@Configuration(proxyBeanMethods = false)
@ConditionalOnWebApplication
class NewsConfiguration {

    /** Long enough to cost nothing, short enough that nobody notices when the quick way is lost. */
    private static final Duration PATIENCE = Duration.ofSeconds(3);

    /** The first time before any page is asked for, and after what is posted at the start. */
    @Bean
    @DependsOn({"demoAtStart", "postingAtStart"})
    News editionNews(DataSource dataSource, Terms terms) {
        terms.refresh();
        return new News(News.Channel.EDITION, dataSource, PATIENCE, () -> {
            terms.refresh();
            terms.compareEditions();
        });
    }
}
