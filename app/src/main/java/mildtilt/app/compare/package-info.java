/** Headline figures before and after. */
@NullMarked
package mildtilt.app.compare;

import org.jspecify.annotations.NullMarked;
