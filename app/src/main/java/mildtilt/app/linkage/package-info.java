/** The linkage stage's own panes: knuckle changes, working it out, variants, figures at the current position. */
@NullMarked
package mildtilt.app.linkage;

import org.jspecify.annotations.NullMarked;
