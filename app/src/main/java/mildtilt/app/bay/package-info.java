/** The geometry to scale: elevations with points to drag, and the solid view. */
@NullMarked
package mildtilt.app.bay;

import org.jspecify.annotations.NullMarked;
