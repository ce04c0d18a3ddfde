/**
 * What is open and how it is shown: the job with its history, the position, the selection, and the background results.
 * Every view reads it; none reads another view.
 */
@NullMarked
package mildtilt.app.workbench;

import org.jspecify.annotations.NullMarked;
