/**
 * What is the column stage's own: the column laid straight under the views, and at the side how it turns, what holds
 * it,
 * its range and its rules.
 */
@NullMarked
package mildtilt.app.column;

import org.jspecify.annotations.NullMarked;
