package elsom.web.exchange;

import elsom.core.material.LabSheet;
import elsom.core.material.Lot;
import elsom.core.material.LotFigure;
import elsom.web.lots.Lots;
import elsom.web.lots.Uses;
import elsom.web.platform.ReadingLimits;
import elsom.web.trial.Quarantines;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.transaction.support.TransactionOperations;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.ModelAndView;

/** Lab sheets into the shelf, and the whole shelf out and in. */
@Controller
class ShelfFilesController {
    private static final MediaType CSV = new MediaType("text", "csv", StandardCharsets.UTF_8);
    private static final MediaType ZIP = MediaType.parseMediaType("application/zip");

    private final Lots lots;
    private final Uses uses;
    private final Quarantines quarantines;
    private final TransactionOperations transaction;
    private final Clock clock;

    ShelfFilesController(
            Lots lots, Uses uses, Quarantines quarantines, TransactionOperations transaction, Clock clock) {
        this.lots = lots;
        this.uses = uses;
        this.quarantines = quarantines;
        this.transaction = transaction;
        this.clock = clock;
    }

    /**
     * The page.
     *
     * @param outcome what became of a file just sent; empty for none
     */
    record ShelfFilesPage(String fileName, List<BadRow> problems, String outcome) {
        public List<String> columns() {
            return LabSheet.COLUMNS;
        }
    }

    @GetMapping("/shelf/files")
    String files(Model model) {
        model.addAttribute("page", new ShelfFilesPage("", List.of(), ""));
        return "exchange/shelf";
    }

    @GetMapping("/shelf/lab-example.csv")
    ResponseEntity<byte[]> example() {
        return Downloads.of(CSV, "lab-example.csv", LabSheet.EXAMPLE.getBytes(StandardCharsets.UTF_8));
    }

    @GetMapping("/shelf/shelf.zip")
    void whole(HttpServletResponse response) throws IOException {
        ShelfPackage.write(
                new ShelfPackage.Shelf(lots.all(), uses.own(), quarantines.all()),
                clock.instant(),
                Downloads.begin(response, ZIP, "shelf.zip"));
    }

    @PostMapping("/shelf/lab")
    ModelAndView lab(@RequestParam MultipartFile file) throws IOException {
        if (file.getSize() > ReadingLimits.SMALL_TABLE) {
            return answered(
                    file, List.of(new BadRow("", 0, "The file is larger than 2 MB, which no lab sheet is.")), "");
        }
        Optional<String> text = text(file.getBytes());
        if (text.isEmpty()) {
            return answered(
                    file,
                    List.of(new BadRow("", 0, "This is not a text file in UTF-8. Save the table as CSV in UTF-8.")),
                    "");
        }
        LabSheet sheet = LabSheet.read(text.get());
        List<BadRow> problems = sheet.problems().stream()
                .map(one ->
                        new BadRow("", one.line(), (one.column().isEmpty() ? "" : one.column() + ": ") + one.message()))
                .toList();
        if (!problems.isEmpty()) {
            return answered(file, problems, "");
        }
        return answered(file, List.of(), outcome(lots.learn(byLot(sheet.rows()))));
    }

    @PostMapping("/shelf/import")
    ModelAndView readIn(@RequestParam MultipartFile file) throws IOException {
        List<BadRow> problems = new ArrayList<>();
        Optional<ShelfPackage.Shelf> shelf = ShelfPackage.read(file.getInputStream(), problems);
        if (shelf.isEmpty()) {
            return answered(file, problems, "");
        }
        Lots.Learnt learnt = transaction.execute(status -> {
            shelf.get().uses().forEach(uses::keep);
            quarantines.learn(shelf.get().quarantines());
            return lots.learn(shelf.get().lots());
        });
        return answered(file, List.of(), outcome(learnt));
    }

    private static List<Lot> byLot(List<LabSheet.Row> rows) {
        Map<String, List<LotFigure>> figures = new LinkedHashMap<>();
        Map<String, Lot> lots = new LinkedHashMap<>();
        for (LabSheet.Row row : rows) {
            String key = row.lot().name().toLowerCase(Locale.ROOT);
            lots.putIfAbsent(key, row.lot());
            figures.computeIfAbsent(key, none -> new ArrayList<>()).add(row.figure());
        }
        return lots.entrySet().stream()
                .map(lot -> lot.getValue().with(figures.getOrDefault(lot.getKey(), List.of())))
                .toList();
    }

    private static String outcome(Lots.Learnt learnt) {
        return learnt.newLots() + (learnt.newLots() == 1 ? " new lot, " : " new lots, ") + learnt.newFigures()
                + (learnt.newFigures() == 1 ? " figure" : " figures") + " added, " + learnt.known() + " known already.";
    }

    private static Optional<String> text(byte[] bytes) {
        try {
            return Optional.of(StandardCharsets.UTF_8
                    .newDecoder()
                    .decode(ByteBuffer.wrap(bytes))
                    .toString());
        } catch (CharacterCodingException notText) {
            return Optional.empty();
        }
    }

    private static ModelAndView answered(MultipartFile file, List<BadRow> problems, String outcome) {
        String name = file.getOriginalFilename();
        return new ModelAndView(
                "exchange/shelf",
                Map.of("page", new ShelfFilesPage(name == null ? "" : name, problems, outcome)),
                problems.isEmpty() ? HttpStatus.OK : HttpStatus.UNPROCESSABLE_CONTENT);
    }
}
