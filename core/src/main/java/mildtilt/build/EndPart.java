package mildtilt.build;

import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.withers.Withers;

/**
 * A rod end or tie-rod end. Lengths mm.
 *
 * @param thread of its shank
 * @param toThread from the ball's centre to where the shank's thread begins; the jam nut goes no nearer
 * @param threadLength of the shank's thread, to its tip
 * @param tiltDeg that its ball allows, degrees
 */
@Withers
public record EndPart(String name, Stud stud, ScrewThread thread, double toThread, double threadLength, double tiltDeg)
        implements EndPartBuilder.With {

    /** @throws ImpossibleGeometryException naming the size that can't be */
    public EndPart {
        if (!(toThread > 0) || !(threadLength > 0)) {
            throw new ImpossibleGeometryException(
                    "The shank of \"" + name + "\" must have a length, and a thread on it.");
        }
        if (!(tiltDeg > 0 && tiltDeg < 90)) {
            throw new ImpossibleGeometryException(
                    "The tilt that \"" + name + "\" allows must be between 0 and 90 degrees.");
        }
    }

    /** From the ball's centre to the shank's tip, mm. */
    public double reach() {
        return toThread + threadLength;
    }

    /** The same part with its thread the other way. */
    public EndPart withHand(ScrewThread.Hand hand) {
        String plain = name.endsWith(", left-hand") ? name.substring(0, name.length() - ", left-hand".length()) : name;
        return new EndPart(
                hand == ScrewThread.Hand.LEFT ? plain + ", left-hand" : plain,
                stud,
                thread.withHand(hand),
                toThread,
                threadLength,
                tiltDeg);
    }

    public EndPart withShank(double to, double length) {
        return new EndPart(name, stud, thread, to, length, tiltDeg);
    }
}
