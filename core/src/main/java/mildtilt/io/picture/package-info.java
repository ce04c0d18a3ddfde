/** Photographs from JPEG and PNG files. */
@NullMarked
package mildtilt.io.picture;

import org.jspecify.annotations.NullMarked;
