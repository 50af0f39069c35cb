package elsom.web.bench;

import elsom.core.quantity.Bounds;
import elsom.core.read.Typed;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Given;
import elsom.core.trial.GivenKind;
import elsom.core.trial.Refill;
import elsom.core.trial.TrialRecord;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;

/**
 * An amount for each unit, as typed.
 *
 * @param treatment whose units get it; 0 for all
 * @param units codes of the only units that get it; empty for all of the treatment
 */
public record WaterForm(GivenKind kind, String what, String amount, int treatment, String units, UUID token) {
    static final WaterForm EMPTY = new WaterForm(GivenKind.WATER, "", "", 0, "", new UUID(0, 0));

    public WaterForm {
        what = what.strip();
        amount = amount.strip();
        units = units.strip();
    }

    /**
     * The form as understood.
     *
     * @param problems by field; none when it can be written down
     */
    public record Checked(
            WaterForm form, double millilitres, List<ExperimentalUnit> units, Map<String, String> problems) {
        static final Checked NOTHING = new Checked(EMPTY, 0, List.of(), Map.of());
    }

    Checked checked(TrialRecord record) {
        Map<String, String> problems = new LinkedHashMap<>();
        List<ExperimentalUnit> meant = meant(record, problems);
        Typed typed = Refill.amount(amount);
        double ml = typed instanceof Typed.Understood understood
                ? understood.stored().value()
                : 0;
        if (typed instanceof Typed.Refused refused) {
            problems.put("amount", refused.message());
        } else if (!(ml >= Given.LEAST_ML && ml <= Given.MOST_ML)) {
            problems.put("amount", "From 0.01 mL to 50 L a unit. Accepted: 50 mL, or 338 - 301 from below");
        }
        if (what.length() > Bounds.NAME) {
            problems.put("what", "At most " + Bounds.NAME + " characters. Accepted: kelp feed, 2 mL/L");
        } else if (kind != GivenKind.WATER && what.isEmpty()) {
            problems.put("what", "Which, and how strong? Accepted: kelp feed, 2 mL/L");
        }
        return new Checked(this, ml, meant, problems);
    }

    /** Units that get it and still stand. */
    private List<ExperimentalUnit> meant(TrialRecord record, Map<String, String> problems) {
        List<ExperimentalUnit> standing = record.units().stream()
                .filter(unit -> record.ended(unit.code()).isEmpty())
                .toList();
        if (units.isEmpty()) {
            return standing.stream()
                    .filter(unit -> treatment == 0 || unit.treatment() == treatment)
                    .toList();
        }
        List<ExperimentalUnit> named = new ArrayList<>();
        for (String code : units.split("[\\s,;]+")) {
            Optional<ExperimentalUnit> unit = record.called(code).filter(standing::contains);
            if (unit.isEmpty()) {
                problems.put(
                        "units",
                        "“" + code + "” is no unit that stands here. Accepted: "
                                + standing.stream()
                                        .limit(2)
                                        .map(one -> one.code().value())
                                        .collect(Collectors.joining(" ")));
            }
            unit.filter(one -> !named.contains(one)).ifPresent(named::add);
        }
        return named;
    }
}
