/** Parts drawn on a sheet: where they lie on it, and how each looks. Shared by all views that draw the vehicle. */
@NullMarked
package mildtilt.app.draw;

import org.jspecify.annotations.NullMarked;
