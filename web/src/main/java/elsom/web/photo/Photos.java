package elsom.web.photo;

import elsom.core.trial.TrialId;
import elsom.core.trial.UnitCode;
import elsom.web.platform.NotFound;
import java.time.Instant;
import java.util.List;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/** Photos of units. */
@Repository
public class Photos {
    private final PhotoMapper mapper;

    Photos(PhotoMapper mapper) {
        this.mapper = mapper;
    }

    /** A photo of a unit at a look. */
    public record Photo(long id, TrialId trial, UnitCode unit, int look, Instant takenAt, String station) {
        private static Photo of(PhotoMapper.Head head) {
            return new Photo(head.id(), head.trialId(), head.unitCode(), head.look(), head.takenAt(), head.station());
        }
    }

    @Transactional
    long keep(TrialId trial, UnitCode unit, int look, Instant at, String station, PhotoFile file) {
        PhotoMapper.NewKey key = new PhotoMapper.NewKey();
        mapper.insert(
                new PhotoMapper.Head(0, trial, unit, look, at, station, file.width(), file.height()), file.jpeg(), key);
        return key.id();
    }

    /** Photos of a unit, the earliest look first. */
    @Transactional(readOnly = true)
    public List<Photo> of(TrialId trial, UnitCode unit) {
        return mapper.of(trial, unit).stream().map(Photo::of).toList();
    }

    @Transactional(readOnly = true)
    Photo find(TrialId trial, long id) {
        return mapper.head(trial, id).map(Photo::of).orElseThrow(() -> unknown(trial));
    }

    @Transactional(readOnly = true)
    byte[] jpeg(TrialId trial, long id) {
        return mapper.pixels(trial, id).map(PhotoMapper.Pixels::jpeg).orElseThrow(() -> unknown(trial));
    }

    @Transactional
    void remove(TrialId trial, long id) {
        if (mapper.remove(trial, id) == 0) {
            throw unknown(trial);
        }
    }

    private static NotFound unknown(TrialId trial) {
        return new NotFound("This trial has no such photo.", "/trials/" + trial + "/bench", "Back to measuring");
    }
}
