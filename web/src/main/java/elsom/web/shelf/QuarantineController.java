package elsom.web.shelf;

import elsom.core.mix.Quarantine;
import elsom.core.quantity.Bounds;
import elsom.web.platform.Refusal;
import elsom.web.platform.Station;
import elsom.web.trial.Quarantines;
import java.time.Clock;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Keeping a lot apart, and letting it go. */
@Controller
class QuarantineController {
    private final Quarantines quarantines;
    private final Clock clock;

    QuarantineController(Quarantines quarantines, Clock clock) {
        this.quarantines = quarantines;
        this.clock = clock;
    }

    @PostMapping("/shelf/quarantine")
    String keepApart(
            @RequestParam String lot,
            @RequestParam(defaultValue = "") String reason,
            @RequestParam(defaultValue = "") String goneTo,
            @RequestParam(defaultValue = "0") long trial,
            Station station) {
        if (lot.isBlank() || lot.strip().length() > Bounds.NAME) {
            throw new Refusal("Which lot? A name of up to " + Bounds.NAME + " characters. Accepted: GW-32.");
        }
        quarantines.keepApart(new Quarantine(
                lot.strip(),
                line("The reason", reason),
                clock.instant(),
                station.signature(),
                line("Where it has gone", goneTo),
                trial,
                null,
                ""));
        return "redirect:" + (trial > 0 ? "/trials/" + trial + "/findings" : "/shelf/containers");
    }

    @PostMapping("/shelf/quarantine/lift")
    String lift(@RequestParam String lot, @RequestParam(defaultValue = "") String why) {
        if (why.isBlank()) {
            throw new Refusal("Say why it can be let go. Accepted: laboratory found nothing, sheet of 3 June.");
        }
        quarantines.lift(lot, line("Why it was let go", why));
        return "redirect:/shelf/containers";
    }

    private static String line(String what, String text) {
        String stripped = text.strip().replaceAll("\\s+", " ");
        if (stripped.length() > Bounds.NOTE) {
            throw new Refusal(what + " has at most " + Bounds.NOTE + " characters; this has " + stripped.length()
                    + ". Go back and shorten it: it is still there.");
        }
        return stripped;
    }
}
