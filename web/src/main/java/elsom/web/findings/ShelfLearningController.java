package elsom.web.findings;

import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;

/** What a trial measured of its media, kept on the shelf. */
@Controller
class ShelfLearningController {
    private final OpenFindings open;
    private final ShelfLearning learning;

    ShelfLearningController(OpenFindings open, ShelfLearning learning) {
        this.open = open;
        this.learning = learning;
    }

    @PostMapping("/trials/{trial}/findings/shelf")
    String keep(@PathVariable long trial) {
        OpenFindings.Found found = open.of(trial);
        learning.keep(found.record(), found.findings());
        return "redirect:/shelf";
    }
}
