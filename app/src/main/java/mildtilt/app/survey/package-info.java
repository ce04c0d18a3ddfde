/** The survey stage: what was measured on the vehicle, and what follows. */
@NullMarked
package mildtilt.app.survey;

import org.jspecify.annotations.NullMarked;
