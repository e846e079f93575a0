package ample.ledger.web;

import java.lang.reflect.InvocationHandler;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Proxy;
import java.sql.Connection;
import java.util.concurrent.atomic.AtomicInteger;
import javax.sql.DataSource;
import org.springframework.beans.factory.config.BeanPostProcessor;

/** Counts the SQL statements that requests cause; what runs beside them, such as looking for news, is not counted. */
final class StatementCount implements BeanPostProcessor {

    private final AtomicInteger statements = new AtomicInteger();

    /** How many since the last call. */
    int sinceLast() {
        return statements.getAndSet(0);
    }

    @Override
    public Object postProcessAfterInitialization(Object bean, String name) {
        return bean instanceof DataSource source ? counting(DataSource.class, source) : bean;
    }

    private <T> T counting(Class<T> type, T target) {
        InvocationHandler handler = (proxy, method, arguments) -> {
            boolean makesStatement =
                    method.getName().startsWith("prepare") || method.getName().equals("createStatement");
            if (makesStatement && Thread.currentThread().getName().contains("-exec-")) {
                statements.incrementAndGet();
            }
            try {
                Object result = method.invoke(target, arguments);
                return result instanceof Connection connection
                                && method.getName().equals("getConnection")
                        ? counting(Connection.class, connection)
                        : result;
            } catch (InvocationTargetException e) {
                throw e.getCause();
            }
        };
        return type.cast(Proxy.newProxyInstance(type.getClassLoader(), new Class<?>[] {type}, handler));
    }
}
