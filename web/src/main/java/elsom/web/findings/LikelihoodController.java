package elsom.web.findings;

import elsom.core.diagnosis.Cause;
import elsom.core.diagnosis.IndicatorGroup;
import elsom.core.diagnosis.Likelihoods;
import elsom.core.quantity.Decimals;
import elsom.web.platform.ReadingLimits;
import elsom.web.platform.Refusal;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.ModelAndView;

/** The table that causes of injury are judged by, to be seen, taken out and replaced. */
@Controller
class LikelihoodController {
    private final LikelihoodTable table;

    LikelihoodController(LikelihoodTable table) {
        this.table = table;
    }

    /** The page; {@code problem} is empty when nothing was refused. */
    record LikelihoodPage(boolean own, List<String> causes, List<Line> rows, String problem) {
        static LikelihoodPage of(LikelihoodTable table, String problem) {
            return new LikelihoodPage(
                    table.own(),
                    Arrays.stream(Cause.values()).map(Cause::label).toList(),
                    table.current().rows().stream().map(Line::of).toList(),
                    problem);
        }
    }

    /** A sign. */
    record Line(String sign, String plants, List<String> given, String source) {
        static Line of(Likelihoods.Row row) {
            return new Line(
                    row.sign().words(true),
                    row.plants().map(IndicatorGroup::label).orElse("all together"),
                    Arrays.stream(Cause.values())
                            .map(cause -> Decimals.upTo(row.given(cause), 3))
                            .toList(),
                    row.source());
        }
    }

    @GetMapping("/likelihoods")
    String show(Model model) {
        model.addAttribute("page", LikelihoodPage.of(table, ""));
        return "findings/likelihoods";
    }

    @GetMapping("/likelihoods.csv")
    ResponseEntity<String> csv() {
        return ResponseEntity.ok()
                .contentType(new MediaType("text", "csv", StandardCharsets.UTF_8))
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"likelihoods.csv\"")
                .body(table.current().csv());
    }

    @PostMapping("/likelihoods")
    ModelAndView replace(@RequestParam MultipartFile file) throws IOException {
        if (file.getSize() > ReadingLimits.LIKELIHOODS) {
            throw new Refusal("The table has some forty rows; this file has more than 200 kB, so it is another.");
        }
        try {
            table.replace(new String(file.getBytes(), StandardCharsets.UTF_8));
            return new ModelAndView("redirect:/likelihoods");
        } catch (IllegalArgumentException unreadable) {
            return new ModelAndView(
                    "findings/likelihoods",
                    Map.of("page", LikelihoodPage.of(table, String.valueOf(unreadable.getMessage()))),
                    HttpStatus.UNPROCESSABLE_CONTENT);
        }
    }

    @PostMapping("/likelihoods/restore")
    String restore() {
        table.restore();
        return "redirect:/likelihoods";
    }
}
