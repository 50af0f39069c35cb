package elsom.web.plan;

import elsom.core.plan.AskedAnew;
import elsom.core.plan.Hours;
import elsom.core.plan.Measure;
import elsom.core.plan.Plan;
import elsom.core.plan.PlannedLook;
import elsom.core.plan.Recurring;
import elsom.core.plan.Rules;
import elsom.core.plan.Schedule;
import elsom.core.plan.WateringSchool;
import elsom.core.quantity.Decimals;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.read.Box;
import elsom.core.read.Moments;
import elsom.core.trial.EndpointCode;
import java.time.DateTimeException;
import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/** When it starts, is looked at, watered and ends. */
final class DatesPart implements PartOfForm {
    static final String LOOKS = "looks";
    static final String STEPS = "steps";
    static final String AWAY = "away";
    private static final String TIME_ASK = "Accepted: 6 h, 7 d, or -3 h for before the start.";
    private static final int LONGEST_NAME = 40;

    @Override
    public Form of(Plan plan) {
        Schedule s = plan.schedule();
        Form.UnitFill filling = new Form.UnitFill()
                .put("zone", s.zone())
                .put("mode", s.endsTogether() ? "end" : "start")
                .put("start", local(s.start(), s.zone()))
                .put("end", local(s.end() == null ? s.start().plus(s.length()) : s.end(), s.zone()))
                .put("runs", s.runs().stream().map(DatesPart::span).collect(Collectors.joining(", ")))
                .put("watering", plan.rules().watering())
                .put("refill", Decimals.upTo(plan.rules().refillFraction() * 100, 1))
                .tick("early", plan.rules().mayEndEarly())
                .put(
                        "from",
                        s.hours().from().equals(LocalTime.MIN) ? "" : s.hours().from())
                .put(
                        "to",
                        s.hours().from().equals(LocalTime.MIN) ? "" : s.hours().to())
                .put("days", s.hours().days().stream().map(Enum::name).collect(Collectors.joining(" ")));
        for (int i = 0; i < s.looks().size(); i++) {
            PlannedLook look = s.looks().get(i);
            filling.put(LOOKS, i, "name", look.name())
                    .put(LOOKS, i, "after", span(look.after()))
                    .put(
                            LOOKS,
                            i,
                            "endpoints",
                            look.endpoints().stream().map(EndpointCode::value).collect(Collectors.joining(" ")));
        }
        for (int i = 0; i < s.steps().size(); i++) {
            Recurring step = s.steps().get(i);
            filling.put(STEPS, i, "kind", step.kind())
                    .put(STEPS, i, "note", step.note())
                    .put(STEPS, i, "first", span(step.first()))
                    .put(STEPS, i, "every", step.every().isZero() ? "" : span(step.every()))
                    .put(STEPS, i, "until", step.every().isZero() ? "" : span(step.until()));
        }
        for (int i = 0; i < s.hours().away().size(); i++) {
            filling.put(AWAY, i, "from", Moments.written(s.hours().away().get(i).from()))
                    .put(AWAY, i, "to", Moments.written(s.hours().away().get(i).to()));
        }
        return filling.form();
    }

    private static String local(Instant at, ZoneId zone) {
        return Moments.written(LocalDateTime.ofInstant(at, zone));
    }

    /** As {@link Problems#span} reads it. */
    static String span(Duration after) {
        long minutes = after.toMinutes();
        if (minutes % 1440 == 0) {
            return minutes / 1440 + " d";
        }
        return minutes % 60 == 0 ? minutes / 60 + " h" : minutes + " min";
    }

    @Override
    public Plan read(Form form, Plan plan, Problems problems) {
        ZoneId zone = zone(form.text("zone"), plan.schedule().zone(), problems);
        Hours hours = hours(form, problems);
        Schedule schedule = plan.schedule().in(zone);
        if (form.text("mode").equals("end")) {
            List<Duration> runs = runs(form.text("runs"), plan.treatments().size(), problems);
            Instant end = instant("end", form.text("end"), zone, schedule.start(), problems);
            schedule = runs.isEmpty() ? schedule : schedule.endingTogether(end, runs);
        } else {
            schedule =
                    schedule.startingTogether(instant("start", form.text("start"), zone, schedule.start(), problems));
        }
        List<PlannedLook> looks = looks(form, plan, problems);
        List<Recurring> steps = steps(form, problems);
        double refill = problems.amount(
                "refill",
                form.text("refill"),
                UnitOfMeasure.PERCENT,
                5,
                95,
                50,
                "A share of the water held, from 5 to 95 %. Accepted: 50.");
        Rules rules = new Rules(
                Problems.choice(
                        WateringSchool.class,
                        form.text("watering"),
                        plan.rules().watering()),
                refill / 100,
                plan.rules().blind(),
                form.ticked("early") ? Rules.Ending.WHEN_CLEAR : null);
        Schedule changed = schedule.with(looks, steps, hours);
        return problems.none()
                ? problems.tried("looks[0].name", () -> AskedAnew.with(plan, changed))
                        .map(anew -> anew.with(rules))
                        .orElse(plan)
                : plan;
    }

    private static ZoneId zone(String text, ZoneId before, Problems problems) {
        try {
            return text.isEmpty() ? before : ZoneId.of(text);
        } catch (DateTimeException unknown) {
            problems.add("zone", "“" + text + "” is not a time zone. Accepted: Europe/London, UTC.");
            return before;
        }
    }

