package elsom.web.trial;

import elsom.core.material.Lot;
import elsom.core.mix.Quarantine;
import elsom.core.plan.Plan;
import elsom.core.plan.PlannedTreatment;
import elsom.web.lots.Lots;
import elsom.web.platform.NotFound;
import java.time.Clock;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/** Lots that are kept apart because they did harm; wherever one is used, its pages ask here. */
@Repository
public class Quarantines {
    private final QuarantineMapper lots;
    private final Lots shelf;
    private final Clock clock;

    Quarantines(QuarantineMapper lots, Lots shelf, Clock clock) {
        this.lots = lots;
        this.shelf = shelf;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    public List<Quarantine> all() {
        return lots.all();
    }

    /** The quarantine of a lot that stands. */
    @Transactional(readOnly = true)
    public Optional<Quarantine> of(String lot) {
        return all().stream()
                .filter(one -> one.stands() && one.lot().equalsIgnoreCase(lot.strip()))
                .findFirst();
    }

    /** Those that stand and whose lots a plan uses. */
    @Transactional(readOnly = true)
    public List<Quarantine> of(Plan plan) {
        return in(plan.treatments().all().stream().map(PlannedTreatment::mix).toList());
    }

    /** Those that stand and whose lots are in mixes, or in mixes that these are made of. */
    @Transactional(readOnly = true)
    public List<Quarantine> in(Collection<String> mixes) {
        List<Quarantine> all = all();
        return all.stream().noneMatch(Quarantine::stands)
                ? List.of()
                : Quarantine.among(
                        all,
                        Quarantine.withRecipes(
                                mixes,
                                shelf.all().stream()
                                        .filter(lot -> !lot.recipe().isBlank())
                                        .collect(Collectors.toMap(Lot::name, Lot::recipe, (first, again) -> first))));
    }

    /** Keeps a lot apart; one that is kept apart already learns only where it has gone. */
    @Transactional
    public void keepApart(Quarantine quarantine) {
        if (of(quarantine.lot()).isPresent()) {
            lots.noteWhere(quarantine.lot(), quarantine.goneTo());
        } else {
            lots.insert(quarantine);
        }
    }

    /** What a file tells of lots; what is known already is not written again. */
    @Transactional
    public void learn(List<Quarantine> told) {
        List<Quarantine> known = all();
        told.stream()
                .filter(one -> known.stream()
                        .noneMatch(before -> before.lot().equalsIgnoreCase(one.lot())
                                && before.since().equals(one.since())))
                .forEach(lots::insert);
    }

    /** Lets a lot go. */
    @Transactional
    public void lift(String lot, String why) {
        if (lots.lift(lot.strip(), clock.instant(), why.strip()) == 0) {
            throw new NotFound(
                    "No lot called “" + lot.strip() + "” is kept apart.", "/shelf/containers", "To the shelf");
        }
    }
}
