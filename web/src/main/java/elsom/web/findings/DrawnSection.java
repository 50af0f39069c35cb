package elsom.web.findings;

import elsom.core.section.Account;
import elsom.core.section.Section;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.thymeleaf.ITemplateEngine;
import org.thymeleaf.TemplateSpec;
import org.thymeleaf.context.Context;
import org.thymeleaf.templatemode.TemplateMode;

/**
 * A section of findings as its page shows it.
 *
 * @param id its address on the page
 * @param door where its result is put to use; null where nowhere
 * @param html what unfolds under its heading, escaped by its template
 */
public record DrawnSection(
        Section section,
        String id,
        Account account,
        boolean ofBench,
        Optional<Picture> picture,
        @Nullable Door door,
        String html) {
    /** A link by its name. */
    public record Door(String label, String href) {}

    /** What a script draws of it. */
    public record Picture(String script, String data) {}

    /** The sections in order; of several of one kind each has an address of its own. */
    static List<DrawnSection> all(List<SectionView> views, ITemplateEngine templates) {
        Map<String, Integer> of = new HashMap<>();
        Map<String, Integer> named = new HashMap<>();
        List<DrawnSection> drawn = new ArrayList<>();
        for (SectionView view : views) {
            String key = view.account().key();
            String name = view.account().title() + ", " + view.account().about();
            int same = named.merge(name, 1, Integer::sum);
            drawn.add(of(view, key + "-" + of.merge(key, 1, Integer::sum), same, templates));
        }
        return List.copyOf(drawn);
    }

    private static DrawnSection of(SectionView view, String id, int same, ITemplateEngine templates) {
        Context context = new Context(Locale.ENGLISH);
        context.setVariable("s", view);
        context.setVariable("nth", same > 1 ? ", " + same : "");
        return new DrawnSection(
                view.section(),
                id,
                view.account(),
                view.ofBench(),
                view.picture(),
                view.door(),
                templates.process(
                        new TemplateSpec("findings/sections", Set.of("inside"), TemplateMode.HTML, null), context));
    }
}
