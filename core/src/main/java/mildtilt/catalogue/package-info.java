/**
 * Generic parts with typical sizes, and whether ends fit each other. Lengths mm.
 *
 * <p>Example: a 19 mm shaft in a 19.05 mm bore fits; in a 20 mm bore it is too small and wants a sleeve.
 */
@NullMarked
package mildtilt.catalogue;

import org.jspecify.annotations.NullMarked;
