package elsom.web.findings;

import java.util.Locale;
import java.util.Set;
import org.thymeleaf.ITemplateEngine;
import org.thymeleaf.TemplateSpec;
import org.thymeleaf.context.Context;
import org.thymeleaf.templatemode.TemplateMode;

/**
 * A section of findings as its page shows it.
 *
 * @param html escaped by its template
 */
public record DrawnSection(boolean ofBench, String html) {

    static DrawnSection of(SectionView section, ITemplateEngine templates) {
        Context context = new Context(Locale.ENGLISH);
        context.setVariable("s", section);
        return new DrawnSection(
                section.ofBench(),
                templates.process(
                        new TemplateSpec("findings/sections", Set.of("section"), TemplateMode.HTML, null), context));
    }
}
