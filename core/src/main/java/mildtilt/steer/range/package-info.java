/**
 * How far the steering can go and what ends it: lock at any travel, travel at any lock, dead centres, folds and rod ends
 * at their tilt. Angles degrees, + to the left; travel mm, + up; a reserve is + within the limit, − past it.
 */
@NullMarked
package mildtilt.steer.range;

import org.jspecify.annotations.NullMarked;
