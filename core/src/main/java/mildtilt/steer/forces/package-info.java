/**
 * Forces in rods and gear, effort at the rim, and the weight that steering lifts. Forces N (+ is tension in a rod),
 * torques N·m.
 */
@NullMarked
package mildtilt.steer.forces;

import org.jspecify.annotations.NullMarked;
