/**
 * The document: one immutable {@link mildtilt.job.Job} holds everything that was measured, chosen or
 * decided, and nothing that can be computed. An edit is a function from a job to another job, so undo is
 * the list of earlier jobs. Lengths mm, angles degrees.
 */
@NullMarked
package mildtilt.job;

import org.jspecify.annotations.NullMarked;
