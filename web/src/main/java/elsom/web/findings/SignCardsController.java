package elsom.web.findings;

import elsom.core.diagnosis.SignCard;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** Signs that make people ask, each with what would tell. */
@Controller
class SignCardsController {
    @GetMapping("/signs")
    String show(Model model) {
        model.addAttribute("cards", SignCard.all());
        return "findings/signs";
    }
}
