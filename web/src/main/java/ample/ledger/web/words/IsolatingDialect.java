package ample.ledger.web.words;

import java.util.Set;
import org.springframework.stereotype.Component;
import org.thymeleaf.dialect.AbstractDialect;
import org.thymeleaf.dialect.IPostProcessorDialect;
import org.thymeleaf.engine.AbstractTemplateHandler;
import org.thymeleaf.model.IText;
import org.thymeleaf.postprocessor.IPostProcessor;
import org.thymeleaf.postprocessor.PostProcessor;
import org.thymeleaf.templatemode.TemplateMode;

/** Isolates what is written from right to left in every text of every page, so that no page has to think of it. */
@Component
public class IsolatingDialect extends AbstractDialect implements IPostProcessorDialect {

    private static final int PRECEDENCE = 1_000;

    IsolatingDialect() {
        super("isolating");
    }

    @Override
    public int getDialectPostProcessorPrecedence() {
        return PRECEDENCE;
    }

    @Override
    public Set<IPostProcessor> getPostProcessors() {
        return Set.of(new PostProcessor(TemplateMode.HTML, Isolating.class, PRECEDENCE));
    }

    /** Made by Thymeleaf for every page. */
    public static final class Isolating extends AbstractTemplateHandler {

        @Override
        public void handleText(IText text) {
            CharSequence isolated = Isolated.of(text);
            super.handleText(
                    isolated == text ? text : getContext().getModelFactory().createText(isolated));
        }
    }
}
