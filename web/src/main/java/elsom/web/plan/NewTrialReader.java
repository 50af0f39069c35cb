package elsom.web.plan;

import elsom.core.design.UnitCodes;
import elsom.core.protocol.Protocol;
import elsom.core.protocol.TrialPlan;
import elsom.core.quantity.Decimals;
import elsom.core.quantity.Quantity;
import elsom.core.quantity.Typed;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.trial.Container;
import elsom.core.trial.ControlKind;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Treatment;
import elsom.core.trial.TreatmentProperty;
import elsom.core.trial.Trial;
import java.time.DateTimeException;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Reads a form into a plan, collecting every problem at its field. */
final class NewTrialReader {
    private static final Duration LONGEST = Duration.ofDays(365);

    private final NewTrialForm form;
    private final Protocol protocol;
    private final List<Container> shelf;
    private final Map<String, String> problems = new LinkedHashMap<>();

    NewTrialReader(NewTrialForm form, Protocol protocol, List<Container> shelf) {
        this.form = form;
        this.protocol = protocol;
        this.shelf = shelf;
    }

    /** What is wrong, by field; empty after a plan was read. */
    Map<String, String> problems() {
        return problems;
    }

    /** The plan; empty when something is wrong. */
    Optional<TrialPlan> read() {
        String question = question();
        ZoneId zone = zone();
        Instant start = start(zone);
        double refill = refill();
        int replicates = replicates();
        List<String> places = places();
        List<Duration> times = times();
        List<TrialPlan.Planned> treatments = treatments();
        int units = treatments.size() * places.size() * replicates;
        if (units > UnitCodes.MOST) {
            problem(
                    "replicates",
                    "That makes " + units + " units; one trial holds " + UnitCodes.MOST
                            + ". Fewer media or replicates.");
        }
        return problems.isEmpty()
                ? Optional.of(new TrialPlan(
                        protocol,
                        question,
                        zone,
                        start,
                        form.getWatering(),
                        refill,
                        treatments,
                        places,
                        replicates,
                        times,
                        form.isCheckDryness()))
                : Optional.empty();
    }

    private void problem(String field, String message) {
        problems.putIfAbsent(field, message);
    }

    private String question() {
        String question = form.getQuestion().strip();
        if (question.isEmpty()) {
            problem("question", "Write the question first. Accepted: " + protocol.exampleQuestion());
        } else if (question.length() > Trial.LONGEST_QUESTION) {
            problem(
                    "question",
                    "At most " + Trial.LONGEST_QUESTION + " characters; this has " + question.length() + ".");
        }
        return question;
    }

    private ZoneId zone() {
        try {
            return ZoneId.of(form.getZone().strip());
        } catch (DateTimeException unknown) {
            problem("zone", "“" + form.getZone() + "” is not a time zone. Accepted: Europe/London, UTC.");
            return ZoneId.of("UTC");
        }
    }

    private Instant start(ZoneId zone) {
        try {
            return LocalDateTime.parse(form.getStart().strip()).atZone(zone).toInstant();
        } catch (DateTimeException unreadable) {
            problem("start", "When will the units be drained? Accepted: 2026-11-25T14:00.");
            return Instant.EPOCH;
        }
    }

    private double refill() {
        if (Typed.parse(form.getRefill(), UnitOfMeasure.PERCENT) instanceof Typed.Understood share
                && share.stored().value() >= 5
                && share.stored().value() <= 95) {
            return share.stored().value() / 100;
        }
        problem("refill", "A share of the water held, from 5 to 95 %. Accepted: 50.");
        return 0.5;
    }

    private int replicates() {
        String text = form.getReplicates().strip();
        if (text.matches("[0-9]{1,3}")) {
            int number = Integer.parseInt(text);
            if (number >= 1 && number <= TrialPlan.MOST_REPLICATES) {
                return number;
            }
        }
        problem("replicates", "A whole number from 1 to " + TrialPlan.MOST_REPLICATES + ". Accepted: 4.");
        return 1;
    }

    private List<String> places() {
        List<String> places = new ArrayList<>();
        place("place", form.getPlace(), places);
        if (places.isEmpty()) {
            problem("place", "Where do they stand? Accepted: Sunny sill.");
        }
        place("secondPlace", form.getSecondPlace(), places);
        if (places.size() == 2 && places.get(0).equalsIgnoreCase(places.get(1))) {
            problem("secondPlace", "Both places have the same name. Leave the second one empty for one place.");
        }
        return places;
    }

    private void place(String field, String typed, List<String> places) {
        String name = typed.strip();
        if (name.length() > Treatment.LONGEST_NAME) {
            problem(field, "At most " + Treatment.LONGEST_NAME + " characters.");
        } else if (!name.isEmpty()) {
            places.add(name);
        }
    }

