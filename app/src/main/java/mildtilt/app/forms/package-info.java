/** The panes at the side that tell what was worked out, in words and small tables. */
@NullMarked
package mildtilt.app.forms;

import org.jspecify.annotations.NullMarked;
