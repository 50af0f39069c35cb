package elsom.web.platform;

import java.util.Set;
import org.springframework.stereotype.Component;
import org.thymeleaf.context.ITemplateContext;
import org.thymeleaf.dialect.AbstractProcessorDialect;
import org.thymeleaf.engine.AttributeName;
import org.thymeleaf.model.IProcessableElementTag;
import org.thymeleaf.processor.IProcessor;
import org.thymeleaf.processor.element.IElementTagStructureHandler;
import org.thymeleaf.standard.processor.AbstractStandardExpressionAttributeTagProcessor;
import org.thymeleaf.templatemode.TemplateMode;
import org.unbescape.html.HtmlEscape;

/**
 * {@code el:scroll="${'Figures of ' + name}"}: what is wider than its place scrolls in it, by keyboard too, under a name that is
 * read out.
 */
@Component
class ScrollDialect extends AbstractProcessorDialect {
    private static final String PREFIX = "el";

    /** After conditions and classes. */
    private static final int PRECEDENCE = 1200;

    ScrollDialect() {
        super("Elsom", PREFIX, PRECEDENCE);
    }

    @Override
    public Set<IProcessor> getProcessors(String prefix) {
        return Set.of(new Scroll(prefix));
    }

    private static final class Scroll extends AbstractStandardExpressionAttributeTagProcessor {
        Scroll(String prefix) {
            super(TemplateMode.HTML, prefix, "scroll", PRECEDENCE, true);
        }

        @Override
        protected void doProcess(
                ITemplateContext context,
                IProcessableElementTag tag,
                AttributeName attribute,
                String written,
                Object label,
                IElementTagStructureHandler element) {
            String classes = tag.getAttributeValue("class");
            element.setAttribute("class", classes == null ? "scroll" : "scroll " + classes);
            element.setAttribute("tabindex", "0");
            element.setAttribute("role", "region");
            element.setAttribute("aria-label", HtmlEscape.escapeHtml4Xml(String.valueOf(label)));
        }
    }
}
