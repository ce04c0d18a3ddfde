/** The commands of the command line. */
@NullMarked
package mildtilt.app.cli;

import org.jspecify.annotations.NullMarked;
