/** The window, the document that is open in it, its history and its files. Views read the {@link mildtilt.app.shell.Workbench} and never each other. */
@NullMarked
package mildtilt.app.shell;

import org.jspecify.annotations.NullMarked;
