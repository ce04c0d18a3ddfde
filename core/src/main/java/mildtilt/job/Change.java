package mildtilt.job;

import java.time.LocalDateTime;

/**
 * One thing done to the plan.
 *
 * @param at by the clock of who did it
 * @param what in the words that undo shows
 * @param why as far as said
 */
public record Change(LocalDateTime at, String what, String why) {

    /** More than these are not kept. */
    public static final int MOST = 1000;

    public Change withWhy(String reason) {
        return new Change(at, what, reason);
    }
}
