/**
 * The pose of the whole steering for one {@link mildtilt.steer.position.SteeringInput}: steering wheel (degrees, + left)
 * and the travel of both wheels (mm, + up), from the wheel in the driver's hands to both tyres. {@code PeakSearch} finds
 * extremes between the positions of a {@code Grid}, so that figures don't depend on how finely it is divided.
 */
@NullMarked
package mildtilt.steer.position;

import org.jspecify.annotations.NullMarked;
