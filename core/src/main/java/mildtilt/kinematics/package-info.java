/**
 * Any mechanism of rigid bodies and joints, solved by its constraint equations. Lengths mm, angles radians; every body and joint
 * is described in the design pose, in the vehicle's axes.
 *
 * <p>Closed forms ({@code mildtilt.linkage}, {@code mildtilt.suspension}) are quicker and stay where they exist; this is what they
 * are held against, and what holds the mechanisms that have none.
 */
@NullMarked
package mildtilt.kinematics;

import org.jspecify.annotations.NullMarked;
