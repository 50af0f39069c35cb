package elsom.web.exchange;

import elsom.core.trial.TrialId;
import elsom.web.series.SeriesStore;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** Samples of sensors out. */
@Controller
class SeriesFilesController {
    private static final MediaType CSV = new MediaType("text", "csv", StandardCharsets.UTF_8);
    private static final List<String> COLUMNS =
            List.of("at", "unit", "what", "depth_cm", "probe", "value", "value_unit");

    private final SeriesStore store;

    SeriesFilesController(SeriesStore store) {
        this.store = store;
    }

    /** All samples of a trial, a row each, times in UTC. */
    @GetMapping("/trials/{trial}/series.csv")
    void samples(@PathVariable long trial, HttpServletResponse response) throws IOException {
        CsvText.write(
                Downloads.begin(response, CSV, "trial-" + trial + "-series.csv"),
                COLUMNS,
                store.logged(new TrialId(trial))
                        .map(one -> List.of(
                                one.at(),
                                one.unit(),
                                one.what(),
                                one.depthCm(),
                                one.probe(),
                                one.value(),
                                one.what().unit().symbol())));
    }
}
