package elsom.web.exchange;

import elsom.core.trial.UnitCode;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Where the square code on a label leads. The address is short, so that its dots are large enough for a phone. */
@Controller
class UnitLinkController {
    static String path(long trial, UnitCode unit) {
        return "/u/" + trial + "/" + unit;
    }

    @GetMapping("/u/{trial}/{unit}")
    String follow(@PathVariable long trial, @PathVariable String unit, RedirectAttributes query) {
        query.addAttribute("unit", unit);
        return "redirect:/trials/" + trial + "/bench";
    }
}
