package mildtilt.app.workbench;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Optional;
import mildtilt.job.Job;

/** The jobs before and after the present one: undo and redo without limit. */
final class History {

    /** @param change what was done to this job next */
    record Step(Job job, String change) {}

    private final Deque<Step> past = new ArrayDeque<>();
    private final Deque<Step> future = new ArrayDeque<>();

    void did(Job before, String change) {
        past.push(new Step(before, change));
        future.clear();
    }

    Optional<Step> lastChange() {
        return Optional.ofNullable(past.peek());
    }

    Optional<Step> nextChange() {
        return Optional.ofNullable(future.peek());
    }

    /** The job to go back to, if any. */
    Optional<Job> back(Job now) {
        if (past.isEmpty()) {
            return Optional.empty();
        }
        Step step = past.pop();
        future.push(new Step(now, step.change));
        return Optional.of(step.job);
    }

    /** The job to go forward to again, if any. */
    Optional<Job> forward(Job now) {
        if (future.isEmpty()) {
            return Optional.empty();
        }
        Step step = future.pop();
        past.push(new Step(now, step.change));
        return Optional.of(step.job);
    }

    void clear() {
        past.clear();
        future.clear();
    }
}
