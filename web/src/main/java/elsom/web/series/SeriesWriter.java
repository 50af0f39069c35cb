package elsom.web.series;

import elsom.core.quantity.Decimals;
import elsom.core.series.RowReader;
import elsom.core.series.Sample;
import elsom.core.trial.TrialId;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** Writes the samples of one file. Times of a series go up or go down; what is known already is counted, not stored twice. */
final class SeriesWriter {
    private final SeriesMapper mapper;
    private final TrialId trial;
    private final long file;
    private final Map<SeriesKey, Open> open = new HashMap<>();
    private long added;
    private long known;
    private long differing;

    /** What became of a file's samples. */
    record Written(long added, long known, long differing, int series) {}

    SeriesWriter(SeriesMapper mapper, TrialId trial, long file) {
        this.mapper = mapper;
        this.trial = trial;
        this.file = file;
    }

    /** A series that is written to. */
    private final class Open {
        private final long id;
        private final SampledCourse before;
        private final List<Sample> block = new ArrayList<>();
        private long lowest = Long.MAX_VALUE;
        private long highest = Long.MIN_VALUE;
        private double valueAtLowest;
        private double valueAtHighest;

        Open(SeriesKey key) {
            id = mapper.series(trial, key).orElseGet(() -> {
                SeriesMapper.NewKey made = new SeriesMapper.NewKey();
                mapper.insertSeries(trial, key, made);
                return made.id();
            });
            before = new SampledCourse();
            mapper.blocks(id, Long.MIN_VALUE, Long.MAX_VALUE).forEach(stored -> stored.unpack(before::add));
            before.sorted();
        }

        void add(Sample sample) {
            boolean first = lowest > highest;
            boolean later = sample.at() > highest;
            boolean earlier = sample.at() < lowest;
            if (!later && !earlier) {
                again(sample);
                return;
            }
            if (later) {
                highest = sample.at();
                valueAtHighest = sample.value();
            }
            if (earlier || first) {
                lowest = sample.at();
                valueAtLowest = sample.value();
            }
            int place = before.find(sample.at());
            if (place >= 0) {
                known++;
                differing += before.value(place) == sample.value() ? 0 : 1;
                return;
            }
            added++;
            block.add(sample);
            if (block.size() == PackedSamples.MOST) {
                flush();
            }
        }

        /** A time that was there in this file. */
        private void again(Sample sample) {
            boolean atEnd = sample.at() == highest || sample.at() == lowest;
            if (!atEnd) {
                throw new IllegalArgumentException("its time, " + Instant.ofEpochMilli(sample.at())
                        + ", lies among those of rows before it; accepted: rows in order of time");
            }
            double first = sample.at() == highest ? valueAtHighest : valueAtLowest;
            if (first != sample.value()) {
                throw new IllegalArgumentException("there are two values at " + Instant.ofEpochMilli(sample.at()) + ": "
                        + Decimals.upTo(first, 4) + " and " + Decimals.upTo(sample.value(), 4)
                        + ". Name the unit of each in a column, or leave one out");
            }
            known++;
        }

        void flush() {
            if (block.isEmpty()) {
                return;
            }
            block.sort(Comparator.comparingLong(Sample::at));
            mapper.insertBlock(
                    trial,
                    id,
                    file,
                    block.get(0).at(),
                    block.get(block.size() - 1).at(),
                    block.size(),
                    PackedSamples.pack(block));
            block.clear();
        }
    }

    /**
     * Adds a value.
     *
     * @throws IllegalArgumentException if its time contradicts the rows before it
     */
    void add(RowReader.Read read) {
        open.computeIfAbsent(SeriesKey.of(read), Open::new).add(read.sample());
    }

    /**
     * Writes what is left.
     *
     * @param rows of the file
     */
    Written finish(long rows) {
        mapper.count(file, rows);
        open.values().forEach(Open::flush);
        return new Written(added, known, differing, open.size());
    }
}
