/**
 * The job file: JSON with a schema, its earlier versions, the rules and catalogue files that are written the same way,
 * and the
 * demo jobs. Units are in the field names: {@code _mm}, {@code _deg}, {@code _pct}.
 */
@NullMarked
package mildtilt.io.jobfile;

import org.jspecify.annotations.NullMarked;
