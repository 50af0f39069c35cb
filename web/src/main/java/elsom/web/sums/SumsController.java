package elsom.web.sums;

import elsom.core.read.Known;
import elsom.core.read.OwnMeasure;
import elsom.core.sums.Sum;
import elsom.core.sums.SumAnswer;
import elsom.core.sums.SumField;
import elsom.core.sums.Sums;
import elsom.web.measure.Measures;
import elsom.web.platform.NotFound;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** The sums: a list of all, and a sheet for each whose address holds what was typed. */
@Controller
class SumsController {
    /** A blank with what stands in it. */
    record Blank(SumField field, String value, String problem) {}

    /** A sheet; {@code answer} is null while a blank can't be. */
    record SumPage(
            List<Sum> all,
            Sum sum,
            List<Blank> blanks,
            @org.jspecify.annotations.Nullable SumAnswer answer,
            List<String> own) {
        static SumPage of(Sum sum, Map<String, String> typed, Known known, List<OwnMeasure> own) {
            Sum.Worked worked = sum.worked(typed, known);
            Map<String, String> problems = worked.values().problems();
            return new SumPage(
                    Sums.all(),
                    sum,
                    sum.fields().stream()
                            .map(field -> new Blank(
                                    field,
                                    typed.getOrDefault(field.code(), field.optional() ? "" : field.example()),
                                    problems.getOrDefault(field.code(), "")))
                            .toList(),
                    worked.answer().orElse(null),
                    own.stream()
                            .filter(measure -> typed.values().stream().anyMatch(measure::in))
                            .map(OwnMeasure::says)
                            .toList());
        }
    }

    private final Measures measures;

    SumsController(Measures measures) {
        this.measures = measures;
    }

    @GetMapping("/sums")
    String all(Model model) {
        model.addAttribute("sums", Sums.all());
        return "sums/all";
    }

    @GetMapping("/sums/{code}")
    String sheet(@PathVariable String code, @RequestParam Map<String, String> typed, Model model) {
        Sum sum = Sums.find(code)
                .orElseThrow(() -> new NotFound("There is no sum called “" + code + "”.", "/sums", "All sums"));
        model.addAttribute("page", SumPage.of(sum, typed, measures.known(), measures.all()));
        return "sums/sum";
    }
}
