/**
 * What plants truly do on a simulated bench: growth by water, air, pH, salt, nitrogen, light and residue, additive on the log
 * scale, each by a documented shape. The demo's readings, the practice benches and the stand-in devices share it, so
 * that a lesson learnt on one holds on the others. To add a stressor: a field of {@link elsom.core.truth.Surroundings}, a
 * {@link elsom.core.truth.Stressor} with its shape.
 */
@NullMarked
package elsom.core.truth;

import org.jspecify.annotations.NullMarked;
