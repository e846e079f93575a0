package ample.ledger.standin.posted;

import ample.ledger.core.plan.PostedSchedules;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** What is posted, as rules that look at several terms take it. */
@Configuration(proxyBeanMethods = false)
class PostedConfiguration {

    @Bean
    PostedSchedules postedSchedules(PostedBundles bundles) {
        return new PostedSchedules(bundles.all());
    }
}
