/** The steering wheel to turn and the travel lever of each wheel. */
@NullMarked
package mildtilt.app.position;

import org.jspecify.annotations.NullMarked;
