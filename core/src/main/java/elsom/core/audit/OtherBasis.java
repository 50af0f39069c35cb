package elsom.core.audit;

import elsom.core.trial.Treatment;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * Rates on unlike bases: so much a litre, on an area, for a plant or a pot. They compare only where container and area are
 * known, and a label's rate holds on the label's own basis.
 */
final class OtherBasis implements AuditRule {
    private static final Pattern RATE = Pattern.compile(
            "\\d\\s*(?:kg|g|mg|mL|ml|L|tsp|tbsp|oz|lb)\\s*(?:/|per|a|an)\\s*(m²|m2|sq ?m|ha|acre|sq ?ft|plant|pot|tray|cell|l|litre|liter|gal)(?![\\w²])",
            Pattern.CASE_INSENSITIVE);

    @Override
    public List<Fault> check(AuditCase trial) {
        Map<String, List<String>> byBasis = new LinkedHashMap<>();
        for (Treatment treatment : trial.record().treatments()) {
            Matcher rate = RATE.matcher(treatment.name() + " " + treatment.material());
            if (rate.find()) {
                byBasis.computeIfAbsent(basis(rate.group(1)), none -> new ArrayList<>())
                        .add(treatment.name());
            }
        }
        if (byBasis.size() < 2) {
            return List.of();
        }
        String seen = byBasis.entrySet().stream()
                .map(entry -> entry.getKey() + ": " + String.join(", ", entry.getValue()))
                .collect(Collectors.joining("; "));
        return List.of(
                Fault.of(
                        FaultCode.BASIS,
                        Grade.SHAKY,
                        "Rates are given on unlike bases (" + seen + ").",
                        "How they compare depends on the size of the pot and how full it is, so it may be the dose that differs and not"
                                + " the product.",
                        "Work all rates out for one basis, best per volume of medium; a label's rate holds on its own basis only."));
    }

    private static String basis(String unit) {
        String plain = unit.toLowerCase(Locale.ROOT).replace(" ", "");
        return switch (plain) {
            case "m²", "m2", "sqm", "ha", "acre", "sqft" -> "on an area";
            case "plant" -> "for a plant";
            case "pot", "tray", "cell" -> "for a pot or tray";
            default -> "in a volume";
        };
    }
}
