package elsom.core.bench;

import elsom.core.column.SideBySide;
import elsom.core.column.TypicalMedium;
import elsom.core.material.CheapestFit;
import elsom.core.material.Lot;
import elsom.core.material.LotFigure;
import elsom.core.material.OnShelf;
import elsom.core.material.TypicalLots;
import elsom.core.material.TypicalUses;
import elsom.core.sums.Sum;
import elsom.core.sums.Sums;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** What the shelf, the mixing bench, the column and the sheets of sums work out; run by {@code bin/bench core}. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 4, time = 1)
@Fork(1)
public class ShelfBenchmark {
    private static final int COPIES = 56;
    private static final double DEPTH_CM = 6;

    private final List<Sum> sums = Sums.all();
    private final List<Lot> lots = lots();
    private final List<OnShelf> shelf =
            lots.stream().map(ShelfBenchmark::placed).toList();

    /** Nine typical lots as often as fills a large shelf, no two alike. */
    private static List<Lot> lots() {
        List<Lot> lots = new ArrayList<>();
        for (int copy = 0; copy < COPIES; copy++) {
            double more = 1 + copy / 1000.0;
            for (Lot typical : TypicalLots.all(LocalDate.EPOCH)) {
                List<LotFigure> figures = typical.figures().stream()
                        .map(one -> LotFigure.of(
                                one.property(),
                                Math.min(one.value() * more, one.property().most()),
                                one.origin(),
                                one.said(),
                                one.on()))
                        .toList();
                lots.add(Lot.named(typical.name() + " " + copy, typical.material(), typical.kind())
                        .with(figures));
            }
        }
        return lots;
    }

    private static OnShelf placed(Lot lot) {
        return OnShelf.of(lot, DEPTH_CM, name -> Optional.empty());
    }

    /** Every sheet with what stands in it at first. */
    @Benchmark
    public int allSheets() {
        int answered = 0;
        for (Sum sum : sums) {
            answered += sum.worked(Map.of()).answer().isPresent() ? 1 : 0;
        }
        return answered;
    }

    /** 504 lots carried to another depth. */
    @Benchmark
    public Object shelfOf504() {
        return lots.stream().map(ShelfBenchmark::placed).toList();
    }

    /** The cheapest of 504 lots that is fit for cuttings. */
    @Benchmark
    public Object mixOf504() {
        return CheapestFit.of(shelf, List.of(), TypicalUses.all().get(1), List.of());
    }

    /** Six pots as a slider moves. */
    @Benchmark
    public Object sixPots() {
        return SideBySide.of(9, TypicalMedium.of(0.4), 2);
    }
}
