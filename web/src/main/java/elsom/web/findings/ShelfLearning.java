package elsom.web.findings;

import elsom.core.material.Lot;
import elsom.core.material.MaterialKind;
import elsom.core.mix.Mix;
import elsom.core.quantity.Bounds;
import elsom.core.results.Findings;
import elsom.core.results.Learned;
import elsom.core.trial.TrialRecord;
import elsom.web.lots.Lots;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Takes what a trial measured of its media to the shelf. */
@Component
public class ShelfLearning {
    private final Lots lots;

    ShelfLearning(Lots lots) {
        this.lots = lots;
    }

    /** The media of a trial as lots of the shelf, each with what this trial measured; those without a figure are left out. */
    List<Lot> learned(TrialRecord record, Findings findings) {
        LocalDate on = record.look(findings.comparedAt())
                .map(look -> look.plannedAt(record.trial().start()))
                .map(at -> LocalDate.ofInstant(at, record.trial().zone()))
                .orElseGet(() -> LocalDate.ofInstant(
                        record.trial().start(), record.trial().zone()));
        List<Learned> all = Learned.of(record, findings, on);
        if (all.isEmpty()) {
            return List.of();
        }
        List<Lot> shelf = lots.all();
        return all.stream()
                .map(one -> known(shelf, one.mix())
                        .orElseGet(() -> unknown(one.mix(), on))
                        .with(one.figures()))
                .toList();
    }

    /** Keeps them. */
    public Lots.Learnt keep(TrialRecord record, Findings findings) {
        return lots.learn(learned(record, findings));
    }

    private static Optional<Lot> known(List<Lot> shelf, String mix) {
        return shelf.stream()
                .filter(lot -> lot.isCalled(mix)
                        || (lot.material() + " " + lot.name()).equalsIgnoreCase(mix.strip())
                        || lot.isMixOf(Mix.parse(mix)))
                .findFirst();
    }

    private static Lot unknown(String mix, LocalDate on) {
        String name = mix.length() > Bounds.NAME ? mix.substring(0, Bounds.NAME) : mix;
        return Mix.parse(mix).parts().size() > 1
                ? Lot.mixed(name, mix, on)
                : Lot.named(name.toLowerCase(Locale.ROOT), name.toLowerCase(Locale.ROOT), MaterialKind.ORGANIC);
    }
}
