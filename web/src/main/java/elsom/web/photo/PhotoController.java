package elsom.web.photo;

import elsom.core.canopy.Canopy;
import elsom.core.canopy.Picture;
import elsom.core.quantity.Decimals;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.trial.CorrectionReason;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.Instrument;
import elsom.core.trial.Look;
import elsom.core.trial.LookTiming;
import elsom.core.trial.Reading;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.UnitCode;
import elsom.web.events.Events;
import elsom.web.kit.TrialHeader;
import elsom.web.platform.NotFound;
import elsom.web.platform.ReadingLimits;
import elsom.web.platform.Refusal;
import elsom.web.platform.Station;
import elsom.web.trial.Entered;
import elsom.web.trial.Logbook;
import elsom.web.trial.NewReading;
import elsom.web.trial.Trials;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import javax.imageio.ImageIO;
import org.jspecify.annotations.Nullable;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.multipart.MultipartFile;

/** Photos of units, and the green cover of what is in one. */
@Controller
@RequestMapping("/trials/{trial}/photos")
class PhotoController {
    private static final EndpointCode COVER = new EndpointCode("cover");
    private static final Duration KEPT = Duration.ofDays(30);
    private static final int GREEN = 0x99ff2fd6;
    private static final Duration LONGEST_WAIT = Duration.ofDays(366);

    private final Photos photos;
    private final Trials trials;
    private final Logbook logbook;
    private final Clock clock;

    PhotoController(Photos photos, Trials trials, Logbook logbook, Clock clock) {
        this.photos = photos;
        this.trials = trials;
        this.logbook = logbook;
        this.clock = clock;
    }

    /** Where the threshold stands and the white card lies; NaN where neither is said. */
    record Setting(
            @Nullable Double threshold,
            @Nullable Double x,
            @Nullable Double y) {
        OptionalDouble at() {
            return threshold == null || !(threshold >= -1 && threshold <= 2)
                    ? OptionalDouble.empty()
                    : OptionalDouble.of(threshold);
        }

        Optional<Canopy.Card> card() {
            return x == null || y == null || !(x >= 0 && x <= 1 && y >= 0 && y <= 1)
                    ? Optional.empty()
                    : Optional.of(new Canopy.Card(x, y));
        }
    }

    /** What a photo's cover comes to. */
    public record Cover(double percent, double threshold, String words, String note) {
        static Cover of(Canopy canopy) {
            return new Cover(
                    100 * canopy.cover(),
                    canopy.threshold(),
                    Decimals.percent(canopy.cover(), 1) + " % green",
                    canopy.parted()
                            ? ""
                            : "Green and the rest don't part clearly: it may be all soil or all leaves. Look at the mask.");
        }
    }

    /** The page of one photo; {@code kept} is the reading of cover that stands, empty for none. */
    public record PhotoPage(
            TrialHeader header,
            long id,
            String unit,
            String look,
            String base,
            boolean covers,
            String kept,
            boolean readFromIt,
            Cover cover,
            UUID token) {}

    /** A photo that is sent; {@code ageMs}: how long ago it was taken, where it waited on a device. */
    record Sent(
            String unit,
            int look,
            MultipartFile file,
            @Nullable UUID token,
            @Nullable Long ageMs) {}

    /** Where a photo is kept. */
    record Kept(long id, String href) {}

    @PostMapping
    String add(@PathVariable long trial, Sent sent, Station station) throws IOException {
        return "redirect:" + kept(trial, sent, station).href();
    }

    /** One that waited on a device. */
    @PostMapping("/waiting")
    @ResponseBody
    Kept send(@PathVariable long trial, Sent sent, Station station) throws IOException {
        return kept(trial, sent, station);
    }

    private Kept kept(long trial, Sent sent, Station station) throws IOException {
        TrialRecord record = trials.snapshot(new TrialId(trial));
        UnitCode code = record.called(Objects.requireNonNullElse(sent.unit(), ""))
                .orElseThrow(() -> new NotFound(
                        "This trial has no unit " + sent.unit() + ".",
                        "/trials/" + trial + "/bench",
                        "Back to measuring"))
                .code();
        if (record.look(sent.look()).isEmpty()) {
            throw new Refusal("This trial has no look " + sent.look() + ".");
        }
        if (sent.file() == null || sent.file().isEmpty()) {
            throw new Refusal("Choose a photo first: a JPEG or PNG.");
        }
        if (sent.file().getSize() > ReadingLimits.PHOTO) {
            throw new Refusal("That photo is larger than 40 MB. Choose a smaller size in the camera's settings.");
        }
        PhotoFile photo = PhotoFile.of(sent.file().getBytes());
        long age = sent.ageMs() == null ? 0 : Math.max(0, Math.min(sent.ageMs(), LONGEST_WAIT.toMillis()));
        long id = photos.keep(
                record.trial().id(),
                code,
                sent.look(),
                clock.instant().minusMillis(age),
                station.signature(),
                photo,
                Objects.requireNonNullElseGet(sent.token(), UUID::randomUUID));
        return new Kept(id, "/trials/" + trial + "/photos/" + id);
    }

