package elsom.web.platform;

import elsom.core.trial.TrialId;
import org.apache.ibatis.type.MappedTypes;

/** Stores a {@link TrialId} as its number. */
@MappedTypes(TrialId.class)
public class TrialIdHandler extends NumberHandler<TrialId> {
    public TrialIdHandler() {
        super(TrialId::new, TrialId::value);
    }
}
