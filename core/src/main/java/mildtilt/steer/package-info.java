/**
 * From the steering wheel to the turned tyres, and what follows over the whole range: ratio, lock,
 * Ackermann, turning circle, bump steer, the grid of steer against travel.
 *
 * <p>Angles degrees, + to the left; lengths mm; travel + in bump. The steering-wheel angle is that of the
 * wheel in the driver's hands: what the column's joints do to it on the way to the gear is in every figure.
 * Example: {@code new SteeringTrain(job).pose(90, 0, 0)} is the axle with the wheel a quarter turn left at
 * ride height.
 */
@NullMarked
package mildtilt.steer;

import org.jspecify.annotations.NullMarked;
