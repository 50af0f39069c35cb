/** One printable page that explains a trial to somebody else. */
@NullMarked
package elsom.web.report;

import org.jspecify.annotations.NullMarked;
