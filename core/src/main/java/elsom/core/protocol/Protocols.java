package elsom.core.protocol;

import elsom.core.trial.ProtocolCode;
import java.util.List;
import java.util.Optional;

/** All kinds of trial there are. */
public final class Protocols {
    private static final List<Protocol> ALL = List.of(
            new WaterHolding(),
            GeneralProtocols.dryDown(),
            Growth.inPots(),
            Bioassays.germination(),
            Bioassays.residue(),
            Bioassays.plantBack(),
            Growth.doses(),
            Growth.salinity(),
            GeneralProtocols.titration(),
            Growth.cuttings(),
            GeneralProtocols.brew(),
            GeneralProtocols.panel(),
            GeneralProtocols.free());

    private Protocols() {}

    public static List<Protocol> all() {
        return ALL;
    }

    public static Optional<Protocol> find(ProtocolCode code) {
        return ALL.stream().filter(protocol -> protocol.code().equals(code)).findFirst();
    }
}
