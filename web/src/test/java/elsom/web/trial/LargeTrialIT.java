package elsom.web.trial;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.quantity.UnitOfMeasure;
import elsom.core.trial.Instrument;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.AppTest;
import elsom.web.Web;
import elsom.web.exchange.ExchangeFixture;
import elsom.web.exchange.PackedTrials;
import elsom.web.load.LargeTrials;
import java.net.URI;
import java.net.http.HttpResponse;
import java.util.Arrays;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** What is ordinary: hundreds of units, tens of looks. Limits are a multiple of what bin/bench measures, for busy machines. */
@AppTest
class LargeTrialIT {
    private static final int ENTRIES = 60;

    @LocalServerPort
    private int port;

    @Autowired
    private Trials trials;

    @Autowired
    private Logbook logbook;

    /** The median time in ms from an entry to the snapshot that holds it. */
    private double entryMs(TrialId id) {
        TrialRecord record = trials.snapshot(id);
        int look = record.looks().size();
        long[] times = new long[ENTRIES];
        for (int i = 0; i < ENTRIES; i++) {
            ReadingRef ref = new ReadingRef(
                    record.units().get(i % record.units().size()).code(),
                    look,
                    record.look(look).orElseThrow().endpoints().get(0));
            long before = System.nanoTime();
            logbook.enter(
                    id,
                    new NewReading(
                            ref,
                            12.0,
                            "12",
                            UnitOfMeasure.GRAM,
                            ExchangeFixture.START,
                            ExchangeFixture.START,
                            "Bench A",
                            Instrument.HAND,
                            trials.snapshot(id)
                                    .current(ref)
                                    .map(elsom.core.trial.Reading::id)
                                    .orElse(null),
                            trials.snapshot(id).current(ref).isPresent()
                                    ? elsom.core.trial.CorrectionReason.WEIGHED_AGAIN
                                    : null,
                            UUID.randomUUID()));
            trials.snapshot(id);
            times[i] = System.nanoTime() - before;
        }
        Arrays.sort(times);
        return times[ENTRIES / 2] / 1e6;
    }

    @Test
    void anEntryCostsTheSameHoweverManyReadingsThereAre() {
        TrialId small = trials.create(LargeTrials.measured(24, 4, 1), UUID.randomUUID());
        TrialId large = trials.create(LargeTrials.measured(600, 20, 3), UUID.randomUUID());
        assertThat(trials.snapshot(large).readings()).hasSizeGreaterThan(34_000);
        entryMs(small);
        double inSmall = entryMs(small);
        double inLarge = entryMs(large);
        assertThat(inLarge)
                .as("ms in the large trial, %s in the small one", inSmall)
                .isLessThan(15 + 4 * inSmall);
    }

    @Test
    void aTrialOfThirtySixThousandReadingsComesBackFromItsZip() throws Exception {
        Web web = new Web(port);
        byte[] zip = PackedTrials.packed(LargeTrials.measured(600, 20, 3));
        long before = System.nanoTime();
        HttpResponse<String> answer = web.upload(
                "/trials/import",
                "large.zip",
                zip,
                Map.of("token", UUID.randomUUID().toString()));
        double seconds = (System.nanoTime() - before) / 1e9;
        assertThat(answer.statusCode()).isEqualTo(302);
        assertThat(seconds).isLessThan(30);
        String place = URI.create(answer.headers().firstValue("Location").orElseThrow())
                .getPath();
        TrialId id = new TrialId(Long.parseLong(place.substring(place.lastIndexOf('/') + 1)));
        byte[] again = web.download(place + "/trial.zip");
        assertThat(PackedTrials.files(again))
                .containsOnlyKeys(PackedTrials.files(zip).keySet());
        assertThat(trials.snapshot(id).readings()).hasSizeGreaterThan(34_000);
        assertThat(web.get(place + "/bench").statusCode()).isEqualTo(200);
    }
}
