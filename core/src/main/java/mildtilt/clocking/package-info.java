/**
 * Setting the forks against each other: which clockings leave the least ripple, which of them the shafts' ends allow,
 * how
 * they are marked at the bench, and how the train feels about straight ahead.
 *
 * <p>Clockings are as in {@link mildtilt.column}: + clockwise seen from the wheel end. Example: forks welded on a plain
 * shaft go to any angle; on 36 teeth they go by 10 degrees; with 36 teeth at one end and 48 at the other, by 2.5.
 */
@NullMarked
package mildtilt.clocking;

import org.jspecify.annotations.NullMarked;
