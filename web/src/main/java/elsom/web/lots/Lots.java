package elsom.web.lots;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import elsom.core.material.Lot;
import elsom.core.material.LotFigure;
import elsom.core.material.OnShelf;
import elsom.core.mix.Mix;
import elsom.web.platform.NotFound;
import elsom.web.platform.Refusal;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/** The shelf's lots. Names differ by more than their capitals; figures are added and taken away, never changed. */
@Repository
public class Lots {
    private static final int BATCH = 1000;
    private static final int MOST_DEPTHS = 20;

    private final LotMapper lots;
    private final JdbcTemplate jdbc;
    private final Cache<List<Lot>, Map<Double, List<OnShelf>>> atDepths =
            Caffeine.newBuilder().weakKeys().maximumSize(2).build();
    private volatile @Nullable List<Lot> snapshot;

    Lots(LotMapper lots, JdbcTemplate jdbc) {
        this.lots = lots;
        this.jdbc = jdbc;
    }

    /** A figure with the number it is taken away by. */
    public record Kept(long id, LotFigure figure) {}

    /** What became of what was told. */
    public record Learnt(int newLots, int newFigures, int known) {}

    /** Names of what fills a pot: what treatments are made of. */
    public List<String> fillings() {
        return all().stream().filter(lot -> lot.kind().fills()).map(Lot::name).toList();
    }

    /** All lots, by kind and material. */
    public List<Lot> all() {
        List<Lot> known = snapshot;
        if (known == null) {
            known = read();
            snapshot = known;
        }
        return known;
    }

    /** All lots as they are at a depth, mixes with what their parts foretell. */
    public List<OnShelf> at(double depthCm) {
        List<Lot> lotsNow = all();
        Map<Double, List<OnShelf>> known = atDepths.get(lotsNow, fresh -> new ConcurrentHashMap<>());
        if (known.size() > MOST_DEPTHS) {
            known.clear();
        }
        return known.computeIfAbsent(depthCm, depth -> {
            Function<String, Optional<Lot>> shelf = byName(lotsNow);
            return lotsNow.stream().map(lot -> OnShelf.of(lot, depth, shelf)).toList();
        });
    }

