/**
 * Looks for ways to lead the column from the steering wheel to the gear past all that is in the way.
 *
 * <p>Lengths mm, angles degrees. A route is a job with its joints, shafts, bearings and clocking set so; nothing is changed until
 * one is taken. Example: from a column end 300 mm beside a gear input, two joints do where neither has to bend by more than it may.
 */
@NullMarked
package mildtilt.routes;

import org.jspecify.annotations.NullMarked;
