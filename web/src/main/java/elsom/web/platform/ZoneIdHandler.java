package elsom.web.platform;

import java.time.ZoneId;
import org.apache.ibatis.type.MappedTypes;

/** Stores a {@link ZoneId} as its name. */
@MappedTypes(ZoneId.class)
public class ZoneIdHandler extends TextHandler<ZoneId> {
    public ZoneIdHandler() {
        super(ZoneId::of, ZoneId::getId);
    }
}
