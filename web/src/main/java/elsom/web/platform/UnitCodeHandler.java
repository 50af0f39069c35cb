package elsom.web.platform;

import elsom.core.trial.UnitCode;
import org.apache.ibatis.type.MappedTypes;

/** Stores a {@link UnitCode} as its text. */
@MappedTypes(UnitCode.class)
public class UnitCodeHandler extends TextHandler<UnitCode> {
    public UnitCodeHandler() {
        super(UnitCode::new, UnitCode::value);
    }
}
