/** What pages of all features share: the bench map, the time bar, the trial's header, charts. */
@NullMarked
package elsom.web.kit;

import org.jspecify.annotations.NullMarked;
