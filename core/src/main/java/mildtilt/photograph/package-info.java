/**
 * Measuring by photographs: the printed marks and how they are found in a picture, how a lens sees, and where a camera
 * stood.
 *
 * <p>In a picture a place is given in pixels as its camera stored it, across to the right and down, from the outer
 * corner of its top left pixel: the middle of that pixel is 0.5, 0.5.
 */
@NullMarked
package mildtilt.photograph;

import org.jspecify.annotations.NullMarked;
