package elsom.web.shelf;

import elsom.core.material.Lot;
import elsom.core.material.MaterialKind;
import elsom.core.material.Preparation;
import elsom.core.read.Box;
import elsom.core.read.Moments;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * A lot as typed.
 *
 * @param prepared names of {@link Preparation}
 */
record LotForm(
        String name,
        String material,
        String kind,
        String received,
        String source,
        Set<String> prepared,
        String cautions,
        String recipe) {
    static final LotForm EMPTY = new LotForm("", "", MaterialKind.ORGANIC.name(), "", "", Set.of(), "", "");

    static LotForm sent(Map<String, String> typed, @Nullable List<String> prepared) {
        return new LotForm(
                typed.getOrDefault("name", ""),
                typed.getOrDefault("material", ""),
                typed.getOrDefault("kind", ""),
                typed.getOrDefault("received", ""),
                typed.getOrDefault("source", ""),
                prepared == null ? Set.of() : Set.copyOf(prepared),
                typed.getOrDefault("cautions", ""),
                typed.getOrDefault("recipe", ""));
    }

    static LotForm of(Lot lot) {
        LocalDate came = lot.received();
        return new LotForm(
                lot.name(),
                lot.material(),
                lot.kind().name(),
                came == null ? "" : Moments.written(came),
                lot.source(),
                lot.prepared().stream().map(Preparation::name).collect(Collectors.toSet()),
                lot.cautions(),
                lot.recipe());
    }

    /** The lot, without figures; empty where something can't be, which is then among the problems. */
    Optional<Lot> read(LocalDate today, Map<String, String> problems) {
        Optional<MaterialKind> sort = Arrays.stream(MaterialKind.values())
                .filter(one -> one.name().equals(kind))
                .findFirst();
        if (sort.isEmpty()) {
            problems.put("kind", "Choose one of the kinds.");
        }
        if (name.isBlank()) {
            problems.put("name", "A lot has a name, as mixes and labels call it. Accepted: GW-32.");
        }
        LocalDate came = date(received, "received", today, problems);
        if (!problems.isEmpty()) {
            return Optional.empty();
        }
        Set<Preparation> done = EnumSet.noneOf(Preparation.class);
        Arrays.stream(Preparation.values())
                .filter(one -> prepared.contains(one.name()))
                .forEach(done::add);
        try {
            return Optional.of(new Lot(
                    name.strip(),
                    material.isBlank() ? name.strip() : material.strip(),
                    sort.orElseThrow(),
                    came,
                    source.strip(),
                    done,
                    cautions.strip(),
                    recipe.strip(),
                    List.of()));
        } catch (IllegalArgumentException impossible) {
            problems.put(
                    sort.orElseThrow() == MaterialKind.MIX || !recipe.isBlank() ? "recipe" : "name",
                    String.valueOf(impossible.getMessage()) + ". Accepted: 3 leaf mould + 1 GW-31, for a mix only.");
            return Optional.empty();
        }
    }

    /** Null for an empty field, and for one with a problem. */
    static @Nullable LocalDate date(String text, String field, LocalDate today, Map<String, String> problems) {
        if (text.isBlank()) {
            return null;
        }
        try {
            return Moments.day(text, Box.DATE, today);
        } catch (IllegalArgumentException wrong) {
            problems.put(field, String.valueOf(wrong.getMessage()));
            return null;
        }
    }

    static Map<String, String> noProblems() {
        return new LinkedHashMap<>();
    }
}
