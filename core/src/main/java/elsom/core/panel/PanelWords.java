package elsom.core.panel;

import elsom.core.analysis.Answer;
import elsom.core.analysis.Comparison;
import elsom.core.analysis.Judgement;
import elsom.core.quantity.Decimals;
import elsom.core.stats.Interval;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;

/** What a tasting says, as sentences: the answer first, then what it stands on and what would change it. */
public record PanelWords(Tone tone, String sentence, List<String> lines) {
    private static final double SHOWN = 0.05;

    /** How firm it is. */
    public enum Tone {
        TOLD("told"),
        CANT_TELL("can't tell"),
        /** Too few people. */
        NO_PANEL("no panel");

        private final String label;

        Tone(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    public PanelWords {
        lines = List.copyOf(lines);
    }

    /** What it says. */
    public static PanelWords of(Tasted tasted) {
        if (tasted.done() < Tasted.LEAST_PANEL) {
            return new PanelWords(
                    Tone.NO_PANEL,
                    tasted.done() == 1
                            ? "One taster’s vote is not a panel."
                            : tasted.done() + " tasters are not a panel.",
                    List.of("From " + Tasted.LEAST_PANEL
                            + " people on something is said here; twelve or more tell more. One person who"
                            + " tastes ten times is one taster."));
        }
        List<String> lines = new ArrayList<>();
        PanelWords said = switch (tasted.tasting().kind()) {
            case TRIANGLE -> triangle(tasted, lines);
            case PAIR -> pair(tasted, lines);
            case RANKING -> ranking(tasted, lines);
            case LIKING -> liking(tasted, lines);
        };
        wouldTell(tasted, said.tone()).ifPresent(lines::add);
        order(tasted).ifPresent(lines::add);
        int set = tasted.tasting().evenSet();
        if (tasted.done() % set != 0) {
            lines.add("Orders come out even with a multiple of " + set + " tasters; here are " + tasted.done() + ".");
        }
        return new PanelWords(said.tone(), said.sentence(), lines);
    }

    private static PanelWords triangle(Tasted tasted, List<String> lines) {
        ForcedChoice choice = tasted.choice().orElseThrow();
        List<String> samples = tasted.tasting().samples();
        Interval share = choice.discriminators();
        lines.add("Exact binomial at 1/3, p " + p(choice.p()) + ". Likely " + percent(choice.discriminating())
                + " truly tell them apart (95 % interval " + percent(share.low()) + " to " + percent(share.high())
                + "); the others guessed.");
        String found = choice.chosen() + " of " + choice.tasters() + " found the odd one";
        return choice.shown()
                ? new PanelWords(
                        Tone.TOLD,
                        "They can taste a difference between “" + samples.get(0) + "” and “" + samples.get(1) + "”: "
                                + found + ".",
                        List.of())
                : new PanelWords(
                        Tone.CANT_TELL,
                        "No difference between “" + samples.get(0) + "” and “" + samples.get(1) + "” is shown: " + found
                                + ", and guessing gets a third.",
                        List.of());
    }

    private static PanelWords pair(Tasted tasted, List<String> lines) {
        ForcedChoice choice = tasted.choice().orElseThrow();
        List<String> samples = tasted.tasting().samples();
        boolean second = 2 * choice.chosen() >= choice.tasters();
        int votes = second ? choice.chosen() : choice.tasters() - choice.chosen();
        String preferred = samples.get(second ? 1 : 0);
        lines.add("Exact binomial at 1/2, two-sided, p " + p(choice.p()) + ".");
        String words = votes + " of " + choice.tasters() + " like “" + preferred + "” better than “"
                + samples.get(second ? 0 : 1) + "”";
        return choice.shown()
                ? new PanelWords(Tone.TOLD, words + ".", List.of())
                : new PanelWords(
                        Tone.CANT_TELL, "No preference is shown: " + words + ", and chance does that too.", List.of());
    }

    private static PanelWords ranking(Tasted tasted, List<String> lines) {
        RankedPanel panel = tasted.ranked().orElseThrow();
        friedman(panel, lines);
        List<String> samples = tasted.tasting().samples();
        if (panel.p() > SHOWN) {
            return new PanelWords(Tone.CANT_TELL, "No order of the samples is shown.", List.of());
        }
        List<String> parted = new ArrayList<>();
        for (int i = 0; i < samples.size(); i++) {
            for (int j = 0; j < samples.size(); j++) {
                if (panel.rankSums().get(i) - panel.rankSums().get(j) >= panel.leastApart()) {
                    parted.add("“" + samples.get(i) + "” before “" + samples.get(j) + "”");
                }
            }
        }
        return new PanelWords(
                Tone.TOLD,
                parted.isEmpty()
                        ? "Not all are liked alike, but no two can be parted."
                        : "They rank " + String.join(", ", parted) + ".",
                List.of());
    }

    private static void friedman(RankedPanel panel, List<String> lines) {
        lines.add("Friedman’s test over " + panel.tasters() + " tasters, p " + p(panel.p())
                + (panel.counted() ? " (every ranking counted)" : "") + "; two samples are parted when their rank sums"
                + " lie " + Decimals.fixed(panel.leastApart(), 1)
                + " apart or more.");
    }

    private static PanelWords liking(Tasted tasted, List<String> lines) {
        Judgement judged = tasted.liking().orElseThrow();
        List<String> samples = tasted.tasting().samples();
        tasted.ranked().ifPresent(panel -> friedman(panel, lines));
        lines.add(
                "Points compared pair by pair with tasters as blocks, all pairs together at 1 in 20; less than 0.75 points is too"
                        + " little to matter.");
        List<String> told = new ArrayList<>();
        List<String> alike = new ArrayList<>();
        for (Comparison one : judged.comparisons()) {
            String first = "“" + samples.get(one.treatment()) + "”";
            String other = "“" + samples.get(one.comparator()) + "”";
            if (one.answer() == Answer.BETTER || one.answer() == Answer.WORSE) {
                boolean more = one.answer() == Answer.BETTER;
                told.add((more ? first : other) + " is liked better than " + (more ? other : first) + " by "
                        + Decimals.fixed(Math.abs(one.difference()), 1) + " points"
                        + one.interval().map(i -> " (" + span(i, more) + ")").orElse(""));
            } else if (one.answer() == Answer.NO_DIFFERENCE) {
                alike.add(first + " and " + other);
            }
        }
        if (!alike.isEmpty()) {
            lines.add("Liked alike: " + String.join("; ", alike) + ".");
        }
        return told.isEmpty()
                ? new PanelWords(
                        alike.isEmpty() ? Tone.CANT_TELL : Tone.TOLD,
                        alike.isEmpty()
                                ? "No sample is shown to be liked better than another."
                                : "They are liked alike.",
                        List.of())
                : new PanelWords(Tone.TOLD, String.join("; ", told) + ".", List.of());
    }

    private static String span(Interval interval, boolean more) {
        double low = more ? interval.low() : -interval.high();
        double high = more ? interval.high() : -interval.low();
        return Decimals.fixed(low, 1) + " to " + Decimals.fixed(high, 1);
    }

    private static Optional<String> wouldTell(Tasted tasted, Tone tone) {
        if (tone == Tone.TOLD) {
            return Optional.empty();
        }
        OptionalInt tasters = tasted.tastersThatWouldTell();
        return Optional.of(
                tasters.isPresent()
                        ? "If it is as it seems here, about " + tasters.getAsInt() + " tasters would tell."
                        : "If it is as it seems here, no panel of a sensible size would tell.");
    }

    private static Optional<String> order(Tasted tasted) {
        return tasted.order()
                .map(effect -> effect.p() <= SHOWN
                        ? "The place on the tray told: from first to last " + places(effect) + " (p " + p(effect.p())
                                + "). Serve in an even order, and rinse longer."
                        : "The place on the tray made no difference that shows (p " + p(effect.p()) + ").");
    }

    private static String places(Tasted.OrderEffect effect) {
        return String.join(
                ", ", effect.byPlace().stream().map(v -> Decimals.upTo(v, 1)).toList());
    }

    private static String p(double p) {
        return p < 0.0001 ? "below 0.0001" : Decimals.significant(p, 2);
    }

    private static String percent(double share) {
        return Decimals.percent(share, 0) + " %";
    }
}
