/**
 * Templates as DXF and SVG at full size, solids as STL.
 */
@NullMarked
package mildtilt.io.cad;

import org.jspecify.annotations.NullMarked;
