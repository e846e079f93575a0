package ample.ledger.web;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.thymeleaf.IEngineConfiguration;
import org.thymeleaf.spring6.templateresolver.SpringResourceTemplateResolver;
import org.thymeleaf.templatemode.TemplateMode;
import org.thymeleaf.templateresource.ITemplateResource;
import org.thymeleaf.templateresource.StringTemplateResource;

/**
 * Reads templates without the blanks that indent them: they are a good third of a page, and mean nothing where no text is
 * shown as it is written.
 */
@Configuration(proxyBeanMethods = false)
class TemplateConfiguration {

    @Bean
    SpringResourceTemplateResolver defaultTemplateResolver() {
        var resolver = new Unindented();
        resolver.setPrefix("classpath:/templates/");
        resolver.setSuffix(".html");
        resolver.setTemplateMode(TemplateMode.HTML);
        resolver.setCharacterEncoding("UTF-8");
        resolver.setCacheable(true);
        return resolver;
    }

    private static final class Unindented extends SpringResourceTemplateResolver {

        @Override
        protected ITemplateResource computeTemplateResource(
                IEngineConfiguration configuration,
                @Nullable String ownerTemplate,
                String template,
                String resourceName,
                @Nullable String characterEncoding,
                @Nullable Map<String, Object> attributes) {
            ITemplateResource whole = super.computeTemplateResource(
                    configuration, ownerTemplate, template, resourceName, characterEncoding, attributes);
            try (BufferedReader lines = new BufferedReader(whole.reader())) {
                return new StringTemplateResource(lines.lines()
                        .map(String::strip)
                        .filter(line -> !line.isEmpty())
                        .collect(Collectors.joining("\n")));
            } catch (IOException e) {
                throw new UncheckedIOException("The template " + template + " cannot be read", e);
            }
        }
    }
}
