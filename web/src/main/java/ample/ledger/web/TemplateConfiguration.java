package ample.ledger.web;

import ample.ledger.web.AssetConfiguration.Assets;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.servlet.View;
import org.thymeleaf.IEngineConfiguration;
import org.thymeleaf.context.EngineContext;
import org.thymeleaf.spring6.SpringTemplateEngine;
import org.thymeleaf.spring6.templateresolver.SpringResourceTemplateResolver;
import org.thymeleaf.spring6.view.ThymeleafView;
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
    static SpringResourceTemplateResolver defaultTemplateResolver(LedgerSettings settings) {
        boolean live = !settings.live().isEmpty();
        var resolver = new Unindented();
        resolver.setPrefix((live ? "file:" + settings.live() : "classpath:") + "/templates/");
        resolver.setSuffix(".html");
        resolver.setTemplateMode(TemplateMode.HTML);
        resolver.setCharacterEncoding("UTF-8");
        resolver.setCacheable(!live);
        return resolver;
    }

    /**
     * Keeps what templates name in a context of their own. The usual one keeps it with the request, and looks there, behind all
     * that is wrapped around it, for each name in each expression: a sixth of the time of a long page. Templates therefore
     * see the model alone, and write addresses whole. The one name beside it, {@code assets}, is where styles, fonts and scripts are.
     */
    @Autowired
    void keepNamesByThemselves(SpringTemplateEngine engine, Assets assets) {
        Map<String, Object> everywhere = Map.of("assets", assets.path());
        engine.setEngineContextFactory((configuration, template, attributes, context) -> new EngineContext(
                configuration,
                template,
                attributes,
                context.getLocale(),
                context.getVariableNames().stream()
                        .collect(
                                () -> new HashMap<>(everywhere),
                                (all, name) -> all.put(name, context.getVariable(name)),
                                HashMap::putAll)));
    }

    /** Browse with the whole list: written while it is made, since it is thousands of lines long. */
    @Bean("browse/whole")
    static View browseWhole(SpringTemplateEngine engine) {
        return new WrittenAsItIsMade("browse/page", engine);
    }

    private static final class WrittenAsItIsMade extends ThymeleafView {

        WrittenAsItIsMade(String template, SpringTemplateEngine engine) {
            super(template);
            setTemplateEngine(engine);
            setLocale(Locale.ENGLISH);
            setContentType("text/html;charset=UTF-8");
            setProducePartialOutputWhileProcessing(true);
        }
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
