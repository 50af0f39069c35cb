package elsom.core.mix;

import elsom.core.quantity.Bounds;
import elsom.core.quantity.Decimals;
import elsom.core.read.Box;
import elsom.core.read.Known;
import elsom.core.read.Read;
import elsom.core.read.Reader;
import java.time.LocalDate;
import java.util.Arrays;
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

    /** A name alone, which may hold an "and", and figures as lots do: GW-31. */
    private static final Pattern PLAIN_NAME = Pattern.compile(
            "(?!(?i:nothing known|no idea|unknown|not known|half |quarter |one |two |three |a |an |equal ))\\p{L}(?:[\\p{L}\\p{M} '’()./&-]|(?<=[\\p{L}\\d-])\\d)*");

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
     * Reads "3 leaf mould + 1 GW-32", "leaf mould 75 %, GW-32 25 %", "2 cups coir + 1/2 cup grit" or a single material. A
     * name may hold digits of its own. Zero parts are left out.
     *
     * @throws IllegalArgumentException with what is asked, or with what is wrong
     */
    public static Mix parse(String text) {
        Bounds.note("a mix", text, Bounds.MIX);
        if (PLAIN_NAME.matcher(text.strip()).matches()) {
            return new Mix(List.of(new Part(text.strip(), 1)));
        }
        if (withoutShares(text)) {
            return new Mix(Arrays.stream(text.split("[+;]"))
                    .map(name -> new Part(name.strip(), 1))
                    .toList());
        }
        Read read = Reader.read(Box.MIX, text, Known.on(LocalDate.EPOCH));
        if (read instanceof Read.Ask ask) {
            throw new IllegalArgumentException(ask.why());
        }
        if (read instanceof Read.Refused refused) {
            throw new IllegalArgumentException(refused.message());
        }
        return read instanceof Read.Value value && value.meaning() instanceof Read.Mixed mixed
                ? new Mix(inParts(text, mixed))
                : new Mix(List.of());
    }

    /** Whether it names materials with a plus between them and no share of any: read as equal parts, and the plan says so. */
    public static boolean withoutShares(String text) {
        String[] names = text.split("[+;]");
        return names.length > 1
                && Arrays.stream(names)
                        .allMatch(name -> PLAIN_NAME.matcher(name.strip()).matches());
    }

    /** In the parts that were typed, where they are plain numbers; else in shares. */
    private static List<Part> inParts(String text, Read.Mixed mixed) {
        Map<String, Double> typed = new LinkedHashMap<>();
        for (String piece : text.strip().split("\\s*(?:\\+|;|,(?!\\d))\\s*")) {
            Matcher before = BEFORE.matcher(piece);
            if (!before.matches()) {
                typed.clear();
                break;
            }
            typed.merge(before.group(2), Double.parseDouble(before.group(1).replace(',', '.')), Double::sum);
        }
        boolean same = mixed.shares().stream().allMatch(share -> typed.containsKey(share.material()));
        return mixed.shares().stream()
                .map(share ->
                        new Part(share.material(), same ? typed.getOrDefault(share.material(), 0.0) : share.share()))
                .toList();
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