    private List<Duration> times() {
        List<Duration> times = new ArrayList<>();
        for (String part : form.getTimes().split("[,;\\n]+")) {
            if (part.isBlank()) {
                continue;
            }
            Typed typed = Typed.parse(part, UnitOfMeasure.HOUR);
            if (typed instanceof Typed.Refused refused) {
                problem("times", refused.problem() + ". Accepted: 2, 6, 24 h, 2 d, 5 d.");
            } else if (typed instanceof Typed.Understood understood) {
                times.add(Duration.ofSeconds(Math.round(understood.stored().value() * 3600)));
            }
        }
        List<Duration> sorted = times.stream().sorted().distinct().toList();
        if (times.isEmpty()) {
            problem("times", "Say when to weigh again after draining. Accepted: 2, 6, 24 h, 2 d, 5 d.");
        } else if (sorted.get(0).compareTo(Duration.ofMinutes(1)) < 0
                || sorted.get(sorted.size() - 1).compareTo(LONGEST) > 0) {
            problem("times", "Times lie between 1 minute and 365 days after draining. Accepted: 2, 6, 24 h, 2 d, 5 d.");
        } else if (sorted.size() > TrialPlan.MOST_TIMES) {
            problem("times", "At most " + TrialPlan.MOST_TIMES + " times; there are " + sorted.size() + ".");
        }
        return sorted;
    }

    private List<TrialPlan.Planned> treatments() {
        List<TrialPlan.Planned> treatments = new ArrayList<>();
        Set<String> names = new HashSet<>();
        if (form.getMedia().size() > NewTrialForm.MOST_LINES) {
            problem("media", "At most " + NewTrialForm.MOST_LINES + " media.");
            return treatments;
        }
        Optional<Container> usual = container("container", form.getContainer());
        for (int i = 0; i < form.getMedia().size(); i++) {
            NewTrialForm.Line line = form.getMedia().get(i);
            if (!line.isBlank()) {
                treatment(i, line, usual, names).ifPresent(treatments::add);
            }
        }
        if (names.isEmpty() && problems.keySet().stream().noneMatch(field -> field.startsWith("media"))) {
            problem("media", "Name at least one medium. Accepted: wood fibre.");
        }
        return treatments;
    }

    private Optional<TrialPlan.Planned> treatment(
            int index, NewTrialForm.Line line, Optional<Container> usual, Set<String> names) {
        String field = "media[" + index + "]";
        String material = line.getName().strip();
        boolean own = !line.getContainer().isBlank();
        Optional<Container> container = own ? container(field, line.getContainer()) : usual;
        String name = material + (line.isPrewetted() ? ", pre-wetted" : "") + (own ? ", " + line.getContainer() : "");
        if (name.length() > Treatment.LONGEST_NAME) {
            problem(
                    field,
                    "With its container the name has " + name.length() + " characters; at most "
                            + Treatment.LONGEST_NAME + ".");
        }
        if (!names.add(name.toLowerCase(Locale.ROOT))) {
            problem(field, "“" + name + "” is there twice. Give one another name, container or preparation.");
        }
        Map<TreatmentProperty, Double> properties = properties(field, line);
        return container.map(found -> new TrialPlan.Planned(
                name,
                material,
                protocol.kinds().contains(line.getKind()) ? line.getKind() : "",
                line.isControl() ? ControlKind.CONTROL : ControlKind.NONE,
                properties,
                found,
                volume(found, own)));
    }

    private Map<TreatmentProperty, Double> properties(String field, NewTrialForm.Line line) {
        Map<TreatmentProperty, Double> properties = new EnumMap<>(TreatmentProperty.class);
        if (!line.getOrganicMatter().isBlank()) {
            if (Typed.parse(line.getOrganicMatter(), UnitOfMeasure.PERCENT) instanceof Typed.Understood share
                    && share.stored().value() >= 0
                    && share.stored().value() <= 100) {
                properties.put(TreatmentProperty.ORGANIC_MATTER, share.stored().value() / 100);
            } else {
                problem(field, "Organic matter is a share of the dry weight from 0 to 100 %. Accepted: 85.");
            }
        }
        if (line.isPrewetted()) {
            properties.put(TreatmentProperty.PREWETTED, 1.0);
        }
        return properties;
    }

    private Optional<Container> container(String field, String name) {
        Optional<Container> found =
                shelf.stream().filter(c -> c.name().equals(name)).findFirst();
        if (found.isEmpty()) {
            problem(field, "Choose a container from the shelf.");
        }
        return found;
    }

    /** The typed volume for the usual container; to the brim for one of its own, or when nothing is typed. */
    private double volume(Container container, boolean own) {
        double brim = container.volumeMl();
        if (own || form.getVolume().isBlank()) {
            return Math.round(brim);
        }
        if (Typed.parse(form.getVolume(), UnitOfMeasure.MILLILITRE) instanceof Typed.Understood typed) {
            Quantity volume = typed.stored();
            if (volume.value() > 0 && volume.value() <= Math.min(brim * 1.02, ExperimentalUnit.LARGEST_ML)) {
                return volume.value();
            }
            problem("volume", "Above 0 and at most what the container holds, " + Decimals.upTo(brim, 0) + " mL.");
        } else {
            problem("volume", "Can't read “" + form.getVolume() + "”. Accepted: 1500 mL, 1.5 L, or nothing for full.");
        }
        return brim;
    }
}