    private static Instant instant(String field, String text, ZoneId zone, Instant fallback, Problems problems) {
        try {
            return Moments.at(text, Box.DAY_PLANNED, LocalDate.now(zone))
                    .atZone(zone)
                    .toInstant();
        } catch (IllegalArgumentException unreadable) {
            problems.add(field, String.valueOf(unreadable.getMessage()));
            return fallback;
        }
    }

    private static List<Duration> runs(String text, int treatments, Problems problems) {
        String ask = "How long each runs: one time for all, or one each, in order. Accepted: 36 h, or 9 d, 7 d, 5 d.";
        List<Duration> runs = new ArrayList<>();
        for (String part : text.split("[,;]\\s*")) {
            if (!part.isBlank()) {
                runs.add(problems.span("runs", part.strip(), Duration.ZERO, ask));
            }
        }
        boolean fits = runs.size() == 1 || (runs.size() == treatments && treatments > 0);
        if (problems.none() && (!fits || runs.stream().anyMatch(run -> run.isZero() || run.isNegative()))) {
            problems.add("runs", ask + (treatments > 0 ? " There are " + treatments + " treatments." : ""));
        }
        return runs;
    }

    private static List<PlannedLook> looks(Form form, Plan plan, Problems problems) {
        List<PlannedLook> looks = new ArrayList<>();
        Set<String> known = plan.asked().measures().stream()
                .filter(Measure::taken)
                .map(Measure::endpoint)
                .map(endpoint -> endpoint.code().value())
                .collect(Collectors.toSet());
        for (int i = 0; i < form.lines(LOOKS); i++) {
            String after = form.text(LOOKS, i, "after");
            String name = form.text(LOOKS, i, "name");
            if (after.isEmpty() && name.isEmpty()) {
                continue;
            }
            String field = Form.name(LOOKS, i, "after");
            if (after.isEmpty()) {
                problems.add(field, "When? " + TIME_ASK);
                continue;
            }
            List<EndpointCode> endpoints = form.values(Form.name(LOOKS, i, "endpoints")).stream()
                    .filter(known::contains)
                    .distinct()
                    .map(EndpointCode::new)
                    .toList();
            if (endpoints.isEmpty()) {
                problems.add(field, "Tick what is measured.");
                continue;
            }
            Duration at = problems.span(field, after, Duration.ZERO, TIME_ASK);
            looks.add(new PlannedLook(
                    problems.limited(field, name.isEmpty() ? spoken(at) : name, LONGEST_NAME), at, endpoints));
        }
        if (looks.isEmpty()) {
            problems.add("looks[0].after", "Plan at least one look. " + TIME_ASK);
        } else if (looks.size() > PlannedLook.MOST) {
            problems.add("looks[0].after", "At most " + PlannedLook.MOST + " looks; there are " + looks.size() + ".");
        }
        return looks;
    }

    private static String spoken(Duration after) {
        return after.toHours() % 24 == 0 ? "day " + after.toDays() : span(after);
    }

    private static List<Recurring> steps(Form form, Problems problems) {
        List<Recurring> steps = new ArrayList<>();
        for (int i = 0; i < Math.min(form.lines(STEPS), Recurring.MOST); i++) {
            String first = form.text(STEPS, i, "first");
            if (first.isEmpty()) {
                continue;
            }
            int line = i;
            String field = Form.name(STEPS, i, "first");
            Duration from = problems.span(field, first, Duration.ZERO, TIME_ASK);
            String every = form.text(STEPS, i, "every");
            Duration between = every.isEmpty() ? Duration.ZERO : problems.span(field, every, Duration.ZERO, TIME_ASK);
            String until = form.text(STEPS, i, "until");
            Duration last = every.isEmpty()
                    ? from
                    : until.isEmpty() ? from.plus(between) : problems.span(field, until, from, TIME_ASK);
            problems.tried(
                            field,
                            () -> new Recurring(
                                    Problems.choice(
                                            Recurring.Kind.class, form.text(STEPS, line, "kind"), Recurring.Kind.OTHER),
                                    problems.limited(field, form.text(STEPS, line, "note"), 120),
                                    from,
                                    between,
                                    last))
                    .ifPresent(steps::add);
        }
        return steps;
    }

    private static LocalDate day(String text) {
        return Moments.day(text, Box.DAY_PLANNED, LocalDate.now(ZoneId.systemDefault()));
    }

    private static Hours hours(Form form, Problems problems) {
        List<Hours.Away> away = new ArrayList<>();
        for (int i = 0; i < form.lines(AWAY); i++) {
            String from = form.text(AWAY, i, "from");
            String to = form.text(AWAY, i, "to");
            if (!from.isEmpty() || !to.isEmpty()) {
                problems.tried(
                                Form.name(AWAY, i, "from"),
                                () -> new Hours.Away(day(from.isEmpty() ? to : from), day(to.isEmpty() ? from : to)))
                        .ifPresent(away::add);
            }
        }
        Set<DayOfWeek> days = EnumSet.noneOf(DayOfWeek.class);
        Arrays.stream(DayOfWeek.values())
                .filter(day -> form.values("days").contains(day.name()))
                .forEach(days::add);
        String from = form.text("from");
        String to = form.text("to");
        return problems.tried(
                        "from",
                        () -> new Hours(
                                from.isEmpty() ? LocalTime.MIN : LocalTime.parse(from),
                                to.isEmpty() ? LocalTime.of(23, 59) : LocalTime.parse(to),
                                days.isEmpty() ? EnumSet.allOf(DayOfWeek.class) : days,
                                away))
                .orElse(Hours.ANY);
    }
}
