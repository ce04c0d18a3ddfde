/**
 * Tables in and out as CSV: points, instrument positions, the job's tables.
 */
@NullMarked
package mildtilt.io.csv;

import org.jspecify.annotations.NullMarked;
