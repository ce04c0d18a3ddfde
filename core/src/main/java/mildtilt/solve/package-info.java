/**
 * Solving: given what may move, how far, and the targets, a short list of answers with their costs. Nothing changes
 * until one is applied. The same job and question always give the same answers.
 *
 * <p>Example: {@code Solver.search(job, Goal.LEAST_BUMP_STEER.question(job), progress)} looks for a gear height, place
 * and pivot spacing that keep the toe still over the travel.
 */
@NullMarked
package mildtilt.solve;

import org.jspecify.annotations.NullMarked;
