/**
 * Working it out: given what may move and how far, and what is wanted, a short list of ways with what each costs.
 * Nothing is changed until one is taken. The same job and question always give the same answers.
 *
 * <p>Example: {@code Solver.search(job, Goal.LEAST_BUMP_STEER.question(job), progress)} looks for a gear height, place
 * and pivot spacing that keep the toe still over the travel.
 */
@NullMarked
package mildtilt.solve;

import org.jspecify.annotations.NullMarked;
