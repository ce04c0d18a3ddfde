package mildtilt.travel;

import java.util.Optional;
import java.util.function.DoubleFunction;

/**
 * How far out from ride height nothing is past its end.
 *
 * @param free travel, mm, − for droop
 * @param by what is past its end just beyond; empty where nothing is
 */
record FirstEnd<T>(double free, Optional<T> by) {

    /**
     * By steps, and halving between the first that is past and the one before. What is past at ride height is not
     * asked for.
     *
     * @param stated how far to go, mm, − for droop
     * @param past what is past its end at a travel
     */
    static <T> FirstEnd<T> of(double stated, int steps, int halvings, DoubleFunction<Optional<T>> past) {
        double free = 0;
        for (int i = 1; i <= steps; i++) {
            double beyond = stated * i / steps;
            Optional<T> by = past.apply(beyond);
            if (by.isPresent()) {
                for (int k = 0; k < halvings; k++) {
                    double mid = (free + beyond) / 2;
                    Optional<T> there = past.apply(mid);
                    if (there.isPresent()) {
                        beyond = mid;
                        by = there;
                    } else {
                        free = mid;
                    }
                }
                return new FirstEnd<>(free, by);
            }
            free = beyond;
        }
        return new FirstEnd<>(stated, Optional.empty());
    }
}
