/**
 * What was read and ticked when the steering was tried on the vehicle: the records, without what is worked out of them.
 * Lengths mm, angles degrees
 * in the vehicle's frame and sense (steer + left, travel + up); forces N; spreads are one standard deviation.
 *
 * <p>Example: a trial with springs off holds a dot on the wall for each of seven travels, with the tie rod on, and the
 * same with it off.
 */
@NullMarked
package mildtilt.trials;

import org.jspecify.annotations.NullMarked;
