package elsom.web.platform;

import elsom.core.quantity.UsPage;
import java.util.Set;
import org.springframework.stereotype.Component;
import org.thymeleaf.context.ITemplateContext;
import org.thymeleaf.dialect.IPostProcessorDialect;
import org.thymeleaf.engine.AbstractTemplateHandler;
import org.thymeleaf.model.ICloseElementTag;
import org.thymeleaf.model.IOpenElementTag;
import org.thymeleaf.model.IText;
import org.thymeleaf.postprocessor.IPostProcessor;
import org.thymeleaf.postprocessor.PostProcessor;
import org.thymeleaf.templatemode.TemplateMode;

/** Puts US measures beside metric ones in the text of every page, for a device that asks for them. */
@Component
class UsMeasuresDialect implements IPostProcessorDialect {
    private static final int LAST = 10_000;

    @Override
    public String getName() {
        return "US measures";
    }

    @Override
    public int getDialectPostProcessorPrecedence() {
        return LAST;
    }

    @Override
    public Set<IPostProcessor> getPostProcessors() {
        return Set.of(new PostProcessor(TemplateMode.HTML, Glossing.class, LAST));
    }

    /** Passes a page through; made anew for each. */
    public static final class Glossing extends AbstractTemplateHandler {
        private final UsPage page = new UsPage();
        private boolean on;

        @Override
        public void setContext(ITemplateContext context) {
            super.setContext(context);
            on = context.getVariable("frame") instanceof FrameAdvice.Frame frame && frame.us();
        }

        @Override
        public void handleOpenElement(IOpenElementTag tag) {
            String span = tag.getAttributeValue("colspan");
            page.open(tag.getElementCompleteName(), span == null ? 1 : Integer.parseInt(span));
            super.handleOpenElement(tag);
        }

        @Override
        public void handleCloseElement(ICloseElementTag tag) {
            page.close(tag.getElementCompleteName());
            super.handleCloseElement(tag);
        }

        @Override
        public void handleText(IText text) {
            super.handleText(on ? getContext().getModelFactory().createText(page.html(text.getText())) : text);
        }
    }
}
