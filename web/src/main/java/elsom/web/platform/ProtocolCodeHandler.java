package elsom.web.platform;

import elsom.core.trial.ProtocolCode;
import org.apache.ibatis.type.MappedTypes;

/** Stores a {@link ProtocolCode} as its text. */
@MappedTypes(ProtocolCode.class)
public class ProtocolCodeHandler extends TextHandler<ProtocolCode> {
    public ProtocolCodeHandler() {
        super(ProtocolCode::new, ProtocolCode::value);
    }
}
