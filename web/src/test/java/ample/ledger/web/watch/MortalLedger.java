package ample.ledger.web.watch;

import ample.ledger.web.LedgerApplication;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Proxy;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Optional;
import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.boot.SpringApplication;

/**
 * The application, as a program that ends as by a failing machine at a step of telling or of letters, if no other has ended there. Where it ended is
 * noted by a file of the step's name.
 */
final class MortalLedger {

    /** The steps of telling and of letters, each the statement before or after which it ends. Between the last of them and the next first one lies a commit. */
    enum Step {
        EDITION_NOTICES_WRITTEN("TellingMapper", "told", false),
        EDITION_TOLD("TellingMapper", "told", true),
        SEAT_NOTICE_WRITTEN("NoticeMapper", "announce", true),
        LETTER_GATHERED("LetterMapper", "gather", true),
        LETTER_TAKEN("LetterMapper", "next", true),
        LETTER_HANDED_OVER("LetterMapper", "end", false),
        LETTER_NOTED("LetterMapper", "end", true);

        private final String mapper;
        private final String statement;
        private final boolean after;

        Step(String mapper, String statement, boolean after) {
            this.mapper = mapper;
            this.statement = statement;
            this.after = after;
        }

        private void reached(Path folder, String mapperNow, String statementNow, boolean afterNow) {
            if (mapper.equals(mapperNow) && statement.equals(statementNow) && after == afterNow) {
                try {
                    Files.createFile(folder.resolve(name()));
                } catch (FileAlreadyExistsException another) {
                    return;
                } catch (IOException e) {
                    throw new UncheckedIOException(e);
                }
                Runtime.getRuntime().halt(9);
            }
        }
    }

    private MortalLedger() {}

    /** @param arguments the folder of the steps, and the options of the application */
    public static void main(String[] arguments) {
        Path folder = Path.of(arguments[0]);
        SpringApplication application = new SpringApplication(LedgerApplication.class);
        application.addInitializers(before -> before.getBeanFactory().addBeanPostProcessor(new BeanPostProcessor() {
            @Override
            public Object postProcessAfterInitialization(Object bean, String name) {
                return Proxy.isProxyClass(bean.getClass()) ? dying(bean, folder) : bean;
            }
        }));
        application.run(Arrays.copyOfRange(arguments, 1, arguments.length));
    }

    /** A mapper that ends the program at the steps. */
    private static Object dying(Object mapper, Path folder) {
        Class<?>[] types = mapper.getClass().getInterfaces();
        if (types.length != 1 || !types[0].getName().startsWith("ample.ledger.store.")) {
            return mapper;
        }
        String name = types[0].getSimpleName();
        return Proxy.newProxyInstance(types[0].getClassLoader(), types, (proxy, method, arguments) -> {
            for (Step step : Step.values()) {
                step.reached(folder, name, method.getName(), false);
            }
            Object result;
            try {
                // Mappers are open to their own package alone.
                method.setAccessible(true);
                result = method.invoke(mapper, arguments);
            } catch (InvocationTargetException e) {
                throw e.getCause();
            }
            if (hasDone(result)) {
                for (Step step : Step.values()) {
                    step.reached(folder, name, method.getName(), true);
                }
            }
            return result;
        });
    }

    /** Rounds without work are no steps. */
    private static boolean hasDone(Object result) {
        return !(result instanceof Optional<?> some && some.isEmpty())
                && !Integer.valueOf(0).equals(result);
    }
}
