/** The Fit stage: what to measure next, trials, what was read against the plan, what fits it, log and inspection. */
@NullMarked
package mildtilt.app.trial;

import org.jspecify.annotations.NullMarked;
