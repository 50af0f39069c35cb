package elsom.web.platform;

import java.nio.file.Path;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.context.properties.ConfigurationProperties;

/**
 * What whoever starts Elsom sets.
 *
 * @param home where the store, uploads and backups are kept
 * @param backups a second folder for copies of the store, on another disk; null where none is named
 * @param demo whether it starts with the demo world
 * @param warm whether an invented trial is worked out after the start, so that the first page of findings is not slow
 * @param hosts names this machine is called by in the browser
 * @param proxy the address of a proxy before it, whose word is taken for how a request came; empty for none
 * @param build what was built, as told in reports
 */
@ConfigurationProperties("elsom")
public record Settings(
        Path home, @Nullable Path backups, boolean demo, boolean warm, Set<String> hosts, String proxy, String build) {}
