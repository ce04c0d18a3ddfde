/**
 * Everything that goes to the bench, worked out of one analysis and laid out as tables. The same tables are shown on
 * screen,
 * printed and written as CSV, so that their figures can't differ.
 *
 * <p>Example: a saw length of 336.4 mm appears as such on the screen and in the job book; in the CSV it is the number
 * behind it.
 */
@NullMarked
package mildtilt.report;

import org.jspecify.annotations.NullMarked;
