package elsom.web.practice;

import elsom.core.practice.Level;
import elsom.core.practice.Levels;
import elsom.core.practice.Setting;
import elsom.web.platform.NotFound;
import java.util.UUID;
import java.util.concurrent.ThreadLocalRandom;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The levels, and how a bench is begun. */
@Controller
@RequestMapping("/practice")
class PracticeController {
    private static final int MOST_BENCHES = 200;
    private static final int SEEDS = 100_000;

    private final Practices practices;

    PracticeController(Practices practices) {
        this.practices = practices;
    }

    @GetMapping
    String levels(Model model) {
        model.addAttribute("page", PracticePage.of(practices.latest(MOST_BENCHES)));
        return "practice/levels";
    }

    private static Level level(String code) {
        return Levels.find(code)
                .orElseThrow(
                        () -> new NotFound("There is no practice level “" + code + "”.", "/practice", "All levels"));
    }

    /** Where nobody gave a seed, any: a bench that nobody has seen. */
    @GetMapping("/{level}")
    String level(
            @PathVariable String level,
            @RequestParam(required = false) @Nullable Integer seed,
            @ModelAttribute("form") SettingForm form,
            Model model) {
        Level found = level(level);
        int which = seed == null || seed < 1 ? 1 + ThreadLocalRandom.current().nextInt(SEEDS) : seed;
        model.addAttribute("page", LevelPage.of(found, which, form.or(found.setting()), form.isGiven()));
        return "practice/level";
    }

    @PostMapping("/{level}")
    String begin(
            @PathVariable String level,
            @RequestParam int seed,
            @RequestParam UUID token,
            @ModelAttribute("form") SettingForm form) {
        Level found = level(level);
        Setting setting = form.or(found.setting());
        return "redirect:/practice/bench/" + practices.begin(found, setting, seed, token);
    }
}
