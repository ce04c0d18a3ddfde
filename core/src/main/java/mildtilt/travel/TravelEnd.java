package mildtilt.travel;

import java.util.Optional;
import mildtilt.job.Element;

/**
 * How far the wheels travel one way at one position of the steering.
 *
 * @param mm that is usable, 0 or above
 * @param cause what ends it short of the travel that is stated
 */
public record TravelEnd(double mm, Optional<Cause> cause) {

    /** @param what in words, such as "left strap taut"; @param meant whether it is there to end the travel */
    public record Cause(String what, Element element, boolean meant) {}
}