    /** What was read before this change is forgotten, now and when it is in the store or taken back. */
    private void changing() {
        snapshot = null;
        if (TransactionSynchronizationManager.isSynchronizationActive()) {
            TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
                @Override
                public void afterCompletion(int status) {
                    snapshot = null;
                }
            });
        }
    }

    private List<Lot> read() {
        Map<Long, List<LotFigure>> figures = new HashMap<>();
        lots.figures()
                .forEach(row -> figures.computeIfAbsent(row.lotId(), none -> new ArrayList<>())
                        .add(row.figure()));
        return lots.lots().stream()
                .map(row -> row.with(figures.getOrDefault(row.id(), List.of())))
                .toList();
    }

    /** All lots by what mixes call them. */
    public Function<String, Optional<Lot>> byName() {
        return byName(all());
    }

    private static Function<String, Optional<Lot>> byName(List<Lot> all) {
        Map<String, Lot> byName = new HashMap<>();
        all.forEach(lot -> byName.put(key(lot.name()), lot));
        return name -> Optional.ofNullable(byName.get(key(name)));
    }

    /** Those of some mixes' parts, and the mixes themselves where the shelf knows them by name. */
    public List<Lot> in(Collection<String> mixes) {
        Set<String> wanted = new HashSet<>();
        for (String mix : mixes) {
            wanted.add(key(mix));
            try {
                Mix.parse(mix).parts().forEach(part -> wanted.add(key(part.material())));
            } catch (IllegalArgumentException unreadable) {
                // A text that is no mix has no parts; its plan says so.
            }
        }
        return all().stream().filter(lot -> wanted.contains(key(lot.name()))).toList();
    }

    @Transactional(readOnly = true)
    public Optional<Lot> find(String name) {
        return lots.named(name.strip()).stream()
                .findFirst()
                .map(row -> row.with(lots.figuresOf(row.id()).stream()
                        .map(LotMapper.FigureRow::figure)
                        .toList()));
    }

    /** A lot's figures, oldest first. */
    @Transactional(readOnly = true)
    public List<Kept> figures(String name) {
        return lots.named(name.strip()).stream()
                .flatMap(row -> lots.figuresOf(row.id()).stream())
                .map(row -> new Kept(row.id(), row.figure()))
                .toList();
    }

    /** Puts a lot on the shelf. */
    @Transactional
    public void add(Lot lot) {
        if (find(lot.name()).isPresent()) {
            throw new Refusal("There is a “" + lot.name().strip() + "” on the shelf already.");
        }
        learn(List.of(lot));
    }

    /** Changes what a lot is; its figures stay. */
    @Transactional
    public void change(String was, Lot lot) {
        changing();
        if (lots.change(was.strip(), LotMapper.LotRow.of(lot)) == 0) {
            throw unknown(was);
        }
    }

    @Transactional
    public void remove(String name) {
        changing();
        if (lots.remove(name.strip()) == 0) {
            throw unknown(name);
        }
    }

    /** Takes a figure away. */
    @Transactional
    public void removeFigure(String lot, long figure) {
        changing();
        if (lots.removeFigure(lot.strip(), figure) == 0) {
            throw unknown(lot);
        }
    }

    /** Adds lots that are not there yet, and figures that are not known yet of those that are. */
    @Transactional
    public Learnt learn(List<Lot> told) {
        changing();
        Map<String, LotMapper.LotRow> known = rows();
        int before = known.size();
        for (Lot lot : told) {
            if (known.putIfAbsent(key(lot.name()), LotMapper.LotRow.of(lot)) == null) {
                lots.insert(LotMapper.LotRow.of(lot));
            }
        }
        Map<String, LotMapper.LotRow> now = rows();
        Map<Long, Set<LotFigure>> figures = new HashMap<>();
        lots.figures()
                .forEach(row -> figures.computeIfAbsent(row.lotId(), none -> new HashSet<>())
                        .add(row.figure().untied()));
        Map<Long, List<LotFigure>> unseen = new LinkedHashMap<>();
        int all = 0;
        int added = 0;
        for (Lot lot : told) {
            long id = Objects.requireNonNull(now.get(key(lot.name()))).id();
            for (LotFigure figure : lot.figures()) {
                all++;
                if (figures.computeIfAbsent(id, none -> new HashSet<>()).add(figure.untied())) {
                    unseen.computeIfAbsent(id, none -> new ArrayList<>()).add(figure);
                    added++;
                }
            }
        }
        jdbc.execute((Connection connection) -> {
            insert(connection, unseen);
            return added(unseen);
        });
        return new Learnt(now.size() - before, added, all - added);
    }

    private static int added(Map<Long, List<LotFigure>> unseen) {
        return unseen.values().stream().mapToInt(List::size).sum();
    }

    private static void insert(Connection connection, Map<Long, List<LotFigure>> unseen) throws SQLException {
        int waiting = 0;
        try (PreparedStatement insert = connection.prepareStatement("""
                insert into lot_figure (lot_id, property, amount, origin, said, told_on, depth_cm, trial_id)
                values (?, ?, ?, ?, ?, ?, ?, ?)""")) {
            for (Map.Entry<Long, List<LotFigure>> lot : unseen.entrySet()) {
                for (LotFigure figure : lot.getValue()) {
                    insert.setLong(1, lot.getKey());
                    insert.setString(2, figure.property().name());
                    insert.setDouble(3, figure.value());
                    insert.setString(4, figure.origin().name());
                    insert.setString(5, figure.said());
                    insert.setObject(6, figure.on());
                    insert.setDouble(7, figure.depthCm());
                    insert.setLong(8, figure.trial());
                    insert.addBatch();
                    if (++waiting % BATCH == 0) {
                        insert.executeBatch();
                    }
                }
            }
            insert.executeBatch();
        }
    }

    private Map<String, LotMapper.LotRow> rows() {
        Map<String, LotMapper.LotRow> rows = new LinkedHashMap<>();
        lots.lots().forEach(row -> rows.put(key(row.name()), row));
        return rows;
    }

    private static String key(String name) {
        return name.strip().toLowerCase(Locale.ROOT);
    }

    private static NotFound unknown(String name) {
        return new NotFound("No lot called “" + name.strip() + "” is on the shelf.", "/shelf", "To the shelf");
    }
}
