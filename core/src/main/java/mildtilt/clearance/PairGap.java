package mildtilt.clearance;

import mildtilt.clearance.bodies.BodyPair;
import mildtilt.geometry.Point;
import mildtilt.id.Id;
import mildtilt.id.NamedPart;
import mildtilt.job.Element;

/**
 * The smallest gap of one pair over the whole range.
 *
 * @param firstId of the part that the first is
 * @param firstElement what the first belongs to
 * @param gap mm, − where they are in each other
 * @param need mm
 * @param atRest the gap straight ahead at ride height, the wheel as planned, mm
 * @param where the smallest is
 * @param onFirst its place on the first
 * @param onSecond its place on the second
 * @param steered whether steering or wheel travel changes it
 * @param guessed whether only guessed sizes say that it is too small: with parts as slim as such parts ever are it need
 * not be
 */
public record PairGap(
        String first,
        Id firstId,
        Element firstElement,
        String second,
        Id secondId,
        Element secondElement,
        double gap,
        double need,
        double atRest,
        FoundAt where,
        Point onFirst,
        Point onSecond,
        boolean steered,
        boolean guessed) {

    /** What is left of the gap over what is needed, mm. */
    public double margin() {
        return gap - need;
    }

    public boolean touches() {
        return gap <= 0;
    }

    public BodyPair two() {
        return new BodyPair(new NamedPart(firstId, first), new NamedPart(secondId, second));
    }

    public String label() {
        return two().label();
    }

    public boolean has(Element e) {
        return firstElement.equals(e) || secondElement.equals(e);
    }
}
