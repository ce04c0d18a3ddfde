/**
 * Scans of what is in the way: STL and OBJ.
 */
@NullMarked
package mildtilt.io.scan;

import org.jspecify.annotations.NullMarked;
