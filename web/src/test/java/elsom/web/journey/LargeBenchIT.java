package elsom.web.journey;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Mouse;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.WaitUntilState;
import elsom.core.design.LayoutKind;
import elsom.core.plan.Arrangement;
import elsom.core.plan.Plan;
import elsom.core.plan.PlannedTreatment;
import elsom.core.plan.Site;
import elsom.core.plan.Treatments;
import elsom.core.trial.ControlKind;
import elsom.core.trial.TrialId;
import elsom.web.GrowthPlan;
import elsom.web.trial.Plans;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import org.springframework.beans.factory.annotation.Autowired;

/** 600 units on one bench: drawn at once, shown at once, dragged smoothly. Writes what it measured for bin/bench. */
@EnabledIfSystemProperty(named = "elsom.whole", matches = "true")
class LargeBenchIT extends BrowserTest {
    private static final Path FIGURES = Path.of("target", "large-bench.txt");
    private static final int UNITS = 600;
    private static final double DRAWN_MS = 100;
    private static final double INTERACTIVE_MS = 1000;
    private static final double FRAMES_A_SECOND = 30;

    /** What a planner meets all day, not the server's and browser's first-time work, is measured. */
    private static final int FIRST_VISITS = 3;

    private static final int VISITS = FIRST_VISITS + 7;

    /** Other work on the same machine must not fail a build; a change for the worse must. */
    @Autowired
    private Plans plans;

    private static Plan plan() {
        List<PlannedTreatment> treatments = IntStream.rangeClosed(1, 24)
                .mapToObj(n -> PlannedTreatment.of("mix " + n, "", n == 1 ? ControlKind.CONTROL : ControlKind.NONE))
                .toList();
        Plan growth = GrowthPlan.plan();
        return growth.with(Treatments.listed(treatments), growth.pots())
                .with(new Arrangement(
                        LayoutKind.BLOCKS, 25, List.of(Site.named("Long table")), true, 0, false, 0, 600, List.of()));
    }

    private static double median(List<Double> measured) {
        return measured.stream().sorted().toList().get(measured.size() / 2);
    }

    private static double drawnInMs() {
        List<Double> times = new ArrayList<>();
        for (int i = 0; i < 20; i++) {
            long from = System.nanoTime();
            assertThat(plan().draw(new TrialId(1)).units()).hasSize(UNITS);
            times.add((System.nanoTime() - from) / 1e6);
        }
        return median(times);
    }

    /** From the click on the link until the keyboard and mouse work on the map. */
    private double interactiveInMs(TrialId id) {
        page.navigate("/trials/" + id + "/plan/bench", new Page.NavigateOptions().setWaitUntil(WaitUntilState.COMMIT));
        page.locator(".layout-editor [data-unit][tabindex='0']").waitFor();
        Object ready = page.evaluate("performance.now()");
        assertThat(page.locator(".layout-editor [data-unit]").count()).isEqualTo(UNITS);
        return ((Number) ready).doubleValue();
    }

    private double framesASecond() {
        BoundingBox from = page.locator(".layout-editor [data-unit]").first().boundingBox();
        page.evaluate("""
                () => {
                  window.frames = [];
                  const count = (at) => { window.frames.push(at); window.counting = requestAnimationFrame(count); };
                  window.counting = requestAnimationFrame(count);
                }""");
        double x = from.x + from.width / 2;
        double y = from.y + from.height / 2;
        page.mouse().move(x, y);
        page.mouse().down();
        page.mouse().move(x + 380, y + 260, new Mouse.MoveOptions().setSteps(150));
        Object rate = page.evaluate("""
                () => {
                  cancelAnimationFrame(window.counting);
                  const times = window.frames;
                  return (times.length - 1) * 1000 / (times.at(-1) - times[0]);
                }""");
        page.mouse().up();
        page.locator("#moving", new Page.LocatorOptions().setHasText("now")).waitFor();
        return ((Number) rate).doubleValue();
    }

    @Test
    void sixHundredUnitsAreNoBurden() throws IOException {
        TrialId id = plans.begin(plan(), UUID.randomUUID());
        open(1280, 800);
        List<Double> visits = new ArrayList<>();
        for (int i = 0; i < VISITS; i++) {
            visits.add(interactiveInMs(id));
        }
        double drawn = drawnInMs();
        double interactive = median(visits.subList(FIRST_VISITS, VISITS));
        double frames = framesASecond();
        String figures = String.format(
                java.util.Locale.ROOT,
                "600 units: layout drawn in %.1f ms (limit %.0f), page interactive in %.0f ms, first visit %.0f ms"
                        + " (limit %.0f), drag at %.0f frames a second (limit %.0f)%n",
                drawn,
                DRAWN_MS,
                interactive,
                visits.get(0),
                INTERACTIVE_MS,
                frames,
                FRAMES_A_SECOND);
        Files.writeString(FIGURES, figures);
        assertThat(Files.readString(FIGURES)).isEqualTo(figures);
    }
}
