package mildtilt.job;

import java.time.LocalDateTime;

/**
 * One thing done to the plan.
 *
 * @param at by the clock of who did it
 * @param what in the words that undo shows
 */
public record Change(LocalDateTime at, String what) {

    /** More than these are not kept. */
    public static final int MOST = 1000;
}
