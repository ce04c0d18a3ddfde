package mildtilt.build;

import mildtilt.geometry.ImpossibleGeometryException;
import mildtilt.withers.Withers;

/**
 * A rack's own rod as it is there, with an outer end that screws onto it: instead of a body between two ends.
 *
 * @param length from the inner ball's centre to the rod's tip, mm
 * @param threaded from the tip on, mm
 * @param thread on the rod, and in the outer end
 * @param jamNut its thickness, mm; 0 for none
 * @param endReach from the outer ball's centre to the mouth of the end's socket, mm
 * @param endDeep how far the rod can go into the socket from its mouth, mm
 */
@Withers
public record RackRod(
        double length, double threaded, ScrewThread thread, double jamNut, double endReach, double endDeep)
        implements RackRodBuilder.With {

    /** Part of a thread's diameter that a thin jam nut is thick. */
    private static final double THIN_NUT = 0.5;

    private static final ScrewThread USUAL_THREAD = new ScrewThread(14, 1.5, ScrewThread.Hand.RIGHT);

    /** @throws ImpossibleGeometryException naming the size that can't be */
    public RackRod {
        if (!(threaded > 0) || !(length > threaded)) {
            throw new ImpossibleGeometryException("A rack's rod must have thread at its tip, and be longer than that.");
        }
        if (!(jamNut >= 0)) {
            throw new ImpossibleGeometryException("A jam nut's thickness can't be negative.");
        }
        if (!(endDeep > 0) || !(endReach > endDeep)) {
            throw new ImpossibleGeometryException(
                    "The socket of a rack rod's end must have depth, and end before the ball.");
        }
    }

    /** One that goes on as it is between centres so far apart, with sizes usual for its thread: to be measured. */
    public static RackRod usual(double centres) {
        double d = USUAL_THREAD.major();
        double reach = 5 * d;
        double deep = 3 * d;
        double length = Math.max(5 * d, Math.rint(centres - reach + deep - d / 2));
        return new RackRod(length, 4 * d, USUAL_THREAD, THIN_NUT * d, reach, deep);
    }
}
