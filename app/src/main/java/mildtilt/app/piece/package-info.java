/** The selected element's sizes, to be typed. */
@NullMarked
package mildtilt.app.piece;

import org.jspecify.annotations.NullMarked;
