/** The user's guide, read inside the program: the same pages as docs/guide/. */
@NullMarked
package mildtilt.app.guide;

import org.jspecify.annotations.NullMarked;
