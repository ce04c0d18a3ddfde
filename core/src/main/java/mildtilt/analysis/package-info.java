/**
 * Everything worked out of a job, gathered: {@code Analysis.of(job)} is a pure function, run off the
 * interface thread after every edit. What is shown or printed is taken from here and nowhere else.
 */
@NullMarked
package mildtilt.analysis;

import org.jspecify.annotations.NullMarked;
