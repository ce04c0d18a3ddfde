/**
 * One steered corner as it is described and asked for: knuckle on its suspension, its limits, and its travel.
 * Lengths mm, travel + up.
 */
@NullMarked
package mildtilt.linkage.corner;

import org.jspecify.annotations.NullMarked;
