/**
 * What is wrong with a job, by how much, why it matters, and what would cure it. Nothing here approves a
 * design: it finds faults, and finding none proves nothing.
 */
@NullMarked
package mildtilt.findings;

import org.jspecify.annotations.NullMarked;
