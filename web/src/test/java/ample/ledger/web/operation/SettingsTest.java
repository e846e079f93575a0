package ample.ledger.web.operation;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import ample.ledger.core.fixtures.Schedules;
import java.io.IOException;
import java.nio.file.Files;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.WebApplicationType;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.ConfigurationPropertiesScan;
import org.springframework.context.annotation.ClassPathScanningCandidateComponentProvider;
import org.springframework.core.type.filter.AnnotationTypeFilter;
import org.springframework.util.ClassUtils;

/** What an institution can set. */
class SettingsTest {

    private static final String PACKAGE = "ample.ledger.web";

    /** All settings, and nothing that uses them. */
    @ConfigurationPropertiesScan(PACKAGE)
    static class Settings {}

    @Test
    void everySettingIsInTheTable() throws IOException {
        String table = Files.readString(Schedules.repository().resolve("docs/operations.md"));

        assertThat(settings())
                .hasSizeGreaterThan(40)
                .allSatisfy(setting -> assertThat(table).contains("`" + setting + "`"));
    }

    /** Spring prints the name of the property, the value, and what follows "default message" here. */
    @ParameterizedTest
    @CsvSource({
        "ledger.limits.visits=0, visits, must be greater than or equal to 1",
        "ledger.limits.account.changes=-1, account.changes, must be greater than or equal to 1",
        "ledger.limits.body-time=0s, bodyTime, must be longer than or equal to 1 second",
        "ledger.registrar.address=registrar.example, address, an address begins with",
        "ledger.registrar.address=https://registrar.example/v1/, address, does not end with a slash",
        "ledger.sign-in.issuer=institution, issuer, an address begins with",
        "ledger.sign-in.desk-idle=0s, deskIdle, must be longer than or equal to 1 minute",
        "ledger.letters.root=, root, an address begins with",
        "ledger.kept.guests=1d, guests, must be longer than or equal to 2 days",
        "ledger.patience=0ms, patience, must be longer than or equal to 1",
        "ledger.operation.warm=11m, warm, must be shorter than or equal to 10 minutes",
    })
    void aWrongValueStopsTheStartAndIsNamed(String wrong, String field, String sentence) {
        SpringApplication application = new SpringApplication(Settings.class);
        application.setWebApplicationType(WebApplicationType.NONE);

        assertThatThrownBy(() -> application
                        .run("--" + wrong, "--logging.level.root=off")
                        .close())
                .rootCause()
                .hasMessageContaining("on field '" + field + "'")
                .hasMessageContaining(sentence);
    }

    private static List<String> settings() {
        var scan = new ClassPathScanningCandidateComponentProvider(false);
        scan.addIncludeFilter(new AnnotationTypeFilter(ConfigurationProperties.class));
        return scan.findCandidateComponents(PACKAGE).stream()
                .map(found -> ClassUtils.resolveClassName(String.valueOf(found.getBeanClassName()), null))
                .flatMap(type -> settings(
                        type.getAnnotation(ConfigurationProperties.class).value(), type))
                .toList();
    }

    private static Stream<String> settings(String prefix, Class<?> type) {
        return Arrays.stream(type.getRecordComponents()).flatMap(part -> {
            String name =
                    prefix + "." + part.getName().replaceAll("(?=[A-Z])", "-").toLowerCase(Locale.ROOT);
            return part.getType().isRecord() ? settings(name, part.getType()) : Stream.of(name);
        });
    }
}
