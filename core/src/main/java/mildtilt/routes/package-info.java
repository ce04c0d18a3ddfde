/**
 * Looks for routes of the column from steering wheel to gear past the obstacles.
 *
 * <p>Lengths mm, angles degrees. A route is a job with its joints, shafts, bearings and clocking set; nothing changes
 * until one is applied. Example: from a column end 300 mm beside a gear input, two joints do where neither has to bend
 * by more than it may.
 */
@NullMarked
package mildtilt.routes;

import org.jspecify.annotations.NullMarked;
