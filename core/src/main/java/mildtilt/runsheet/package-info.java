/**
 * The order of the work, what must be bought for it, and how a weld's heat went. Times in hours and days, temperatures
 * °C.
 *
 * <p>Example: the final weld comes after the trial at full travel, because what is welded can't be moved; ticked before
 * it, the
 * step is shown as out of order.
 */
@NullMarked
package mildtilt.runsheet;

import org.jspecify.annotations.NullMarked;
