/** Curves over the range. */
@NullMarked
package mildtilt.app.plot;

import org.jspecify.annotations.NullMarked;
