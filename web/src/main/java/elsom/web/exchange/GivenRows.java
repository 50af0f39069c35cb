package elsom.web.exchange;

import elsom.core.trial.Given;
import elsom.core.trial.GivenKind;
import elsom.core.trial.UnitCode;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** A row of {@code given.csv}, one for each unit of an entry of water or feed, and entries put together of them. */
record GivenRows(
        int number,
        GivenKind kind,
        String what,
        UnitCode unit,
        double millilitres,
        Instant happenedAt,
        String station,
        @Nullable Instant withdrawnAt) {

    static GivenRows of(CsvTable.Row row) {
        return new GivenRows(
                row.whole("number"),
                row.choice("kind", GivenKind.class),
                row.optional("what").orElse(""),
                new UnitCode(row.text("unit")),
                row.number("millilitres"),
                row.instant("happened_at"),
                row.text("station"),
                row.optional("withdrawn_at").isPresent() ? row.instant("withdrawn_at") : null);
    }

    /** Entries in the order of their first rows. */
    static List<Given> entries(List<GivenRows> rows) {
        Map<Integer, List<GivenRows>> byNumber = new LinkedHashMap<>();
        rows.forEach(row -> byNumber.computeIfAbsent(row.number(), none -> new ArrayList<>())
                .add(row));
        return byNumber.values().stream()
                .map(of -> {
                    Map<UnitCode, Double> amounts = new LinkedHashMap<>();
                    of.forEach(row -> amounts.put(row.unit(), row.millilitres()));
                    GivenRows first = of.get(0);
                    return new Given(
                            first.number(),
                            first.kind(),
                            first.what(),
                            amounts,
                            first.happenedAt(),
                            first.station(),
                            first.withdrawnAt());
                })
                .toList();
    }
}
