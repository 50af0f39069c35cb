package elsom.core.protocol;

import elsom.core.protocol.dose.DoseSeriesProtocol;
import elsom.core.protocol.general.AeratedBrew;
import elsom.core.protocol.general.DryDownByExposure;
import elsom.core.protocol.general.FreePlan;
import elsom.core.protocol.general.TastingPanel;
import elsom.core.protocol.growth.Cuttings;
import elsom.core.protocol.growth.GrowthInPots;
import elsom.core.protocol.liming.LimingTitration;
import elsom.core.protocol.liming.SulfurTitration;
import elsom.core.protocol.salt.SalinityProtocol;
import elsom.core.protocol.salt.SodiumCourse;
import elsom.core.protocol.seedling.Germination;
import elsom.core.protocol.seedling.InjuryBioassay;
import elsom.core.protocol.seedling.PlantBack;
import elsom.core.protocol.water.WaterHolding;
import elsom.core.trial.ProtocolCode;
import java.util.List;
import java.util.Optional;

/** All kinds of trial there are. */
public final class Protocols {
    private static final List<Protocol> ALL = List.of(
            new WaterHolding(),
            DryDownByExposure.protocol(),
            GrowthInPots.protocol(),
            Germination.protocol(),
            InjuryBioassay.protocol(),
            PlantBack.protocol(),
            DoseSeriesProtocol.protocol(),
            SalinityProtocol.protocol(),
            SodiumCourse.protocol(),
            LimingTitration.protocol(),
            SulfurTitration.protocol(),
            Cuttings.protocol(),
            AeratedBrew.protocol(),
            TastingPanel.protocol(),
            FreePlan.protocol());

    private Protocols() {}

    public static List<Protocol> all() {
        return ALL;
    }

    public static Optional<Protocol> find(ProtocolCode code) {
        return ALL.stream().filter(protocol -> protocol.code().equals(code)).findFirst();
    }
}
