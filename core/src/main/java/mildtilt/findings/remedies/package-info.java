/**
 * Changes to a job that would cure a finding: every one is tried on the job before it is offered, and comes with what it
 * changes. A remedy that can't be made exactly is left out.
 */
@NullMarked
package mildtilt.findings.remedies;

import org.jspecify.annotations.NullMarked;
