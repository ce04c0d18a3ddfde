/**
 * What a job says of how it is to be made: stock, rod ends, joins, pieces of one's own, the plan of the work and its
 * records.
 * What follows from it is worked out in {@code mildtilt.shop}, {@code mildtilt.template} and {@code mildtilt.runsheet}.
 * Lengths mm, angles degrees, temperatures °C, times as named.
 *
 * <p>Example: a tie rod with a right-hand M16 × 1.5 end and a left-hand one, a tapped tube between them, and 1.5
 * diameters
 * of thread never to be gone below.
 */
@NullMarked
package mildtilt.build;

import org.jspecify.annotations.NullMarked;
