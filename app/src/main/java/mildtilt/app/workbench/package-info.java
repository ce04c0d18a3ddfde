/**
 * What is open and how it is looked at: the job with its history, the hands, the selection, and what the
 * background worked out. Every view reads it; none reads another view.
 */
@NullMarked
package mildtilt.app.workbench;

import org.jspecify.annotations.NullMarked;
