package elsom.web.bench;

import elsom.core.trial.Endpoint;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Look;
import elsom.core.trial.Mishap;
import elsom.core.trial.Reading;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.UnitCode;
import elsom.web.kit.Places;
import elsom.web.kit.Swatch;
import elsom.web.kit.Times;
import elsom.web.kit.TrialHeader;
import elsom.web.photo.Photos;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;

/** All readings of a unit. */
record UnitPage(
        TrialHeader header,
        String code,
        Swatch swatch,
        String place,
        String benchHref,
        List<Stage> stages,
        List<Photo> photos,
        List<Choice> looks) {

    /** A photo over time; {@code gone}: why there is no picture of it, empty where there is one. */
    record Photo(String href, String look, String when, String gone) {
        static Photo of(TrialRecord record, Photos.Photo photo) {
            return new Photo(
                    "/trials/" + record.trial().id() + "/photos/" + photo.id(),
                    record.look(photo.look()).map(Look::name).orElse(""),
                    Times.dayAndTime(photo.takenAt(), record.trial().zone()),
                    photo.removed()
                            .map(removed -> "taken away "
                                    + Times.dayAndTime(
                                            removed.at(), record.trial().zone()) + " by "
                                    + removed.station() + ": " + removed.reason())
                            .orElse(photo.pictured() ? "" : "its picture is in the store that it was taken in"));
        }
    }

    /** A look that a photo can be of. */
    record Choice(int number, String name, boolean next) {}

    /**
     * The unit in one trial.
     *
     * @param question of an earlier trial; empty for the one at hand
     */
    record Stage(String question, String href, List<Line> lines, List<String> mishaps) {}

    /** One observation with what stands; corrections stand below it. */
    record Line(String look, String what, String value, String when, String station, List<String> corrected) {}

    static UnitPage of(
            TrialHeader header,
            TrialRecord record,
            UnitCode code,
            List<TrialRecord> earlier,
            List<Photos.Photo> photos) {
        ExperimentalUnit unit = record.unit(code).orElseThrow();
        List<Stage> stages = new ArrayList<>();
        stages.add(stage(record, code, ""));
        earlier.forEach(before -> stages.add(stage(before, code, before.trial().question())));
        return new UnitPage(
                header,
                code.value(),
                Swatch.of(record.treatment(unit)),
                Places.words(record, unit),
                "/trials/" + record.trial().id() + "/bench?unit=" + code,
                stages,
                photos.stream().map(photo -> Photo.of(record, photo)).toList(),
                record.looks().stream()
                        .map(look -> new Choice(
                                look.number(),
                                look.name(),
                                record.nextLook().map(look::equals).orElse(false)))
                        .toList());
    }

    private static Stage stage(TrialRecord record, UnitCode code, String question) {
        List<Line> lines = record.readings().stream()
                .map(Reading::ref)
                .filter(ref -> ref.unit().equals(code))
                .distinct()
                .sorted(Comparator.comparing(ReadingRef::look))
                .map(ref -> line(record, ref))
                .toList();
        List<String> mishaps = record.mishaps().stream()
                .filter(mishap -> mishap.stands() && mishap.units().contains(code))
                .map(mishap -> words(record, mishap))
                .toList();
        return new Stage(question, "/trials/" + record.trial().id(), lines, mishaps);
    }

    private static String words(TrialRecord record, Mishap mishap) {
        return mishap.kind().label() + (mishap.note().isEmpty() ? "" : ": " + mishap.note()) + ", "
                + Times.dayAndTime(mishap.happenedAt(), record.trial().zone());
    }

    private static Line line(TrialRecord record, ReadingRef ref) {
        Endpoint endpoint = record.endpoint(ref.endpoint());
        Reading last = record.latest(ref).orElseThrow();
        return new Line(
                record.look(ref.look()).map(Look::name).orElse(""),
                endpoint.name() + (endpoint.size() > 1 ? " " + ref.subReading() : ""),
                record.current(ref)
                        .map(reading -> BenchData.current(reading, endpoint).value())
                        .orElse("taken back"),
                Times.dayAndTime(last.takenAt(), record.trial().zone()),
                last.signed(),
                corrected(BenchData.history(record, ref)));
    }

    /** What stood before, each with the reason of the correction that came after it. */
    private static List<String> corrected(List<BenchData.Correction> latestFirst) {
        return IntStream.range(1, latestFirst.size())
                .mapToObj(i -> {
                    String why = latestFirst.get(i - 1).reason();
                    return latestFirst.get(i).text() + " before" + (why.isEmpty() ? "" : " (" + why + ")");
                })
                .toList();
    }
}
