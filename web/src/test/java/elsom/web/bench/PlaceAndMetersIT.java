package elsom.web.bench;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.design.Rotation;
import elsom.core.sim.HandMeter;
import elsom.core.trial.Look;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.AppTest;
import elsom.web.Web;
import elsom.web.trial.TrialLists;
import elsom.web.trial.Trials;
import elsom.web.trial.Wanted;
import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.test.context.TestPropertySource;

/** Where units stand, what light they have, and instruments held to them. */
@AppTest
@TestPropertySource(properties = "elsom.demo=true")
class PlaceAndMetersIT {
    @LocalServerPort
    private int port;

    @Autowired
    private TrialLists lists;

    @Autowired
    private Trials trials;

    private TrialId called(String words) {
        return lists.search(Wanted.of(words), 0, 10).trials().get(0).id();
    }

    @Test
    void unitsAreMovedOnByArrowsWrittenDownAndTakenBack() throws Exception {
        Web web = new Web(port);
        TrialId id = called("Wood vinegar");
        TrialRecord record = trials.key(id);
        String address = "/trials/" + id + "/turn";
        int number = Rotation.next(record, Instant.now()).number();
        String page = web.get(address).body();
        assertThat(page).contains("Turn " + number).contains("class=\"arrow\"").contains("Nothing is written down yet");
        web.post(address, Map.of("number", String.valueOf(number)));
        TrialRecord turned = trials.key(id);
        assertThat(turned.turns())
                .singleElement()
                .satisfies(turn -> assertThat(turn.number()).isEqualTo(number));
        assertThat(Rotation.at(turned, Instant.now().plusSeconds(5)).units())
                .isEqualTo(Rotation.next(record, Instant.now()).to().units());
        assertThat(web.post(address, Map.of("number", String.valueOf(number))).body())
                .contains("Somebody wrote that turn down meanwhile");
        web.post(address + "/" + number + "/back", Map.of());
        assertThat(trials.key(id).turns()).isEmpty();
    }

    @Test
    void lightMeasuredAgainSaysWhichPlaceChanged() throws Exception {
        Web web = new Web(port);
        String address = "/trials/" + called("Wood vinegar") + "/light";
        assertThat(web.get(address).body()).contains("380 392 401");
        assertThat(web.post(address, Map.of("grid", "190 196 x")).body())
                .contains("is not a number")
                .contains("190 196 x");
        web.post(address, Map.of("grid", "190 196 100\n171 175 90\n149 154 80"));
        assertThat(web.get(address).body()).contains("% of what it was").contains("changed most");
    }

    @Test
    void anInstrumentHeldToAUnitShowsWhatIsReadWithIt() throws Exception {
        Web web = new Web(port);
        TrialId id = called("Ditch water");
        TrialRecord record = trials.key(id);
        for (Look look : record.looks()) {
            look.endpoints().stream()
                    .filter(code -> HandMeter.of(record.endpoint(code)).isPresent())
                    .findFirst()
                    .ifPresent(code -> assertThat(read(
                                    web, new ReadingRef(record.units().get(0).code(), look.number(), code), id))
                            .contains("mS/cm"));
        }
        ReadingRef salt = new ReadingRef(
                record.units().get(0).code(),
                1,
                record.look(1).orElseThrow().endpoints().get(0));
        assertThat(fault(web, salt, id, "NO_POWER")).contains("The EC meter is now: without power.");
        assertThat(read(web, salt, id)).contains("does not answer");
        fault(web, salt, id, "NONE");
        assertThat(web.get("/trials/" + id + "/bench").body())
                .contains("take-meter")
                .contains("EC meter");
    }

    private static String fault(Web web, ReadingRef what, TrialId trial, String fault) throws Exception {
        return web.post(
                        "/device/hand/fault",
                        Map.of(
                                "trial", trial.toString(),
                                "unit", what.unit().value(),
                                "look", String.valueOf(what.look()),
                                "endpoint", what.endpoint().value(),
                                "fault", fault))
                .body();
    }

    private static String read(Web web, ReadingRef what, TrialId trial) {
        try {
            return web.post(
                            "/device/hand/read",
                            new HashMap<>(Map.of(
                                    "trial", trial.toString(),
                                    "unit", what.unit().value(),
                                    "look", String.valueOf(what.look()),
                                    "endpoint", what.endpoint().value())))
                    .body();
        } catch (java.io.IOException | InterruptedException broken) {
            throw new IllegalStateException(broken);
        }
    }

    /** Whichever day that is: it follows from the weighings. */
    @Test
    void theAgendaSaysWhichUnitIsDueForWaterByItsWeight() {
        Instant now = Instant.now();
        assertThat(lists.agenda(now.minus(Duration.ofDays(60)), now.plus(Duration.ofDays(60))))
                .filteredOn(due -> due.trial().equals(called("plug medium carries")))
                .anySatisfy(due -> assertThat(due.detail()).startsWith("by weight, "));
    }
}
