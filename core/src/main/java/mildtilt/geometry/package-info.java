/**
 * Points, vectors, directions, axes and the paths of swinging points, in true 3-D.
 *
 * <p>Frame (ISO 8855): x forward, y left, z up; the origin lies on the ground, on the vehicle's
 * centreline, under the front axle line. Lengths are millimetres. Rotations are right-handed about
 * their axis. Angles are radians inside this package.
 *
 * <p>A {@link mildtilt.geometry.Point} is a place, a {@link mildtilt.geometry.Vector} a difference
 * of places, a {@link mildtilt.geometry.Direction} has length one and nothing else. Example:
 * {@code new Point(0, 550, 258).minus(Point.ORIGIN).direction()} is the direction from the origin
 * to a left wheel's centre.
 */
@NullMarked
package mildtilt.geometry;

import org.jspecify.annotations.NullMarked;
