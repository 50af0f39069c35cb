package elsom.web.photo;

import elsom.core.plan.Plan;
import elsom.core.trial.Look;
import elsom.core.trial.TrialRecord;
import elsom.web.kit.Chapter;
import elsom.web.kit.Chapters;
import elsom.web.kit.Times;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Which photos of a trial were taken away, and why; nothing where none was. */
@Component
class PhotoChapter implements Chapters {
    private final Photos photos;

    PhotoChapter(Photos photos) {
        this.photos = photos;
    }

    @Override
    public Optional<Chapter> of(TrialRecord record, Plan plan) {
        List<String> gone = photos.removed(record.trial().id()).stream()
                .flatMap(photo -> photo.removed().stream().map(removed -> line(record, photo, removed)))
                .toList();
        return gone.isEmpty()
                ? Optional.empty()
                : Optional.of(new Chapter(
                        "Photos",
                        "/trials/" + record.trial().id() + "/bench",
                        List.of(new Chapter.Part("Taken away", "", gone, Chapter.Drawing.NONE, ""))));
    }

    private static String line(TrialRecord record, Photos.Photo photo, Photos.Removed removed) {
        return photo.unit() + " at “"
                + record.look(photo.look()).map(Look::name).orElse("") + "”, of "
                + Times.dayAndTime(photo.takenAt(), record.trial().zone()) + ": taken away "
                + Times.dayAndTime(removed.at(), record.trial().zone()) + " by " + removed.station() + ", because: "
                + removed.reason() + ".";
    }
}
