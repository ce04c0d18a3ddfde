/** The geometry to scale: elevations with points to drag, and the solid view. */
@NullMarked
package mildtilt.app.view;

import org.jspecify.annotations.NullMarked;
