/** The field's words: what each means, what is usual, and which headline it explains. */
@NullMarked
package mildtilt.glossary;

import org.jspecify.annotations.NullMarked;
