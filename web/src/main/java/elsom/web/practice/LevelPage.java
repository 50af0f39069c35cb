package elsom.web.practice;

import elsom.core.practice.Brief;
import elsom.core.practice.Draft;
import elsom.core.practice.Level;
import elsom.core.practice.Setting;
import java.util.List;
import java.util.UUID;

/**
 * A level before its bench is begun.
 *
 * @param shelf treatments there is material for
 * @param sliders of the free bench; empty for a level
 * @param link to hand to others who are to have the same bench
 */
record LevelPage(Brief brief, List<String> shelf, int seed, List<Slider> sliders, String link, UUID token) {
    /** One of the free bench's, in percent. */
    record Slider(String name, String label, String hint, int least, int most, int value) {}

    static LevelPage of(Level level, int seed, Setting setting, boolean given) {
        boolean free = level.brief().number() == 0;
        List<Slider> sliders = free
                ? List.of(
                        new Slider(
                                "effect",
                                "What mix B does",
                                "more mass than in mix A; below 0 it does harm",
                                -40,
                                50,
                                percent(setting.effect())),
                        new Slider(
                                "scatter",
                                "How much pots treated alike differ",
                                "coefficient of variation; 15 % is usual for pots",
                                2,
                                50,
                                percent(setting.scatter())),
                        new Slider(
                                "gradient",
                                "How much brighter the window side is",
                                "than the middle of the bench; the far side is as much darker",
                                0,
                                80,
                                percent(setting.gradient())),
                        new Slider(
                                "dropOut",
                                "Units that are lost",
                                "to slugs and falls",
                                0,
                                40,
                                percent(setting.dropOut())))
                : List.of();
        StringBuilder link = new StringBuilder("/practice/" + level.brief().code() + "?seed=" + seed);
        if (free && given) {
            sliders.forEach(
                    slider -> link.append('&').append(slider.name()).append('=').append(slider.value()));
        }
        return new LevelPage(
                level.brief(),
                level.shelf().stream().map(Draft::shown).toList(),
                seed,
                sliders,
                link.toString(),
                UUID.randomUUID());
    }

    private static int percent(double share) {
        return (int) Math.round(share * 100);
    }
}
