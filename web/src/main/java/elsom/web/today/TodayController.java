package elsom.web.today;

import elsom.core.meter.MeterKind;
import elsom.web.backup.Backups;
import elsom.web.bench.NotTaken;
import elsom.web.brew.Brews;
import elsom.web.kit.Times;
import elsom.web.meter.MeterChecks;
import elsom.web.platform.Station;
import elsom.web.series.Watches;
import elsom.web.trial.TrialLists;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Arrays;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** What is due; or, with no trial yet, what Elsom is and how to begin. */
@Controller
class TodayController {
    /** A trial's day may begin so much before or after that of this machine. */
    private static final Duration ZONES = Duration.ofHours(14);

    private static final int MOST_DUE = 30;
    private static final int MOST_OTHERS = 10;

    private final TrialLists lists;
    private final Backups backups;
    private final MeterChecks meters;
    private final Brews brews;
    private final Watches watches;
    private final NotTaken notTaken;
    private final Clock clock;

    TodayController(
            TrialLists lists,
            Backups backups,
            MeterChecks meters,
            Brews brews,
            Watches watches,
            NotTaken notTaken,
            Clock clock) {
        this.notTaken = notTaken;
        this.watches = watches;
        this.brews = brews;
        this.meters = meters;
        this.backups = backups;
        this.lists = lists;
        this.clock = clock;
    }

    /** Brews to be used soon, or too old to be. */
    record UseSoon(String says, String href, boolean over) {
        static UseSoon of(Brews.Clocks clocks, Instant now, ZoneId here) {
            boolean over = clocks.useBy().isBefore(now);
            long minutes = Math.abs(Duration.between(now, clocks.useBy()).toMinutes());
            String span = minutes / 60 + " h " + minutes % 60 + " min";
            String units = String.join(", ", clocks.units());
            return new UseSoon(
                    over
                            ? "Too old to use: brew " + units + ", since " + span + ". Onto the compost heap."
                            : "Use brew " + units + " by " + Times.time(clocks.useBy(), here) + ": " + span + " left.",
                    "/trials/" + clocks.trial() + "/brews",
                    over);
        }
    }

    /** Where copies of the store are and how old, in sentences. */
    private String backup() {
        String here = backups.age()
                .map(age -> "The last copy of the store was made " + ago(age) + ".")
                .orElse("The store has no copy yet; one is made today, or when Elsom stops.");
        return here + backups.second().map(TodayController::second).orElse("");
    }

    private static String second(Backups.Second second) {
        if (!second.there()) {
            return " The second folder, " + second.folder() + ", is not there: is its disk plugged in?";
        }
        return second.age()
                .map(age -> " In " + second.folder() + " the newest was made " + ago(age) + ".")
                .orElse(" In " + second.folder() + " there is none yet.");
    }

    private static String ago(Duration age) {
        return age.toDays() > 0
                ? age.toDays() + (age.toDays() == 1 ? " day ago" : " days ago")
                : age.toHours() > 0
                        ? age.toHours() + (age.toHours() == 1 ? " hour ago" : " hours ago")
                        : "within the hour";
    }

    @GetMapping("/")
    String today(Station station, Model model) {
        Instant now = clock.instant();
        ZoneId here = ZoneId.systemDefault();
        Instant midnight = LocalDate.ofInstant(now, here).atStartOfDay(here).toInstant();
        TodayPage page = TodayPage.of(
                lists.day(now, MOST_DUE, MOST_OTHERS),
                lists.agenda(
                        midnight.minus(ZONES), midnight.plus(Duration.ofDays(7)).plus(ZONES)),
                lists.late(now),
                now,
                here);
        model.addAttribute("backup", backup());
        model.addAttribute(
                "meters",
                Arrays.stream(MeterKind.values())
                        .filter(kind -> meters.due(station.signature(), kind, now))
                        .map(MeterKind::label)
                        .toList());
        model.addAttribute("page", page);
        model.addAttribute("alarms", watches.passed());
        model.addAttribute("notTaken", notTaken.count());
        model.addAttribute(
                "brews",
                brews.toUse().stream().map(one -> UseSoon.of(one, now, here)).toList());
        return page.empty() ? "today/welcome" : "today/today";
    }
}
