/**
 * Rods as parts: length, ends, tube and what they weigh. Lengths mm.
 */
@NullMarked
package mildtilt.linkage.rods;

import org.jspecify.annotations.NullMarked;
