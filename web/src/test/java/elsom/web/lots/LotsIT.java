package elsom.web.lots;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import elsom.core.material.Lot;
import elsom.core.material.LotFigure;
import elsom.core.material.MaterialKind;
import elsom.core.material.OnShelf;
import elsom.core.material.Origin;
import elsom.core.material.Preparation;
import elsom.core.material.TypicalUses;
import elsom.core.material.Use;
import elsom.core.mix.Property;
import elsom.web.AppTest;
import elsom.web.platform.NotFound;
import elsom.web.platform.Refusal;
import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.transaction.support.TransactionOperations;

/** Lots and uses on a real database file. */
@AppTest
class LotsIT {
    private static final LocalDate MAY = LocalDate.of(2026, 5, 4);
    private static final LotFigure PH = LotFigure.of(Property.PH, 6.4, Origin.LAB, "sheet 7", MAY);

    @Autowired
    private Lots lots;

    @Autowired
    private Uses uses;

    @Autowired
    private TransactionOperations transaction;

    private static Lot lot(String name) {
        return new Lot(
                name,
                "leaf mould",
                MaterialKind.ORGANIC,
                MAY,
                "own heap",
                Set.of(Preparation.SIEVED, Preparation.FLOATS),
                "dusty",
                "",
                List.of(PH, new LotFigure(Property.WATER, 51.5, Origin.MEASURED, "mean of 4", MAY, 6, 3)));
    }

    @Test
    void whatIsWrittenIsReadBack() {
        lots.add(lot("LM written"));
        assertThat(lots.find(" lm WRITTEN ")).contains(lot("LM written"));
        assertThat(lots.all()).contains(lot("LM written"));
        assertThatThrownBy(() -> lots.add(lot("lm written"))).isInstanceOf(Refusal.class);
    }

    @Test
    void whatIsKnownIsNotLearntTwiceWhateverItsTrialIsCalledHere() {
        assertThat(lots.learn(List.of(lot("LM learnt")))).isEqualTo(new Lots.Learnt(1, 2, 0));
        Lot elsewhere = lot("LM learnt")
                .with(List.of(
                        PH,
                        new LotFigure(Property.WATER, 51.5, Origin.MEASURED, "mean of 4", MAY, 6, 99),
                        new LotFigure(Property.WATER, 52.0, Origin.MEASURED, "mean of 4", MAY, 6, 0)));
        assertThat(lots.learn(List.of(elsewhere))).isEqualTo(new Lots.Learnt(0, 1, 2));
        assertThat(lots.find("LM learnt").orElseThrow().figures()).hasSize(3);
    }

    @Test
    void aLotIsRenamedAndKeepsItsFiguresAndAFigureIsTakenAway() {
        lots.add(lot("LM old"));
        lots.change("LM old", lot("LM new"));
        assertThat(lots.find("LM old")).isEmpty();
        List<Lots.Kept> kept = lots.figures("LM new");
        assertThat(kept).hasSize(2);
        lots.removeFigure("LM new", kept.get(0).id());
        assertThat(lots.find("LM new").orElseThrow().figures()).hasSize(1);
        assertThatThrownBy(() -> lots.removeFigure("LM new", kept.get(0).id())).isInstanceOf(NotFound.class);
        lots.remove("LM new");
        assertThat(lots.all()).noneMatch(one -> one.isCalled("LM new"));
    }

    @Test
    void whatIsTakenBackIsNotSeen() {
        lots.all();
        transaction.executeWithoutResult(status -> {
            lots.add(lot("LM undone"));
            assertThat(lots.all()).anyMatch(one -> one.isCalled("LM undone"));
            status.setRollbackOnly();
        });
        assertThat(lots.all()).noneMatch(one -> one.isCalled("LM undone"));
    }

    @Test
    void aMixIsPredictedFromTheLotsOfItsParts() {
        lots.add(lot("LM part"));
        lots.add(Lot.mixed("half and half", "1 LM part + 1 something else", MAY));
        OnShelf mix = lots.at(6).stream()
                .filter(one -> one.lot().isCalled("half and half"))
                .findFirst()
                .orElseThrow();
        assertThat(mix.known(Property.PH)).isEmpty();
        assertThat(mix.prediction().orElseThrow().unknown().get(Property.PH)).containsExactly("something else");
        assertThat(lots.in(List.of("3 lm PART + 1 sand"))).singleElement().isEqualTo(lot("LM part"));
    }

    @Test
    void aUseIsEditedAndComesBackAsItCame() {
        Use cuttings = TypicalUses.all().get(1);
        Use own = new Use(
                cuttings.code(),
                cuttings.name(),
                8,
                "mist",
                List.of(cuttings.bounds().get(0)));
        uses.keep(own);
        assertThat(uses.find(cuttings.code())).contains(own);
        assertThat(uses.all()).hasSameSizeAs(TypicalUses.all());
        uses.forget(cuttings.code());
        assertThat(uses.find(cuttings.code())).contains(cuttings);
        assertThat(uses.own()).isEmpty();
    }
}
