/**
 * A vehicle to begin with: its axle and its gear chosen apart, at the user's own track, wheelbase and tyre (mm), with
 * nothing in it that the program
 * would find fault with.
 */
@NullMarked
package mildtilt.start;

import org.jspecify.annotations.NullMarked;