    @GetMapping("/{photo}")
    String show(@PathVariable long trial, @PathVariable long photo, Model model) {
        TrialRecord record = trials.snapshot(new TrialId(trial));
        Photos.Photo found = photos.find(record.trial().id(), photo);
        Optional<ReadingRef> ref = ref(record, found);
        model.addAttribute(
                "page",
                new PhotoPage(
                        TrialHeader.of(record, clock.instant(), TrialHeader.Step.BENCH),
                        photo,
                        found.unit().value(),
                        record.look(found.look()).map(Look::name).orElse(""),
                        "/trials/" + trial + "/photos/" + photo,
                        ref.isPresent(),
                        ref.flatMap(record::current).map(Reading::typedText).orElse(""),
                        fromPhoto(record, found).isPresent(),
                        Cover.of(canopy(record.trial().id(), photo, new Setting(null, null, null))),
                        UUID.randomUUID()));
        return "photo/photo";
    }

    private static Optional<ReadingRef> ref(TrialRecord record, Photos.Photo photo) {
        ReadingRef ref = new ReadingRef(photo.unit(), photo.look(), COVER, 1);
        return record.has(ref) ? Optional.of(ref) : Optional.empty();
    }

    private Canopy canopy(TrialId trial, long photo, Setting setting) {
        BufferedImage pixels = PhotoFile.pixels(photos.jpeg(trial, photo));
        return Canopy.of(
                new Picture(
                        pixels.getWidth(),
                        pixels.getHeight(),
                        pixels.getRGB(0, 0, pixels.getWidth(), pixels.getHeight(), null, 0, pixels.getWidth())),
                setting.at(),
                setting.card());
    }

    @GetMapping("/{photo}/photo.jpg")
    ResponseEntity<byte[]> jpeg(@PathVariable long trial, @PathVariable long photo) {
        return ResponseEntity.ok()
                .contentType(MediaType.IMAGE_JPEG)
                .cacheControl(CacheControl.maxAge(KEPT).cachePrivate())
                .body(photos.jpeg(new TrialId(trial), photo));
    }

    @GetMapping("/{photo}/cover")
    @ResponseBody
    Cover cover(@PathVariable long trial, @PathVariable long photo, Setting setting) {
        return Cover.of(canopy(new TrialId(trial), photo, setting));
    }

    /** What counts as green, to lie over the photo. */
    @GetMapping("/{photo}/mask.png")
    ResponseEntity<byte[]> mask(@PathVariable long trial, @PathVariable long photo, Setting setting)
            throws IOException {
        TrialId id = new TrialId(trial);
        BufferedImage pixels = PhotoFile.pixels(photos.jpeg(id, photo));
        Canopy canopy = canopy(id, photo, setting);
        BufferedImage mask = new BufferedImage(pixels.getWidth(), pixels.getHeight(), BufferedImage.TYPE_INT_ARGB);
        for (int y = 0; y < mask.getHeight(); y++) {
            for (int x = 0; x < mask.getWidth(); x++) {
                if (canopy.green(y * mask.getWidth() + x)) {
                    mask.setRGB(x, y, GREEN);
                }
            }
        }
        ByteArrayOutputStream png = new ByteArrayOutputStream();
        ImageIO.write(mask, "png", png);
        return ResponseEntity.ok().contentType(MediaType.IMAGE_PNG).body(png.toByteArray());
    }

    /** Writes the cover down as a reading of the unit, with the photo beside it. */
    @PostMapping("/{photo}/keep")
    String keep(
            @PathVariable long trial,
            @PathVariable long photo,
            Setting setting,
            @RequestParam UUID token,
            Station station) {
        TrialRecord record = trials.snapshot(new TrialId(trial));
        Photos.Photo found = photos.find(record.trial().id(), photo);
        ReadingRef ref = ref(record, found)
                .orElseThrow(() -> new Refusal("Green cover is no endpoint of that look: add it to the plan's looks."));
        double percent = 100 * canopy(record.trial().id(), photo, setting).cover();
        Optional<Reading> standing = record.current(ref);
        Instant now = clock.instant();
        Look look = record.look(found.look()).orElseThrow();
        Entered entered = logbook.enter(
                record.trial().id(),
                new NewReading(
                        ref,
                        Math.round(10 * percent) / 10.0,
                        Decimals.fixed(percent, 1) + " %",
                        UnitOfMeasure.PERCENT,
                        LookTiming.likely(record, look, now).at(record, look, now),
                        now,
                        station.signature(),
                        Instrument.PHOTO,
                        standing.map(Reading::id).orElse(null),
                        standing.isPresent() ? CorrectionReason.WEIGHED_AGAIN : null,
                        token));
        if (entered instanceof Entered.Stale) {
            throw new Refusal("Somebody read that cover meanwhile. Look at the unit's readings.");
        }
        return "redirect:/trials/" + trial + "/units/" + found.unit();
    }

    /** Takes the picture away; that there was one stays, with the reason. What was read from it is taken back if wished. */
    @PostMapping("/{photo}/remove")
    String remove(
            @PathVariable long trial,
            @PathVariable long photo,
            @RequestParam(defaultValue = "") String reason,
            @RequestParam(defaultValue = "false") boolean reading,
            @RequestParam UUID token,
            Station station) {
        TrialRecord record = trials.snapshot(new TrialId(trial));
        TrialId id = record.trial().id();
        Photos.Photo found = photos.find(id, photo);
        String why = Events.reason(reason, "out of focus");
        photos.remove(id, photo, clock.instant(), station.signature(), why);
        if (reading) {
            fromPhoto(record, found).ifPresent(standing -> logbook.undo(id, standing.id(), station.signature(), token));
        }
        return "redirect:/trials/" + trial + "/units/" + found.unit();
    }

    /** The cover that stands and was read from a photo. */
    private static Optional<Reading> fromPhoto(TrialRecord record, Photos.Photo photo) {
        return ref(record, photo).flatMap(record::current).filter(reading -> reading.instrument() == Instrument.PHOTO);
    }
}
