/**
 * Beam axles and what holds them: how the beam goes as its wheels rise. {@link mildtilt.linkage.beam.Beam#placer} makes one
 * ready; in closed form where there is one, else as one body of the general solver. Lengths mm, rise + up.
 */
@NullMarked
package mildtilt.linkage.beam;

import org.jspecify.annotations.NullMarked;
