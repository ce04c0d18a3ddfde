/**
 * How far the wheels may travel and what ends it, at every position of the steering: dampers, springs, straps, hoses
 * and
 * driven shafts at their lengths, ends and joints at their tilt, rods at theirs, parts that touch. Lengths and travel
 * mm,
 * angles degrees; a margin is + within the limit, − past it.
 */
@NullMarked
package mildtilt.travel;

import org.jspecify.annotations.NullMarked;
