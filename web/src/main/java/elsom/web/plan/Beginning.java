package elsom.web.plan;

import elsom.core.plan.Pots;
import elsom.core.trial.Container;
import elsom.web.shelf.Containers;
import elsom.web.trial.Seeds;
import java.util.List;
import org.springframework.stereotype.Component;

/** What every new plan begins with: the usual pot of the shelf, and a seed of its own. */
@Component
class Beginning {
    private static final String USUAL_CONTAINER = "Round pot 9 cm";

    private final Containers containers;

    Beginning(Containers containers) {
        this.containers = containers;
    }

    Pots pots() {
        List<Container> shelf = containers.all();
        return Pots.of(shelf.stream()
                .filter(container -> container.name().equals(USUAL_CONTAINER))
                .findFirst()
                .orElseGet(() -> shelf.get(0)));
    }

    long seed() {
        return Seeds.fresh(false);
    }
}
