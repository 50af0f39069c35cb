package elsom.core.mix;

import elsom.core.quantity.Bounds;
import elsom.core.quantity.Decimals;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** Materials by parts of volume; only the proportion of the parts counts. */
public record Mix(List<Part> parts) {
    public static final int MOST_PARTS = 12;
    private static final double ALIKE = 0.005;
    private static final Pattern BEFORE =
            Pattern.compile("(\\d+(?:[.,]\\d+)?)\\s*(?:%|parts?(?:\\s+of)?\\b)?\\s+(\\S.*)");
    private static final Pattern BEHIND = Pattern.compile("(\\S.*?)\\s+(\\d+(?:[.,]\\d+)?)\\s*(%|parts?)?");

    /** Not a grain size: "2 to 8 mm pumice" is a material. */
    private static final Pattern RATIO = Pattern.compile(
            "(\\d{1,4}(?:[.,]\\d{1,3})?)\\s?(?::|\\bto\\b|\\bin\\b)\\s?(\\d{1,4}(?:[.,]\\d{1,3})?)(?!\\s*(?:mm|cm|µm)\\b)(?:\\s.*)?");

    /** One material. */
    public record Part(String material, double parts) {
        public Part {
            if (material.isBlank() || !(parts > 0 && parts < Double.POSITIVE_INFINITY)) {
                throw new IllegalArgumentException(
                        "a part has a material and a number above 0, got “" + material + "” and " + parts);
            }
        }
    }

    public Mix {
        parts = List.copyOf(parts);
        if (parts.isEmpty() || parts.size() > MOST_PARTS) {
            throw new IllegalArgumentException("a mix has 1 to " + MOST_PARTS + " parts, got " + parts.size());
        }
    }

    /**
     * Reads "3 leaf mould + 1 GW-32", "leaf mould 75 %, GW-32 25 %" or a single material. A name may hold digits of its
     * own: without a plus or comma a text is one material, unless it begins with "100 %". Zero parts are left out.
     *
     * @throws IllegalArgumentException if one part has a number and another has none, or nothing is left
     */
    public static Mix parse(String text) {
        Bounds.note("a mix", text, Bounds.MIX);
        String[] pieces = text.strip().split("\\s*(?:\\+|;|,(?!\\d))\\s*");
        if (pieces.length == 1) {
            named(pieces[0].strip());
            Matcher whole = Pattern.compile("100\\s*%\\s+(\\S.*)").matcher(pieces[0].strip());
            return new Mix(List.of(new Part(whole.matches() ? whole.group(1) : pieces[0].strip(), 1)));
        }
        Map<String, Double> parts = new LinkedHashMap<>();
        int unnumbered = 0;
        for (String piece : pieces) {
            named(piece.strip());
            Matcher before = BEFORE.matcher(piece.strip());
            Matcher behind = BEHIND.matcher(piece.strip());
            if (before.matches()) {
                add(parts, before.group(2), before.group(1));
            } else if (behind.matches()) {
                add(parts, behind.group(1), behind.group(2));
            } else {
                unnumbered++;
                add(parts, piece.strip(), "1");
            }
        }
        if (unnumbered > 0 && unnumbered < pieces.length) {
            throw new IllegalArgumentException("in “" + text.strip()
                    + "” some materials have parts and some have none; accepted: 3 leaf mould + 1 GW-32");
        }
        List<Part> list = new ArrayList<>();
        parts.forEach((material, share) -> {
            if (share > 0) {
                list.add(new Part(material, share));
            }
        });
        return new Mix(list);
    }

    /** A ratio names one side only at most: "2:1 leaf mould" has no second material, nor says which is twice the other. */
    private static void named(String piece) {
        Matcher ratio = RATIO.matcher(piece);
        if (ratio.matches()) {
            throw new IllegalArgumentException("“" + piece + "” does not say what stands on either side of the ratio;"
                    + " accepted: " + ratio.group(1) + " leaf mould + " + ratio.group(2) + " sand");
        }
    }

    /** The same, empty for a blank text and for one that can't be read. */
    public static Optional<Mix> read(String text) {
        try {
            return text.isBlank() ? Optional.empty() : Optional.of(parse(text));
        } catch (IllegalArgumentException unreadable) {
            return Optional.empty();
        }
    }

    /** Whether it has the same materials in the same proportion, whatever their order; to half a percent of the whole. */
    public boolean sameAs(Mix other) {
        return parts.size() == other.parts.size()
                && parts.stream()
                        .allMatch(part -> Math.abs(other.share(part.material()) - part.parts() / total()) < ALIKE);
    }

    private static void add(Map<String, Double> parts, String material, String number) {
        parts.merge(material.strip(), Double.parseDouble(number.replace(',', '.')), Double::sum);
    }

    /**
     * This mix thinned with another: so much of it, the rest of the other, by volume.
     *
     * @param share of this one, 0 to 1
     */
    public Mix in(Mix base, double share) {
        if (!(share >= 0 && share <= 1)) {
            throw new IllegalArgumentException("a share of a mix must be 0 to 100 %, got " + 100 * share + " %");
        }
        Map<String, Double> merged = new LinkedHashMap<>();
        thinned(merged, this, share);
        thinned(merged, base, 1 - share);
        return new Mix(merged.entrySet().stream()
                .map(part -> new Part(part.getKey(), part.getValue()))
                .toList());
    }

    private static void thinned(Map<String, Double> merged, Mix mix, double share) {
        for (Part part : mix.parts) {
            double parts = 100 * share * part.parts() / mix.total();
            if (parts > 0) {
                merged.merge(part.material(), parts, Double::sum);
            }
        }
    }

    /** As {@link #parse} reads it: "25 % GW-32 + 75 % leaf mould"; a single material by its name. */
    public String text() {
        return parts.size() == 1
                ? parts.get(0).material()
                : parts.stream()
                        .map(part -> Decimals.upTo(100 * part.parts() / total(), 3) + " % " + part.material())
                        .collect(Collectors.joining(" + "));
    }

    public double total() {
        return parts.stream().mapToDouble(Part::parts).sum();
    }

    /** The share of a material by volume, 0 when it is not in the mix. */
    public double share(String material) {
        return parts.stream()
                        .filter(part -> part.material().equalsIgnoreCase(material))
                        .mapToDouble(Part::parts)
                        .sum()
                / total();
    }

    /**
     * The loose volume of a part in mL that makes a batch, as mixing and tapping down shrink it: V · p / Σp / (1 − s).
     *
     * @param volumeMl of the batch after settling
     * @param settling share of the loose volume that is lost, 0 to below 1; 0 for a single material
     */
    public double looseMl(Part part, double volumeMl, double settling) {
        if (!(settling >= 0 && settling < 1)) {
            throw new IllegalArgumentException("settling is a share from 0 to below 1, got " + settling);
        }
        return volumeMl * part.parts() / total() / (1 - settling);
    }
}
