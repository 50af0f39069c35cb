package elsom.web.shelf;

import elsom.core.trial.Container;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/** The library of containers. One in use stays as it was drawn in its trials. */
@Repository
public class Containers {
    private final ContainerMapper containers;

    Containers(ContainerMapper containers) {
        this.containers = containers;
    }

    @Transactional(readOnly = true)
    public List<Container> all() {
        return containers.all();
    }

    @Transactional(readOnly = true)
    public Optional<Container> find(String name) {
        return all().stream()
                .filter(container -> container.name().equalsIgnoreCase(name.strip()))
                .findFirst();
    }

    /** Puts a container on the shelf. */
    @Transactional
    void add(Container container) {
        containers.insert(container);
    }
}
