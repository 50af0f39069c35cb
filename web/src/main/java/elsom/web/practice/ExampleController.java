package elsom.web.practice;

import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PostMapping;

/** A finished example, brought in to look at and taken away again. */
@Controller
class ExampleController {
    private final Examples examples;

    ExampleController(Examples examples) {
        this.examples = examples;
    }

    @PostMapping("/practice/example")
    String bringIn() {
        return "redirect:/trials/" + examples.bringIn() + "/findings";
    }

    @PostMapping("/practice/example/away")
    String takeAway() {
        examples.takeAway();
        return "redirect:/";
    }
}
