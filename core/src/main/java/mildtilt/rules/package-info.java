/**
 * Rule sets: the limits a column is judged by, as records. Three ship with the program; a user copies one and edits it.
 *
 * <p>Example: the cautious road set asks for 80 mm of free stroke or 30 degrees of kink; a column with a sliding shaft
 * that closes 90 mm meets it either way.
 */
@NullMarked
package mildtilt.rules;

import org.jspecify.annotations.NullMarked;
