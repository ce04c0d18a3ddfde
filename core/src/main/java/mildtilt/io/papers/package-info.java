/**
 * All papers of a job, or of a trial, written into a folder.
 */
@NullMarked
package mildtilt.io.papers;

import org.jspecify.annotations.NullMarked;
