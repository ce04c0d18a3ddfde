/** The train strip: every element of the steering from hands to tyres. */
@NullMarked
package mildtilt.app.train;

import org.jspecify.annotations.NullMarked;
