package elsom.web.measure;

import elsom.core.read.Known;
import elsom.core.read.OwnMeasure;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** The page of one's own measures. */
@Controller
class MeasureController {
    private static final String PAGE = "redirect:/measures";
    private static final String SIGN = "[\\p{L}\\p{Sc}.]{0,8}";

    private final Measures measures;

    MeasureController(Measures measures) {
        this.measures = measures;
    }

    /** What was typed of a new one. */
    record Typed(String word, String size, String of) {
        static final Typed NOTHING = new Typed("", "", "");
    }

    /** The page; {@code whose} is empty while nobody said. */
    record MeasuresPage(
            List<OwnMeasure> all,
            List<String> words,
            String whose,
            List<Known.Gallons> gallons,
            Typed typed,
            String problem,
            String sign,
            String signProblem) {}

    private MeasuresPage page(Typed typed, String problem) {
        return page(typed, problem, measures.currency(), "");
    }

    private MeasuresPage page(Typed typed, String problem, String sign, String signProblem) {
        return new MeasuresPage(
                measures.all(),
                OwnMeasure.words(),
                measures.gallons().map(Enum::name).orElse(""),
                List.of(Known.Gallons.values()),
                typed,
                problem,
                sign,
                signProblem);
    }

    @GetMapping("/measures")
    String show(Model model) {
        model.addAttribute("page", page(Typed.NOTHING, ""));
        return "measure/measures";
    }

    @PostMapping("/measures")
    ModelAndView keep(
            @RequestParam(defaultValue = "") String word,
            @RequestParam(defaultValue = "") String size,
            @RequestParam(defaultValue = "") String of) {
        try {
            measures.keep(OwnMeasure.of(word.strip(), size.strip(), of));
            return new ModelAndView(PAGE);
        } catch (IllegalArgumentException unreadable) {
            ModelAndView again = new ModelAndView("measure/measures", HttpStatus.UNPROCESSABLE_CONTENT);
            return again.addObject("page", page(new Typed(word, size, of), String.valueOf(unreadable.getMessage())));
        }
    }

    @PostMapping("/measures/remove")
    String remove(@RequestParam String word) {
        measures.remove(word);
        return PAGE;
    }

    /** What money is in; empty to say it nowhere. */
    @PostMapping("/measures/currency")
    ModelAndView currency(@RequestParam(defaultValue = "") String sign) {
        if (!sign.strip().matches(SIGN)) {
            ModelAndView again = new ModelAndView("measure/measures", HttpStatus.UNPROCESSABLE_CONTENT);
            return again.addObject(
                    "page",
                    page(
                            Typed.NOTHING,
                            "",
                            sign,
                            "“" + sign.strip() + "” is no sign of a currency: up to 8 letters or signs."
                                    + " Accepted: €, or CHF, or nothing."));
        }
        measures.currencyIs(sign.strip());
        return new ModelAndView(PAGE);
    }

    /** Whose gallons, quarts and fluid ounces are meant; empty to be asked each time. */
    @PostMapping("/measures/gallons")
    String gallons(@RequestParam(defaultValue = "") String whose) {
        measures.say(whose.isEmpty() ? Optional.empty() : Optional.of(Known.Gallons.valueOf(whose)));
        return PAGE;
    }
}
