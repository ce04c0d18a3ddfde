/**
 * Drawings for the machinist: turned shafts, bearing housings, plates and posts, with sizes and tolerances. Every
 * size is
 * the job's or follows from it.
 */
@NullMarked
package mildtilt.machined;

import org.jspecify.annotations.NullMarked;
