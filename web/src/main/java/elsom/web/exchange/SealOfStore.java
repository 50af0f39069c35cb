package elsom.web.exchange;

import java.security.SecureRandom;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** The seal of this store, made when it is first needed; backups hold it, files that leave don't. */
@Component
class SealOfStore {
    private final Secrets secrets;

    SealOfStore(Secrets secrets) {
        this.secrets = secrets;
    }

    /** The secret as it is kept. */
    @Mapper
    interface Secrets {
        @Select("select secret from seal")
        Optional<byte[]> find();

        @Insert("merge into seal (only_row, secret) key (only_row) values (1, #{secret})")
        void keep(byte[] secret);
    }

    @Transactional(propagation = Propagation.REQUIRES_NEW)
    public synchronized Seal get() {
        return new Seal(secrets.find().orElseGet(() -> {
            byte[] fresh = new byte[Seal.SECRET_BYTES];
            new SecureRandom().nextBytes(fresh);
            secrets.keep(fresh);
            return fresh;
        }));
    }
}
