package elsom.web.meter;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.meter.MeterCheck;
import elsom.core.meter.MeterKind;
import elsom.core.quantity.Dimension;
import elsom.core.trial.Instrument;
import elsom.web.AppTest;
import elsom.web.Web;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** Meters as stations check them, and what that does to the readings taken with them. */
@AppTest
class MetersIT {
    private static final Instant MORNING = Instant.parse("2026-06-01T08:00:00Z");

    @LocalServerPort
    private int port;

    @Autowired
    private MeterChecks checks;

    private Instrument typedAt(String station, Instant at) {
        return checks.instrument(Instrument.HAND, Dimension.ACIDITY, station, at);
    }

    @Test
    void aReadingLeansOnTheLastCheckOfItsStationForTheDay() {
        assertThat(typedAt("Sill", MORNING)).isEqualTo(Instrument.METER_UNCHECKED);
        checks.keep(MeterCheck.of(MeterKind.PH, List.of(4.12, 7.05)), "Sill", MORNING);
        assertThat(typedAt("Sill", MORNING.plus(Duration.ofHours(3)))).isEqualTo(Instrument.METER);
        assertThat(typedAt("Sill", MORNING.minus(Duration.ofHours(3)))).isEqualTo(Instrument.METER_UNCHECKED);
        assertThat(typedAt("Sill", MORNING.plus(Duration.ofDays(1)))).isEqualTo(Instrument.METER_UNCHECKED);
        assertThat(typedAt("Shed", MORNING.plus(Duration.ofHours(3)))).isEqualTo(Instrument.METER_UNCHECKED);
        checks.keep(MeterCheck.of(MeterKind.PH, List.of(4.40, 7.00)), "Sill", MORNING.plus(Duration.ofHours(4)));
        assertThat(typedAt("Sill", MORNING.plus(Duration.ofHours(5))))
                .as("a failed check undoes the one before")
                .isEqualTo(Instrument.METER_UNCHECKED);
        assertThat(checks.instrument(Instrument.HAND, Dimension.MASS, "Sill", MORNING))
                .isEqualTo(Instrument.HAND);
        assertThat(checks.instrument(Instrument.FILE, Dimension.ACIDITY, "Sill", MORNING))
                .isEqualTo(Instrument.FILE);
    }

    @Test
    void aMeterThatFailsIsToldWhatToDoAndWhatIsTypedStands() throws Exception {
        Web web = new Web(port);
        assertThat(web.get("/meters").body()).contains("not checked today");
        assertThat(web.post("/meters", Map.of("kind", "PH", "PH0", "4,12", "PH1", "clean"))
                        .body())
                .contains("What does it show in buffer 7.00?", "value=\"4,12\"");
        assertThat(web.post("/meters", Map.of("kind", "PH", "PH0", "7.1", "PH1", "4.1"))
                        .body())
                .contains("That can&#39;t be");
        web.post("/meters", Map.of("kind", "PH", "PH0", "4.40", "PH1", "7.00"));
        assertThat(web.get("/meters").body()).contains("Don&#39;t measure with it", "not to be used");
        web.post("/meters", Map.of("kind", "PH", "PH0", "4.05", "PH1", "7.02", "PH2", "9.95"));
        assertThat(web.get("/meters").body()).contains("The meter is good.", "checked today");
        assertThat(web.post("/device/meter/read", Map.of("kind", "EC", "solution", "0"))
                        .body())
                .contains("display");
    }
}
