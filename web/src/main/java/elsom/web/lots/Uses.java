package elsom.web.lots;

import elsom.core.material.TypicalUses;
import elsom.core.material.Use;
import elsom.core.material.UseBound;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/** What media are wanted for: the typical uses, or a station's own in their place. */
@Repository
public class Uses {
    private final UseMapper mapper;

    Uses(UseMapper mapper) {
        this.mapper = mapper;
    }

    /** The typical ones in their order, each as edited, then those that a station added. */
    @Transactional(readOnly = true)
    public List<Use> all() {
        List<Use> own = own();
        List<Use> all = new ArrayList<>();
        for (Use typical : TypicalUses.all()) {
            all.add(own.stream()
                    .filter(use -> use.code().equals(typical.code()))
                    .findFirst()
                    .orElse(typical));
        }
        own.stream()
                .filter(use -> TypicalUses.all().stream()
                        .noneMatch(typical -> typical.code().equals(use.code())))
                .forEach(all::add);
        return all;
    }

    /** Those that are not as they came. */
    @Transactional(readOnly = true)
    public List<Use> own() {
        List<UseMapper.BoundRow> bounds = mapper.bounds();
        return mapper.uses().stream()
                .map(row -> new Use(
                        row.code(),
                        row.name(),
                        row.depthCm(),
                        row.why(),
                        bounds.stream()
                                .filter(bound -> bound.useCode().equals(row.code()))
                                .map(UseMapper.BoundRow::bound)
                                .toList()))
                .toList();
    }

    @Transactional(readOnly = true)
    public Optional<Use> find(String code) {
        return all().stream().filter(use -> use.code().equals(code)).findFirst();
    }

    /** Keeps a use in place of the one with its code. */
    @Transactional
    public void keep(Use use) {
        mapper.remove(use.code());
        mapper.insert(new UseMapper.UseRow(use.code(), use.name(), use.depthCm(), use.why()));
        int place = 1;
        for (UseBound bound : use.bounds()) {
            mapper.insertBound(use.code(), place++, bound);
        }
    }

    /** Back to how it came; one that a station added is gone. */
    @Transactional
    public void forget(String code) {
        mapper.remove(code);
    }
}
