/**
 * The vehicle's own parts as solids, in every {@link mildtilt.clearance.bodies.Configuration} of its range: what is drawn and
 * what the gaps are worked out between. Lengths mm.
 */
@NullMarked
package mildtilt.clearance.bodies;

import org.jspecify.annotations.NullMarked;
