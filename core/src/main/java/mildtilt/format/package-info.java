/**
 * Open files in and out: the job as JSON with a schema, figures as JSON and CSV, the job card as PDF.
 * Units are in the field names: {@code _mm}, {@code _deg}, {@code _pct}.
 */
@NullMarked
package mildtilt.format;

import org.jspecify.annotations.NullMarked;
