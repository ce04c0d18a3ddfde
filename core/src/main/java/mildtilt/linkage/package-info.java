/**
 * From the gear to the turned wheels: tie rods, both corners, and the pose of a whole steered axle.
 * Lengths mm, angles degrees in names ending in {@code Deg}. Sides may differ; a right side that is not
 * given is the mirror image of the left.
 */
@NullMarked
package mildtilt.linkage;

import org.jspecify.annotations.NullMarked;
