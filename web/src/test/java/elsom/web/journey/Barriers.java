package elsom.web.journey;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.args.AxeRunOptions;
import com.deque.html.axecore.playwright.AxeBuilder;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;

/**
 * What keeps somebody from using a page, as far as a check without people finds it. A page whose parts and names of
 * classes are those of one that was checked in this run is not checked again: journeys pass the same doors many times.
 */
final class Barriers {
    /** Tags, classes, roles and names of attributes; rows that are alike count once, figures in names not at all. */
    private static final String SHAPE = """
            (() => {
              const said = node => node.tagName + '|' + [...node.attributes]
                .filter(a => !['d', 'x', 'y', 'style', 'points', 'transform', 'href', 'value'].includes(a.name))
                .map(a => a.name + '=' + a.value.replace(/[0-9.]+/g, '#')).sort().join(';')
                + '[' + [...node.childNodes].some(c => c.nodeType === 3 && c.data.trim()) + ']';
              const walk = node => {
                const parts = [];
                for (const child of node.children) {
                  const part = walk(child);
                  if (!parts.includes(part)) parts.push(part);
                }
                return said(node) + '(' + parts.join(',') + ')';
              };
              return location.pathname.replace(/[0-9]+/g, '#') + innerWidth + document.title.replace(/[0-9]+/g, '#')
                + walk(document.body);
            })()""";

    private static final Set<UUID> CHECKED = ConcurrentHashMap.newKeySet();

    private final Page page;

    Barriers(Page page) {
        this.page = page;
    }

    /** Fails at the first barrier on the page as it is now. */
    void none() {
        once("light", () -> hasNone(checks()));
    }

    /** The colours in the dark; nothing else is another there. */
    void noneInTheDark() {
        once("dark", () -> {
            page.emulateMedia(new Page.EmulateMediaOptions().setColorScheme(ColorScheme.DARK));
            hasNone(checks().withRules(List.of("color-contrast")));
            page.emulateMedia(new Page.EmulateMediaOptions().setColorScheme(ColorScheme.LIGHT));
        });
    }

    /** Nothing to press that is too small for a finger. */
    void noneForFingers() {
        once("fingers", () -> hasNone(checks().withRules(List.of("target-size"))));
    }

    private void once(String how, Runnable check) {
        String shape = how + page.evaluate(SHAPE);
        UUID key = UUID.nameUUIDFromBytes(shape.getBytes(StandardCharsets.UTF_8));
        if (!CHECKED.contains(key)) {
            check.run();
            CHECKED.add(key);
        }
    }

    private AxeBuilder checks() {
        AxeRunOptions options = new AxeRunOptions();
        options.setResultTypes(List.of("violations"));
        // The other mode opens a page of its own for each check; there are no frames that it would be needed for.
        return new AxeBuilder(page).options(options).setLegacyMode(true);
    }

    private void hasNone(AxeBuilder checks) {
        assertThat(checks.analyze().getViolations())
                .as(page.url())
                .extracting(rule -> rule.getId() + ": " + rule.getNodes().get(0).getHtml())
                .isEmpty();
    }
}
