package elsom.web.platform;

import elsom.core.trial.EndpointCode;
import org.apache.ibatis.type.MappedTypes;

/** Stores a {@link EndpointCode} as its text. */
@MappedTypes(EndpointCode.class)
public class EndpointCodeHandler extends TextHandler<EndpointCode> {
    public EndpointCodeHandler() {
        super(EndpointCode::new, EndpointCode::value);
    }
}
