/** The window with its commands and its files: puts the views together on one workbench. */
@NullMarked
package mildtilt.app.shell;

import org.jspecify.annotations.NullMarked;
