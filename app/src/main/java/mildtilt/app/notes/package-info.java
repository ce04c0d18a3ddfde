/** What is wrong and the remedies. */
@NullMarked
package mildtilt.app.notes;

import org.jspecify.annotations.NullMarked;
