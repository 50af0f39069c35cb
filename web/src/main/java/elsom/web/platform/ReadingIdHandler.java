package elsom.web.platform;

import elsom.core.trial.ReadingId;
import org.apache.ibatis.type.MappedTypes;

/** Stores a {@link ReadingId} as its number. */
@MappedTypes(ReadingId.class)
public class ReadingIdHandler extends NumberHandler<ReadingId> {
    public ReadingIdHandler() {
        super(ReadingId::new, ReadingId::value);
    }
}
