/**
 * From tape, plumb bob and angle finder to points in space: what was read, how well, and what follows by least squares.
 * Lengths mm, angles degrees; the vehicle frame. A reading's ± is one standard deviation: two times in three the truth
 * is within it.
 *
 * <p>Example: four tapes to a joint from four marks on the floor locate it with one reading to spare, which shows
 * whether one of the tapes was misread.
 */
@NullMarked
package mildtilt.survey;

import org.jspecify.annotations.NullMarked;
