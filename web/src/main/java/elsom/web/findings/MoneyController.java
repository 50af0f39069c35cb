package elsom.web.findings;

import elsom.web.platform.NotFound;
import jakarta.servlet.http.HttpServletRequest;
import java.util.Map;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** Whether treatments pay: the link keeps what was typed. */
@Controller
class MoneyController {
    private final OpenFindings open;
    private final MoneyPages money;

    MoneyController(OpenFindings open, MoneyPages money) {
        this.open = open;
        this.money = money;
    }

    @GetMapping("/trials/{trial}/money")
    String show(
            @PathVariable long trial, @RequestParam Map<String, String> sent, HttpServletRequest request, Model model) {
        OpenFindings.Found found = open.of(trial);
        model.addAttribute(
                "page",
                money.page(found.record(), found.findings(), found.header(), sent)
                        .orElseThrow(() -> new NotFound(
                                "This trial judges no yield by weight, volume or number.",
                                "/trials/" + trial + "/findings",
                                "Back to the findings")));
        String query = request.getQueryString();
        model.addAttribute("report", "/trials/" + trial + "/report" + (query == null ? "" : "?" + query));
        return "findings/money";
    }
}
