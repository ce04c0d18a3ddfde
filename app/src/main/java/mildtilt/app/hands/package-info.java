/** The steering wheel to turn and the travel lever of each wheel. */
@NullMarked
package mildtilt.app.hands;

import org.jspecify.annotations.NullMarked;
