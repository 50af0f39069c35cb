package elsom.web;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.plan.Rules;
import elsom.core.plan.WateringSchool;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.trial.Instrument;
import elsom.core.trial.Reading;
import elsom.core.trial.ReadingId;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.UnitCode;
import elsom.web.exchange.ExchangeFixture;
import elsom.web.trial.Logbook;
import elsom.web.trial.NewReading;
import elsom.web.trial.Plans;
import elsom.web.trial.Trials;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.Statement;
import java.util.List;
import java.util.UUID;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.context.ConfigurableApplicationContext;

/** A store from before plans were kept opens, and its trials are as they were. */
class MigrationIT {
    @TempDir
    private Path home;

    @Test
    void aTrialFromBeforePlansIsRunning() throws Exception {
        String url = "jdbc:h2:file:" + home.resolve("elsom") + ";DB_CLOSE_DELAY=0";
        Flyway.configure().dataSource(url, "elsom", "").target("1").load().migrate();
        try (Connection connection = DriverManager.getConnection(url, "elsom", "");
                Statement sql = connection.createStatement()) {
            for (String line : trial()) {
                sql.execute(line);
            }
        }
        try (ConfigurableApplicationContext app = new SpringApplicationBuilder(ElsomApplication.class)
                .run("--elsom.home=" + home, "--server.port=0", "--elsom.demo=false")) {
            TrialRecord record = app.getBean(Trials.class).snapshot(new TrialId(1));
            assertThat(record.trial().started()).isTrue();
            assertThat(record.trial().blind()).isFalse();
            assertThat(record.units()).hasSize(2);
            assertThat(record.readings()).extracting(Reading::typedText).containsExactly("301.2", "299.8");
            assertThat(record.readings().get(1).supersedes())
                    .isEqualTo(record.readings().get(0).id());
            assertThat(anotherReading(app, record).value()).isGreaterThan(2);
            assertThat(app.getBean(Plans.class).plan(new TrialId(1))).satisfies(plan -> {
                assertThat(plan.question()).isEqualTo("Which holds water?");
                assertThat(plan.treatments().size()).isEqualTo(2);
                assertThat(plan.rules()).isEqualTo(new Rules(WateringSchool.EACH_TO_REFILL_WEIGHT, 0.45, false));
                assertThat(plan.schedule().start()).isEqualTo(ExchangeFixture.START);
            });
        }
    }

    private static ReadingId anotherReading(ConfigurableApplicationContext app, TrialRecord record) {
        UnitCode other = record.units().get(1).code();
        app.getBean(Logbook.class)
                .enter(
                        new TrialId(1),
                        new NewReading(
                                new ReadingRef(
                                        other, 1, record.endpoints().get(0).code(), 1),
                                305.0,
                                "305",
                                UnitOfMeasure.GRAM,
                                ExchangeFixture.START,
                                ExchangeFixture.START,
                                "Bench A",
                                Instrument.HAND,
                                null,
                                null,
                                UUID.randomUUID()));
        return app.getBean(Trials.class)
                .snapshot(new TrialId(1))
                .readings()
                .get(2)
                .id();
    }

    private static List<String> trial() {
        return List.of(
                "insert into trial (question, protocol, zone, start_at, watering, refill_fraction, seed, draft_token,"
                        + " created_at) values ('Which holds water?', 'water-holding', 'UTC', timestamp with time zone"
                        + " '2026-06-01 08:00:00+00', 'EACH_TO_REFILL_WEIGHT', 0.45, 7, random_uuid(),"
                        + " current_timestamp)",
                "insert into trial_container values (1, 'Round pot 9 cm', 'TAPERED', 'ROUND', 8.5, 9, 9, 6.5, 6.5)",
                "insert into treatment values (1, 1, 'A', 'Bark', 'Bark', '', 'NONE', 'FIBRES', 'WATER')",
                "insert into treatment values (1, 2, 'B', 'Brick', 'Brick', '', 'NONE', 'BRICKS', 'SLATE')",
                "insert into bench values (1, 1, 'Shelf', 1, 2, 'TOP', 'RIGHT')",
                "insert into experimental_unit values (1, 'K22', 1, 1, 'Round pot 9 cm', 400, 1, 1, 1, 1)",
                "insert into experimental_unit values (1, 'M44', 2, 1, 'Round pot 9 cm', 400, 1, 1, 1, 2)",
                "insert into endpoint values (1, 'wet-mass', 1, 'Container and wet medium', 'GRAM', 'SINGLE', 1, 0,"
                        + " 50000, 1)",
                "insert into look values (1, 1, 'drained', 0, 'wet-mass')",
                reading("301.2", "null, null"),
                reading("299.8", "1, 'WEIGHED_AGAIN'"));
    }

    private static String reading(String grams, String supersedes) {
        return "insert into reading (trial_id, unit_code, look, endpoint, sub_reading, stored_value, typed_text, typed_unit,"
                + " taken_at, recorded_at, station, instrument, supersedes, reason, entry_token) values (1, 'K22', 1,"
                + " 'wet-mass', 1, " + grams + ", '" + grams + "', 'GRAM', timestamp with time zone"
                + " '2026-06-01 08:00:00+00', current_timestamp, 'Bench A', 'HAND', " + supersedes + ", random_uuid())";
    }
}
