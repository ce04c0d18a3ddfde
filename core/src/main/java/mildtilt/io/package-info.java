/**
 * Reading and writing files in open formats. Files are replaced in one step, and what can't be read is refused in a
 * sentence
 * that names the file, the place and what to do.
 */
@NullMarked
package mildtilt.io;

import org.jspecify.annotations.NullMarked;
