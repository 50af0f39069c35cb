package elsom.web.exchange;

import elsom.web.trial.TrialLists;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;

/** All dates of all trials at one address, for a calendar that asks again by itself. */
@Controller
class SubscribedCalendar {
    private static final MediaType CALENDAR = new MediaType("text", "calendar", StandardCharsets.UTF_8);
    private static final Duration BEFORE = Duration.ofDays(14);
    private static final Duration AHEAD = Duration.ofDays(120);

    private final TrialLists lists;
    private final Clock clock;

    SubscribedCalendar(TrialLists lists, Clock clock) {
        this.lists = lists;
        this.clock = clock;
    }

    @GetMapping("/calendar.ics")
    ResponseEntity<byte[]> all() {
        Instant now = clock.instant();
        String host = ServletUriComponentsBuilder.fromCurrentContextPath().toUriString();
        return ResponseEntity.ok()
                .contentType(CALENDAR)
                .body(CalendarFile.of(lists.agenda(now.minus(BEFORE), now.plus(AHEAD)), host, now)
                        .getBytes(StandardCharsets.UTF_8));
    }
}
