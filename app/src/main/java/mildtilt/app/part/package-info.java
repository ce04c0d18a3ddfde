/** The selected element's sizes, to be typed. */
@NullMarked
package mildtilt.app.part;

import org.jspecify.annotations.NullMarked;
