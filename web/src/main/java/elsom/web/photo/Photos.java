package elsom.web.photo;

import elsom.core.trial.TrialId;
import elsom.core.trial.UnitCode;
import elsom.web.platform.NotFound;
import java.time.Instant;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/** Photos of units. */
@Repository
public class Photos {
    private final PhotoMapper mapper;

    Photos(PhotoMapper mapper) {
        this.mapper = mapper;
    }

    /**
     * A photo of a unit at a look.
     *
     * @param removed when, by which station and why its picture was taken away; empty while it is there
     */
    public record Photo(
            long id,
            TrialId trial,
            UnitCode unit,
            int look,
            Instant takenAt,
            String station,
            boolean pictured,
            Optional<Removed> removed) {
        private static Photo of(PhotoMapper.Head head) {
            return new Photo(
                    head.id(),
                    head.trialId(),
                    head.unitCode(),
                    head.look(),
                    head.takenAt(),
                    head.station(),
                    head.pictured(),
                    Optional.ofNullable(head.removedAt())
                            .map(at -> new Removed(
                                    at,
                                    Objects.requireNonNullElse(head.removedBy(), ""),
                                    Objects.requireNonNullElse(head.removedReason(), ""))));
        }
    }

    /** That a picture was taken away. */
    public record Removed(Instant at, String station, String reason) {}

    /** Keeps a photo, once for its token. */
    @Transactional
    long keep(TrialId trial, UnitCode unit, int look, Instant at, String station, PhotoFile file, UUID token) {
        Optional<Long> before = mapper.byToken(trial, token);
        if (before.isPresent()) {
            return before.get();
        }
        PhotoMapper.NewKey key = new PhotoMapper.NewKey();
        mapper.insert(
                new PhotoMapper.Head(
                        0, trial, unit, look, at, station, file.width(), file.height(), null, null, null, true),
                file.jpeg(),
                token,
                key);
        return key.id();
    }

    /** Photos of a unit, the earliest look first, those too whose picture was taken away. */
    @Transactional(readOnly = true)
    public List<Photo> of(TrialId trial, UnitCode unit) {
        return mapper.of(trial, unit).stream().map(Photo::of).toList();
    }

    /** Photos of a trial whose picture was taken away. */
    @Transactional(readOnly = true)
    List<Photo> removed(TrialId trial) {
        return mapper.ofTrial(trial).stream()
                .filter(head -> head.removedAt() != null)
                .map(Photo::of)
                .toList();
    }

    @Transactional(readOnly = true)
    Photo find(TrialId trial, long id) {
        return mapper.head(trial, id).map(Photo::of).orElseThrow(() -> unknown(trial));
    }

    /** Its pixels; there are none where it was taken away, or came with a zip, which holds no pictures. */
    @Transactional(readOnly = true)
    byte[] jpeg(TrialId trial, long id) {
        return mapper.pixels(trial, id)
                .map(PhotoMapper.Pixels::jpeg)
                .filter(jpeg -> jpeg.length > 0)
                .orElseThrow(() -> unknown(trial));
    }

    @Transactional
    void remove(TrialId trial, long id, Instant at, String station, String reason) {
        if (mapper.remove(trial, id, at, station, reason) == 0) {
            throw unknown(trial);
        }
    }

    private static NotFound unknown(TrialId trial) {
        return new NotFound("This trial has no such photo.", "/trials/" + trial + "/bench", "Back to measuring");
    }
}
