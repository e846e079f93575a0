package ample.ledger.web.database;

import javax.sql.DataSource;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Puts the guard before the pool of connections, wherever it is used. */
@Configuration(proxyBeanMethods = false)
class DatabaseConfiguration {

    @Bean
    static BeanPostProcessor guardedDataSource(ObjectProvider<DatabaseBreaker> breaker) {
        return new BeanPostProcessor() {
            @Override
            public Object postProcessAfterInitialization(Object bean, String name) {
                return bean instanceof DataSource pool ? new GuardedDataSource(pool, breaker.getObject()) : bean;
            }
        };
    }
}
