/**
 * The kinds of trial, one package for each subject. A protocol is data ({@link elsom.core.protocol.ProtocolParts}) and a list
 * of analyses. To add one whose findings are those of any endpoint: a class that fills its data, and its place in
 * {@link elsom.core.protocol.Protocols}. To give it findings of its own: an {@link elsom.core.results.Analysis} beside it,
 * and where no {@link elsom.core.section.Section} fits, a class that implements it, beside it too.
 */
@NullMarked
package elsom.core.protocol;

import org.jspecify.annotations.NullMarked;
