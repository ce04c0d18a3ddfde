/** The job card on screen and on paper. */
@NullMarked
package mildtilt.app.make;

import org.jspecify.annotations.NullMarked;
