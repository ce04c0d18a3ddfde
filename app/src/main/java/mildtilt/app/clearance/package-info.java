/** The clearance stage: what is in the way, the gaps, and the routes past it. */
@NullMarked
package mildtilt.app.clearance;

import org.jspecify.annotations.NullMarked;
