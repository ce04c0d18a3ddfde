/**
 * What shafts and joints carry under a heavy pull at the rim: torque, bending from the joints' angles, stress, twist.
 * N, mm, N·mm, MPa, degrees.
 *
 * <p>Example: 600 N at a rim of 360 mm is 108 N·m; a 19 mm bar of mild steel carries it at 139 MPa by von Mises.
 */
@NullMarked
package mildtilt.shaftload;

import org.jspecify.annotations.NullMarked;
