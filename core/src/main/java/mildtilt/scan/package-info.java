/** Regular parts found on a scan: tubes, balls, flats and holes, each with how sure it is. */
@NullMarked
package mildtilt.scan;

import org.jspecify.annotations.NullMarked;
